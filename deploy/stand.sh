#!/usr/bin/env bash
# Keeps nginx, PHP-FPM, the worker and the nightly backup running in the foreground, where no systemd does:
#   deploy/stand.sh CODE DATA ETC RUN ACCOUNT INIDIRS
# What died is begun again. HUP puts a new release in place without a gap; TERM and INT end everything.
set -uo pipefail
code=$1 data=$2 etc=$3 run=$4 account=$5
export PHP_INI_SCAN_DIR=$6

readonly HOUR_S=3600 DAY_MINUTES=1440
declare -A pid=()
mkdir -p "$run"
exec 9>"$run/lock"
flock -n 9 || { echo "harmozon: it is served already; send HUP to process $(cat "$run/stand.pid") for a new release" >&2; exit 1; }
echo $$ >"$run/stand.pid"

as_account() { if [ "$(id -u)" = 0 ]; then setpriv --reuid "$account" --regid "$account" --init-groups "$@"; else "$@"; fi; }

# Each in a process group of its own. What is left of one whose first process was killed would hold its socket: it goes first.
begin() {
  [ -z "${pid[$1]:-}" ] || kill -KILL -- "-${pid[$1]}" 2>/dev/null
  set -m
  case "$1" in
    php) /usr/sbin/php-fpm8.2 --nodaemonize --fpm-config "$etc/fpm.conf" 9>&- & ;;
    nginx) nginx -c "$etc/nginx.conf" 9>&- & ;;
    worker) as_account "$code/current/build/work.sh" 9>&- & ;;
  esac
  pid[$1]=$!
  set +m
  disown "${pid[$1]}"
}

end_all() {
  trap - EXIT INT TERM HUP
  kill -QUIT "${pid[nginx]}" "${pid[php]}" 2>/dev/null
  kill -TERM "${pid[worker]}" 2>/dev/null
  local i name
  for ((i = 0; i < 300; i++)); do
    kill -0 "${pid[nginx]}" 2>/dev/null || kill -0 "${pid[php]}" 2>/dev/null || kill -0 "${pid[worker]}" 2>/dev/null || break
    sleep 0.1 9>&-
  done
  for name in nginx php worker; do kill -KILL -- "-${pid[$name]}" 2>/dev/null; done
  rm -f "$run/stand.pid"
}
trap end_all EXIT
trap 'exit 130' INT
trap 'exit 143' TERM
trap 'kill -USR2 "${pid[php]}"; kill -TERM "${pid[worker]}"; kill -HUP "${pid[nginx]}"' HUP

begin php
begin nginx
begin worker
next_look=$SECONDS
while true; do
  sleep 1 9>&- &
  wait $!
  for name in php nginx worker; do
    kill -0 "${pid[$name]}" 2>/dev/null || { [ "$name" = worker ] || echo "$name has ended; it starts again." >&2; begin "$name"; }
  done
  # Once a day, whenever this was started.
  if [ "$SECONDS" -ge "$next_look" ]; then
    next_look=$((SECONDS + HOUR_S))
    [ -n "$(find "$data/storage/backups" -name '*.zip' -mmin "-$DAY_MINUTES" 2>/dev/null)" ] ||
      (cd "$code/current" && as_account php artisan harmozon:backup --keep=14 >/dev/null) 9>&- &
  fi
done
