#!/usr/bin/env bash
# Every check of the project: formats, linters, builds, core, store, server and browser. It goes on after a failure, so
# that one run names them all, and ends with one line: N passed, N failed.
set -uo pipefail
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
export DOTNET_NOLOGO=1 DOTNET_CLI_TELEMETRY_OPTOUT=1
export HOME="${HOME:-$root/.lumpet/home}"
mkdir -p "$HOME"
passed=0
failed=0
log="$(mktemp -d)"
trap 'rm -rf "$log"' EXIT

say() { printf '\n== %s\n' "$*"; }

# Checks that need nothing of each other run side by side; what they said is shown when they have ended.
beside() {
  local name="$1"
  (
    passed=0
    failed=0
    "$name"
    echo "$passed $failed" >"$log/$name.counts"
  ) >"$log/$name.out" 2>&1 &
}

gather() {
  wait
  local name good bad
  for name in "$@"; do
    cat "$log/$name.out"
    read -r good bad <"$log/$name.counts" || { good=0; bad=1; echo "FAILED: $name broke off"; }
    passed=$((passed + good))
    failed=$((failed + bad))
  done
}

# A check that passes or fails as one.
check() {
  local name="$1"
  shift
  say "$name"
  if (cd "$root" && "$@"); then passed=$((passed + 1)); else failed=$((failed + 1)); echo "FAILED: $name"; fi
}

# Each test project is a program that runs its own tests and ends with their counts; it is started as such, since a runner
# around it may miss its last words.
count_dotnet() {
  say "$1"
  dotnet "$root/tests/$1/bin/Release/net10.0/$1.dll" -noColor -noLogo >"$log/$1" 2>&1
  local status=$? total errors bad skipped
  read -r total errors bad skipped < <(sed -nE 's/.*Total: ([0-9]+), Errors: ([0-9]+), Failed: ([0-9]+), Skipped: ([0-9]+).*/\1 \2 \3 \4/p' "$log/$1" | tail -1)
  bad=$((${bad:-0} + ${errors:-0}))
  # A run that broke off, or ran nothing, is a failure.
  if [ "$status" -ne 0 ] || [ "${total:-0}" -eq 0 ]; then
    tail -60 "$log/$1"
    [ "$bad" -gt 0 ] || bad=1
  fi
  local good=$((${total:-0} - bad - ${skipped:-0}))
  [ "$good" -ge 0 ] || good=0
  echo "$good passed, $bad failed$([ "${skipped:-0}" -eq 0 ] || echo ", $skipped skipped") in $1"
  passed=$((passed + good))
  failed=$((failed + bad))
}

count_browser() {
  say "browser"
  (cd "$root/tests/browser" && npx playwright test --reporter=json >"$log/browser.json" 2>"$log/browser.err")
  local counts
  counts="$(node -e '
    const report = JSON.parse(require("fs").readFileSync(process.argv[1], "utf8"))
    const walk = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(walk)]
    const specs = report.suites.flatMap(walk)
    for (const spec of specs.filter((one) => !one.ok)) {
      console.error(`  ${spec.file}: ${spec.title}`)
      for (const test of spec.tests) for (const result of test.results) console.error((result.errors ?? []).map((error) => error.message).join("\n"))
    }
    for (const error of report.errors ?? []) console.error(error.message)
    console.log(specs.filter((one) => one.ok).length, specs.filter((one) => !one.ok).length + (report.errors ?? []).length)
  ' "$log/browser.json")" || counts="0 1"
  [ "$counts" = "0 0" ] && counts="0 1"
  [ "${counts% *}" -gt 0 ] || tail -20 "$log/browser.err"
  echo "${counts% *} passed, ${counts#* } failed in the browser"
  passed=$((passed + ${counts% *}))
  failed=$((failed + ${counts#* }))
}

install() {
  local folder="$root/$1" mark="$root/$1/node_modules/.lumpet-lock"
  cmp -s "$folder/package-lock.json" "$mark" && return
  (cd "$folder" && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-audit --no-fund --loglevel=error) && cp "$folder/package-lock.json" "$mark"
}

# The contract and its types are made by the build; what is committed must be what comes out.
contract_is_current() {
  cp web/src/api/schema.d.ts "$log/schema.d.ts"
  (cd web && npm run --silent types >/dev/null) || return 1
  cmp "$log/schema.d.ts" web/src/api/schema.d.ts || { echo "web/src/api/schema.d.ts is not what the server's contract gives; run 'npm run types' in web/ and commit it."; return 1; }
  cmp "$log/openapi.json" web/openapi.json || { echo "web/openapi.json is not what the server gives; commit it as built."; return 1; }
}

check "packages of the front end" install web
check "packages of the browser tests" install tests/browser
check "Chromium" tests/need.sh chromium
check "GNU Units, an independent table of kitchen weights" tests/need.sh units
cp "$root/web/openapi.json" "$log/openapi.json"

web_checks() {
  check "web format" npm --prefix web run --silent format
  check "web lint" npm --prefix web run --silent lint
  check "browser tests' format and types" bash -c 'web/node_modules/.bin/prettier --check tests/browser --log-level warn && web/node_modules/.bin/tsc -p tests/browser'
  check "web types" npm --prefix web run --silent check
  check "web build" npm --prefix web run --silent build -- --logLevel warn
}

core_and_store() {
  count_dotnet Lumpet.Core.Tests
  count_dotnet Lumpet.Store.Tests
}

beside web_checks
check "locked restore" dotnet restore Lumpet.slnx --locked-mode --verbosity quiet
check "build, with warnings as errors" dotnet build Lumpet.slnx -c Release --no-restore --verbosity quiet
gather web_checks
beside core_and_store
# Style and analyzers are warnings of the build already, and warnings are errors there.
check "C# format" dotnet format whitespace Lumpet.slnx --no-restore --verify-no-changes --verbosity quiet
check "contract" contract_is_current
gather core_and_store
count_dotnet Lumpet.Server.Tests
count_browser

echo
echo "$passed passed, $failed failed"
[ "$failed" -eq 0 ]
