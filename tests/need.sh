#!/usr/bin/env bash
# Installs a Debian package that the tests need where its command is missing, or says what to do: need.sh COMMAND [PACKAGE].
set -uo pipefail
command="$1"
package="${2:-$1}"
command -v "$command" >/dev/null && exit 0
echo "installing $package"
log="$(mktemp)"
trap 'rm -f "$log"' EXIT
{ apt-get update -qq && apt-get install -y -qq "$package"; } >"$log" 2>&1 && exit 0
tail -5 "$log"
echo "The tests need $command, and it could not be installed; the reason stands above. Install Debian's package $package and try again."
exit 1
