#!/usr/bin/env bash
# A day has gone by for the drills of one worker's database.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
php -r '(new PDO("sqlite:".getenv("DB_DATABASE")))->exec("update drill_progress set due_on = date(due_on, \"-1 day\")");'
