# Where a worker of the browser tests lives: its own database, its own files and cache. Needs HARMOZON_TEST_PORT.
cd "$(dirname "${BASH_SOURCE[0]}")/../.."
export PHP_INI_SCAN_DIR="${PHP_INI_SCAN_DIR:-}:$PWD/config/php"
export LARAVEL_STORAGE_PATH="$PWD/.cache/browser-$HARMOZON_TEST_PORT"
export APP_ENV=testing DB_DATABASE="$LARAVEL_STORAGE_PATH/harmozon.sqlite" HARMOZON_DEMO=true
export APP_KEY="base64:$(head -c 32 /dev/zero | base64)" CACHE_STORE=file SESSION_DRIVER=database HASH_MEMORY_KIB=64
