#!/usr/bin/env bash
# A server for one worker of the browser tests.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
# One that was killed comes back to what it had.
if [ -z "${HARMOZON_TEST_AGAIN:-}" ]; then
  rm -f "$DB_DATABASE" "$DB_DATABASE"-*
  : >"$DB_DATABASE"
  php artisan migrate --force --quiet
  php artisan harmozon:demo
  php artisan cache:clear --quiet
fi
exec build/serve.sh "$HARMOZON_TEST_PORT"
