#!/usr/bin/env bash
# That nothing is lost (docs/safety.md), on an instance of its own: servers killed, two tabs, a full disk, names that lead here, nonsense.
# Prints "ok" or "FAIL" a line; exit status 1 when something failed. Minutes; with --long, ten times as much.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/../.." || exit 1
export KP_VAR=$PWD/var/test-safety APP_PORT=${SAFETY_APP_PORT:-8142} DB_PORT=${SAFETY_DB_PORT:-3442}
export BASE_URL=http://127.0.0.1:$APP_PORT
. ops/common.sh
. ops/servers.sh
. tests/Ops/holds.sh
if [ "${1:-}" = --long ]; then kills=100 rounds=60 requests=10000; else kills=4 rounds=12 requests=3000; fi

answers() { # STATUS CURL-ARGUMENTS…
  local status=$1; shift
  [ "$(curl -s -o /dev/null -w '%{http_code}' "$@")" = "$status" ]
}
clean_up() { stop_all; umount "$KP_VAR/storage/app" 2>/dev/null; rm -rf "$KP_VAR"; }

trap clean_up EXIT
clean_up
# A small disk for the photos, where this machine lets us make one.
mkdir -p "$KP_VAR/storage/app"
small=no; mount -t tmpfs -o size=90m tmpfs "$KP_VAR/storage/app" 2>/dev/null && small=yes
./start --background || { say "FAIL  the application starts"; exit 1; }

for host in evil.example 127.0.0.1.evil.example "10.0.0.1:$APP_PORT" '[fe80::1]'; do
  holds "a page whose name \"$host\" leads here is turned away" answers 421 -H "Host: $host" "$BASE_URL/api/me"
done
holds "the machine's own names are answered" answers 200 -H "Host: localhost:$APP_PORT" "$BASE_URL/health"
holds "a redirect names no host" bash -c '! curl -s -D- -o /dev/null -H "X-Forwarded-For: 203.0.113.9" "$BASE_URL/photo" | grep -i "^location: *http"'

holds "300 readers without a pause, and 1,000 half requests beside others" node tests/Ops/readers.mjs
holds "two tabs at the same moment" node tests/Ops/tabs.mjs "$rounds"
holds "$requests mutated requests" node tests/Ops/fuzz.mjs "$requests" "${SEED:-1}"
holds "servers that are killed" node tests/Ops/kill.mjs "$kills"

if [ $small = yes ]; then
  holds "a full disk" node tests/Ops/fulldisk.mjs
  ./start --stop >/dev/null; head -c 90000000 /dev/zero > "$KP_VAR/storage/app/filler" 2>/dev/null
  holds "the application starts on a full disk, and says so" bash -c './start --background 2>&1 | grep -q "is nearly full"'
else
  say "left out: a full disk, as no small one can be made here"
fi
[ "$failed" -eq 0 ]
