# Shared by bin/demo and bin/check: installs what is missing and says how long each step took.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
export LC_ALL=C.UTF-8 COMPOSER_ALLOW_SUPERUSER=1 npm_config_update_notifier=false

began=$SECONDS
say() { printf '%s\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }

# step "what it does" command …: prints the time; the output only if it fails.
step() {
    local what=$1 from=$SECONDS log
    shift
    log=$(mktemp)
    printf '· %s … ' "$what"
    if "$@" >"$log" 2>&1 </dev/null; then
        printf '%ds\n' $((SECONDS - from))
        rm -f "$log"
    else
        printf 'failed after %ds\n' $((SECONDS - from))
        cat "$log" >&2
        rm -f "$log"
        exit 1
    fi
}
# loud "what it does" command …: the same, with the output shown as it comes.
loud() {
    local what=$1 from=$SECONDS
    shift
    printf '\n· %s\n' "$what"
    "$@" </dev/null || fail "$what failed after $((SECONDS - from))s."
    printf '  (%ds)\n' $((SECONDS - from))
}

apt_missing=()
# want "a test that succeeds if it is there" debian-package
want() { eval "$1" >/dev/null 2>&1 || apt_missing+=("$2"); }

install_missing() {
    [ ${#apt_missing[@]} -eq 0 ] && return
    if [ "$(id -u)" = 0 ] && command -v apt-get >/dev/null; then
        step "installing ${apt_missing[*]} from Debian" sh -c "apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends ${apt_missing[*]}"
    else
        fail "These Debian packages are missing and I may not install them: ${apt_missing[*]}
Have them installed, for example with:  sudo apt-get update && sudo apt-get install ${apt_missing[*]}"
    fi
}

php_extension() { php -r "exit(extension_loaded('$1') ? 0 : 1);"; }

want_platform() {
    for tool in php composer node npm; do
        command -v "$tool" >/dev/null || fail "$tool is missing. Needed: PHP 8.2 or newer, Composer 2, Node 20.19 or newer with npm."
    done
    php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);' || fail "PHP 8.2 or newer is needed; this is $(php -r 'echo PHP_VERSION;')."
    node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' || fail "Node 20.19 or newer is needed; this is $(node -v)."
    local v
    v=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')
    want 'php_extension pdo_sqlite' "php$v-sqlite3"
    want 'php_extension mbstring' "php$v-mbstring"
    want 'php_extension intl' "php$v-intl"
    want 'php_extension dom' "php$v-xml"
    want 'php_extension yaml' "php$v-yaml"
    want 'php_extension gd' "php$v-gd"
    want 'php_extension zip' "php$v-zip"
    # the browser driver among the development packages asks for this one
    want 'php_extension curl' "php$v-curl"
}

# A stamp of the files a step depends on: the step runs again when one of them changes.
stamp() { cat "$@" 2>/dev/null | sha256sum | cut -c1-32; }

install_vendor() {
    mkdir -p var
    local now
    now=$(stamp composer.json pins/*/composer.json)
    if [ ! -f vendor/autoload.php ] || [ "$(cat var/.composer-stamp 2>/dev/null)" != "$now" ]; then
        rm -f composer.lock # of another state of composer.json; versions are pinned there and in pins/
        step 'installing the PHP packages' composer install --no-interaction --no-progress
        chmod -R a+rX vendor
        echo "$now" >var/.composer-stamp
    fi
    now=$(stamp frontend/package.json frontend/package-lock.json)
    if [ ! -d frontend/node_modules ] || [ "$(cat var/.npm-stamp 2>/dev/null)" != "$now" ]; then
        step 'installing the front-end packages' npm --prefix frontend ci --no-progress
        echo "$now" >var/.npm-stamp
    fi
}

build_frontend() {
    local now
    now=$(find frontend/src frontend/vite.config.ts frontend/package-lock.json -type f -print0 | sort -z | xargs -0 cat | sha256sum | cut -c1-32)
    if [ ! -f public/build/.vite/manifest.json ] || [ "$(cat var/.build-stamp 2>/dev/null)" != "$now" ]; then
        step 'building the pages' npm --prefix frontend run -s build
        echo "$now" >var/.build-stamp
    fi
}

# The secret of this machine: made once, never committed.
make_secret() {
    [ -f .env.local ] || (umask 077 && : >.env.local) # nobody else on the machine reads the secret
    grep -qs '^APP_SECRET=' .env.local || { printf 'APP_SECRET=%s\n' "$(php -r 'echo bin2hex(random_bytes(24));')" >>.env.local; say '· made a secret for this machine (.env.local)'; }
}

# Serves the application on this machine until somebody stops it: serve PORT LOG, with the settings of the environment.
# What else has to end with the server.
also_end() { :; }

serve() {
    local port=$1 log=$2 server
    mkdir -p "$(dirname "$log")"
    # Room for the floras of all life stages and their next edition among the compiled files. No just-in-time compiler: it gains nothing here.
    PHP_CLI_SERVER_WORKERS=4 setsid php -d expose_php=0 -d opcache.memory_consumption=256 -d post_max_size=16M -d memory_limit=256M -S "127.0.0.1:$port" -t public bin/router.php >"$log" 2>&1 </dev/null &
    server=$!
    # PHP's workers outlive their parent: end the whole group.
    trap 'kill -- -'"$server"' 2>/dev/null || true; also_end' EXIT
    trap 'exit 0' INT TERM HUP
    for _ in $(seq 100); do
        php -r 'exit(@fsockopen("127.0.0.1",'"$port"')?0:1);' && break
        kill -0 "$server" 2>/dev/null || fail "The server did not start; see $log."
        sleep 0.1
    done
    php -r 'foreach (["/", "/api/session"] as $p) { file_get_contents("http://127.0.0.1:'"$port"'".$p); }' 2>/dev/null || fail "The server answers, but with an error; see $log."
    ready
    wait "$server"
}

want_port() {
    case $1 in '' | *[!0-9]*) fail "--port must be a number, not \"$1\"." ;; esac
}

want_free() {
    php -r '$s=@stream_socket_server("tcp://127.0.0.1:'"$1"'");exit($s?0:1);' || fail "Port $1 is taken. If that is the application already running, open http://127.0.0.1:$1; otherwise choose another with --port=NUMBER."
}
