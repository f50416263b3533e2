#!/usr/bin/env bash
# A stand-in with a token of its own, beside the server of a worker of the browser tests: stand-in.sh SESSION SPEED EVERY
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
# The demo's account, which anybody can open, makes no tokens: this one is written where they are kept.
token="$(php -r '
$db = new PDO("sqlite:".getenv("DB_DATABASE"));
$made = $db->prepare("insert into personal_access_tokens (tokenable_type, tokenable_id, garage_id, name, token, abilities, created_at, updated_at) select ?, users.id, s.garage_id, ?, ?, ?, datetime(), datetime() from charge_sessions s join users on users.garage_id = s.garage_id where s.ulid = ? limit 1");
$made->execute(["App\\Models\\User", "stand-in", hash("sha256", "stand-in"), "[\"append\"]", $argv[1]]);
echo $db->lastInsertId(), "|stand-in";
' "$1")"
exec php artisan harmozon:stand-in --session="$1" --token="$token" --url="http://127.0.0.1:$HARMOZON_TEST_PORT" --speed="$2" --every="$3"
