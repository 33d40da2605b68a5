# Starting and stopping the servers of one instance, each in a process group of its own, named by a file in $KP_VAR/run.
# shellcheck shell=bash

run() { # NAME COMMAND…: in the background, in its own process group
  local name=$1; shift
  setsid "$@" >>"$KP_VAR/log/$name.log" 2>&1 < /dev/null &
  note_process "$name" $!
}

# A number alone names nobody: after a reboot, or long enough, the system gives it to another program. Kept with it are the boot and
# the moment in which the process began, as the system counts it.
note_process() { # NAME PID
  local start boot
  began "$2" || start=gone
  read -r boot < /proc/sys/kernel/random/boot_id
  echo "$2 $start $boot" > "$KP_VAR/run/$1.pid"
}

# Sets `start` to when a process began, in clock ticks since the boot.
# No command substitution here and below: a Ctrl-C that comes while one is waited for is lost now and then, and this is asked every second.
began() { # PID
  local stat fields
  { read -r stat < "/proc/$1/stat"; } 2>/dev/null || return 1
  # After the name in brackets, which may hold anything, come state (3), parent (4) … and the start (22).
  read -ra fields <<< "${stat##*) }"
  start=${fields[19]}
  # One that was killed and that nobody has taken note of yet is dead all the same.
  [ "${fields[0]}" != Z ]
}

# Sets `pid` to the process that is noted, when it is of this boot; whether it still lives is another question.
noted() { # NAME
  local was boot then
  [ -f "$KP_VAR/run/$1.pid" ] && read -r pid was then < "$KP_VAR/run/$1.pid" || return 1
  read -r boot < /proc/sys/kernel/random/boot_id
  noted_start=$was
  [ -n "$pid" ] && [ "$then" = "$boot" ]
}

alive() { # NAME
  local pid start noted_start
  noted "$1" && began "$pid" && [ "$start" = "$noted_start" ]
}

# Whether the process group that was noted is still the one that we started: its leader lives and began when ours did, or it is gone
# and has left workers behind, whose group's number the system gives to nobody else while they live.
still_ours() { # NAME: sets `pid`
  local start noted_start
  noted "$1" || return 1
  if began "$pid"; then [ "$start" = "$noted_start" ]; else kill -0 -- "-$pid" 2>/dev/null && youngest_is_ours "$pid" "$noted_start"; fi
}

# A stranger's group may have had the number after ours was all gone: its members run other programs than ours do.
youngest_is_ours() { # GROUP START
  local stat fields name
  for stat in /proc/[0-9]*/stat; do
    { read -r stat < "$stat"; } 2>/dev/null || continue
    name=${stat#*(}; name=${name%)*}
    read -ra fields <<< "${stat##*) }"
    [ "${fields[2]}" = "$1" ] && [ "${fields[0]}" != Z ] || continue
    case "$name" in nginx|php*|mariadbd|bash|setpriv|sleep) [ "${fields[19]}" -ge "$2" ] || return 1 ;; *) return 1 ;; esac
  done
}

stop_one() { # NAME
  local file="$KP_VAR/run/$1.pid" pid
  [ -f "$file" ] || return 0
  # The whole group that we started, and nobody else's.
  if still_ours "$1"; then
    kill -TERM -- "-$pid" 2>/dev/null || true
    for _ in $(seq 1 100); do kill -0 -- "-$pid" 2>/dev/null || break; sleep 0.1; done
    kill -KILL -- "-$pid" 2>/dev/null || true
  fi
  rm -f "$file"
}

stop_all() {
  local name
  for name in worker nginx php database; do stop_one "$name"; done
  rm -f "$KP_VAR/run/address"
}

prepare_folders() {
  mkdir -p "$KP_VAR"/{run,log,tmp,db-run,db-tmp} "$KP_VAR"/storage/{app/private,framework/{cache/data,sessions,views},logs}
  if [ ! -f "$KP_VAR/.env" ]; then
    umask 077
    cat > "$KP_VAR/.env" <<ENV
APP_ENV=${APP_ENV:-production}
APP_DEMO=true
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
APP_PORT=${APP_PORT:-8040}
DB_PORT=${DB_PORT:-3340}
DB_DATABASE=knotty_prism
DB_USERNAME=knotty_prism
DB_PASSWORD=$(head -c 18 /dev/urandom | base64 | tr -d '/+=')
ENV
    umask 022
  fi
  # A port or a name given for this start is remembered.
  if [ -n "${APP_HOST+x}" ]; then
    [[ "$APP_HOST" =~ ^[a-z0-9.-]*$ ]] || fail "APP_HOST is a name like prism.example.org, in small letters; without a port"
    sed -i '/^APP_HOST=/d' "$KP_VAR/.env"; echo "APP_HOST=$APP_HOST" >> "$KP_VAR/.env"
  fi
  [ -n "${APP_PORT:-}" ] && sed -i "s/^APP_PORT=.*/APP_PORT=$APP_PORT/" "$KP_VAR/.env"
  [ -n "${DB_PORT:-}" ] && sed -i "s/^DB_PORT=.*/DB_PORT=$DB_PORT/" "$KP_VAR/.env"
  if [ "$(id -u)" -eq 0 ]; then chown -R "$(app_user)" "$KP_VAR/storage" "$KP_VAR/log" "$KP_VAR/run" "$KP_VAR/tmp" "$KP_VAR/.env"; fi
  return 0
}

# A database is made beside its place and moved there when it is whole: whatever lies in its place is somebody's work, and is opened or
# left alone, never removed.
prepare_database() { # FOLDER USER
  local data=$1 user=$2 making=$1.being-made
  if [ -z "$(ls -A "$data" 2>/dev/null)" ]; then
    rm -rf "$making"; mkdir -p "$making"
    [ "$(id -u)" -eq 0 ] && chown "$user" "$making"
    mariadb-install-db --no-defaults --user="$user" --datadir="$making" --auth-root-authentication-method=normal --skip-test-db >"$KP_VAR/log/database-install.log" 2>&1 \
      || fail "the database could not be made; see $KP_VAR/log/database-install.log (is the disk full?)"
    sync
    rmdir "$data" 2>/dev/null || true
    mv -T "$making" "$data" || fail "the new database could not be moved to $data"
  elif [ ! -s "$data/ibdata1" ] || [ ! -d "$data/mysql" ] || [ -z "$(ls -A "$data/mysql" 2>/dev/null)" ]; then
    fail "$data holds files but no whole database, and is left as it is. Put the rest of the copy there (with its folder \"mysql\" and its file \"ibdata1\"); or, for an empty new database, move the folder away and start again."
  fi
  # A copy that was put back may belong to whoever copied it.
  if [ "$(id -u)" -eq 0 ] && [ -n "$(find "$data" ! -user "$user" -print -quit)" ]; then chown -R "$user" "$data"; fi
}

start_database() {
  local port data=$KP_VAR/db socket=$KP_VAR/db-run/s.sock user
  port=$(setting DB_PORT)
  alive database && return
  port_is_free "$port" || fail "port $port, meant for the database, is taken by another program; stop that one, or choose another: DB_PORT=3399 ./start"
  user=$(id -un)
  if [ "$user" = root ] && setpriv --reuid=mysql --regid=mysql --clear-groups test -x "$KP_VAR" 2>/dev/null; then user=mysql; fi
  # Sockets have short paths: a deep folder gets one under /tmp.
  if [ ${#socket} -gt 100 ]; then socket=/tmp/kp-$(printf '%s' "$KP_VAR" | sha256sum | cut -c1-12)/s.sock; mkdir -p "$(dirname "$socket")"; fi
  chmod 700 "$(dirname "$socket")"
  [ "$(id -u)" -eq 0 ] && chown "$user" "$(dirname "$socket")"
  prepare_database "$data" "$user"
  [ "$(id -u)" -eq 0 ] && chown "$user" "$(dirname "$socket")" "$KP_VAR/db-tmp"
  run database mariadbd --no-defaults --user="$user" --datadir="$data" --tmpdir="$KP_VAR/db-tmp" --socket="$socket" --pid-file="$data/mariadbd.pid" \
    --bind-address=127.0.0.1 --port="$port" --skip-name-resolve --character-set-server=utf8mb4 --innodb-buffer-pool-size=128M
  for _ in $(seq 1 300); do
    mariadb-admin --no-defaults -uroot -S "$socket" ping >/dev/null 2>&1 && break
    alive database || fail "the database in $data did not open and is left where it is. $KP_VAR/log/database.log says why. Make room if the disk is full, or put a whole copy of the folder back."
    sleep 0.1
  done
  mariadb --no-defaults -uroot -S "$socket" <<SQL || fail "the database does not answer; see $KP_VAR/log/database.log"
CREATE DATABASE IF NOT EXISTS $(setting DB_DATABASE) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE DATABASE IF NOT EXISTS $(setting DB_DATABASE)_test CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS '$(setting DB_USERNAME)'@'127.0.0.1';
ALTER USER '$(setting DB_USERNAME)'@'127.0.0.1' IDENTIFIED BY '$(setting DB_PASSWORD)';
GRANT ALL ON \`$(setting DB_DATABASE)\`.* TO '$(setting DB_USERNAME)'@'127.0.0.1';
GRANT ALL ON \`$(setting DB_DATABASE)\\_test%\`.* TO '$(setting DB_USERNAME)'@'127.0.0.1';
DELETE FROM mysql.global_priv WHERE User = 'root' AND Host <> 'localhost';
FLUSH PRIVILEGES;
SQL
}


start_web() {
  local port address user; port=$(setting APP_PORT); user=$(app_user)
  alive nginx && alive php && return
  port_is_free "$port" || fail "port $port is taken by another program; stop that one, or choose another: APP_PORT=8041 ./start"
  sed -e "s|@ROOT@|$root|g; s|@VAR@|$KP_VAR|g; s|@USER@|$user|g" "$root/ops/php-fpm.conf.in" > "$KP_VAR/run/php-fpm.conf"
  sed -e "s|@ROOT@|$root|g; s|@VAR@|$KP_VAR|g; s|@PORT@|$port|g; s|@USER@|$user|g; s|@HOST@|$(setting APP_HOST)|g" "$root/ops/nginx.conf.in" > "$KP_VAR/run/nginx.conf"
  if [ "$(id -u)" -ne 0 ]; then sed -i '/^user /d' "$KP_VAR/run/nginx.conf"; sed -i '/^user = /d;/^group = /d;/^listen.owner/d' "$KP_VAR/run/php-fpm.conf"; fi
  local as_root=(); [ "$user" = root ] && as_root=(-R)
  run php php-fpm8.2 --nodaemonize "${as_root[@]}" --fpm-config "$KP_VAR/run/php-fpm.conf"
  run nginx nginx -c "$KP_VAR/run/nginx.conf" -e "$KP_VAR/log/nginx-error.log" -g 'daemon off;'
}

start_worker() {
  alive worker && return
  # A worker ends after an hour, so that no memory piles up; the loop brings the next. Its pulse is what health goes by, in a long job too.
  run worker bash -c '. "$0/ops/common.sh"; pulse=$KP_VAR/storage/framework/worker-pulse
    trap "kill \$worker 2>/dev/null; exit 0" TERM
    while :; do
      as_app php "$0/artisan" queue:work --sleep=0.1 --max-time=3600 --quiet & worker=$!
      while kill -0 $worker 2>/dev/null; do touch "$pulse"; sleep 2 & wait $!; done
      sleep 1
    done' "$root"
}

# No command substitution here: a Ctrl-C that comes while one is waited for is lost.
lacks_only_room() { # FILE with the answer of prism health
  local line room=
  while read -r line; do
    case "$line" in
      *'"diskSpace": false'*) room=no ;;
      *'"ok": false'* | *'"storage": false'*) ;;
      *': false'*) return 1 ;;
    esac
  done < "$1"
  [ "$room" = no ]
}

wait_until_healthy() {
  local address=$1 answer=$KP_VAR/run/health tries
  for ((tries = 0; tries < 150; tries++)); do
    "$root/prism" health --address "$address" >"$answer" 2>/dev/null && return
    # Without room one can still look, save and delete: it starts, and says so.
    if lacks_only_room "$answer"; then say "Mind: the disk with $KP_VAR is nearly full, and what is made may not be kept. Make room."; return; fi
    sleep 0.2
  done
  "$root/prism" health --address "$address" || true
  fail "the application started but is not well; the lines above say which part. Its logs are in $KP_VAR/log."
}
