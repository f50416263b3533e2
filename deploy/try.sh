#!/usr/bin/env bash
# Tries ./harmozon serve in an empty Debian 12 of its own:  deploy/try.sh [FOLDER]
# debootstrap makes that machine once; nothing of this one is touched but FOLDER. Needs root, Debian's packages, and this machine's Node and Chromium.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."

readonly HOST=charge.example PORT=18443 DISK_MB=96
place=${1:-/var/tmp/harmozon-try}
root=$place/root
data=$root/var/lib/harmozon
failed=0

say() { printf '%s\n' "$*"; }
fail() { printf 'try: %s\n' "$*" >&2; exit 1; }
[ "$(id -u)" = 0 ] || fail "this needs root"
command -v debootstrap >/dev/null || fail "this needs Debian's debootstrap"

inside() { chroot "$root" env -i HOME=/root PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin LC_ALL=C.UTF-8 NODE_EXTRA_CA_CERTS=/etc/ssl/certs/ca-certificates.crt DEBIAN_FRONTEND=noninteractive "$@"; }
ask() { curl -sk -m 20 --resolve "$HOST:$PORT:127.0.0.1" "$@"; }
status() { ask -o "$place/body" -w '%{http_code}' "$@" || true; }
site=https://$HOST:$PORT
check() {
  local what=$1
  shift
  if "$@" >>"$place/log" 2>&1; then say "ok      $what"; else say "FAILED  $what"; failed=$((failed + 1)); fi
}

end_machine() {
  local pid
  [ ! -f "$root/run/harmozon/stand.pid" ] || kill -TERM "$(cat "$root/run/harmozon/stand.pid")" 2>/dev/null || true
  for ((i = 0; i < 100; i++)); do [ -f "$root/run/harmozon/stand.pid" ] || break; sleep 0.1; done
  for pid in $(ls -d /proc/[0-9]*); do
    [ "$(readlink "$pid/root")" != "$root" ] || kill -KILL "${pid#/proc/}" 2>/dev/null || true
  done
  for pid in "$data" "$root/proc" "$root/dev"; do mountpoint -q "$pid" && umount -l "$pid"; done
  return 0
}
trap end_machine EXIT

# --- an empty machine, with this checkout ------------------------------------------------------------------------------

new_machine() {
  end_machine
  mkdir -p "$place"
  : >"$place/log"
  if [ ! -f "$place/empty.tar" ]; then
    say "Making an empty Debian 12…"
    rm -rf "$root"
    debootstrap --variant=minbase --include=ca-certificates bookworm "$root" "$(apt-get indextargets --format '$(REPO_URI)' 'Created-By: Packages' | head -n 1)" >>"$place/log"
    tar -C "$root" -cf "$place/empty.tar" .
  fi
  rm -rf "$root"
  mkdir -p "$root"
  tar -C "$root" -xf "$place/empty.tar"
  rm -f "$root/etc/apt/sources.list"
  cp -a /etc/apt/sources.list* /etc/apt/apt.conf.d "$root/etc/apt/" 2>/dev/null || true
  rm -f "$root"/etc/apt/apt.conf.d/*docker* "$root"/etc/apt/apt.conf.d/*packagekit* "$root"/etc/apt/apt.conf.d/*appstream*
  cp /etc/resolv.conf /etc/hosts "$root/etc/"
  echo "127.0.0.1 $HOST" >>"$root/etc/hosts"
  mount -t proc proc "$root/proc"
  mount --rbind /dev "$root/dev"
  mount --make-rslave "$root/dev"
  # A disk that can be filled.
  mkdir -p "$data"
  mount -t tmpfs -o size="${DISK_MB}m" tmpfs "$data"
  # Node is asked for, not installed (README). Registries are those of this machine.
  mkdir -p "$root/usr/lib/node_modules" "$root/root/.config" "$root/checkout"
  cp "$(readlink -f "$(command -v node)")" "$root/usr/bin/node"
  cp -a "$(dirname "$(dirname "$(dirname "$(readlink -f "$(command -v npm)")")")")/npm" "$root/usr/lib/node_modules/"
  for name in npm npx; do ln -sf "../lib/node_modules/npm/bin/$name-cli.js" "$root/usr/bin/$name"; done
  cp -a ~/.npmrc "$root/root/" 2>/dev/null || true
  cp -a ~/.config/composer "$root/root/.config/" 2>/dev/null || true
  # Whom this machine trusts, its registries may need.
  cp -a /etc/ssl/certs/. "$root/etc/ssl/certs/"
  cp -a /usr/local/share/ca-certificates/. "$root/usr/local/share/ca-certificates/" 2>/dev/null || true
  git archive HEAD | tar -x -C "$root/checkout"
}

serve() { inside /checkout/harmozon serve --url="$site" --port="$PORT" "$@"; }
answers() { for ((i = 0; i < ${1:-100}; i++)); do [ "$(status "$site/sign-in")" = 200 ] && return 0; sleep 0.1; done; return 1; }
header() { ask -D - -o /dev/null "${@:2}" | tr -d '\r' | grep -qi "$1"; }

new_machine
say "Serving from it… (its log: $place/site.log)"
began=$SECONDS
serve >"$place/site.log" 2>&1 &
answers 9000 || { tail -n 20 "$place/site.log"; fail "it does not answer"; }
say "ok      an empty Debian 12 serves after $((SECONDS - began)) s"

asset=$(cd "$root/srv/harmozon/kept/build/assets" && ls ./*.js | head -n 1)
asset=build/assets/${asset#./}
check "settings are for their owner alone" inside sh -c '[ "$(stat -c "%a %U" /var/lib/harmozon/env)" = "600 harmozon" ] && [ "$(stat -c "%a %U" /var/lib/harmozon)" = "700 harmozon" ]'
check "the demo is closed" test "$(status -X POST -H "Origin: $site" "$site/api/demo-sign-in")" != 200
check "HTTP/2, and strict about TLS" header 'strict-transport-security' --http2 "$site/sign-in"
check "a built file never changes, goes compressed, and carries the headers" sh -c "curl -sk --resolve $HOST:$PORT:127.0.0.1 -D - -o /dev/null -H 'Accept-Encoding: br' $site/$asset | tr -d '\r' | grep -ciE '^(cache-control: .*immutable|content-encoding: br|content-security-policy: |content-type: text/javascript)' | grep -qx 4"
check "another name gets no answer" test "$(curl -sk -o /dev/null -w '%{http_code}' "https://127.0.0.1:$PORT/api/terms")" = 400
check "what is absurdly large is refused in words" sh -c "head -c 40000000 /dev/zero | curl -sk --resolve $HOST:$PORT:127.0.0.1 -X POST --data-binary @- $site/api/sign-in | grep -q message"

# --- a browser, which stays open through a deploy ----------------------------------------------------------------------

rm -f "$place/deployed" "$place/open"
node deploy/try.mjs "$site" "$place" >>"$place/log" 2>&1 &
browser=$!
for ((i = 0; i < 600; i++)); do [ -f "$place/open" ] && break; kill -0 "$browser" 2>/dev/null || break; sleep 0.1; done
check "somebody makes the first account over TLS" test -f "$place/open"

requests=0 bad=0
printf '\n// tried\n' >>"$root/checkout/routes/web.php"
serve >>"$place/log" 2>&1 &
deploy=$!
while kill -0 "$deploy" 2>/dev/null; do
  for path in sign-in api/terms "$asset"; do
    requests=$((requests + 1))
    case $(status "$site/$path") in 200 | 401) ;; *) bad=$((bad + 1)) ;; esac
  done
done
check "a deploy while $requests requests come: none fails" test "$bad" = 0
check "there are two releases now" test "$(ls "$root/srv/harmozon/releases" | wc -l)" = 2
touch "$place/deployed"
check "the page that was open goes on" wait "$browser"
before=$(readlink "$root/srv/harmozon/current")
check "a second run changes nothing" sh -c "$(declare -f inside serve); root='$root' site='$site' PORT='$PORT'; serve | grep -q 'nothing is new'"
check "and the release is the same" test "$(readlink "$root/srv/harmozon/current")" = "$before"

# --- kills, a certificate, a full disk ---------------------------------------------------------------------------------

for name in php nginx; do
  kill -KILL "$(cat "$root/run/harmozon/$name.pid")"
  sleep 0.3
  check "$name is killed, and answers again within ten seconds" answers
done
worker() { for pid in /proc/[0-9]*; do [ "$(readlink "$pid/root")" = "$root" ] && tr '\0' ' ' <"$pid/cmdline" | grep -q harmozon:work && echo "${pid#/proc/}"; done; return 0; }
was=$(worker | head -n 1)
kill -KILL "$was"
sleep 4
check "the worker is killed, and another one works" test -n "$(worker | grep -vx "$was" || true)"

openssl req -x509 -newkey rsa:2048 -nodes -days 30 -subj "/CN=$HOST" -keyout "$root/root/new.key" -out "$root/root/new.crt" 2>/dev/null
serve --cert=/root/new.crt --key=/root/new.key >>"$place/log" 2>&1
sleep 1
shown=$(echo | openssl s_client -connect "127.0.0.1:$PORT" 2>/dev/null | openssl x509 -noout -fingerprint)
check "a renewed certificate is shown without a gap" test "$shown" = "$(openssl x509 -in "$root/root/new.crt" -noout -fingerprint)"
check "the doctor reads how long it lasts" sh -c "$(declare -f inside); root='$root'; inside runuser -u harmozon -- php /srv/harmozon/current/artisan harmozon:doctor | tee -a '$place/log' | grep -q 'with a certificate for another 29 days'"

dd if=/dev/zero of="$data/full" bs=1M 2>/dev/null || true
check "on a full disk reading goes on, or says why not" sh -c "case $(status "$site/sign-in") in 200|503) ;; *) exit 1 ;; esac"
check "and saving is refused in words" sh -c "case $(status -X POST -H "Origin: $site" -H 'Content-Type: application/json' -d '{"email":"ida@wren.example","password":"seven quiet herons"}' "$site/api/sign-in") in 5*|4*) grep -q message '$place/body' ;; *) exit 1 ;; esac"
rm -f "$data/full"
check "with room again it goes on by itself" answers

kill -TERM "$(cat "$root/run/harmozon/stand.pid")"
for ((i = 0; i < 300; i++)); do [ -f "$root/run/harmozon/stand.pid" ] || break; sleep 0.1; done
check "it ends, and leaves nothing running" test "$(status "$site/sign-in")" = 000
say ""
if [ "$failed" = 0 ]; then say "All of it works."; else fail "$failed failed; see $place/log and $place/site.log"; fi
