#!/usr/bin/env bash
# A server for one worker of the browser tests.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
# One that was killed comes back to what it had.
if [ -z "${HARMOZON_TEST_AGAIN:-}" ]; then
  rm -rf "$LARAVEL_STORAGE_PATH"
  mkdir -p "$LARAVEL_STORAGE_PATH"/app/private "$LARAVEL_STORAGE_PATH"/framework/{cache/data,sessions,views} "$LARAVEL_STORAGE_PATH"/logs
  php tests/seed-database.php demo "$DB_DATABASE"
fi
exec build/serve.sh "$HARMOZON_TEST_PORT"
