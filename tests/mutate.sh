#!/usr/bin/env bash
# Seeds single-line faults in the core, one at a time, and tells how many its tests notice. Options: --faults N, --seed N,
# --only TEXT, --again; the figures go into docs/testing.md.
set -euo pipefail
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
export DOTNET_NOLOGO=1 DOTNET_CLI_TELEMETRY_OPTOUT=1
export HOME="${HOME:-$root/.lumpet/home}"
mkdir -p "$HOME"
cd "$root"
dotnet build tests/Lumpet.Core.Tests -c Release --verbosity quiet
dotnet build tests/mutate -c Release --verbosity quiet
exec dotnet tests/mutate/bin/Release/net10.0/lumpet-mutate.dll "$root" "$@"
