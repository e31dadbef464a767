# A PostgreSQL cluster of our own, on a free loopback port.

# PostgreSQL refuses to run as root; then its own user runs it, in a place that user can reach.
if [ "$(id -u)" = 0 ]; then
    as_postgres() { runuser -u postgres -- "$@"; }
else
    as_postgres() { "$@"; }
fi

pg_bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)

# pg_place NAME: the folder of the cluster.
pg_place() {
    local place="$var/$1"
    if [ "$(id -u)" = 0 ]; then
        mkdir -p "$place"
        chown postgres "$place"
        if ! as_postgres test -w "$place"; then
            place="/var/tmp/orthotaxis-$(echo "$top" | sha256sum | cut -c1-12)/$1"
            mkdir -p "$place"
            chown -R postgres "$(dirname "$place")"
        fi
    else
        mkdir -p "$place"
    fi
    echo "$place"
}

# pg_start NAME: starts the cluster and sets PGPORT and PGPASSWORD; makes it first when there is none.
pg_start() {
    local place
    mkdir -p "$var/log"
    [ -n "$pg_bin" ] || pg_bin=$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -n 1)
    place=$(pg_place "$1")
    if [ ! -f "$var/$1.secret" ]; then
        (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=' >"$var/$1.secret")
    fi
    PGPASSWORD=$(cat "$var/$1.secret")
    if [ ! -f "$place/data/PG_VERSION" ]; then
        say "Making a PostgreSQL cluster"
        local secret="$place/secret"
        (umask 077 && cp "$var/$1.secret" "$secret")
        [ "$(id -u)" = 0 ] && chown postgres "$secret"
        quietly "$1-initdb" as_postgres "$pg_bin/initdb" -D "$place/data" -U orthotaxis --auth=scram-sha-256 --pwfile="$secret" --encoding=UTF8 --locale=C.UTF-8
        rm -f "$secret"
    fi
    # A cluster that an earlier run left behind is stopped, so that there is one owner.
    as_postgres "$pg_bin/pg_ctl" -D "$place/data" status >/dev/null 2>&1 && pg_stop "$1"
    PGPORT=$(free_port "${2:-15432}")
    local try
    for try in $(seq 20); do
        # The server makes its log itself: one that root had made it could not write.
        rm -f "$place/log"
        if as_postgres "$pg_bin/pg_ctl" -D "$place/data" -l "$place/log" -w -t 60 \
            -o "-p $PGPORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c shared_buffers=256MB ${3:-}" start >"$var/log/$1-postgres.log" 2>&1; then
            break
        fi
        taken "$place/log" && [ "$try" -lt 20 ] || { tail -n 20 "$place/log" >&2; die "PostgreSQL does not start; its log is $place/log."; }
        PGPORT=$(free_port $((PGPORT + 1)))
    done
    export PGPORT PGPASSWORD PGHOST=127.0.0.1 PGUSER=orthotaxis
}

pg_stop() {
    local place
    place=$(pg_place "$1")
    as_postgres "$pg_bin/pg_ctl" -D "$place/data" -m fast -w stop >/dev/null 2>&1 || true
}

# pg_database NAME: makes the database when there is none; succeeds when it was made now.
pg_database() {
    if psql -d postgres -Atc "SELECT 1 FROM pg_database WHERE datname = '$1'" | grep -q 1; then return 1; fi
    psql -q -d postgres -c "CREATE DATABASE $1"
}
