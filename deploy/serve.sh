#!/usr/bin/env bash
# From a checkout that is set up to a served site:  deploy/serve.sh OPTIONS   (./harmozon serve, docs/deploy.md)
# As root: Debian's nginx, PHP-FPM, an account and services of its own. As anybody else: an nginx of one's own, behind another.
# Run again it changes what has changed, and puts this checkout's code in place of the one before without a gap.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."

say() { printf '%s\n' "$*"; }
fail() { printf 'harmozon: %s\n' "$*" >&2; exit 1; }

# --- what was asked for -----------------------------------------------------------------------------------------------

url='' cert='' key='' port='' dry=no foreground=no plain=no
is_root() { [ "$(id -u)" = 0 ]; }
if is_root; then
  account=harmozon code=/srv/harmozon data=/var/lib/harmozon etc=/etc/harmozon run=/run/harmozon
else
  home=${XDG_DATA_HOME:-$HOME/.local/share}/harmozon
  account=$(id -un) code=$home/code data=$home/data etc=$home/etc run=$home/run plain=yes foreground=yes
fi

while [ $# -gt 0 ]; do
  case "$1" in
    --url | --cert | --key | --port | --code | --data)
      [ $# -ge 2 ] || fail "$1 needs a value"
      printf -v "${1#--}" '%s' "$2"
      shift 2
      ;;
    --url=* | --cert=* | --key=* | --port=* | --code=* | --data=*)
      option=${1%%=*}
      printf -v "${option#--}" '%s' "${1#*=}"
      shift
      ;;
    --dry-run) dry=yes; shift ;;
    --foreground) foreground=yes; shift ;;
    --plain) plain=yes; shift ;;
    *) fail "serve does not know \"$1\"; see ./harmozon help" ;;
  esac
done

known=$(sed -n 's/^APP_URL=//p' "$data/env" 2>/dev/null | tail -n 1 || true)
if [ -z "$url" ]; then
  url=$known
  if [ -z "$url" ] && [ -t 0 ]; then read -rp "The address people will know, such as https://charge.example.org: " url; fi
fi
url=${url%/}
[[ $url =~ ^https?://[A-Za-z0-9.-]+(:[0-9]+)?$ ]] || fail "--url needs the address people will know, such as https://charge.example.org, and is \"$url\""
host=${url#*://} host=${host%%:*}
[ -z "$cert" ] || [ -n "$key" ] || fail "--cert comes with --key"
[ -z "$key" ] || [ -n "$cert" ] || fail "--key comes with --cert"
for file in "$cert" "$key"; do [ -z "$file" ] || [ -r "$file" ] || fail "$file cannot be read"; done
[ "$plain" = no ] || [ -z "$cert" ] || fail "--cert is for a site that serves TLS itself; here the nginx in front does, and needs the certificate"
if [ "$plain" = yes ]; then port=${port:-8090}; else port=${port:-443}; fi
[[ $port =~ ^[0-9]+$ ]] && [ "$port" -ge 1 ] && [ "$port" -le 65535 ] || fail "--port needs a number from 1 to 65535"
[ -d /run/systemd/system ] || foreground=yes
for place in "$code" "$data"; do [[ $place = /* ]] || fail "--code and --data need whole paths, and $place is none"; done

# --- doing, or only saying so -----------------------------------------------------------------------------------------

run() { if [ "$dry" = yes ]; then say "would run:   $*"; else "$@"; fi; }
as_account() { if is_root; then run runuser -u "$account" -- "$@"; else run "$@"; fi; }
folder() {
  local path=$1 mode=$2 owner=$3
  if [ "$dry" = yes ]; then say "would make:  $path ($mode, $owner)"; return; fi
  mkdir -p "$path"
  chmod "$mode" "$path"
  ! is_root || chown "$owner" "$path"
}
# Writes a shipped file with this machine's places; without a change nothing is touched.   place SOURCE TARGET [MODE]
changed=no
place() {
  local text
  text=$(fill <"deploy/$1")
  if [ "$(cat "$2" 2>/dev/null)" = "$text" ]; then return; fi
  changed=yes
  if [ "$dry" = yes ]; then say "would write: $2"; return; fi
  printf '%s\n' "$text" >"$2"
  chmod "${3:-644}" "$2"
}
fill() {
  local text name
  text=$(cat)
  for name in "${!value[@]}"; do text=${text//"@$name@"/"${value[$name]}"}; done
  printf '%s\n' "$text"
}

# --- the machine ------------------------------------------------------------------------------------------------------

packages() {
  local wanted=() package
  # A machine that has never asked knows of no package.
  ! is_root || [ -n "$(apt-cache pkgnames nginx 2>/dev/null)" ] || run apt-get update -qq
  for package in nginx php8.2-fpm openssl $(on_postgres && echo php8.2-pgsql); do
    dpkg-query -W -f '${Status}' "$package" 2>/dev/null | grep -q ' installed' || wanted+=("$package")
  done
  if is_root && apt-cache show libnginx-mod-http-brotli-filter >/dev/null 2>&1; then
    dpkg-query -W -f '${Status}' libnginx-mod-http-brotli-filter 2>/dev/null | grep -q ' installed' || wanted+=(libnginx-mod-http-brotli-filter)
  fi
  [ ${#wanted[@]} = 0 ] && return
  is_root || [ "$dry" = yes ] || fail "these packages are missing: ${wanted[*]}
          As an administrator of a Debian 12 machine:  apt-get install ${wanted[*]}"
  say "Debian packages: ${wanted[*]}"
  # What comes with them must not start by itself: no machine may be open before its settings are there.
  run env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y -qq "${wanted[@]}"
}

cores=$(nproc)
memory_mb=$(($(sed -n 's/^MemTotal: *\([0-9]*\) kB/\1/p' /proc/meminfo) / 1024))
# Half of the memory at 48 MB a process, four a core, and never fewer than four: answers wait for the disk as well, and more would only wait for each other.
children=$((memory_mb / 2 / 48))
[ "$children" -le $((cores * 4)) ] || children=$((cores * 4))
[ "$children" -ge 4 ] || children=4

declare -A value=(
  [HOST]=$host [CODE]=$code [DATA]=$data [ETC]=$etc [RUN]=$run [ACCOUNT]=$account [CHILDREN]=$children [START]=$((cores < children ? cores : children))
  [SPARE]=$((cores * 2 < children ? cores * 2 : children)) [FPM]=/usr/sbin/php-fpm8.2 [URLPORT]=$([[ $url =~ :([0-9]+)$ ]] && printf ':%s' "${BASH_REMATCH[1]}" || true) [USER]='' [MODULES]='' [STRICT]='' [BROTLI]=''
  [INIDIRS]=":$code/current/config/php:$etc/php"
)
if is_root; then
  value[POOLUSER]=$'user = '"$account"$'\ngroup = '"$account"$'\nlisten.owner = '"$account"$'\nlisten.group = www-data'
  value[SOCKETMODE]=0660
  value[USER]='user www-data;'
  value[MODULES]='include /etc/nginx/modules-enabled/*.conf;'
else
  value[POOLUSER]='' value[SOCKETMODE]=0600
fi
if [ "$plain" = yes ]; then
  value[LISTEN]="listen 127.0.0.1:$port;"
  value[REDIRECT]=''
else
  # Not every machine has the newer addresses.
  six() { [ ! -e /proc/net/if_inet6 ] || printf 'listen [::]:%s;' "$1"; }
  value[LISTEN]="listen $port ssl http2;
    $(six "$port ssl http2")
    ssl_certificate $etc/tls/site.crt;
    ssl_certificate_key $etc/tls/site.key;
    ssl_protocols TLSv1.2 TLSv1.3;
    ssl_prefer_server_ciphers off;
    ssl_session_cache shared:harmozon:10m;
    ssl_session_timeout 1d;
    ssl_session_tickets off;"
  value[STRICT]='add_header Strict-Transport-Security "max-age=31536000" always;'
  value[REDIRECT]=''
  [ "$port" != 443 ] || value[REDIRECT]="server {
    listen 80;
    $(six 80)
    server_name $host;
    server_tokens off;
    access_log off;
    return 301 https://$host\$request_uri;
}
"
fi

# --- the steps --------------------------------------------------------------------------------------------------------

. deploy/steps.sh

packages
account_and_folders
settings
certificate
release=''
new_release
configuration
if [ "$dry" = yes ]; then
  say "Nothing was changed."
  exit 0
fi
switch_over
if [ "$foreground" = yes ]; then
  say "Harmozon:      $url   (this machine: $(own_address))"
  # One that is running takes the new release without a gap.
  if standing=$(cat "$run/stand.pid" 2>/dev/null) && kill -0 "$standing" 2>/dev/null; then
    [ "$changed" = no ] || kill -HUP "$standing"
    answers || fail "the site does not answer at $(own_address); see $data/storage/logs"
    if [ "$changed" = yes ]; then say "Process $standing serves it already, and has taken what is new."; else say "Process $standing serves it already, and nothing is new."; fi
    exit 0
  fi
  exec deploy/stand.sh "$code" "$data" "$etc" "$run" "$account" "${value[INIDIRS]}"
fi
begin_services
answers || fail "the site does not answer at $(own_address); see journalctl -u harmozon-site and $data/storage/logs"
say "Harmozon:      $url"
say "Services:      harmozon-site, harmozon-worker, harmozon-backup.timer, nginx"
say "Data:          $data   (settings: $data/env)"
