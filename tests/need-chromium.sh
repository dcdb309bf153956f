#!/usr/bin/env bash
# Installs Chromium for the browser tests where it is missing, or says what to do.
set -uo pipefail
command -v chromium >/dev/null && exit 0
echo "installing Chromium"
log="$(mktemp)"
trap 'rm -f "$log"' EXIT
{ apt-get update -qq && apt-get install -y -qq chromium; } >"$log" 2>&1 && exit 0
tail -5 "$log"
echo "The browser tests need Chromium at /usr/bin/chromium, and it could not be installed; the reason stands above. Install Debian's package chromium and try again."
exit 1
