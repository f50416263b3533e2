#!/usr/bin/env bash
# Every browser session of one worker's database has run out, as after half a day.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
php -r '(new PDO("sqlite:".getenv("DB_DATABASE")))->exec("delete from sessions");'
