# Shared by ./start, ./test and the other scripts: where things are, and how to speak.
# shellcheck shell=bash
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
# Everything that changes while the application runs lives here: database, photos, logs, secrets. Tests use a folder of their own.
KP_VAR=${KP_VAR:-$root/var/app}
export KP_VAR
export PHP_INI_SCAN_DIR=":$root/ops/php"

# What is made here can be read by the user that the servers run as; what is nobody else's business says so itself (600, 700).
umask 022

say() { printf '%s\n' "$*"; }
fail() { printf 'Stopped: %s\n' "$*" >&2; exit 1; }

# Runs something as the user that the servers run as: oneself, or www-data where one is root and www-data can reach the project.
app_user() {
  if [ "$(id -u)" -ne 0 ]; then id -un; return; fi
  if id www-data >/dev/null 2>&1 && setpriv --reuid=www-data --regid=www-data --clear-groups cat "$root/public/index.php" "$root/core/Colour/Lab.php" >/dev/null 2>/dev/null; then echo www-data; else echo root; fi
}
as_app() {
  if [ "$(id -un)" = "$(app_user)" ]; then "$@"; else setpriv --reuid="$(app_user)" --regid="$(app_user)" --clear-groups "$@"; fi
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
setting() { sed -n "s/^$1=//p" "$KP_VAR/.env" 2>/dev/null | tail -n 1; }
