#!/usr/bin/env bash
# What ./start promises, on an instance of its own: it can be repeated, it says what is in its way, it leaves nothing behind.
# Prints "ok" or "FAIL" a line; exit status 1 when something failed.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/../.." || exit 1
export KP_VAR=$PWD/var/test-ops APP_PORT=${OPS_APP_PORT:-8141} DB_PORT=${OPS_DB_PORT:-3441}
. ops/common.sh
. ops/servers.sh
failed=0

holds() { # SENTENCE COMMAND…
  local sentence=$1; shift
  if "$@"; then say "ok    $sentence"; else say "FAIL  $sentence"; failed=$((failed + 1)); fi
}
running() { pgrep -f "$KP_VAR/" >/dev/null; }
not_running() { ! running; }
healthy() { ./prism health --address "http://127.0.0.1:$APP_PORT" >/dev/null 2>&1; }
says() { printf '%s' "$output" | grep -qF -- "$1"; }
start() { output=$(./start --background 2>&1); status=$?; }
hold_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:".$argv[1]) ?: exit(1); sleep(60);' "$1" & holder=$!; sleep 1; }
release_port() { kill "$holder" 2>/dev/null; wait "$holder" 2>/dev/null; }

trap 'stop_all; rm -rf "$KP_VAR"' EXIT
stop_all; rm -rf "$KP_VAR"

output=$(./prism health --address "http://127.0.0.1:$APP_PORT" 2>&1); status=$?
holds "health says that nothing runs, and how to start it" [ "$status" -eq 1 ]
holds "  with the cure" says "start it with ./start"

hold_port "$APP_PORT"; start
holds "a busy port stops the start" [ "$status" -eq 1 ]
holds "  in a plain sentence with a cure" says "port $APP_PORT is taken by another program; stop that one, or choose another: APP_PORT="
holds "  and leaves nothing behind" not_running
release_port

hold_port "$DB_PORT"; start
holds "a busy database port too" says "port $DB_PORT, meant for the database, is taken by another program"
holds "  and leaves nothing behind" not_running
release_port

# What a set-up leaves that was cut off while the database was being made.
rm -rf "$KP_VAR/db"; mkdir -p "$KP_VAR/db/mysql"; touch "$KP_VAR/db/ibdata1"
start
holds "a half-made database is made anew" [ "$status" -eq 0 ]
holds "  and the application is well" healthy
holds "  on loopback only" bash -c '! ss -tln 2>/dev/null | grep -E ":('"$APP_PORT|$DB_PORT"') " | grep -qv 127.0.0.1'
holds "secrets are readable by their owner alone" [ "$(stat -c %a "$KP_VAR/.env")" = 600 ]

start
holds "a second start changes nothing" says "is already running at http://127.0.0.1:$APP_PORT"

pkill -KILL -f "$KP_VAR/run/nginx.conf"; sleep 1; start
holds "a start after a crash brings everything back" healthy

before=$(cat "$KP_VAR/.env"); ./start --stop >/dev/null
holds "stopping leaves no process" not_running
start
holds "a start after a stop keeps the secrets and the data" [ "$before" = "$(cat "$KP_VAR/.env")" ]
holds "  and is well again" healthy
./start --stop >/dev/null

timeout -k 60 -s INT 20 ./start >/dev/null 2>&1
holds "Ctrl-C leaves no process" not_running

output=$(./start --sideways 2>&1); status=$?
holds "a wrong option is explained" [ "$status" -eq 2 ]
[ "$failed" -eq 0 ]
