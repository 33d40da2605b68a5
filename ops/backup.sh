#!/usr/bin/env bash
# Saves all of an instance as one file while it runs, and brings such a file back.
#   ./prism backup FILE           database, photos and version, with checksums; --without-missing saves the rest where a photo is lost
#   ./prism restore FILE [--yes]  into this instance while it is stopped; over something that is there only with --yes
# KP_VAR names another instance than var/app.
set -euo pipefail
. "$(dirname "${BASH_SOURCE[0]}")/common.sh"
. "$root/ops/servers.sh"

usage() { say "Usage: ./prism backup FILE [--without-missing], or ./prism restore FILE [--yes]" >&2; exit 2; }
[ $# -ge 2 ] && [ $# -le 3 ] || usage
what=$1 file=$(realpath -m -- "$2")
work=; started=no
clean_up() { [ -z "$work" ] || rm -rf "$work"; [ "$started" = no ] || stop_all; }
trap clean_up EXIT
trap 'exit 130' INT TERM HUP

# The application's own account: it owns its database, and nothing else.
sql() { MYSQL_PWD=$(setting DB_PASSWORD) "$1" --no-defaults -h127.0.0.1 -P"$(setting DB_PORT)" -u"$(setting DB_USERNAME)" "${@:2}"; }
database() { setting DB_DATABASE; }
ask() { sql mariadb -N -B "$(database)" -e "$1" 2>/dev/null || true; }
count() { local n; n=$(ask "select count(*) from $1"); echo "${n:-0}"; }
photos=storage/app/private

backup() { # [--without-missing]
  [ -z "${1:-}" ] || [ "$1" = --without-missing ] || usage
  alive database || fail "the application does not run; start it first: ./start --background"
  [ ! -e "$file" ] || fail "$file is there already, and is left as it is; choose another name"
  [ -d "$(dirname "$file")" ] && [ -w "$(dirname "$file")" ] || fail "there is no folder $(dirname "$file") that can be written to"
  # On the photos' own disk, so that a picture of all files at one moment is links and takes no room.
  mkdir -p "$KP_VAR/tmp"; forget_killed; work=$(mktemp -d "$KP_VAR/tmp/backup.XXXXXX"); echo $$ > "$work/by"; mkdir "$work/all"
  # Files are never written to again once they are there: those of before the dump and those that came with it are all that it speaks of,
  # even where a study is deleted meanwhile.
  take_files -al
  fetch_photos
  local skip=() table
  for table in cache cache_locks sessions jobs; do skip+=("--ignore-table-data=$(database).$table"); done
  sql mariadb-dump --single-transaction --quick --no-tablespaces --hex-blob "${skip[@]}" "$(database)" > "$work/all/database.sql" || fail "the database could not be read; see $KP_VAR/log/database.log"
  tail -n 1 "$work/all/database.sql" | grep -q 'Dump completed' || fail "the database was not read to its end; is the disk full?"
  local key keys lost=; keys=$(ask 'select storage_key from photos')
  take_files -aln
  fetch_photos
  # Copying goes on over what vanishes in that moment; what is missing in the end is told here.
  for key in $keys; do [ -s "$work/all/private/$key/original" ] || lost="$lost $key"; done
  if [ -n "$lost" ]; then name_lost "$1" $lost; fi
  printf '{"format": "knotty-prism-backup", "version": 1, "made": "%s", "migration": "%s", "missing": [%s]}\n' "$(date -u +%FT%TZ)" "$(ask 'select max(migration) from migrations')" "$(for key in $lost; do printf '"%s" ' "$key"; done | sed 's/ $//; s/ /, /g')" > "$work/all/manifest.json"
  (cd "$work/all" && find . -type f ! -name SHA256SUMS -print0 | sort -z | xargs -0 sha256sum > "$work/sums" && mv "$work/sums" SHA256SUMS)
  (umask 077; tar -C "$work/all" -czf "$file.being-made" .) || { rm -f "$file.being-made"; fail "the file could not be written; is there room for it?"; }
  sync -f "$file.being-made" 2>/dev/null || sync
  mv -T "$file.being-made" "$file"
  [ -z "$lost" ] || say "Left out: $(wc -w <<< "$lost") photos that are missing."
  say "Saved: $(count users) accounts, $(count studies) studies, $(count photos) photos, $(du -h "$file" | cut -f1), in $file"
}

# Photos that the database speaks of and that are nowhere: by the name that their artist knows. Asked about where somebody can answer.
name_lost() { # [--without-missing] KEY…
  local answer=no key many=0
  [ "$1" != --without-missing ] || answer=yes
  shift
  say "Missing, or not to be read:"
  for key in "$@"; do
    many=$((many + 1)); [ $many -le 20 ] || continue
    say "  $(ask "select concat('\"', p.name, '\" of the study \"', s.name, '\" (', u.email, ')') from photos p join studies s on s.id = p.study_id join users u on u.id = s.user_id where p.storage_key = '$key'"), in $KP_VAR/$photos/$key"
  done
  [ $many -le 20 ] || say "  and $((many - 20)) more"
  if [ $answer = no ] && [ -t 0 ]; then read -r -p "Save the rest without them? [y/N] " answer; fi
  case "$answer" in y|Y|yes) say "Saving the rest without them." ;; *) fail "nothing was saved. Is there room in $KP_VAR? Put the photos back, or save the rest: ./prism backup $file --without-missing" ;; esac
}

# What backups left that were killed: dumps hold everything of everybody. One that is under way holds on to its folder.
forget_killed() {
  local left
  for left in "$KP_VAR"/tmp/backup.* "$KP_VAR"/tmp/restore.*; do
    [ -d "$left" ] && kill -0 "$(cat "$left/by" 2>/dev/null || echo none)" 2>/dev/null || rm -rf "$left"
  done
  rm -f "$file.being-made"
}

take_files() { # CP-OPTIONS
  [ -d "$KP_VAR/$photos" ] || return 0
  # What is deleted in this moment can't be copied, and need not be.
  cp "$1" "$KP_VAR/$photos" "$work/all/" 2>/dev/null || cp "${1/l/}" "$KP_VAR/$photos" "$work/all/" 2>/dev/null || true
}

# Photos that lie in a bucket; what is there already is not fetched again.
fetch_photos() {
  [ -n "$(setting PHOTOS_BUCKET)" ] || return 0
  mkdir -p "$work/all/private"
  if [ "$(id -u)" -eq 0 ]; then chown "$(app_user)" "$work" "$work/all" "$work/all/private"; find "$work/all/private" -type d -exec chown "$(app_user)" {} +; fi
  as_app php "$root/artisan" photos:fetch "$work/all/private" >/dev/null || fail "the bucket of the photos does not answer, and nothing was saved; see $KP_VAR/storage/logs"
}

restore() { # [--yes]
  [ -z "${1:-}" ] || [ "$1" = --yes ] || usage
  [ -r "$file" ] || fail "there is no readable file $file"
  if alive nginx || alive php || alive worker-1; then fail "the application runs; stop it first: ./start --stop"; fi
  prepare_folders
  forget_killed
  work=$(mktemp -d "$KP_VAR/tmp/restore.XXXXXX"); echo $$ > "$work/by"
  tar -C "$work" -xzf "$file" --no-same-owner 2>/dev/null || fail "$file is no backup, or is not whole"
  grep -q '"format": "knotty-prism-backup", "version": 1,' "$work/manifest.json" 2>/dev/null || fail "$file is no backup of this version"
  (cd "$work" && sha256sum --quiet --strict -c SHA256SUMS >/dev/null 2>&1) || fail "$file is damaged: what is in it is not what was saved. Take another copy of it."
  if ! alive database; then started=yes; start_database; fi
  if [ "${1:-}" != --yes ] && { [ "$(count studies)" -gt 0 ] || [ "$(count pencils)" -gt 0 ]; }; then
    fail "$KP_VAR holds $(count studies) studies and $(count pencils) pencils, and they are left as they are. To have them replaced: ./prism restore $file --yes"
  fi
  # Tried beside what is there, so that a file that can't be brought in replaces nothing.
  bring_in "$(database)_test_restore"
  sql mariadb -e "drop database \`$(database)_test_restore\`"
  bring_in "$(database)"
  rm -rf "${KP_VAR:?}/$photos.before"
  [ ! -e "$KP_VAR/$photos" ] || mv -T "$KP_VAR/$photos" "$KP_VAR/$photos.before"
  mkdir -p "$KP_VAR/$photos"
  [ ! -d "$work/private" ] || cp -a "$work/private/." "$KP_VAR/$photos/"
  rm -rf "${KP_VAR:?}/$photos.before" "$KP_VAR"/storage/framework/cache/data/*
  if [ "$(id -u)" -eq 0 ]; then chown -R "$(app_user)" "$KP_VAR/storage"; fi
  "$root/ops/packages.sh" php
  if [ -n "$(setting PHOTOS_BUCKET)" ]; then as_app php "$root/artisan" photos:bring "$KP_VAR/$photos" >/dev/null || fail "the photos could not all be brought into the bucket; see $KP_VAR/storage/logs, then try again with --yes"; fi
  as_app php "$root/artisan" migrate --force --quiet || fail "the tables could not be brought up to date; see $KP_VAR/storage/logs"
  say "Brought back: $(count users) accounts, $(count studies) studies, $(count photos) photos. Start it: ./start"
}

bring_in() { # DATABASE
  sql mariadb -e "drop database if exists \`$1\`; create database \`$1\` character set utf8mb4 collate utf8mb4_unicode_ci"
  sql mariadb "$1" < "$work/database.sql" || fail "the database of $file could not be read in; see above"
}

case "$what" in
  backup) backup "${3:-}" ;;
  restore) restore "${3:-}" ;;
  *) usage ;;
esac
