#!/usr/bin/env bash
# That queue, cache and sessions may lie in Redis by configuration alone, on an instance of its own and against Debian's server.
# Prints "ok" or "FAIL" a line; exit status 1 when something failed.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/../.." || exit 1
export KP_VAR=$PWD/var/test-redis APP_PORT=${REDIS_APP_PORT:-8145} DB_PORT=${REDIS_DB_PORT:-3445}
export BASE_URL=http://127.0.0.1:$APP_PORT
. ops/common.sh
. ops/servers.sh
. tests/Ops/holds.sh
port=${REDIS_TEST_PORT:-3446} redis=

clean_up() { stop_all; [ -z "$redis" ] || kill "$redis" 2>/dev/null; rm -rf "$KP_VAR"; }
trap clean_up EXIT
clean_up
mkdir -p "$KP_VAR"
redis-server --bind 127.0.0.1 --port "$port" --save '' --appendonly no --dir "$KP_VAR" >"$KP_VAR/redis.log" 2>&1 & redis=$!
prepare_folders
printf 'QUEUE_CONNECTION=redis\nCACHE_STORE=redis\nSESSION_DRIVER=redis\nREDIS_HOST=127.0.0.1\nREDIS_PORT=%s\n' "$port" >> "$KP_VAR/.env"
holds "with queue, cache and sessions in Redis the application starts, and is well" ./start --background
holds "an artist signs in, plans a picture and marks it at the desk there" node tests/Ops/soak.mjs 0.2 1
rows() { ask 'select (select count(*) from sessions) + (select count(*) from jobs)'; }
holds "  with no session and no job in the database" [ "$(rows)" = 0 ]
holds "  but in Redis" bash -c '[ "$(redis-cli -p "$0" dbsize)" -gt 0 ] && redis-cli -p "$0" keys "*" | grep -q knotty' "$port"
[ "$failed" -eq 0 ]
