# What bin/start, bin/test and bin/bench share: finding what is missing on a Debian machine, and the project's own
# MariaDB. Sourced, never run. Every step says in one plain line what it does; a failure names the step and where to look.

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT" || exit 1
RUN="$ROOT/storage/run"
DATA="$ROOT/storage/mariadb"
LOG="$RUN/setup.log"
SOCKET="/tmp/hidden-wire-$(printf %s "$ROOT" | cksum | cut -d' ' -f1).sock"
PIDFILE="$DATA/mariadb.pid"
STARTED_DATABASE=""
mkdir -p "$RUN"
: > "$LOG"

say()  { printf '%s\n' "  $*"; }
fail() {
    printf '\n%s\n' "Stopped at: $1" >&2
    [ -n "${2:-}" ] && printf '%s\n' "$2" >&2
    if [ -s "$LOG" ]; then
        printf '%s\n' "The last lines of $LOG:" >&2
        tail -n 15 "$LOG" >&2
    fi
    exit 1
}
# step TEXT COMMAND...: runs a command with its output in the log.
step() {
    local text=$1
    shift
    say "$text"
    "$@" >> "$LOG" 2>&1 || fail "$text" "The command was: $*"
}

as_root() {
    if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi
}

# node_is_new: the Node.js that answers is one that the build takes.
node_is_new() {
    command -v node > /dev/null && node -e 'const [major, minor] = process.versions.node.split(".").map(Number);
        process.exit(major > 22 || (major === 22 && minor >= 12) || (major === 20 && minor >= 19) ? 0 : 1)' 2> /dev/null
}

# A Node.js that is new enough: the machine's own, else one from the npm registry in bin/node (Debian's is too old for the build).
ensure_node() {
    local own
    node_is_new && return 0
    if ! compgen -G "$ROOT/bin/node/node_modules/node-linux-*/bin/node" > /dev/null; then
        step "Installing a newer Node.js" npm ci --prefix "$ROOT/bin/node" --no-audit --no-fund
    fi
    own=$(compgen -G "$ROOT/bin/node/node_modules/node-linux-*/bin" | head -n 1)
    [ -n "$own" ] && export PATH="$own:$PATH"
    hash -r
    node_is_new || fail "Looking for Node.js" "Node.js 20.19 or newer is needed, and none comes for this kind of machine ($(uname -m))."
}

# Debian packages that are missing, by what they give.
ensure_packages() {
    local want=()
    local version extension modules
    if command -v php > /dev/null; then
        version=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')
        modules=$(php -m)
        php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);' || fail "Looking for PHP" "PHP 8.2 or newer is needed; this is PHP $version."
    else
        version=8.2
        modules=""
        want+=(php8.2-cli)
    fi
    command -v composer > /dev/null || want+=(composer)
    # npm brings Debian's Node.js with it, which is enough to fetch a newer one.
    command -v npm > /dev/null || want+=(npm)
    for extension in mbstring:mbstring xml:xml pdo_mysql:mysql curl:curl zip:zip gd:gd intl:intl; do
        grep -qix "${extension%%:*}" <<< "$modules" || want+=("php$version-${extension##*:}")
    done
    [ -x /usr/sbin/mariadbd ] || want+=(mariadb-server)
    # Draws maps as PNG.
    command -v rsvg-convert > /dev/null || want+=(librsvg2-bin)
    if [ -n "${1:-}" ]; then
        # Read what the tests have written: PDF, graphs, XML.
        command -v pdftotext > /dev/null || want+=(poppler-utils)
        command -v dot > /dev/null || want+=(graphviz)
        command -v xmllint > /dev/null || want+=(libxml2-utils)
    fi
    if [ "${1:-}" = with-browser ]; then
        [ -x /usr/bin/chromium ] || want+=(chromium)
    fi
    if [ ${#want[@]} -gt 0 ]; then
        [ "$(id -u)" = 0 ] || sudo -n true 2> /dev/null || fail "Installing ${want[*]}" "Run as root: apt-get install ${want[*]}"
        step "Reading Debian's package lists" as_root apt-get update
        # Debian would start its own server with its own data: a policy file forbids that while we install.
        if [ ! -e /usr/sbin/policy-rc.d ]; then
            printf '#!/bin/sh\nexit 101\n' | as_root tee /usr/sbin/policy-rc.d > /dev/null
            as_root chmod +x /usr/sbin/policy-rc.d
            local policy=ours
        fi
        step "Installing ${want[*]}" as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "${want[@]}"
        [ "${policy:-}" = ours ] && as_root rm -f /usr/sbin/policy-rc.d
    fi
    ensure_node
}

# Composer and npm packages, when their lists changed since the last time.
ensure_libraries() {
    local stamp
    stamp=$(cksum < composer.json)
    if [ ! -f vendor/autoload.php ] || [ "$(cat "$RUN/composer.stamp" 2> /dev/null)" != "$stamp" ]; then
        mkdir -p bootstrap/cache
        step "Installing the PHP libraries" env COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --optimize-autoloader
        printf %s "$stamp" > "$RUN/composer.stamp"
    fi
    stamp=$(cat package.json package-lock.json 2> /dev/null | cksum)
    if [ ! -d node_modules/vite ] || [ "$(cat "$RUN/npm.stamp" 2> /dev/null)" != "$stamp" ]; then
        if [ -f package-lock.json ]; then
            step "Installing the browser libraries" npm ci --no-audit --no-fund
        else
            step "Installing the browser libraries" npm install --no-audit --no-fund
        fi
        stamp=$(cat package.json package-lock.json 2> /dev/null | cksum)
        printf %s "$stamp" > "$RUN/npm.stamp"
    fi
}

ensure_assets() {
    local stamp
    stamp=$(find resources/js resources/scss vite.config.js package.json -type f -print0 | sort -z | xargs -0 cat | cksum)
    if [ ! -f public/build/manifest.json ] || [ "$(cat "$RUN/assets.stamp" 2> /dev/null)" != "$stamp" ]; then
        step "Building styles and scripts" npm run build
        printf %s "$stamp" > "$RUN/assets.stamp"
    fi
}

# A private settings file with a random database password, kept from run to run.
ensure_env() {
    if [ ! -f .env ]; then
        say "Writing .env"
        local password
        password=$(php -r 'echo bin2hex(random_bytes(16));')
        (umask 077 && sed "s/^DB_PASSWORD=.*/DB_PASSWORD=$password/" .env.example > .env)
        step "Making the application key" php artisan key:generate --force
    fi
    # Mails that go nowhere were only logged once: now they are kept to be looked at.
    ! grep -q '^MAIL_MAILER=log$' .env || sed -i 's/^MAIL_MAILER=log$/MAIL_MAILER=outbox/' .env
}
env_value() { sed -n "s/^$1=//p" .env | tail -n 1 | tr -d '"'; }

# port_free PORT: nobody listens there on loopback.
port_free() { ! (exec 3<> "/dev/tcp/127.0.0.1/$1") 2> /dev/null; }

free_port() {
    local port=$1
    until port_free "$port"; do port=$((port + 1)); done
    printf %s "$port"
}

database_runs() {
    [ -f "$PIDFILE" ] && kill -0 "$(cat "$PIDFILE")" 2> /dev/null && mariadb-admin --socket="$SOCKET" ping > /dev/null 2>&1
}

# is_script PID: one of the project's scripts runs under this number.
is_script() { [ -n "${1:-}" ] && kill -0 "$1" 2> /dev/null && tr '\0' ' ' < "/proc/$1/cmdline" 2> /dev/null | grep -q 'bin/'; }

# lesser_account NAME: the account that a server may run as instead of root, where there is one that reaches this folder.
lesser_account() {
    if [ "$(id -u)" = 0 ] && id "$1" > /dev/null 2>&1 && command -v setpriv > /dev/null \
        && setpriv --reuid="$1" --regid="$1" --init-groups test -r "$ROOT/composer.json" 2> /dev/null; then
        printf %s "$1"
    else
        id -un
    fi
}

# The project's own MariaDB, on loopback, with its own data folder, port and socket, and not as root where that can be.
ensure_database_server() {
    ensure_env
    local account
    account=$(lesser_account mysql)
    if [ ! -d "$DATA/mysql" ]; then
        rm -rf "$DATA"
        mkdir -p "$DATA"
        chown "$account" "$DATA"
        step "Making the database folder" mariadb-install-db --no-defaults --user="$account" --datadir="$DATA" \
            --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db
    fi
    # A server that an earlier version of this script started keeps its number elsewhere.
    [ -f "$PIDFILE" ] || { [ -f "$RUN/mariadb.pid" ] && PIDFILE="$RUN/mariadb.pid"; }
    if database_runs; then
        DB_PORT=$(cat "$RUN/mariadb.port")
        # Nobody stops it any more who started it: so we do, when we are done.
        is_script "$(cat "$RUN/mariadb.owner" 2> /dev/null)" || adopt_database
    else
        PIDFILE="$DATA/mariadb.pid"
        rm -f "$RUN/mariadb.pid"
        start_database "$account"
    fi
    export DB_PORT
    # What is run by hand later finds the port too.
    [ "$(env_value DB_PORT)" = "$DB_PORT" ] || sed -i "s/^DB_PORT=.*/DB_PORT=$DB_PORT/" .env
}

adopt_database() {
    STARTED_DATABASE=$(cat "$PIDFILE")
    printf %s "$$" > "$RUN/mariadb.owner"
}

# start_database ACCOUNT [TRY]
start_database() {
    DB_PORT=${DB_PORT_FIXED:-$(free_port "$(env_value DB_PORT)")}
    rm -f "$SOCKET"
    [ "$(stat -c %U "$DATA")" = "$1" ] && [ "$(stat -c %U "$DATA/mysql")" = "$1" ] || chown -R "$1" "$DATA"
    say "Starting MariaDB on 127.0.0.1:$DB_PORT"
    setsid mariadbd --no-defaults --user="$1" --datadir="$DATA" --socket="$SOCKET" --pid-file="$PIDFILE" \
        --bind-address=127.0.0.1 --port="$DB_PORT" --skip-name-resolve --innodb-flush-log-at-trx-commit=1 \
        --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --sql-mode=TRADITIONAL \
        >> "$RUN/mariadb.log" 2>&1 < /dev/null &
    STARTED_DATABASE=$!
    printf %s "$DB_PORT" > "$RUN/mariadb.port"
    printf %s "$$" > "$RUN/mariadb.owner"
    local waited=0
    until mariadb-admin --socket="$SOCKET" ping > /dev/null 2>&1; do
        sleep 0.2
        waited=$((waited + 1))
        if ! kill -0 "$STARTED_DATABASE" 2> /dev/null; then
            # Somebody else took the port since it was found free: the next one, three times.
            if [ -z "${DB_PORT_FIXED:-}" ] && [ "${2:-1}" -lt 3 ] && tail -n 4 "$RUN/mariadb.log" | grep -q 'Address already in use'; then
                start_database "$1" $((${2:-1} + 1))
                return
            fi
            fail "Starting MariaDB" "See $RUN/mariadb.log"
        fi
        [ $waited -lt 150 ] || fail "Starting MariaDB" "It does not answer. See $RUN/mariadb.log"
    done
}

# ensure_database NAME: the database and the one account that may use it and those whose names begin so, from this machine only.
ensure_database() {
    local password
    password=$(env_value DB_PASSWORD)
    mariadb --socket="$SOCKET" >> "$LOG" 2>&1 << SQL || fail "Making the database $1"
CREATE DATABASE IF NOT EXISTS $1 CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'hidden_wire'@'127.0.0.1' IDENTIFIED BY '$password';
ALTER USER 'hidden_wire'@'127.0.0.1' IDENTIFIED BY '$password';
GRANT ALL ON \`$1%\`.* TO 'hidden_wire'@'127.0.0.1';
SQL
}

stop_database() {
    [ -n "$STARTED_DATABASE" ] || return 0
    kill "$STARTED_DATABASE" 2> /dev/null
    local waited=0
    while kill -0 "$STARTED_DATABASE" 2> /dev/null && [ $waited -lt 150 ]; do
        sleep 0.1
        waited=$((waited + 1))
    done
    STARTED_DATABASE=""
    rm -f "$SOCKET" "$RUN/mariadb.owner"
}

# end_leftovers: ends servers whose script is gone (ended by force), and deletes their settings.
end_leftovers() {
    local file group owner
    for file in "$RUN"/server-*.pid; do
        [ -f "$file" ] || continue
        read -r group owner < "$file"
        is_script "$owner" && continue
        if [ -n "$group" ] && tr '\0' ' ' < "/proc/$group/cmdline" 2> /dev/null | grep -q "$ROOT/bin/router.php"; then
            say "Ending a web server that was left running"
            kill -TERM -- "-$group" 2> /dev/null
            sleep 0.5
            kill -KILL -- "-$group" 2> /dev/null
        fi
        group=${file##*server-}
        rm -f "$file" "$RUN/config-${group%.pid}.php" "$RUN/routes-${group%.pid}.php"
    done
    for file in "$RUN"/config-*.php "$RUN"/routes-*.php; do
        group=${file##*-}
        [ -f "$RUN/server-${group%.php}.pid" ] || rm -f "$file"
    done
}

# serve PORT: PHP's own server with several workers, in a process group of its own, its group in SERVER, not as root where that can be.
serve() {
    end_leftovers
    # Settings and addresses are read once, for this server only, and hold secrets: for nobody else's eyes, and gone when it stops.
    local ready=(APP_CONFIG_CACHE="$RUN/config-$1.php" APP_ROUTES_CACHE="$RUN/routes-$1.php"
        QUEUE_CONNECTION=database DB_QUEUE_RETRY_AFTER=330 QUEUE_FAILED_DRIVER=null) as=() account
    rm -f "$RUN/config-$1.php" "$RUN/routes-$1.php"
    SERVED_PORT=$1
    step "Reading the settings" env "${ready[@]}" bash -c 'umask 077; php artisan config:cache && php artisan route:cache'
    account=$(lesser_account www-data)
    if [ "$account" != "$(id -un)" ]; then
        # Some archives of libraries hold files that only their owner may read.
        [ -z "$(find vendor -not -perm -o+r -print -quit)" ] || chmod -R o+rX vendor
        mkdir -p storage/framework/cache/data storage/framework/views storage/framework/sessions storage/logs storage/app/private
        chown -R "$account" storage/framework storage/logs storage/app "$RUN/config-$1.php" "$RUN/routes-$1.php"
        as=(setpriv --reuid="$account" --regid="$account" --init-groups)
    fi
    # Books are made by a worker of the same process group: it starts and ends with the server.
    # shellcheck disable=SC2016
    (cd public && PHP_CLI_SERVER_WORKERS=${WORKERS:-4} exec setsid env "${ready[@]}" "${as[@]}" bash -c '
        (cd .. && unset PHP_CLI_SERVER_WORKERS && exec php artisan queue:work database --sleep=1 --tries=1 --timeout=300) &
        exec php -d opcache.enable=1 -d variables_order=EGPCS -d expose_php=0 -d post_max_size=12M -d upload_max_filesize=10M \
            -S "127.0.0.1:$0" "$1/bin/router.php"' "$1" "$ROOT") >> "$RUN/server.log" 2>&1 < /dev/null &
    SERVER=$!
    printf '%s %s\n' "$SERVER" "$$" > "$RUN/server-$1.pid"
    local waited=0
    while port_free "$1"; do
        sleep 0.1
        waited=$((waited + 1))
        kill -0 "$SERVER" 2> /dev/null && [ $waited -lt 100 ] || fail "Starting the web server on port $1" "See $RUN/server.log"
    done
}

# watch_over: notices a database or web server that has died, a worker of it too, and starts it again. Ends when the script does.
watch_over() {
    local port=$SERVED_PORT
    while sleep 1; do
        if [ -n "$STARTED_DATABASE" ] && ! kill -0 "$STARTED_DATABASE" 2> /dev/null; then
            say "The database has stopped; starting it again"
            DB_PORT_FIXED=$DB_PORT start_database "$(lesser_account mysql)"
        fi
        if ! kill -0 "$SERVER" 2> /dev/null || [ "$(pgrep -c -g "$SERVER" php)" -le $((${WORKERS:-4} + 1)) ]; then
            say "The web server has lost a process; starting it again"
            stop_server
            serve "$port"
        fi
    done
}

stop_server() {
    [ -n "${SERVER:-}" ] || return 0
    kill -TERM -- "-$SERVER" 2> /dev/null
    wait "$SERVER" 2> /dev/null
    kill -KILL -- "-$SERVER" 2> /dev/null
    SERVER=""
    rm -f "$RUN/server-$SERVED_PORT.pid" "$RUN/config-$SERVED_PORT.php" "$RUN/routes-$SERVED_PORT.php"
}
