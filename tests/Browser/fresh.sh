#!/usr/bin/env bash
# The demo garage of one worker as it was at first, so that no journey depends on the one before it.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
exec php artisan harmozon:demo --quiet
