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
            -o "-p $PGPORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c shared_buffers=256MB -c random_page_cost=1.1 ${3:-}" start >"$var/log/$1-postgres.log" 2>&1; then
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

# pg_serve DATABASE: from here on the product is served by a role that owns nothing: it reads and writes rows, appends to the
# ledger, and can neither change a table nor switch off what guards it. Migrations run before, as the owner.
pg_serve() {
    [ -f "$var/serve.secret" ] || (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=' >"$var/serve.secret")
    local password
    password=$(cat "$var/serve.secret")
    {
        printf "\\\\set password '%s'\n" "$password"
        cat <<'SQL'
SELECT 'CREATE ROLE orthotaxis_app' WHERE NOT EXISTS (SELECT 1 FROM pg_roles WHERE rolname = 'orthotaxis_app') \gexec
ALTER ROLE orthotaxis_app LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE PASSWORD :'password';
GRANT USAGE ON SCHEMA public TO orthotaxis_app;
GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO orthotaxis_app;
GRANT USAGE, SELECT ON ALL SEQUENCES IN SCHEMA public TO orthotaxis_app;
REVOKE UPDATE, DELETE ON ledger, handover_files FROM orthotaxis_app;
REVOKE INSERT, UPDATE, DELETE ON migrations FROM orthotaxis_app;
SQL
    } | psql -q -v ON_ERROR_STOP=1 -d "$1" >"$var/log/serve-role.log" 2>&1 || { cat "$var/log/serve-role.log" >&2; die "The role that serves could not be made."; }
    export DB_USERNAME=orthotaxis_app DB_PASSWORD="$password"
}
