#!/usr/bin/env bash
# That what was saved comes back (docs/safety.md): an instance of its own is saved while it runs, wiped, and brought back.
# Prints "ok" or "FAIL" a line; exit status 1 when something failed.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/../.." || exit 1
export KP_VAR=$PWD/var/test-backup APP_PORT=${BACKUP_APP_PORT:-8143} DB_PORT=${BACKUP_DB_PORT:-3443}
. ops/common.sh
. ops/servers.sh
. tests/Ops/holds.sh
saved=$(mktemp -d)
says() { # WORDS COMMAND…: it fails, and says so
  local words=$1 out; shift
  ! out=$("$@" 2>&1) && grep -q "$words" <<< "$out"
}
# Every row of every table that is somebody's work, and every photo.
state() {
  local table
  for table in users pencils studies photos survey_versions plan_versions kept_recipes ticks book_recipes book_colours; do ask "select * from $table order by id"; done | sha256sum
  (cd "$KP_VAR/storage/app/private/photos" && find . -type f -exec sha256sum {} + | sort | sha256sum)
}
studies() { curl -s -H 'Accept: application/json' -c "$saved/cookies" -b "$saved/cookies" "http://127.0.0.1:$APP_PORT/api/studies"; }
clean_up() { stop_all; rm -rf "$KP_VAR" "$saved"; }
trap clean_up EXIT
stop_all; rm -rf "$KP_VAR"

holds "what does not run is not saved, and it says how to start it" says 'start it first' ./prism backup "$saved/none.tar.gz"
./start --background >/dev/null || { say "FAIL  the application starts"; exit 1; }
ask "update studies set name = 'Saved water'"
before=$(state)
holds "it is saved while it runs" ./prism backup "$saved/all.tar.gz"
holds "  for nobody else to read" [ "$(stat -c %a "$saved/all.tar.gz")" = 600 ]
holds "  and over no other file" says 'is there already' ./prism backup "$saved/all.tar.gz"
holds "it is not brought back under a running application" says 'stop it first' ./prism restore "$saved/all.tar.gz" --yes
photo=$(ask 'select storage_key from photos limit 1'); mv "$KP_VAR/storage/app/private/$photo" "$saved/away"
named=$(ask "select p.name from photos p where p.storage_key = '$photo'")
holds "a photo that is lost is named, and nothing is called saved" says "\"$named\" of the study \"Saved water\"" ./prism backup "$saved/gap.tar.gz"
holds "  nor left there" [ ! -e "$saved/gap.tar.gz" ]
# A dump of everything, left by one that was killed.
mkdir "$KP_VAR/tmp/backup.killed"; echo 4194304 > "$KP_VAR/tmp/backup.killed/by"; touch "$saved/gap.tar.gz.being-made"
holds "  the rest is saved where that is wanted" ./prism backup "$saved/gap.tar.gz" --without-missing
holds "  and the file says what is not in it" grep -q "\"missing\": \[\"$photo\"\]" <(tar -xzOf "$saved/gap.tar.gz" ./manifest.json)
holds "what a killed one left goes with the next" [ -z "$(ls -d "$KP_VAR"/tmp/backup.* "$saved"/*.being-made 2>/dev/null)" ]
mv "$saved/away" "$KP_VAR/storage/app/private/$photo"
ask "update studies set name = 'Later'"
./start --stop >/dev/null
holds "over data it is brought back only with a yes" says 'left as they are' ./prism restore "$saved/all.tar.gz"
holds "  with the database as it was found, stopped" bash -c '. ops/common.sh; . ops/servers.sh; ! alive database'
cp "$saved/all.tar.gz" "$saved/damaged.tar.gz"; mkdir "$saved/in"; tar -C "$saved/in" -xzf "$saved/damaged.tar.gz"
sed -i 's/Saved water/Other water/' "$saved/in/database.sql"; tar -C "$saved/in" -czf "$saved/damaged.tar.gz" .
holds "a file that was changed is refused" says 'is damaged' ./prism restore "$saved/damaged.tar.gz" --yes
head -c 5000 "$saved/all.tar.gz" > "$saved/cut.tar.gz"
holds "  and one that is cut off" says 'not whole' ./prism restore "$saved/cut.tar.gz" --yes
holds "  and what is none" says 'is no backup' ./prism restore README.md --yes
./start --background >/dev/null
holds "  and all that was there is there" grep -q '"Later"' <(studies)
./start --stop >/dev/null

rm -rf "$KP_VAR"
holds "everything wiped, it is brought back into an empty place" ./prism restore "$saved/all.tar.gz"
./start --background >/dev/null
holds "  every row and every photo as they were" [ "$(state)" = "$before" ]
holds "  and the application shows it" grep -q '"Saved water"' <(studies)
ask "update studies set name = 'Later'"; ./start --stop >/dev/null
holds "with a yes it replaces what is there" ./prism restore "$saved/all.tar.gz" --yes
./start --background >/dev/null
holds "  and is as it was saved" [ "$(state)" = "$before" ]
[ "$failed" -eq 0 ]
