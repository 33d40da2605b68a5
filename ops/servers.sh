# Starting and stopping the servers of one instance. Debian's supervisor keeps them going (ops/supervisor.conf.in); each is in a process
# group of its own, named by a file in $KP_VAR/run, so that they can be stopped without it too.
# shellcheck shell=bash

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
    case "$name" in nginx|php*|mariadbd|supervisord|bash|setpriv|sleep|touch|serve.sh) [ "${fields[19]}" -ge "$2" ] || return 1 ;; *) return 1 ;; esac
  done
}

stop_one() { # NAME [SECONDS until it is killed]
  local file="$KP_VAR/run/$1.pid" pid
  [ -f "$file" ] || return 0
  # The whole group that we started, and nobody else's.
  if still_ours "$1"; then
    kill -TERM -- "-$pid" 2>/dev/null || true
    for _ in $(seq 1 $((${2:-10} * 10))); do kill -0 -- "-$pid" 2>/dev/null || break; sleep 0.1; done
    kill -KILL -- "-$pid" 2>/dev/null || true
  fi
  rm -f "$file"
}

# The supervisor stops its servers, the web server first and the database last; what one that was killed left behind is stopped after it.
stop_all() {
  local note
  stop_one supervisor 90
  for note in "$KP_VAR"/run/worker*.pid; do note=${note##*/}; stop_one "${note%.pid}"; done
  for note in nginx php database; do stop_one "$note"; done
  rm -f "$KP_VAR/run/address"
}

# One start or stop of an instance at a time: two at once would each take the other's servers for those of an earlier one.
one_at_a_time() {
  local waits=0
  mkdir -p "$KP_VAR/run" || fail "the folder $KP_VAR can not be made; is its place writable?"
  exec {lock}>"$KP_VAR/run/start.lock" || fail "$KP_VAR/run can not be written to; run this as the user that started the application before"
  until flock -n "$lock"; do
    [ $waits -gt 0 ] || say "Another start or stop of this instance is under way; waiting for it."
    waits=$((waits + 1)); [ $waits -lt 600 ] || fail "another start or stop of this instance has been under way for ten minutes; look what it waits for: fuser -v $KP_VAR/run/start.lock"
    sleep 1 & wait $!
  done
}

# Servers that are begun here must not hold the lock on.
let_go() { [ -z "${lock:-}" ] || exec {lock}>&-; lock=; }

# Says what of this instance goes on in spite of all, and that it is not stopped then. Servers are known by the folder that they were given.
stopped_for_good() {
  local left
  left=$(ours_left)
  [ -z "$left" ] && return
  # Begun by a start that was cut off before it could note them.
  while read -r pid _; do kill -TERM "$pid" 2>/dev/null || true; done <<< "$left"
  for _ in $(seq 1 150); do left=$(ours_left); [ -n "$left" ] || return 0; sleep 0.1; done
  fail "these go on and could not be ended; end them by hand (kill NUMBER), then try again:
$left"
}

# A line each: number and command line of what serves this instance, its supervisor first.
ours_left() {
  local of pid line
  for of in "supervisord -c $KP_VAR/run/supervisor.conf" "nginx -c $KP_VAR/run/nginx.conf" "--fpm-config $KP_VAR/run/php-fpm.conf" "--datadir=$KP_VAR/db "; do
    for pid in /proc/[0-9]*; do
      pid=${pid#/proc/}
      line=$(tr '\0' ' ' 2>/dev/null < "/proc/$pid/cmdline") || continue
      case "$line" in *"$of"*) [ "$pid" = $$ ] || printf '%s %s\n' "$pid" "$line" ;; esac
    done
  done
}

# What was given for this start is looked at before anything is done or remembered.
check_settings() {
  local name
  for name in APP_PORT DB_PORT; do
    [ -z "${!name:-}" ] || { [[ "${!name}" =~ ^[1-9][0-9]{0,4}$ ]] && [ "${!name}" -ge 1024 ] && [ "${!name}" -le 65535 ]; } || fail "$name is a number from 1024 to 65535; \"${!name}\" is none"
  done
  [ -z "${APP_HOST:-}" ] || [[ "$APP_HOST" =~ ^[a-z0-9.-]*$ ]] || fail "APP_HOST is a name like prism.example.org, in small letters; without a port"
  [ -z "${WORKERS:-}" ] || [[ "$WORKERS" =~ ^([1-9]|[1-5][0-9])$ ]] || fail "WORKERS is how many plans are worked on at once, 1 to 59"
  case "$KP_VAR$root" in *[$'\n\t"\'\\$;{}#%|&']*) fail "the folder $root has a sign in its name that servers' settings can not hold; move it to one without quotation marks, semicolons, braces, %, #, |, & or \$" ;; esac
  if ! is_kept_going; then
    name=${APP_PORT:-$(setting APP_PORT || true)}; name=${name:-8040}
    alive nginx || port_is_free "$name" || fail "port $name is taken by another program; stop that one, or choose another: APP_PORT=8041 ./start"
  fi
}

# Whether an earlier start came to its end and what it started runs: one of the servers may be coming back in this moment.
is_kept_going() {
  local name tries
  [ -f "$KP_VAR/run/address" ] || return 1
  for ((tries = 0; tries < 100; tries++)); do
    alive supervisor || return 1
    for name in nginx php worker-1 database; do alive "$name" || { sleep 0.1; continue 2; }; done
    return 0
  done
  return 1
}

# Sockets have short paths: a deep folder gets one under /tmp.
sockets() {
  local folder=$KP_VAR/db-run
  [ ${#folder} -le 90 ] || folder=/tmp/kp-$(printf '%s' "$KP_VAR" | sha256sum | cut -c1-12)
  echo "$folder"
}

database_user() {
  if [ "$(id -un)" = root ] && setpriv --reuid=mysql --regid=mysql --clear-groups test -x "$KP_VAR" 2>/dev/null; then echo mysql; else id -un; fi
}

fill_in() { # TEMPLATE: with the places, ports and users of this instance
  local user proxies; user=$(app_user)
  proxies=$(setting TRUSTED_PROXIES | tr ',' '\n' | sed -n 's/^ *\([0-9a-fA-F:.\/]\{2,\}\) *$/set_real_ip_from \1;/p' | tr '\n' ' ')
  [ -z "$proxies" ] || proxies="$proxies real_ip_header X-Forwarded-For; real_ip_recursive on;"
  sed -e "s|@ROOT@|$root|g; s|@VAR@|$KP_VAR|g; s|@SOCKETS@|$(sockets)|g; s|@USER@|$user|g; s|@DATABASE_USER@|$(database_user)|g" \
    -e "s|@PORT@|$(setting APP_PORT)|g; s|@DB_PORT@|$(setting DB_PORT)|g; s|@HOST@|$(setting APP_HOST)|g; s|@WORKERS@|$(setting WORKERS)|g" \
    -e "s|@TRUSTED_PROXIES@|$proxies|" \
    -e "s|@AS_ROOT@|$([ "$user" != root ] || echo -R)|; s|@ROOT_ONLY@|$([ "$(id -u)" -eq 0 ] || echo ';')|" "$root/ops/$1"
}

supervise() { # ACTION NAME…
  supervisorctl -c "$KP_VAR/run/supervisor.conf" "$@"
}

start_supervisor() {
  alive supervisor && return
  mkdir -p "$(sockets)"; chmod 700 "$(sockets)"
  if [ "$(id -u)" -eq 0 ]; then chown "$(database_user)" "$(sockets)"; fi
  fill_in supervisor.conf.in > "$KP_VAR/run/supervisor.conf"
  # Logs are of their owner alone.
  chmod 700 "$KP_VAR/log"; find "$KP_VAR/log" -type f -exec chmod 600 {} +
  (umask 077; let_go; exec setsid supervisord -c "$KP_VAR/run/supervisor.conf" >>"$KP_VAR/log/supervisor-start.log" 2>&1 < /dev/null) &
  note_process supervisor $!
  for _ in $(seq 1 100); do
    supervise pid >/dev/null 2>&1 && return
    alive supervisor || break
    sleep 0.1
  done
  fail "the supervisor of the servers did not start; see $KP_VAR/log/supervisor.log"
}

prepare_folders() {
  if [ "$(id -un)" = root ] && [ "$(app_user)" = root ]; then
    say "Mind: the servers run as root, as www-data can't read $root (a folder that is its owner's alone, or a copy made with umask 077). To change that: chmod a+rX that folder and all above and below it, then start again."
  fi
  mkdir -p "$KP_VAR"/{run,log,tmp,db-run,db-tmp} "$KP_VAR"/storage/{app/private,framework/{cache/data,sessions,views},logs}
  if [ ! -f "$KP_VAR/.env" ]; then
    umask 077
    cat > "$KP_VAR/.env" <<ENV
APP_ENV=${APP_ENV:-production}
APP_DEMO=true
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
APP_PORT=${APP_PORT:-8040}
DB_PORT=${DB_PORT:-3340}
WORKERS=1
DB_DATABASE=knotty_prism
DB_USERNAME=knotty_prism
DB_PASSWORD=$(head -c 18 /dev/urandom | base64 | tr -d '/+=')
ENV
    umask 022
  fi
  # A port or a name given for this start is remembered.
  if [ -n "${APP_HOST+x}" ]; then
    sed -i '/^APP_HOST=/d' "$KP_VAR/.env"; echo "APP_HOST=$APP_HOST" >> "$KP_VAR/.env"
  fi
  [ -n "${APP_PORT:-}" ] && sed -i "s/^APP_PORT=.*/APP_PORT=$APP_PORT/" "$KP_VAR/.env"
  [ -n "${DB_PORT:-}" ] && sed -i "s/^DB_PORT=.*/DB_PORT=$DB_PORT/" "$KP_VAR/.env"
  [ -z "${APP_ENV:-}" ] || sed -i "s/^APP_ENV=.*/APP_ENV=$APP_ENV/" "$KP_VAR/.env"
  grep -q '^WORKERS=' "$KP_VAR/.env" || echo "WORKERS=1" >> "$KP_VAR/.env"
  if [ -n "${WORKERS:-}" ]; then
    sed -i "s/^WORKERS=.*/WORKERS=$WORKERS/" "$KP_VAR/.env"
  fi
  if [ "$(id -u)" -eq 0 ]; then chown -R "$(app_user)" "$KP_VAR/storage" "$KP_VAR/log" "$KP_VAR/run" "$KP_VAR/tmp" "$KP_VAR/.env"; fi
  return 0
}

# A database is made beside its place and moved there when it is whole: whatever lies in its place is somebody's work, and is opened or
# left alone, never removed.
prepare_database() { # FOLDER USER
  local data=$1 user=$2 making=$1.being-made by made=no
  if [ -z "$(ls -A "$data" 2>/dev/null)" ]; then
    rm -rf "$making"; mkdir -p "$making"
    [ "$(id -u)" -eq 0 ] && chown "$user" "$making"
    # It does not put quotation marks around a path: a folder with a space in its name goes by another.
    mkdir -p "$KP_VAR/tmp"; by=$(mktemp -d /tmp/kp-XXXXXX); ln -s "$making" "$by/db"; chmod 755 "$by"
    mariadb-install-db --no-defaults --user="$user" --datadir="$by/db" --auth-root-authentication-method=normal --skip-test-db >"$KP_VAR/log/database-install.log" 2>&1 && made=yes
    rm -rf "$by"
    [ "$made" = yes ] || fail "the database could not be made; see $KP_VAR/log/database-install.log (is the disk full?)"
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
  local port data=$KP_VAR/db socket user
  port=$(setting DB_PORT); socket=$(sockets)/s.sock; user=$(database_user)
  alive database && return
  port_is_free "$port" || fail "port $port, meant for the database, is taken by another program; stop that one, or choose another: DB_PORT=3399 ./start"
  prepare_database "$data" "$user"
  [ "$(id -u)" -eq 0 ] && chown "$user" "$KP_VAR/db-tmp"
  start_supervisor
  supervise start database >/dev/null 2>&1 || true
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

# Settings and routes are put together once a start, for this instance, and read by its servers alone (ops/php-fpm.conf.in): secrets are
# among them.
make_quick() {
  local made=$KP_VAR/storage/framework/made what
  rm -rf "$made"; as_app mkdir -m 700 "$made" 2>/dev/null || return 0
  for what in config route event; do
    as_app env APP_CONFIG_CACHE="$made/config.php" APP_ROUTES_CACHE="$made/routes.php" APP_EVENTS_CACHE="$made/events.php" php "$root/artisan" "$what:cache" --quiet || rm -rf "$made"
  done
}

pool() { # NAME CHILDREN SECONDS
  fill_in php-fpm.pool.in | sed "s|@POOL@|$1|g; s|@CHILDREN@|$2|; s|@SPARE@|$(($2 > 3 ? 3 : $2))|; s|@SECONDS@|$3|"
  echo
}

start_web() {
  local port; port=$(setting APP_PORT)
  alive nginx && alive php && return
  port_is_free "$port" || fail "port $port is taken by another program; stop that one, or choose another: APP_PORT=8041 ./start"
  { sed '/@POOLS@/d' "$root/ops/php-fpm.conf.in"; pool quick 6 120; pool slow 16 120; pool health 1 15; } > "$KP_VAR/run/php-fpm.conf"
  fill_in nginx-php.conf.in > "$KP_VAR/run/nginx-php.conf"
  fill_in nginx.conf.in > "$KP_VAR/run/nginx.conf"
  if [ "$(id -u)" -ne 0 ]; then sed -i '/^user /d' "$KP_VAR/run/nginx.conf"; sed -i '/^user = /d;/^group = /d;/^listen.owner/d' "$KP_VAR/run/php-fpm.conf"; fi
  rm -rf "$KP_VAR/storage/framework/worker-pulse"; mkdir -p "$KP_VAR/storage/framework/worker-pulse" || true
  supervise start php nginx 'worker:*' worker-short worker-files >/dev/null 2>&1 || true
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
