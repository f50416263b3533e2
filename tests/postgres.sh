#!/usr/bin/env bash
# Runs a command beside a PostgreSQL of its own, on a socket in a folder that goes when the command ends:
#   tests/postgres.sh COMMAND…
# The command finds DB_CONNECTION, DB_HOST, DB_DATABASE and DB_USERNAME. Nothing of the machine's own PostgreSQL is touched.
set -euo pipefail

bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)
[ -n "$bin" ] || { echo "tests/postgres.sh: PostgreSQL is not installed (apt-get install postgresql php8.2-pgsql)" >&2; exit 1; }
place=$(mktemp -d /tmp/harmozon-postgres-XXXXXX)
# PostgreSQL does not run as root.
# It orders text as a dictionary does, as most servers do.
as_owner=()
if [ "$(id -u)" = 0 ]; then
  as_owner=(runuser -u postgres --)
  chown postgres: "$place"
fi
end() {
  "${as_owner[@]}" "$bin/pg_ctl" -D "$place/data" -m immediate stop >/dev/null 2>&1 || true
  rm -rf "$place"
}
trap end EXIT
chmod 755 "$place"
"${as_owner[@]}" "$bin/initdb" -D "$place/data" -U harmozon -A trust -E UTF8 --locale=C.UTF-8 --locale-provider=icu --icu-locale=en-US --no-sync >"$place/initdb.log" 2>&1 || { cat "$place/initdb.log" >&2; exit 1; }
# What is thrown away needs no disk: nothing waits for it.
cat >>"$place/data/postgresql.conf" <<CONF
listen_addresses = ''
unix_socket_directories = '$place'
unix_socket_permissions = 0777
fsync = off
synchronous_commit = off
full_page_writes = off
autovacuum = off
shared_buffers = 128MB
max_connections = 100
CONF
"${as_owner[@]}" "$bin/pg_ctl" -D "$place/data" -w -l "$place/server.log" start >/dev/null 2>&1 || { cat "$place/server.log" >&2; exit 1; }
export DB_CONNECTION=pgsql DB_HOST="$place" DB_PORT=5432 DB_USERNAME=harmozon DB_PASSWORD= DB_DATABASE="${DB_DATABASE:-postgres}"
"$@"
