# A bucket for the tests beside it, from Debian's packages: one server for each of accounts, containers and objects, and one that speaks
# to the outside, all on this machine. Key "test:tester", secret "testing".
# shellcheck shell=bash
bucket_port=${BUCKET_PORT:-3460}
bucket_running=()

start_bucket() { # FOLDER
  local dir=$1 port=$bucket_port server
  mkdir -p "$dir/node/d1"
  memcached -l 127.0.0.1 -p $((port + 4)) -u "$(id -un)" >"$dir/memcached.log" 2>&1 & bucket_running+=($!)
  for server in account container object; do
    port=$((port + 1))
    swift-ring-builder "$dir/$server.builder" create 4 1 1
    swift-ring-builder "$dir/$server.builder" add "r1z1-127.0.0.1:$port/d1" 1
    swift-ring-builder "$dir/$server.builder" rebalance
    bucket_settings "$dir" "$port" > "$dir/$server.conf"
    printf 'devices = %s/node\nmount_check = false\n[pipeline:main]\npipeline = %s-server\n[app:%s-server]\nuse = egg:swift#%s\n' "$dir" "$server" "$server" "$server" >> "$dir/$server.conf"
    swift-$server-server "$dir/$server.conf" >"$dir/$server.log" 2>&1 & bucket_running+=($!)
  done >/dev/null
  bucket_settings "$dir" "$bucket_port" > "$dir/proxy.conf"
  cat >> "$dir/proxy.conf" <<CONF
[pipeline:main]
pipeline = catch_errors cache s3api tempauth bulk slo proxy-server
[app:proxy-server]
use = egg:swift#proxy
account_autocreate = true
[filter:catch_errors]
use = egg:swift#catch_errors
[filter:cache]
use = egg:swift#memcache
memcache_servers = 127.0.0.1:$((bucket_port + 4))
[filter:s3api]
use = egg:swift#s3api
[filter:tempauth]
use = egg:swift#tempauth
user_test_tester = testing .admin
[filter:bulk]
use = egg:swift#bulk
[filter:slo]
use = egg:swift#slo
CONF
  open_bucket "$dir"
}

# Only the server that speaks to the outside, started again: what lies in the bucket is still there.
open_bucket() { # FOLDER
  swift-proxy-server "$1/proxy.conf" >"$1/proxy.log" 2>&1 & bucket_door=$!
  local tries=0
  until bucket make >/dev/null 2>&1 || [ $((tries += 1)) -gt 100 ]; do sleep 0.2; done
}

close_bucket() { kill "$bucket_door" 2>/dev/null; wait "$bucket_door" 2>/dev/null; }
stop_bucket() { close_bucket; kill "${bucket_running[@]}" 2>/dev/null; wait "${bucket_running[@]}" 2>/dev/null; bucket_running=(); }

bucket_settings() { # FOLDER PORT
  printf '[DEFAULT]\nbind_ip = 127.0.0.1\nbind_port = %s\nworkers = 0\nuser = %s\nswift_dir = %s\nlog_address = %s/none\n' "$2" "$(id -un)" "$1" "$1"
}

bucket() { php tests/Ops/bucket.php "http://127.0.0.1:$bucket_port" "$1"; }
