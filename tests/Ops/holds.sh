# Shared by the tests beside it: one line for each promise, "ok" or "FAIL", and how many failed.
# shellcheck shell=bash
failed=0

holds() { # SENTENCE COMMAND…
  local sentence=$1; shift
  if "$@"; then say "ok    $sentence"; else say "FAIL  $sentence"; failed=$((failed + 1)); fi
}

# Of the instance's own database, which ops/common.sh and ops/servers.sh know.
ask() { # SQL
  MYSQL_PWD=$(setting DB_PASSWORD) mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -u"$(setting DB_USERNAME)" "$(setting DB_DATABASE)" -N -B -e "$1"
}
