# The steps of deploy/serve.sh, which sets what they use.

account_and_folders() {
  if is_root && ! id "$account" >/dev/null 2>&1; then
    run useradd --system --home-dir "$data" --no-create-home --shell /usr/sbin/nologin "$account"
  fi
  # Code is for everybody to read, since nginx does; data, settings and backups are for nobody else.
  folder "$code" 755 root:root
  folder "$code/releases" 755 root:root
  folder "$code/kept" 755 root:root
  folder "$data" 700 "$account:$account"
  local inside
  for inside in database storage storage/backups storage/app storage/app/private storage/logs storage/framework storage/framework/cache storage/framework/cache/data storage/framework/views storage/framework/sessions; do
    folder "$data/$inside" 700 "$account:$account"
  done
  folder "$etc" 755 root:root
  folder "$etc/php" 755 root:root
  folder "$etc/tls" 700 root:root
  folder "$run" 755 root:root
}

# Made once; afterwards only the address follows --url. The demo stays closed.
settings() {
  if [ "$dry" = yes ]; then
    grep -qsx "APP_URL=$url" "$data/env" || say "would write: $data/env (0600: APP_URL=$url, demo off, a key of its own)"
    return
  fi
  if [ ! -f "$data/env" ]; then
    (umask 077 && cp .env.example "$data/env")
    set_to APP_KEY "base64:$(head -c 32 /dev/urandom | base64 -w 0)"
    set_to DB_DATABASE "$data/database/harmozon.sqlite"
  fi
  set_to APP_URL "$url"
  set_to HARMOZON_DEMO false
  if [[ $url = https://* ]]; then set_to SESSION_SECURE_COOKIE true; else set_to SESSION_SECURE_COOKIE false; fi
  # The nginx in front says which scheme and whose address it was.
  if [ "$plain" = yes ]; then set_to HARMOZON_PROXIES 127.0.0.1; fi
  php build/settings.php "$data/env" .env.example
  [ -f "$data/database/harmozon.sqlite" ] || (umask 077 && : >"$data/database/harmozon.sqlite")
  chmod 600 "$data/env"
  ! is_root || chown "$account:$account" "$data/env" "$data/database/harmozon.sqlite"
}

# Whether the settings name a PostgreSQL.
on_postgres() { grep -qsx 'DB_CONNECTION="\?pgsql"\?' "$data/env"; }

set_to() {
  if grep -q "^$1=" "$data/env"; then sed -i "s|^$1=.*|$1=$2|" "$data/env"; else printf '%s=%s\n' "$1" "$2" >>"$data/env"; fi
}

# The one that was given, or one for a trial that no browser trusts.
certificate() {
  [ "$plain" = no ] || return 0
  if [ -n "$cert" ]; then
    cmp -s "$cert" "$etc/tls/site.crt" || changed=yes
    run install -m 644 "$cert" "$etc/tls/site.crt"
    run install -m 600 "$key" "$etc/tls/site.key"
  elif [ ! -f "$etc/tls/site.crt" ]; then
    changed=yes
    say "No certificate was given: one is made for a trial, which no browser trusts. Give yours with --cert and --key."
    run openssl req -x509 -newkey rsa:2048 -nodes -days 365 -subj "/CN=$host" -addext "subjectAltName=DNS:$host" -keyout "$etc/tls/site.key" -out "$etc/tls/site.crt" 2>/dev/null
  fi
}

# This checkout's code beside the one that is served, with its lists warmed; what is the same is not copied again.
new_release() {
  local print
  print=$(find app artisan bootstrap/*.php build/work.sh compat composer.json composer.pins.json config core/src core/words core/catalogue database/demo database/migrations deploy lang public resources/views routes -type f -print0 | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -c1-16)
  release=$code/releases/$print
  if [ -f "$release/.whole" ]; then return; fi
  changed=yes
  if [ "$dry" = yes ]; then say "would copy:  this checkout to $release"; return; fi
  say "Copying this version to $release…"
  rm -rf "$release"
  mkdir -p "$release/bootstrap/cache" "$release/build" "$release/core" "$release/database" "$release/resources" "$release/.cache"
  cp -a app artisan compat composer.json config deploy lang public routes vendor "$release/"
  cp -a bootstrap/*.php "$release/bootstrap/"
  cp -a build/work.sh "$release/build/"
  cp -a core/src core/words core/catalogue core/composer.json "$release/core/"
  cp -a database/demo database/migrations "$release/database/"
  cp -a resources/views "$release/resources/"
  ln -s "$data/storage" "$release/storage"
  ln -s "$data/env" "$release/.env"
  if is_root; then
    chown -R root:root "$release"
    chown -h "$account:$account" "$release/storage" "$release/.env"
    chown "$account:$account" "$release/bootstrap/cache"
  fi
  chmod -R u=rwX,go=rX "$release"
  chmod 700 "$release/bootstrap/cache"
  mkdir -p "$code/kept/build/assets"
  cp -an "$release/public/build/assets/." "$code/kept/build/assets/"
  chmod -R u=rwX,go=rX "$code/kept"
}

configuration() {
  place nginx/site.conf "$etc/site.conf"
  place nginx/headers.conf "$etc/headers.conf"
  place nginx/types.conf "$etc/types.conf"
  place nginx/fastcgi.conf "$etc/fastcgi.conf"
  # The package of a moment ago counts too.
  if [ -n "${value[MODULES]}" ] && ls /etc/nginx/modules-enabled/*brotli* >/dev/null 2>&1; then value[BROTLI]=$(cat deploy/nginx/brotli.conf); fi
  place nginx/compression.conf "$etc/compression.conf"
  place php/fpm.conf "$etc/fpm.conf"
  place php/harmozon.ini "$etc/php/harmozon.ini"
  if [ "$foreground" = yes ]; then
    place nginx/nginx.conf "$etc/nginx.conf"
  else
    local unit
    for unit in harmozon-site.service harmozon-worker.service harmozon-backup.service harmozon-backup.timer; do
      place "systemd/$unit" "/etc/systemd/system/$unit"
    done
    [ "$(readlink /etc/nginx/sites-enabled/harmozon.conf 2>/dev/null)" = "$etc/site.conf" ] || run ln -sf "$etc/site.conf" /etc/nginx/sites-enabled/harmozon.conf
    # Debian's greeting would answer on port 80 in our place.
    [ ! -e /etc/nginx/sites-enabled/default ] || run rm /etc/nginx/sites-enabled/default
  fi
}

artisan() { (cd "$release" && as_account env PHP_INI_SCAN_DIR=":$release/config/php" php artisan "$@"); }

# What the database needs first, since the old code works with it too; then the link, at once.
switch_over() {
  local lists=$code/current/bootstrap/cache/config.php before
  before=$(cat "$lists" 2>/dev/null || true)
  if [ ! -f "$release/.whole" ]; then
    local list
    for list in config route event view; do artisan "$list:cache" --quiet; done
    touch "$release/.whole"
  else
    artisan config:cache --quiet
  fi
  # Settings that were changed by hand are taken like a new release: nothing compiled is looked at again.
  [ "$(cat "$release/bootstrap/cache/config.php")" = "$before" ] || changed=yes
  local pending
  pending=$(artisan migrate:status --pending 2>/dev/null || true)
  if [[ $pending = *Pending* ]] && { [ -s "$data/database/harmozon.sqlite" ] || on_postgres; }; then
    artisan harmozon:backup --keep=14
  fi
  artisan migrate --force --quiet
  ln -sfn "$release" "$code/current.new"
  mv -T "$code/current.new" "$code/current"
  # The two before stay: whoever is being answered still reads from them, and one can go back.
  ls -1dt "$code"/releases/*/ | tail -n +4 | while read -r old; do [ "${old%/}" = "$release" ] || rm -rf "$old"; done
}

begin_services() {
  systemctl daemon-reload
  systemctl enable --quiet harmozon-site harmozon-worker harmozon-backup.timer nginx
  if systemctl is-active --quiet harmozon-site; then systemctl reload harmozon-site; else systemctl start harmozon-site; fi
  systemctl restart harmozon-worker
  systemctl start harmozon-backup.timer
  nginx -t -q || fail "nginx refuses its configuration, see above; what was served before goes on"
  systemctl reload-or-restart nginx
}

own_address() { if [ "$plain" = yes ]; then printf 'http://127.0.0.1:%s' "$port"; else printf 'https://127.0.0.1:%s' "$port"; fi; }

answers() {
  local i
  for ((i = 0; i < 100; i++)); do
    php -r '$c = stream_context_create(["http" => ["header" => "Host: $argv[2]", "ignore_errors" => true], "ssl" => ["verify_peer" => false, "verify_peer_name" => false]]);
      exit(str_contains((string) @file_get_contents("$argv[1]/sign-in", false, $c), "Harmozon") ? 0 : 1);' "$(own_address)" "${url#*://}" && return 0
    sleep 0.2
  done
  return 1
}
