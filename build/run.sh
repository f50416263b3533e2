#!/usr/bin/env bash
# Keeps the server and the worker of readings files running until it is stopped:  build/run.sh PORT [--look]
#   --look   only sees whether the port is free, and makes it so where something of ours was left on it
# What died is begun again; what an earlier one left behind on this port is ended first. Of two for one port the second says who holds it.
set -uo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
port=$1
place="$PWD/.cache/served-$port"
mkdir -p "$place"

# Whoever answers somebody right now may finish.
readonly GRACE_S=10
# A server that was begun again and again and answered nobody for so long will not do better by itself.
readonly SILENT_S=60

fail() { printf 'harmozon: %s\n' "$*" >&2; exit 1; }

exec 9>>"$place/lock"
flock -n 9 || fail "port $port is served from this folder already, by process $(head -n 1 "$place/running" 2>/dev/null); choose another with --port"

# Every process below is in a group of its own, named after its first one.  One that is dead and not yet collected does not count.
is_ours() { [ "$(readlink "/proc/$1/cwd" 2>/dev/null | sed 's#/public$##')" = "$PWD" ]; }
group_of() { pgrep -r D,I,R,S,T -g "$1" 2>/dev/null || true; }

end_group() {
  local i
  [ -n "$(group_of "$1")" ] || return 0
  # The server takes an interrupt for "finish what you are at"; the worker ends at a TERM.
  kill -INT -- "-$1" 2>/dev/null
  kill -TERM "$1" 2>/dev/null
  for ((i = 0; i < GRACE_S * 10; i++)); do
    [ -n "$(group_of "$1")" ] || return 0
    sleep 0.1
  done
  kill -KILL -- "-$1" 2>/dev/null
}

for old in $(tail -n +2 "$place/running" 2>/dev/null); do
  for pid in $(group_of "$old"); do
    if is_ours "$pid"; then
      printf 'Ending what an earlier start left behind (process %s).\n' "$old"
      end_group "$old"
      break
    fi
  done
done
if (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then
  fail "port $port is taken by $(php build/port-holder.php "$port"); choose another with --port"
fi

[ "${2:-}" != --look ] || exit 0

server=0 worker=0 began=0 answering=1 answered=$SECONDS
note_running() { printf '%s\n%s\n%s\n' "$$" "$server" "$worker" >"$place/running.new" && mv "$place/running.new" "$place/running"; }

serve() {
  began=$SECONDS
  set -m
  build/serve.sh "$port" 9>&- &
  server=$!
  set +m
  disown "$server"
  note_running
}

take_files() {
  set -m
  build/work.sh 9>&- &
  worker=$!
  set +m
  disown "$worker"
  note_running
}

stop_all() {
  trap - EXIT INT TERM
  end_group "$server" &
  end_group "$worker" &
  wait
  rm -f "$place/running"
}
trap stop_all EXIT
trap 'exit 130' INT
trap 'exit 143' TERM

# All that answers is there. One that is still starting is not counted yet.
is_whole() {
  kill -0 "$server" 2>/dev/null || return 1
  (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null || return $((SECONDS - began > 30))
  answered=$SECONDS
  [ "$(group_of "$server" | wc -l)" -ge "$answering" ]
}

# How many answer: the one that listens and those beside it (build/serve.sh). PHP's own server does not replace one that is gone.
count_answering() {
  local i
  for ((i = 0; i < 300; i++)); do
    (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null && break
    sleep 0.1 9>&-
  done
  sleep 0.3 9>&-
  answering=$(group_of "$server" | wc -l)
}

serve
count_answering
take_files
while true; do
  sleep 1 9>&- &
  wait $!
  kill -0 "$worker" 2>/dev/null || take_files
  if ! is_whole; then
    [ $((SECONDS - answered)) -lt $SILENT_S ] || fail "the server keeps dying before it answers anybody; see storage/logs"
    printf 'A process of the server has died; the server starts again.\n'
    end_group "$server"
    serve
  fi
done
