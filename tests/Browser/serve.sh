#!/usr/bin/env bash
# A server of its own for the browser tests: its own database, its own sessions, the demo garage fresh.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/../.."
export PHP_INI_SCAN_DIR="${PHP_INI_SCAN_DIR:-}:$PWD/config/php"
export APP_ENV=testing DB_DATABASE="$PWD/storage/framework/testing/browser.sqlite" HARMOZON_DEMO=true
export APP_KEY="base64:$(head -c 32 /dev/zero | base64)" CACHE_STORE=file SESSION_DRIVER=database PHP_CLI_SERVER_WORKERS=4
rm -f "$DB_DATABASE" "$DB_DATABASE"-*
: >"$DB_DATABASE"
php artisan migrate --force --quiet
php artisan harmozon:demo
php artisan cache:clear --quiet
exec php artisan serve --host=127.0.0.1 --port="$HARMOZON_TEST_PORT" --no-reload --quiet
