#!/usr/bin/env bash
# Serves the application on a port of this machine:  build/serve.sh PORT
# The framework puts its settings and routes together once, here, and not anew with every request.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
lists="$PWD/.cache/served-$1"
mkdir -p "$lists"
export APP_CONFIG_CACHE="$lists/config.php" APP_ROUTES_CACHE="$lists/routes.php" APP_EVENTS_CACHE="$lists/events.php"
export PHP_CLI_SERVER_WORKERS=4
# Mails and invitations lead to this address. A public one stays; one of this machine gets the port that is served.
address=${APP_URL:-$(sed -n 's/^APP_URL=//p' .env 2>/dev/null | tail -n 1 | tr -d '"'\''\r')}
case "$address" in
  '' | http://127.0.0.1* | http://localhost* | http://\[::1\]*) export APP_URL="http://127.0.0.1:$1" ;;
esac
rm -f "$lists"/*.php
for list in config route event; do php artisan "$list:cache" --quiet; done
# Its list of every call is for nobody: what goes wrong is in storage/logs.
cd public
exec php -q -S "127.0.0.1:$1" ../server.php >/dev/null 2>&1
