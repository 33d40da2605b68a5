#!/usr/bin/env bash
# Many people and much work at once, on an instance of its own with ports of its own, which is gone afterwards. ./bench --load runs it;
# ./bench --load crowd (or fair) one part alone.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/../.."
export KP_VAR=$PWD/var/load APP_PORT=${LOAD_APP_PORT:-8144} DB_PORT=${LOAD_DB_PORT:-3444}
export BASE_URL=http://127.0.0.1:$APP_PORT
. ops/common.sh
. ops/servers.sh
trap 'stop_all; rm -rf "$KP_VAR"' EXIT
trap 'exit 130' INT TERM HUP
stop_all; rm -rf "$KP_VAR"
./start --background >/dev/null
for part in ${1:-crowd fair}; do node "benchmarks/Load/$part.mjs"; done
