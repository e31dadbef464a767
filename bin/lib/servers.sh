# nginx, php-fpm, the queue worker, the scheduler and the planning stand-in, all under var/.

children=()

# start_child NAME COMMAND...: runs it in the background, in a group of its own, and remembers it.
start_child() {
    local name=$1
    shift
    mkdir -p "$var/log"
    setsid "$@" >"$var/log/$name.log" 2>&1 </dev/null &
    children+=($!)
}

stop_children() {
    local pid
    for pid in "${children[@]}"; do kill -TERM -- "-$pid" 2>/dev/null; done
    for _ in $(seq 50); do
        local alive=0
        for pid in "${children[@]}"; do kill -0 -- "-$pid" 2>/dev/null && alive=1; done
        [ $alive = 0 ] && return
        sleep 0.1
    done
    for pid in "${children[@]}"; do kill -KILL -- "-$pid" 2>/dev/null; done
}

# write_servers DIR PORT: the settings of nginx and php-fpm.
write_servers() {
    local dir=$1 port=$2 user=
    mkdir -p "$dir" "$var/log"
    # The socket has a short path: its length is limited.
    socket=$(mktemp -u /tmp/orthotaxis-XXXXXXXX.sock)
    [ "$(id -u)" = 0 ] && user=root
    sed -e "s#@DIR@#$dir#g" -e "s#@TOP@#$top#g" -e "s#@PORT@#$port#g" -e "s#@SOCKET@#$socket#g" \
        -e "s#@USER_LINE@#${user:+user $user;}#" bin/lib/nginx.conf >"$dir/nginx.conf"
    sed -e "s#@DIR@#$dir#g" -e "s#@SOCKET@#$socket#g" -e "s#@USER_LINE@#${user:+user = $user}#" \
        -e "s#@GROUP_LINE@#${user:+group = $user}#" bin/lib/php-fpm.conf >"$dir/php-fpm.conf"
}

start_web() {
    export DB_PERSISTENT=true
    quietly optimize php artisan optimize --except=views
    local dir=$1 port=$2
    write_servers "$dir" "$port"
    local root_flag=
    [ "$(id -u)" = 0 ] && root_flag=-R
    start_child php-fpm php-fpm8.2 -F $root_flag -y "$dir/php-fpm.conf" -d opcache.enable=1 -d opcache.memory_consumption=512 -d opcache.interned_strings_buffer=16 -d opcache.max_accelerated_files=16000 -d apc.enabled=1
    wait_for 20 "php-fpm" test -S "$socket"
    start_child nginx nginx -c "$dir/nginx.conf" -g 'daemon off;'
    wait_for 20 "nginx" answers "http://127.0.0.1:$port/up"
}

# A worker ends by itself every hour, or when it fails, and is started again.
start_worker() { start_child queue bash -c 'while :; do php artisan queue:work --sleep=1 --tries=0 --max-time=3600; sleep 1; done'; }

start_scheduler() { start_child scheduler php artisan schedule:work; }

# start_planning PORT: the simulated planning system.
start_planning() {
    start_child planning env PHP_CLI_SERVER_WORKERS=4 php -S "127.0.0.1:$1" stand-ins/planning/index.php
    wait_for 20 "The planning stand-in" answers "http://127.0.0.1:$1/up"
}
