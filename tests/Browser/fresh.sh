#!/usr/bin/env bash
# The database of one worker as it was at first, so that no journey depends on the one before it.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
php tests/seed-database.php demo "$DB_DATABASE"
# Counters of calls have a database of their own.
rm -rf "$LARAVEL_STORAGE_PATH"/framework/cache/data/* "$LARAVEL_STORAGE_PATH"/framework/counters.sqlite*
