# What bin/start, bin/test and bin/bench share. Sourced, never run.

top=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
var="$top/var"
cd "$top" || exit 1
mkdir -p "$var"

say() { printf '\033[1m·\033[0m %s\n' "$*"; }

# die SENTENCE: says what went wrong and what to do about it.
die() {
    printf '\n%s\n' "$*" >&2
    exit 1
}

# quietly NAME COMMAND...: runs a command, keeps what it prints in var/log/NAME.log, shows its end when it fails.
quietly() {
    local name=$1
    shift
    mkdir -p "$var/log"
    if ! "$@" >"$var/log/$name.log" 2>&1; then
        tail -n 25 "$var/log/$name.log" >&2
        die "$name failed; all that it printed is in var/log/$name.log."
    fi
}

as_root() {
    if [ "$(id -u)" = 0 ]; then "$@"; elif command -v sudo >/dev/null; then sudo -n "$@"; else return 1; fi
}

# free_port FIRST: the first port from FIRST on that can be bound. Nobody listens on one that was let go a moment ago, and
# still it may be held: so it is tried, not asked.
free_port() {
    local port=$1
    until php -r 'exit(@stream_socket_server("tcp://127.0.0.1:{$argv[1]}") ? 0 : 1);' "$port"; do port=$((port + 1)); done
    echo "$port"
}

# taken LOG: whether a server ended because somebody else was quicker to bind its port.
taken() { grep -qiE 'address already in use|could not bind|bind\(\) to' "$1" 2>/dev/null; }

# wait_for SECONDS WHAT COMMAND...: until the command succeeds.
wait_for() {
    local seconds=$1 what=$2
    shift 2
    for _ in $(seq $((seconds * 10))); do
        "$@" >/dev/null 2>&1 && return 0
        sleep 0.1
    done
    die "$what did not start within $seconds seconds. Look into var/log/."
}

answers() { curl -fsS -o /dev/null --max-time 5 "$1" 2>/dev/null; }
