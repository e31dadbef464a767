# nginx, php-fpm, the queue worker, the scheduler and the planning stand-in, all under var/.

children=()
# Loops over hundreds of thousands of lines are compiled to machine code.
compiled="-d opcache.memory_consumption=512 -d opcache.interned_strings_buffer=16 -d opcache.max_accelerated_files=16000 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M"

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
        -e "s#@VITE@#${vite:+ 'unsafe-inline' http://127.0.0.1:$vite ws://127.0.0.1:$vite}#g" \
        -e "s#@USER_LINE@#${user:+user $user;}#" bin/lib/nginx.conf >"$dir/nginx.conf"
    sed -e "s#@DIR@#$dir#g" -e "s#@SOCKET@#$socket#g" -e "s#@USER_LINE@#${user:+user = $user}#" \
        -e "s#@GROUP_LINE@#${user:+group = $user}#" bin/lib/php-fpm.conf >"$dir/php-fpm.conf"
}

# start_web DIR: serves at $port, or at the next one when that is taken meanwhile.
start_web() {
    export DB_PERSISTENT=true
    local dir=$1 root_flag= try
    web=$dir
    [ "$(id -u)" = 0 ] && root_flag=-R
    for try in $(seq 10); do
        # The settings that are written down hold passwords and keys. Who works on the code has each change of it at once.
        [ -n "${vite:-}" ] || (umask 077 && quietly optimize php artisan optimize --except=views) || exit 1
        write_servers "$dir" "$port"
        start_child php-fpm php-fpm8.2 -F $root_flag -y "$dir/php-fpm.conf" -d opcache.enable=1 $compiled -d apc.enabled=1
        wait_for 20 "php-fpm" test -S "$socket"
        start_child nginx nginx -c "$dir/nginx.conf" -g 'daemon off;'
        comes_up "http://127.0.0.1:$port/up" && return
        taken "$var/log/nginx.log" || taken "$dir/nginx-error.log" || break
        drop_child && drop_child
        port=$(free_port $((port + 1)))
        export APP_URL="http://127.0.0.1:$port"
    done
    die "nginx did not start. Look into var/log/."
}

# comes_up ADDRESS: until the child started last answers there; fails at once when that has ended.
comes_up() {
    for _ in $(seq 200); do
        answers "$1" && return 0
        # The process, not its group: that is there only once setsid has run, which a busy machine may put off.
        kill -0 "${children[-1]}" 2>/dev/null || return 1
        sleep 0.1
    done
    return 1
}

# drop_child: ends the child started last.
drop_child() {
    kill -TERM -- "-${children[-1]}" 2>/dev/null
    unset 'children[-1]'
    return 0
}

# A worker ends by itself every hour, or when it fails, and is started again.
# What leaves the house goes first; long work never keeps both workers from it.
start_worker() {
    local queues try
    for queues in urgent,default urgent,default,long; do
        start_child "queue-${queues##*,}" bash -c "while :; do php artisan queue:work --queue=$queues --sleep=1 --tries=0 --max-time=3600; sleep 1; done"
    done
    # Somebody waits for each file that is read; two large ones do not keep a small one waiting.
    for try in 1 2 3; do
        start_child "queue-reading-$try" bash -c "while :; do php artisan queue:work --queue=reading --sleep=0.2 --tries=0 --max-time=3600; sleep 1; done"
    done
}

# start_vite: serves the interface as it is written, at $vite, and tells browsers of every change.
start_vite() {
    start_child vite npx vite --host 127.0.0.1 --port "$vite" --strictPort
    wait_for 60 "the interface" test -f public/hot
}

start_scheduler() { start_child scheduler php artisan schedule:work; }

# start_mail FOLDER: the simulated mail server at $mail, and the page on which its mails are read at $mail_page.
start_mail() {
    start_child mail php stand-ins/mail/server.php "$mail" "$1"
    start_child mail-page env MAIL_FOLDER="$1" php -S "127.0.0.1:$mail_page" stand-ins/mail/index.php
    comes_up "http://127.0.0.1:$mail_page/up" || die "The mail stand-in did not start. Look into var/log/."
}

# start_identity FOLDER: the simulated provider of sign-ins at $identity.
start_identity() {
    start_child identity env IDENTITY_FOLDER="$1" IDENTITY_URL="$OIDC_ISSUER" PHP_CLI_SERVER_WORKERS=2 php -S "127.0.0.1:$identity" stand-ins/identity/index.php
    comes_up "http://127.0.0.1:$identity/up" || die "The identity stand-in did not start. Look into var/log/."
}

# start_planning: the simulated planning system at $planning, or at the next port when that is taken meanwhile.
start_planning() {
    local try
    for try in $(seq 10); do
        start_child planning env PHP_CLI_SERVER_WORKERS=4 php -S "127.0.0.1:$planning" stand-ins/planning/index.php
        comes_up "http://127.0.0.1:$planning/up" && return
        taken "$var/log/planning.log" || break
        drop_child
        planning=$(free_port $((planning + 1)))
        export PLANNING_URL="http://127.0.0.1:$planning"
    done
    die "The planning stand-in did not start. Look into var/log/."
}

# torture OPTION...: tries to break the product that runs at $port; see bin/torture.
torture() {
    local workers= at_planning= pid
    for pid in "${children[@]}"; do
        ps -o args= -p "$pid" | grep -q 'queue:work' && workers+=",$pid"
        ps -o args= -p "$pid" | grep -q 'stand-ins/planning' && at_planning=$pid
    done
    TORTURE_URL="http://127.0.0.1:$port" TORTURE_WEB=$(cat "$web/php-fpm.pid") TORTURE_WORKERS=${workers#,} TORTURE_PLANNING=$at_planning php tests/Torture/run.php "$@"
}
