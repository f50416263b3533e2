# Where a worker of the browser tests lives: its own database, its own sessions. Needs HARMOZON_TEST_PORT.
cd "$(dirname "${BASH_SOURCE[0]}")/../.."
export PHP_INI_SCAN_DIR="${PHP_INI_SCAN_DIR:-}:$PWD/config/php"
export APP_ENV=testing DB_DATABASE="$PWD/storage/framework/testing/browser-$HARMOZON_TEST_PORT.sqlite" HARMOZON_DEMO=true
export APP_KEY="base64:$(head -c 32 /dev/zero | base64)" CACHE_STORE=file SESSION_DRIVER=database
