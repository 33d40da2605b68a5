#!/usr/bin/env bash
# Becomes one of the servers, as ops/supervisor.conf.in asks for: its process is noted first, and whatever one that died has left behind is
# stopped (children of a killed web server hold its port).
#   ops/serve.sh NAME COMMAND…, or ops/serve.sh NAME worker QUEUES
set -euo pipefail
. "$(dirname "${BASH_SOURCE[0]}")/common.sh"
. "$root/ops/servers.sh"
name=$1; shift
stop_one "$name" 1
note_process "$name" $$
[ "$1" = worker ] || exec "$@"

# One that begins before its database is back ends at once, and is begun again later and later.
if [ -z "$(setting DB_HOST)" ]; then for _ in $(seq 300); do ! port_is_free "$(setting DB_PORT)" && break; sleep 0.1; done; fi

# A worker ends after an hour, or with more than 640 MB once something is done, so that no memory piles up: a plan leaves some 350, and at
# the 128 that are usual each plan ended it, to begin the next two seconds later with nothing compiled. Its pulse beats beside it, in a
# long job too, and as long as it lives.
pulse=$KP_VAR/storage/framework/worker-pulse/$name
# One that was stopped (by a signal, or a frozen machine) lives and does nothing: it has no pulse either.
(while read -r stat < /proc/$$/stat; do state=${stat##*) }; [[ ${state:0:1} == [TtZ] ]] || touch "$pulse"; sleep 2; done 2>/dev/null) &
export KP_WORKER=$name TMPDIR=$KP_VAR/tmp
worker=(php "$root/artisan" queue:work --queue="$2" --sleep=0.1 --max-time=3600 --memory=640 --quiet)
[ "$(id -un)" = "$(app_user)" ] || worker=(setpriv "--reuid=$(app_user)" "--regid=$(app_user)" --clear-groups "${worker[@]}")
exec "${worker[@]}"
