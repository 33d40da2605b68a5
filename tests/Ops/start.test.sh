#!/usr/bin/env bash
# What ./start promises, on an instance of its own: it can be repeated, it says what is in its way, it leaves nothing behind.
# Prints "ok" or "FAIL" a line; exit status 1 when something failed.
set -u
begun=()
cd "$(dirname "${BASH_SOURCE[0]}")/../.." || exit 1
export KP_VAR=$PWD/var/test-ops APP_PORT=${OPS_APP_PORT:-8141} DB_PORT=${OPS_DB_PORT:-3441}
. ops/common.sh
. ops/servers.sh
. tests/Ops/holds.sh

running() { pgrep -f "$KP_VAR/" >/dev/null; }
not_running() { ! running; }
healthy() { ./prism health --address "http://127.0.0.1:$APP_PORT" >/dev/null 2>&1; }
says() { printf '%s' "$output" | grep -qF -- "$1"; }
start() { output=$(./start --background 2>&1); status=$?; }
sql() { php -r '$p = new PDO("mysql:host=127.0.0.1;port=".$argv[1].";dbname=".$argv[2], $argv[3], $argv[4]); $r = $p->query($argv[5]); echo $r->columnCount() ? $r->fetchColumn() : "";' "$DB_PORT" "$(setting DB_DATABASE)" "$(setting DB_USERNAME)" "$(setting DB_PASSWORD)" "$1"; }
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

for wrong in APP_PORT=abc APP_PORT=80 DB_PORT=70000 APP_HOST=Capital.example WORKERS=0; do
  output=$(env "$wrong" timeout 20 ./start --background 2>&1); status=$?
  holds "$wrong is refused at once, in a sentence" [ "$status" -eq 1 ]
  holds "  and not remembered" bash -c '! grep -q "^${0%%=*}=${0#*=}$" "$KP_VAR/.env"' "$wrong"
done

# Whatever lies where the database belongs is somebody's work.
rm -rf "$KP_VAR/db"; mkdir -p "$KP_VAR/db/mysql"; echo precious > "$KP_VAR/db/ibdata1"; start
holds "a folder with something of a database in it stops the start" [ "$status" -eq 1 ]
holds "  in a plain sentence with a cure" says "holds files but no whole database, and is left as it is. Put the rest of the copy there"
holds "  and is left as it is" [ "$(cat "$KP_VAR/db/ibdata1" 2>/dev/null)" = precious ]
mkdir "$KP_VAR/db/mysql/x"; start
holds "one that can not be opened stops the start, too" [ "$status" -eq 1 ]
holds "  and is left where it is" [ "$(head -c 8 "$KP_VAR/db/ibdata1" 2>/dev/null)" = precious ]
holds "  with nothing left running" not_running
rm -rf "$KP_VAR/db"

# What a set-up leaves that was cut off while the database was being made.
mkdir -p "$KP_VAR/db.being-made/mysql"; touch "$KP_VAR/db.being-made/ibdata1"
start
holds "a set-up that was cut off begins again" [ "$status" -eq 0 ]
holds "  and the application is well" healthy
holds "  on loopback only" bash -c '! ss -tln 2>/dev/null | grep -E ":('"$APP_PORT|$DB_PORT"') " | grep -qv 127.0.0.1'
holds "secrets are readable by their owner alone" [ "$(stat -c %a "$KP_VAR/.env")" = 600 ]
holds "  where settings are put together, too" [ "$(stat -c %a "$KP_VAR/storage/framework/made")" = 700 ]

start
holds "a second start changes nothing" says "is already running at http://127.0.0.1:$APP_PORT"

part() { curl -s "http://127.0.0.1:$APP_PORT/health" | grep -q "\"$1\":$2"; }
soon() { local i; for i in $(seq "$1"); do part "$2" "$3" && return; sleep 1; done; return 1; }
answers() { curl -s -m 5 -o "$KP_VAR/answer" -w '%{http_code}' "$@"; }
page() { answers -H "Accept: text/html" "http://127.0.0.1:$APP_PORT/photo"; }
# Killed by its leader alone, whose children then hold its port, and with all of its group.
for server in database php nginx worker-1 worker-short worker-files; do
  for whom in "" "-"; do
    read -r pid _ < "$KP_VAR/run/$server.pid"; kill -KILL -- "$whom$pid"; sleep 0.3
    holds "$server is back within five seconds (killed: ${whom:+its group}${whom:-its first process})" bash -c '
      . ops/common.sh; . ops/servers.sh
      for _ in $(seq 45); do read -r now _ < "$KP_VAR/run/$0.pid"; [ "$now" != "$1" ] && alive "$0" && ./prism health --address "http://127.0.0.1:$APP_PORT" >/dev/null 2>&1 && exit 0; sleep 0.1; done; exit 1' "$server" "$pid"
  done
done

# Frozen is not dead: what says nothing is named all the same.
read -r pid _ < "$KP_VAR/run/database.pid"; kill -STOP "$pid"
holds "a frozen database is named" bash -c 'curl -s -m 30 "http://127.0.0.1:$APP_PORT/health" | grep -q "\"database\":false"'
kill -CONT "$pid"
read -r pid _ < "$KP_VAR/run/worker-1.pid"; kill -STOP "$pid"
holds "  and so is a worker that was stopped" soon 25 queueWorker false
kill -CONT "$pid"; soon 25 queueWorker true
# Where files arrive nothing can be kept.
curl -s -o /dev/null -c "$KP_VAR/jar" "http://127.0.0.1:$APP_PORT/"
mv "$KP_VAR/tmp/body" "$KP_VAR/tmp/body.away"; touch "$KP_VAR/tmp/body"
holds "a full folder for uploads is told in problem details" [ "$(answers -b "$KP_VAR/jar" -F "photo=@docs/screenshots/photo-desk.png" "http://127.0.0.1:$APP_PORT/api/studies")" = 507 ]
holds "  that can be read" grep -q '"title": "The disk is full"' "$KP_VAR/answer"
rm "$KP_VAR/tmp/body"; mv "$KP_VAR/tmp/body.away" "$KP_VAR/tmp/body"
rm -f bootstrap/cache/packages.php; ops/packages.sh all >/dev/null
holds "what the framework found in its packages is looked for again where it is missing" [ -s bootstrap/cache/packages.php ]

supervise stop php >/dev/null
holds "while the application does not answer a page of ours says so" [ "$(page)" = 503 ]
holds "  and goes on by itself" grep -q 'src="/away/page.js"' "$KP_VAR/answer"
holds "  to scripts in problem details" [ "$(answers "http://127.0.0.1:$APP_PORT/api/me")" = 503 ]
holds "  that can be read" grep -q '"title":"The application does not answer"' "$KP_VAR/answer"
supervise stop database >/dev/null; supervise start php >/dev/null
holds "without its database it is the same page" [ "$(page)" = 503 ]
holds "  the same" grep -q 'src="/away/page.js"' "$KP_VAR/answer"
holds "  and no log tells whose session it was" bash -c '! grep -rqE "sessions. where .id. = .?[A-Za-z0-9]{30}" "$KP_VAR/storage/logs"'
supervise start database >/dev/null
holds "logs are readable by their owner alone" [ -z "$(find "$KP_VAR/log" "$KP_VAR/storage/logs" -type f -name '*.log*' -perm /077)" ]

# A worker whose database went is being brought back in these seconds; only when nothing brings it back is the number in its file its last.
read -r pid _ < "$KP_VAR/run/supervisor.pid"; kill -KILL "$pid"; sleep 3
read -r pid _ < "$KP_VAR/run/worker-1.pid"; kill -KILL -- "-$pid"
holds "with nothing left that brings a worker back, health says so within ten seconds" soon 11 queueWorker false
holds "  naming nothing else" part database true
read -r pid _ < "$KP_VAR/run/database.pid"; kill -KILL -- "-$pid"; sleep 1
holds "without its database it says that, too" bash -c '[ "$(curl -s -o /dev/null -w "%{http_code}" "http://127.0.0.1:$APP_PORT/health")" = 503 ]'
holds "  by name" part database false
start
holds "a start after that brings everything back" healthy

read -r pid _ < "$KP_VAR/run/nginx.pid"; kill -KILL -- "-$pid"; start
holds "a start while one is coming back waits for it" says "is already running at"

before=$(cat "$KP_VAR/.env"); ./start --stop >/dev/null
holds "stopping leaves no process" not_running
for n in 1 2 3 4; do (./start --background > "$KP_VAR/log/start-$n.txt" 2>&1) & begun[n]=$!; done; wait "${begun[@]}"
holds "four starts at once are one" bash -c 'grep -l "is already running" "$KP_VAR"/log/start-?.txt | wc -l | grep -qx 3'
holds "  that is well" healthy
(./start --stop >/dev/null) & begun[5]=$!; ./start --stop >/dev/null; wait "${begun[5]}"
holds "  and two stops at once leave no process of it" not_running
# A start that was cut off before it could note what it had begun.
start; rm -f "$KP_VAR"/run/{supervisor,nginx,php,database}.pid; ./start --stop >/dev/null 2>&1
holds "what was begun and never noted is stopped all the same" not_running
start
holds "a start after a stop keeps the secrets and the data" [ "$before" = "$(cat "$KP_VAR/.env")" ]
holds "  and is well again" healthy
./start --stop >/dev/null

# A copy put back by hand, without the files whose names begin with a dot, as "cp -a db/*" makes it.
start; sql "insert into users (name, email, password) values ('kept', 'kept@example.org', 'x')"; ./start --stop >/dev/null
mkdir "$KP_VAR/copy"; cp -a "$KP_VAR"/db/* "$KP_VAR/copy/"; rm -rf "$KP_VAR/db"; mv "$KP_VAR/copy" "$KP_VAR/db"
[ "$(id -u)" -eq 0 ] && chown -R root "$KP_VAR/db"
start
holds "a database that was put back by hand is opened" [ "$(sql "select count(*) from users where name = 'kept'")" = 1 ]
./start --stop >/dev/null

# After a reboot, or long enough, the number of a process is another's.
setsid sleep 300 & stranger=$!
read -r boot < /proc/sys/kernel/random/boot_id
for note in "$stranger" "$stranger 1 $boot" "$stranger $(awk '{print $22}' "/proc/$stranger/stat") another-boot"; do
  echo "$note" > "$KP_VAR/run/worker-1.pid"; ./start --stop >/dev/null
  holds "a stranger that has the number of an old process is let alone (${note#"$stranger"})" kill -0 "$stranger"
done
kill "$stranger" 2>/dev/null; wait "$stranger" 2>/dev/null

timeout -k 60 -s INT 20 ./start >/dev/null 2>&1
holds "Ctrl-C leaves no process" not_running

# Signals that follow each other closely, as an impatient hand and a terminal send them.
./start >"$KP_VAR/log/twice.log" 2>&1 & twice=$!
for _ in $(seq 200); do grep -q 'Ctrl-C stops it' "$KP_VAR/log/twice.log" && break; sleep 0.2; done
for pause in 0.05 0.3; do kill -TERM "$twice" 2>/dev/null; sleep "$pause"; done
kill -TERM "$twice" 2>/dev/null; wait "$twice" 2>/dev/null
holds "nor does asking again while it stops" not_running

# A copy made by a careful hand, in a folder with a space in its name.
aside=$(mktemp -d)/"a folder"; mkdir "$aside"
(umask 077; git ls-files -z | xargs -0 cp --parents -t "$aside"; cp -al vendor node_modules "$aside/"; mkdir -p "$aside/public/build"; cp -a public/build/. "$aside/public/build/")
output=$(cd "$aside" && umask 077 && env -u KP_VAR APP_PORT="$APP_PORT" DB_PORT="$DB_PORT" ./start --background 2>&1); status=$?
holds "a copy in a folder with a space, made with umask 077, starts" [ "$status" -eq 0 ]
holds "  and is well" healthy
[ "$(id -u)" -ne 0 ] || holds "  and where its servers run as root it says so" says "the servers run as root, as www-data can't read $aside"
(cd "$aside" && env -u KP_VAR ./start --stop >/dev/null); rm -rf "$(dirname "$aside")"

output=$(./start --sideways 2>&1); status=$?
holds "a wrong option is explained" [ "$status" -eq 2 ]
[ "$failed" -eq 0 ]
