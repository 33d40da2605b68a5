# Starting and stopping the servers of one instance, each in a process group of its own, named by a file in $KP_VAR/run.
# shellcheck shell=bash

run() { # NAME COMMAND…: in the background, in its own process group
  local name=$1; shift
  setsid "$@" >>"$KP_VAR/log/$name.log" 2>&1 < /dev/null &
  echo $! > "$KP_VAR/run/$name.pid"
}

alive() { # NAME
  # No command substitution: a Ctrl-C that comes while one is waited for is lost now and then, and this is asked every second.
  local pid
  [ -f "$KP_VAR/run/$1.pid" ] && read -r pid < "$KP_VAR/run/$1.pid" && kill -0 "$pid" 2>/dev/null
}

stop_one() { # NAME
  local file="$KP_VAR/run/$1.pid" pid
  [ -f "$file" ] || return 0
  pid=$(cat "$file")
  # The whole group that we started, even when its leader has crashed and left workers behind: while one of them lives, the
  # system gives the group's number to nobody else.
  if kill -0 -- "-$pid" 2>/dev/null; then
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
  # A port given for this start is remembered.
  [ -n "${APP_PORT:-}" ] && sed -i "s/^APP_PORT=.*/APP_PORT=$APP_PORT/" "$KP_VAR/.env"
  [ -n "${DB_PORT:-}" ] && sed -i "s/^DB_PORT=.*/DB_PORT=$DB_PORT/" "$KP_VAR/.env"
  if [ "$(id -u)" -eq 0 ]; then chown -R "$(app_user)" "$KP_VAR/storage" "$KP_VAR/log" "$KP_VAR/run" "$KP_VAR/tmp" "$KP_VAR/.env"; fi
  return 0
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
  # A folder without the mark was left half made by a set-up that was cut off: nothing of anyone's is in it yet.
  if [ ! -f "$data/.complete" ]; then
    rm -rf "$data"; mkdir -p "$data"
    [ "$(id -u)" -eq 0 ] && chown "$user" "$data" "$(dirname "$socket")"
    mariadb-install-db --no-defaults --user="$user" --datadir="$data" --auth-root-authentication-method=normal --skip-test-db >"$KP_VAR/log/database-install.log" 2>&1 \
      || fail "the database could not be made; see $KP_VAR/log/database-install.log (is the disk full?)"
  fi
  [ "$(id -u)" -eq 0 ] && chown "$user" "$(dirname "$socket")" "$KP_VAR/db-tmp"
  run database mariadbd --no-defaults --user="$user" --datadir="$data" --tmpdir="$KP_VAR/db-tmp" --socket="$socket" --pid-file="$data/mariadbd.pid" \
    --bind-address=127.0.0.1 --port="$port" --skip-name-resolve --character-set-server=utf8mb4 --innodb-buffer-pool-size=128M
  for _ in $(seq 1 300); do
    mariadb-admin --no-defaults -uroot -S "$socket" ping >/dev/null 2>&1 && break
    alive database || fail "the database stopped while starting; see $KP_VAR/log/database.log. If it is damaged and you can do without its content, remove $data and start again."
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
  touch "$data/.complete"
}

start_web() {
  local port address user; port=$(setting APP_PORT); user=$(app_user)
  alive nginx && alive php && return
  port_is_free "$port" || fail "port $port is taken by another program; stop that one, or choose another: APP_PORT=8041 ./start"
  sed -e "s|@ROOT@|$root|g; s|@VAR@|$KP_VAR|g; s|@USER@|$user|g" "$root/ops/php-fpm.conf.in" > "$KP_VAR/run/php-fpm.conf"
  sed -e "s|@ROOT@|$root|g; s|@VAR@|$KP_VAR|g; s|@PORT@|$port|g; s|@USER@|$user|g" "$root/ops/nginx.conf.in" > "$KP_VAR/run/nginx.conf"
  if [ "$(id -u)" -ne 0 ]; then sed -i '/^user /d' "$KP_VAR/run/nginx.conf"; sed -i '/^user = /d;/^group = /d;/^listen.owner/d' "$KP_VAR/run/php-fpm.conf"; fi
  local as_root=(); [ "$user" = root ] && as_root=(-R)
  run php php-fpm8.2 --nodaemonize "${as_root[@]}" --fpm-config "$KP_VAR/run/php-fpm.conf"
  run nginx nginx -c "$KP_VAR/run/nginx.conf" -e "$KP_VAR/log/nginx-error.log" -g 'daemon off;'
}

start_worker() {
  alive worker && return
  # A worker ends after an hour, so that no memory piles up; the loop brings the next.
  run worker bash -c '. "$0/ops/common.sh"; trap "kill %1 2>/dev/null; exit 0" TERM; while :; do as_app php "$0/artisan" queue:work --sleep=1 --max-time=3600 --quiet & wait $!; sleep 1; done' "$root"
}

wait_until_healthy() {
  local address=$1
  for _ in $(seq 1 150); do
    "$root/prism" health --address "$address" >/dev/null 2>&1 && return
    sleep 0.2
  done
  "$root/prism" health --address "$address" || true
  fail "the application started but is not well; the lines above say which part. Its logs are in $KP_VAR/log."
}
