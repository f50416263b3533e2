#!/usr/bin/env bash
# Runs the checks and tests of a project that is set up:  build/test.sh [--quick]
#   --quick   what a change needs before a commit: all but the journeys in Chromium, the attacks, and the PHP tests of the group slow
# Checks run side by side, one a core. Each part says how long it took. What failed is printed where it fails and again at the end, before the last line,
# which counts.
set -uo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."

quick=no
[ "${1:-}" = --quick ] && quick=yes
cores=$(nproc)
work=.cache/test
rm -rf "$work"
mkdir -p "$work"

passed=0
failed=0
declare -a broken=() times=()

say() { printf '%s\n' "$*"; }

# --- checks: one verdict each, side by side ---------------------------------------------------------------------------

declare -a names=() commands=()
queue() { names+=("$1"); commands+=("$2"); }

run_queued() {
  local i
  for i in "${!names[@]}"; do
    printf '%s\0%s\0%s\0' "$i" "${commands[$i]}" "${names[$i]}"
  done | xargs -0 -n 3 -P "$cores" bash -c '
    SECONDS=0
    bash -o pipefail -c "$2" >"$0/$1.out" 2>&1 </dev/null
    status=$?
    echo "$status $SECONDS" >"$0/$1.check"
    if [ "$status" = 0 ]; then echo "── $3: ok, $SECONDS s"; else echo "── $3: FAILED, $SECONDS s"; cat "$0/$1.out"; fi
  ' "$work"
  for i in "${!names[@]}"; do
    local status=1 seconds=0
    read -r status seconds <"$work/$i.check" || true
    times+=("$seconds ${names[$i]}")
    if [ "$status" = 0 ]; then
      passed=$((passed + 1))
    else
      failed=$((failed + 1))
      broken+=("${names[$i]}")
      cp "$work/$i.out" "$work/${names[$i]//\//-}.mend"
    fi
  done
  names=()
  commands=()
}

# --- suites: many tests each, counted from the JUnit report they leave ------------------------------------------------

suite() {
  local name=$1 report=$2 began=$SECONDS ok=1 good bad
  shift 2
  say "── $name"
  rm -f "$report"
  "$@" || ok=0
  read -r good bad < <(php build/junit.php count "$report")
  passed=$((passed + good))
  failed=$((failed + bad))
  times+=("$((SECONDS - began)) $name: $((good + bad)) tests")
  if [ "$ok" = 0 ] || [ "$((good + bad))" = 0 ]; then
    broken+=("$name")
    php build/junit.php findings "$report" >"$work/${name//\//-}.mend"
    # A runner that broke down left no test to count.
    [ "$bad" != 0 ] || failed=$((failed + 1))
  fi
}

api_types='npx openapi-typescript docs/openapi.yaml -o .cache/schema.d.ts >/dev/null 2>&1 &&
  diff .cache/schema.d.ts resources/js/api/schema.d.ts || { echo "resources/js/api/schema.d.ts does not match docs/openapi.yaml: run npm run api"; exit 1; }'
# A third faster where it looks at all of them.
pint='php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=128M vendor/bin/pint --test'
phpstan='vendor/bin/phpstan analyse --no-progress --no-ansi --memory-limit=1G'

# The longest first.
queue "analysis of app, level 8" "$phpstan -c phpstan.neon"
queue "page types" "npm run -s types"
queue "analysis of core, level max, and its floors" "$phpstan -c phpstan.core.neon"
if [ "$quick" = yes ]; then
  queue "PHP style: what is not committed" "$pint --dirty"
else
  queue "PHP style: app and tests" "$pint app tests bootstrap/app.php bootstrap/compiled.php bootstrap/providers.php build config lang database routes compat public"
  queue "PHP style: core" "$pint core"
fi
queue "page style: ESLint" "npm run -s lint"
queue "page style: Prettier" "npm run -s format:check -- --log-level warn"
queue "API types match the OpenAPI document" "$api_types"
run_queued

slow=()
[ "$quick" = no ] || slow=(--exclude-group slow --exclude-group postgres)
suite "PHPUnit: core and app" .cache/phpunit.xml vendor/bin/paratest -p "$cores" --testsuite core,app --no-progress "${slow[@]}" --log-junit .cache/phpunit.xml
if [ "$quick" = no ]; then
  # Those that do not ask a database are not run again.
  suite "PHPUnit: app beside PostgreSQL" .cache/postgres.xml tests/postgres.sh vendor/bin/paratest -p "$cores" --testsuite app --no-progress --exclude-group sqlite --exclude-group once --log-junit .cache/postgres.xml
fi
# The attacks wait for servers more than they compute: they go on beside what follows.
attacked=.cache/test/attack.xml
attacks_end() {
  wait "$attacks"
  local status=$?
  cat "$work/attack.out"
  mv "$attacked" .cache/attack.xml
  return "$status"
}
if [ "$quick" = no ]; then
  vendor/bin/paratest -p "$cores" --testsuite attack --no-progress --log-junit "$attacked" >"$work/attack.out" 2>&1 &
  attacks=$!
fi
suite "Vitest: units of the page" .cache/vitest.xml env NO_COLOR=1 npx vitest run --reporter=dot --reporter=junit --outputFile.junit=.cache/vitest.xml
if [ "$quick" = no ]; then
  suite "Playwright: journeys in Chromium" .cache/playwright.xml env PLAYWRIGHT_JUNIT_OUTPUT_FILE=.cache/playwright.xml npx playwright test
  suite "PHPUnit: attacks, a short round" .cache/attack.xml attacks_end
fi

say ""
say "Seconds a part, $SECONDS in all:"
printf '%s\n' "${times[@]}" | awk '{ s = $1; $1 = ""; printf "  %4d %s\n", s, $0 }'
if [ ${#broken[@]} -gt 0 ]; then
  say ""
  say "To mend:"
  for name in "${broken[@]}"; do
    say "  $name"
    file="$work/${name//\//-}.mend"
    if [ -s "$file" ]; then
      head -n 60 "$file" | sed 's/^/    /'
      lines=$(wc -l <"$file")
      [ "$lines" -le 60 ] || say "    … and $((lines - 60)) more lines, above"
    else
      say "    it broke down before it could say what failed: see above"
    fi
  done
fi
say ""
say "$passed passed, $failed failed"
[ "$failed" = 0 ] && [ ${#broken[@]} = 0 ]
