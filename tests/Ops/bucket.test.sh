#!/usr/bin/env bash
# That photos may lie in a bucket by configuration alone (docs/safety.md), on an instance of its own and against Debian's server.
# Prints "ok" or "FAIL" a line; exit status 1 when something failed.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/../.." || exit 1
export KP_VAR=$PWD/var/test-bucket APP_PORT=${BUCKET_APP_PORT:-8147} DB_PORT=${BUCKET_DB_PORT:-3447}
export BASE_URL=http://127.0.0.1:$APP_PORT
. ops/common.sh
. ops/servers.sh
. tests/Ops/holds.sh
. tests/Ops/bucket.sh
beside=$(mktemp -d)
clean_up() { stop_all; stop_bucket; rm -rf "$KP_VAR" "$beside"; }
trap clean_up EXIT
stop_all; rm -rf "$KP_VAR"
get() { curl -s -o /dev/null -w '%{http_code}' -H 'Accept: application/json' -c "$beside/cookies" -b "$beside/cookies" "$BASE_URL$1"; }
photo() { get "/api/studies/$(ask 'select min(id) from studies')/photo"; }
here() { find "$KP_VAR/storage/app/private/photos" -name "${1:-*}" -type f 2>/dev/null | wc -l; }
forget_what_is_here() { rm -rf "$KP_VAR/storage/app/private/photos" "$KP_VAR"/storage/framework/cache/*/*; }
place() { prepare_folders; printf 'PHOTOS_BUCKET=photos\nPHOTOS_ENDPOINT=http://127.0.0.1:%s\nPHOTOS_KEY=test:tester\nPHOTOS_SECRET=testing\n' "$bucket_port" >> "$KP_VAR/.env"; }

start_bucket "$beside/one"
place
holds "with photos in a bucket the application starts, and is well" ./start --background
holds "an artist brings a photo in, plans it and marks it at the desk there" node tests/Ops/soak.mjs 0.2 1
holds "  every photo is in the bucket as it came" [ "$(bucket /original | wc -l)" = "$(ask 'select count(*) from photos')" ]
holds "  and on this machine is only what can be made again" [ "$(here original) $(here working.rgb)" = "0 $(ask 'select count(*) from photos')" ]
forget_what_is_here
holds "another machine makes it again from the bucket" [ "$(photo) $(here working.rgb)" = "200 1" ]
holds "a study that is deleted takes its photo out of the bucket" node tests/Ops/bucketed.mjs deletes
close_bucket
holds "with the bucket away what is on this machine goes on" [ "$(photo)" = 200 ]
holds "  a photo on its way in is asked for again, in words" node tests/Ops/bucketed.mjs waits
holds "  health names it" grep -q '"storage":false' <(curl -s "$BASE_URL/health")
holds "  and nothing is called saved" bash -c '! ./prism backup "$0/gap.tar.gz" 2>/dev/null && [ ! -e "$0/gap.tar.gz" ]' "$beside"
open_bucket "$beside/one"
holds "with the bucket back all is well" [ "$(get /health)" = 200 ]
many=$(ask 'select count(*) from photos')
holds "what lies there is saved with the rest" ./prism backup "$beside/all.tar.gz"
./start --stop >/dev/null; stop_bucket; rm -rf "$KP_VAR"; start_bucket "$beside/two"; place
holds "and both wiped, it comes back into an empty bucket" ./prism restore "$beside/all.tar.gz"
./start --background >/dev/null; forget_what_is_here
holds "  every photo of it" [ "$(bucket /original | wc -l) $(photo)" = "$many 200" ]
[ "$failed" -eq 0 ]
