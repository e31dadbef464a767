# The settings of one running copy, passed on in the environment. Nothing secret is ever written into the repository.

# settings KIND PORT PLANNING_PORT: KIND is start, test, feature, demo, torture or bench.
settings() {
    local kind=$1 port=$2 planning=$3
    for name in key token; do
        [ -f "$var/$kind.$name" ] || (umask 077 && head -c 32 /dev/urandom | base64 >"$var/$kind.$name")
    done
    mkdir -p storage/{app,logs} storage/framework/{cache/data,sessions,views,testing} bootstrap/cache
    # The framework looks for this file; here every setting comes from the environment.
    [ -f .env ] || : >.env
    export APP_NAME=Orthotaxis APP_ENV=${APP_ENV:-local} APP_DEBUG=${APP_DEBUG:-false} APP_URL="http://127.0.0.1:$port"
    APP_KEY="base64:$(cat "$var/$kind.key")"
    PLANNING_TOKEN=$(cat "$var/$kind.token")
    export APP_KEY PLANNING_TOKEN PLANNING_URL="http://127.0.0.1:$planning"
    # What the framework reads at every request is written down once, for each kind of copy by itself.
    export APP_CONFIG_CACHE="$var/$kind-config.php" APP_ROUTES_CACHE="$var/$kind-routes.php" APP_EVENTS_CACHE="$var/$kind-events.php"
    rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE" "$APP_EVENTS_CACHE"
    export STRUCTURE_INDEX="$var/structures-$kind" STRUCTURE_INDEX_WARMED=true
    export LEDGER_ANCHORS="$var/ledger-anchors-$kind.log" OUTGOING_FOLDER="$var/hand-overs-$kind"
    case $kind in
        test | feature | demo)
            # A ledger of tests is another one each time.
            LEDGER_ANCHORS=
            # Tests ask what they have written a moment ago.
            STRUCTURE_INDEX_WARMED=false
            # Nobody guesses the passwords of tests.
            export BCRYPT_ROUNDS=4
            ;;
    esac
    export LOG_CHANNEL=daily LOG_DAILY_DAYS=14 LOG_LEVEL=warning
    export DB_CONNECTION=pgsql DB_HOST=127.0.0.1 DB_PORT="$PGPORT" DB_USERNAME=orthotaxis DB_PASSWORD="$PGPASSWORD" DB_DATABASE="${DB_DATABASE:-orthotaxis}"
    export SESSION_DRIVER=${SESSION_DRIVER:-database} QUEUE_CONNECTION=${QUEUE_CONNECTION:-database} CACHE_STORE=${CACHE_STORE:-database}
    # Mails go to the stand-in where one runs ($mail is its port), and else into the log.
    export MAIL_MAILER=${mail:+smtp} MAIL_HOST=127.0.0.1 MAIL_PORT=${mail:-25} APP_MAINTENANCE_DRIVER=file
    export MAIL_MAILER=${MAIL_MAILER:-log} MAIL_PAGES=${mail_page:+http://127.0.0.1:$mail_page}
    # People can sign in by the stand-in of a provider where one runs ($identity is its port).
    export OIDC_ISSUER=${identity:+http://127.0.0.1:$identity} OIDC_CLIENT_ID=orthotaxis OIDC_CLIENT_SECRET=of-the-stand-in OIDC_NAME="Quillback identity"
    export PLANNING_DB="host=127.0.0.1;port=$PGPORT;dbname=${PLANNING_DATABASE:-planning}" PLANNING_DB_USER=orthotaxis PLANNING_DB_PASSWORD="$PGPASSWORD"
}
