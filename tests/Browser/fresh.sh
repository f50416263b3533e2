#!/usr/bin/env bash
# The demo garage of one worker as it was at first, so that no journey depends on the one before it.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
# People whom a journey has brought are gone, and what they made with them.
php -r '$db = new PDO("sqlite:".$argv[1]); $db->exec("PRAGMA foreign_keys = ON"); $db->exec("PRAGMA busy_timeout = 5000");
  $db->exec("DELETE FROM sessions"); $db->exec("DELETE FROM users WHERE email NOT LIKE \"%@lanternfish.example\""); $db->exec("DELETE FROM garages WHERE id NOT IN (SELECT garage_id FROM memberships)");' "$DB_DATABASE"
exec php artisan harmozon:demo --quiet
