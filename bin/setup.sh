# What bin/start, bin/test and bin/bench share: finding what is missing on a Debian machine, and the project's own
# MariaDB. Sourced, never run. Every step says in one plain line what it does; a failure names the step and where to look.

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT" || exit 1
# Servers are in there, where only root's commands are looked for.
PATH="$PATH:/usr/sbin:/sbin"
RUN="$ROOT/storage/run"
DATA="$ROOT/storage/mariadb"
SCRIPT=$(basename "$0")
LOG="$RUN/$SCRIPT.log"
SHORT="/tmp/hidden-wire-$(printf %s "$ROOT" | cksum | cut -d' ' -f1)"
SOCKET="$SHORT.sock"
PIDFILE="$DATA/mariadb.pid"
STARTED_DATABASE=""
SERVER=""
mkdir -p "$RUN"

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

# alone_here: this script runs once in this folder, until it ends; a second one says so, and touches nothing.
alone_here() {
    exec 9>> "$RUN/$SCRIPT.lock"
    if ! flock -n 9; then
        local process where
        { read -r process; read -r where; } < "$RUN/$SCRIPT.lock"
        printf '  bin/%s\n' "$SCRIPT runs here already (process ${process:-unknown}), ${where:-and is setting up}. Nothing was changed."
        exit 1
    fi
    printf '%s\n' $$ > "$RUN/$SCRIPT.lock"
    : > "$LOG"
}

# set_up: one script at a time installs, migrates, builds; the next one waits here. done_setting_up lets it in.
set_up() {
    exec 8>> "$RUN/setup.lock"
    flock -n 8 && return
    say "Waiting for another script that sets up here"
    flock 8
}
done_setting_up() { flock -u 8; }

as_root() {
    if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi
}

# node_is_new: the Node.js that answers is one that the build takes, and its npm reads our lock file.
node_is_new() {
    local npm
    npm=$(npm --version 2> /dev/null) && [ "${npm%%.*}" -ge 10 ] && command -v node > /dev/null && node -e 'const [major, minor] = process.versions.node.split(".").map(Number);
        process.exit(major > 22 || (major === 22 && minor >= 12) || (major === 20 && minor >= 19) ? 0 : 1)' 2> /dev/null
}

# A Node.js that is new enough: the machine's own, else one from the npm registry in bin/node (Debian's is too old for the build).
ensure_node() {
    local own
    node_is_new && return 0
    if [ ! -x "$ROOT/bin/node/node_modules/.bin/npm" ] || ! compgen -G "$ROOT/bin/node/node_modules/node-linux-*/bin/node" > /dev/null; then
        step "Installing a newer Node.js" npm ci --prefix "$ROOT/bin/node" --no-audit --no-fund
    fi
    own=$(compgen -G "$ROOT/bin/node/node_modules/node-linux-*/bin" | head -n 1)
    [ -n "$own" ] && export PATH="$own:$ROOT/bin/node/node_modules/.bin:$PATH"
    hash -r
    node_is_new || fail "Looking for Node.js" "Node.js 20.19 or newer is needed with npm 10 or newer, and none comes for this kind of machine ($(uname -m))."
}

# Debian's packages start services of their own, with their own data, and start others again. A policy file forbids both while we
# install; one that was there before stays.
POLICY=/usr/sbin/policy-rc.d
OUR_POLICY=""
keep_from_starting() {
    [ ! -e "$POLICY" ] || return 0
    printf '#!/bin/sh\nexit 101\n' | as_root tee "$POLICY" > /dev/null
    as_root chmod +x "$POLICY"
    OUR_POLICY=yes
}
let_start() {
    [ -z "$OUR_POLICY" ] || as_root rm -f "$POLICY"
    OUR_POLICY=""
}
# never_start PACKAGE...: the services of packages that we have just installed don't start with the machine either.
never_start() {
    local package service
    for package in "$@"; do
        case $package in
            mariadb-server) service=mariadb ;;
            nginx-light) service=nginx ;;
            php*-fpm | supervisor) service=$package ;;
            *) continue ;;
        esac
        say "Leaving Debian's own service $service switched off"
        if command -v systemctl > /dev/null; then
            as_root systemctl disable "$service.service" >> "$LOG" 2>&1
            # Where systemd runs and something has started it all the same.
            [ ! -d /run/systemd/system ] || as_root systemctl stop "$service.service" >> "$LOG" 2>&1
        else
            as_root update-rc.d "$service" disable >> "$LOG" 2>&1
        fi
    done
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
    for extension in mbstring:mbstring xml:xml pdo_mysql:mysql curl:curl zip:zip gd:gd intl:intl igbinary:igbinary; do
        grep -qix "${extension%%:*}" <<< "$modules" || want+=("php$version-${extension##*:}")
    done
    [ -x /usr/sbin/mariadbd ] || want+=(mariadb-server)
    # What serves, and what keeps it alive.
    [ -x /usr/sbin/nginx ] || want+=(nginx-light)
    [ -x "/usr/sbin/php-fpm$version" ] || want+=("php$version-fpm")
    [ -x /usr/bin/supervisord ] || want+=(supervisor)
    command -v pgrep > /dev/null || want+=(procps)
    # Sets books and labels on paper, in a box, and tells on which page what stands.
    [ -x /usr/bin/chromium-headless-shell ] || want+=(chromium-headless-shell)
    [ -x /usr/bin/bwrap ] || want+=(bubblewrap)
    command -v pdfinfo > /dev/null || want+=(poppler-utils)
    # Reads recordings that are no WAV.
    command -v ffmpeg > /dev/null || want+=(ffmpeg)
    # Draws maps as PNG.
    command -v rsvg-convert > /dev/null || want+=(librsvg2-bin)
    if [ "${1:-}" = with-cluster ]; then
        [ -e /usr/lib/galera/libgalera_smm.so ] || want+=(galera-4)
        command -v rsync > /dev/null || want+=(rsync)
        command -v socat > /dev/null || want+=(socat)
    elif [ -n "${1:-}" ]; then
        # Read what the tests have written: graphs, XML.
        command -v dot > /dev/null || want+=(graphviz)
        command -v xmllint > /dev/null || want+=(libxml2-utils)
        # Read the settings that bin/deploy writes.
        command -v systemd-analyze > /dev/null || want+=(systemd)
        [ -x /usr/sbin/logrotate ] || want+=(logrotate)
        [ -x /usr/sbin/keepalived ] || want+=(keepalived)
    fi
    if [ "${1:-}" = with-browser ]; then
        [ -x /usr/bin/chromium ] || want+=(chromium)
    fi
    if [ ${#want[@]} -gt 0 ]; then
        [ "$(id -u)" = 0 ] || sudo -n true 2> /dev/null || fail "Installing ${want[*]}" "Run as root: apt-get install ${want[*]}"
        step "Reading Debian's package lists" as_root apt-get update
        keep_from_starting
        say "Installing ${want[*]}"
        as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "${want[@]}" >> "$LOG" 2>&1
        local result=$?
        let_start
        [ $result = 0 ] || fail "Installing ${want[*]}" "The command was: apt-get install ${want[*]}"
        never_start "${want[@]}"
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
    php bin/pins.php > "$LOG.pins" || { cat "$LOG.pins" >> "$LOG"; fail "Checking the versions of the PHP libraries"; }
    rm -f "$LOG.pins"
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
is_script() { [ -n "${1:-}" ] && kill -0 "$1" 2> /dev/null && tr '\0' ' ' 2> /dev/null < "/proc/$1/cmdline" | grep -q 'bin/'; }

# lesser_account NAME: the account that a server may run as instead of root, where there is one that reaches this folder.
lesser_account() {
    if [ "$(id -u)" = 0 ] && id "$1" > /dev/null 2>&1 && command -v setpriv > /dev/null \
        && setpriv --reuid="$1" --regid="$1" --init-groups test -r "$ROOT/composer.json" 2> /dev/null; then
        printf %s "$1"
    else
        id -un
    fi
}
# as_account NAME: what stands before a command that is to run as that account; nothing where we are it.
as_account() { [ "$1" = "$(id -un)" ] || printf 'setpriv --reuid=%s --regid=%s --init-groups ' "$1" "$1"; }

# fill TEMPLATE NAME VALUE...: a file of bin/serve with its {{names}} filled in.
fill() {
    local text
    text=$(< "$ROOT/bin/serve/$1")
    shift
    while [ $# -gt 1 ]; do
        text=${text//"{{$1}}"/"$2"}
        shift 2
    done
    printf '%s\n' "$text"
}

# supervise NAME PROGRAMS: starts a supervisor with these programs, given as its settings, and leaves its number in SUPERVISOR. What is in
# SUPERVISED (NAME=value each) is in their environment.
SUPERVISED=()
supervise() {
    local settings="$RUN/supervisor-$1.conf" user=""
    [ "$(id -u)" != 0 ] || user=user=root
    { fill supervisor.conf root "$ROOT" run "$RUN" name "$1" socket "$SHORT-$1.ctl" user "$user"; printf '%s\n' "$2"; } > "$settings"
    supervise_again "$1"
}

# supervise_again NAME: a supervisor that was killed, by the settings that it had.
supervise_again() {
    # Nothing that goes on after us may hold what we have locked.
    setsid env "${SUPERVISED[@]}" supervisord -c "$RUN/supervisor-$1.conf" >> "$RUN/supervisor-$1.log" 2>&1 < /dev/null 8>&- 9>&- &
    SUPERVISOR=$!
    # Whoever watches over it says what has died.
    disown "$SUPERVISOR"
    printf '%s\n%s\n' "$SUPERVISOR" $$ > "$RUN/supervisor-$1.owner"
}

# end_supervisor NAME: ends the supervisor of that name and all that it keeps alive; what was left behind by one that was killed, too.
end_supervisor() {
    local file="$RUN/supervisor-$1.owner" process="" waited=0 group
    [ ! -f "$file" ] || read -r process < "$file"
    if [ -n "$process" ] && [ -r "/proc/$process/cmdline" ] && tr '\0' ' ' 2> /dev/null < "/proc/$process/cmdline" | grep -qF "$RUN/supervisor-$1.conf"; then
        kill -TERM "$process" 2> /dev/null
        while kill -0 "$process" 2> /dev/null && [ $waited -lt 700 ]; do
            # It is ours or somebody else's child: one that has ended is no longer there for us.
            [ "$(ps -o stat= -p "$process" 2> /dev/null | cut -c1)" != Z ] || break
            sleep 0.1
            waited=$((waited + 1))
        done
        kill -KILL "$process" 2> /dev/null
    fi
    for group in "$RUN/$1"/*.group; do
        [ -f "$group" ] && "$ROOT/bin/serve/alone" "$group" true
    done
    rm -rf "${RUN:?}/$1" "$file" "$RUN/supervisor-$1.conf" "$SHORT-$1.ctl"
}

# end_leftovers: ends what was left running by scripts that were ended by force.
end_leftovers() {
    local file process owner name
    for file in "$RUN"/supervisor-*.owner; do
        [ -f "$file" ] || continue
        { read -r process; read -r owner; } < "$file"
        is_script "$owner" && continue
        name=${file##*/supervisor-}
        say "Ending what an earlier run has left: ${name%.owner}"
        end_supervisor "${name%.owner}"
    done
}

# The project's own MariaDB, on loopback, with its own data folder, port and socket, and not as root where that can be.
ensure_database_server() {
    ensure_env
    end_leftovers
    local account
    account=$(lesser_account mysql)
    if [ ! -d "$DATA/mysql" ]; then
        rm -rf "$DATA"
        mkdir -p "$DATA"
        chown "$account" "$DATA"
        step "Making the database folder" mariadb-install-db --no-defaults --user="$account" --datadir="$DATA" \
            --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db
    fi
    if database_runs; then
        DB_PORT=$(cat "$RUN/mariadb.port")
    else
        start_database "$account"
    fi
    export DB_PORT
    # What is run by hand later finds the port too.
    [ "$(env_value DB_PORT)" = "$DB_PORT" ] || sed -i "s/^DB_PORT=.*/DB_PORT=$DB_PORT/" .env
}

# log_folder: where the database logs every change, if DB_LOG_DAYS says that it does; best on another disk.
log_folder() {
    local folder
    folder=$(env_value DB_LOG_FOLDER)
    printf %s "${folder:-$ROOT/storage/mariadb-log}"
}

# start_database ACCOUNT [TRY]
start_database() {
    DB_PORT=${DB_PORT_FIXED:-$(free_port "$(env_value DB_PORT)")}
    rm -f "$SOCKET"
    [ "$(stat -c %U "$DATA")" = "$1" ] && [ "$(stat -c %U "$DATA/mysql")" = "$1" ] || chown -R "$1" "$DATA"
    say "Starting MariaDB on 127.0.0.1:$DB_PORT"
    mkdir -p "$RUN/database"
    local days log=""
    days=$(env_value DB_LOG_DAYS)
    if [ -n "$days" ]; then
        [[ $days =~ ^[0-9]+$ ]] || fail "Starting MariaDB" "DB_LOG_DAYS in .env is a number of days, or empty."
        mkdir -p "$(log_folder)" && chown "$1" "$(log_folder)" || fail "Starting MariaDB" "The log's folder $(log_folder) can't be made."
        log=" --log-bin=$(log_folder)/changes --binlog-format=ROW --sync-binlog=1 --server-id=1 --expire-logs-days=$days"
    fi
    local before=0
    [ ! -f "$RUN/mariadb.log" ] || before=$(wc -l < "$RUN/mariadb.log")
    supervise database "$(fill database.conf root "$ROOT" run "$RUN" folder "$RUN/database" data "$DATA" socket "$SOCKET" port "$DB_PORT" \
        log "$log" as "$(as_account "$1")")"
    STARTED_DATABASE=$SUPERVISOR
    printf %s "$DB_PORT" > "$RUN/mariadb.port"
    local waited=0
    until mariadb-admin --socket="$SOCKET" ping > /dev/null 2>&1; do
        sleep 0.2
        waited=$((waited + 1))
        # Somebody else took the port since it was found free: the next one, three times.
        if tail -n "+$((before + 1))" "$RUN/mariadb.log" 2> /dev/null | grep -q 'Address already in use'; then
            end_supervisor database
            [ -z "${DB_PORT_FIXED:-}" ] && [ "${2:-1}" -lt 3 ] || fail "Starting MariaDB" "Port $DB_PORT is taken. See $RUN/mariadb.log"
            start_database "$1" $((${2:-1} + 1))
            return
        fi
        [ $waited -lt 300 ] && kill -0 "$STARTED_DATABASE" 2> /dev/null || fail "Starting MariaDB" "It does not answer. See $RUN/mariadb.log"
    done
}

# at_database: how clients of the database are told where it is, in CLIENT: by the socket of the project's own, which is started where it
# does not run; or as .env has it, where the database is a service of its own.
at_database() {
    OWN_DATABASE=yes
    if ! is_elsewhere; then
        ensure_database_server
        CLIENT=(--socket="$SOCKET")
        return
    fi
    OWN_DATABASE=""
    local host
    for host in $(env_value DB_HOST | tr , ' '); do
        (umask 077 && printf '[client]\nhost="%s"\nport=%s\nuser="%s"\npassword="%s"\n' "$host" "$(env_value DB_PORT)" \
            "$(env_value DB_USERNAME)" "$(env_value DB_PASSWORD)" > "$RUN/client.cnf")
        CLIENT=(--defaults-extra-file="$RUN/client.cnf")
        mariadb "${CLIENT[@]}" --connect-timeout=5 -e 'SELECT 1' > /dev/null 2>> "$LOG" && return
    done
    fail "Asking the database" "It does not answer at $(env_value DB_HOST), port $(env_value DB_PORT), with the account in .env."
}
# is_elsewhere: .env names a database that is a service of its own.
is_elsewhere() { [ ! -d "$DATA/mysql" ] && [ -f .env ] && [ "$(env_value APP_ENV)" = production ]; }

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
    end_supervisor database
    STARTED_DATABASE=""
    rm -f "$SOCKET"
}

# serve PORT: nginx and PHP's workers, and one that makes in the background what takes long; not as root where that can be.
serve() {
    local name="server-$1" folder="$RUN/server-$1" account version user="" owner="" socket
    end_supervisor "$name"
    mkdir -p "$folder/temporary" "$folder/compiled"
    # Read as code, and the settings are in it.
    chmod 700 "$folder/compiled"
    SERVED_PORT=$1
    # Settings and addresses are read once, for this server only, and hold secrets: for nobody else's eyes, and gone when it stops.
    SUPERVISED=(APP_CONFIG_CACHE="$folder/config.php" APP_ROUTES_CACHE="$folder/routes.php")
    # One of several web servers on this machine lets the others go first.
    step "Reading the settings" ${APP_NODE:+nice -n 19} env "${SUPERVISED[@]}" \
        QUEUE_CONNECTION=database DB_QUEUE_RETRY_AFTER=330 QUEUE_FAILED_DRIVER=null \
        bash -c 'umask 077; php artisan config:cache && php artisan route:cache && php artisan view:cache && php artisan catalogue:cache'
    account=$(lesser_account www-data)
    mkdir -p "${CACHE_PATH:-storage/framework/cache/data}" storage/framework/{cache/data,views,sessions,print} storage/logs storage/app/private
    if [ "$account" != "$(id -un)" ]; then
        # Some archives of libraries hold files that only their owner may read.
        [ -z "$(find vendor -not -perm -o+r -print -quit)" ] || chmod -R o+rX vendor
        chown -R "$account" storage/framework storage/logs storage/app ${CACHE_PATH:+"$CACHE_PATH" "$VIEW_COMPILED_PATH"} \
            "$folder/config.php" "$folder/routes.php" "$folder/catalogue.php" "$folder/temporary" "$folder/compiled"
    fi
    if [ "$(id -u)" = 0 ]; then
        user="user = $account"$'\n'"group = $account"
        owner="listen.owner = $account"$'\n'"listen.group = $account"
    fi
    # The name of a socket has 107 bytes at most.
    socket="$folder/php.sock"
    [ ${#socket} -le 100 ] || socket="$SHORT-$1.php"
    version=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')
    fill php-fpm.conf pool "$(fill pool.conf root "$ROOT" socket "$socket" user "$user" owner "$owner" workers "${WORKERS:-4}")" \
        > "$folder/php-fpm.conf"
    [ "$(id -u)" = 0 ] && user="user $account $account;" || user=""
    fill nginx.conf folder "$folder" user "$user" site "$(fill site.conf root "$ROOT" socket "$socket" name _ \
        listen "listen 127.0.0.1:$1;" listens_on 127.0.0.1)" > "$folder/nginx.conf"
    supervise "$name" "$(fill server.conf root "$ROOT" run "$RUN" folder "$folder" socket "$socket" version "$version" \
        as "$(as_account "$account")" queues "default${APP_NODE:+,node-$APP_NODE}" nice "${APP_NODE:+nice -n 10 }")"
    await_server "$1"
}

# serve_again PORT: a server that was killed, with the settings that it has read: what it computed and compiled is there still.
serve_again() {
    SUPERVISED=(APP_CONFIG_CACHE="$RUN/server-$1/config.php" APP_ROUTES_CACHE="$RUN/server-$1/routes.php")
    supervise_again "server-$1"
    await_server "$1"
}

# await_server PORT: until what was just started answers there.
await_server() {
    local waited=0
    SERVER=$SUPERVISOR
    SUPERVISED=()
    until answers "$1"; do
        sleep 0.1
        waited=$((waited + 1))
        kill -0 "$SERVER" 2> /dev/null && [ $waited -lt 300 ] || fail "Starting the web server on port $1" "See $RUN/web.log and $RUN/server.log"
    done
}

# answers PORT: the application itself answers there.
answers() {
    local status
    { exec 7<> "/dev/tcp/127.0.0.1/$1"; } 2> /dev/null || return 1
    printf 'GET /up HTTP/1.0\r\nHost: 127.0.0.1:%s\r\n\r\n' "$1" >&7
    read -r -t 20 _ status _ <&7
    exec 7>&-
    case ${status:-500} in 5??) return 1 ;; esac
}

# watch_over: supervisors start again what dies; this starts supervisors again, and a database whose own script has ended.
watch_over() {
    local port=$SERVED_PORT
    while sleep 1; do
        if [ -n "$STARTED_DATABASE" ] && ! kill -0 "$STARTED_DATABASE" 2> /dev/null; then
            say "What keeps the database alive has died; starting it again"
            end_supervisor database
            DB_PORT_FIXED=$DB_PORT start_database "$(lesser_account mysql)"
        elif [ -z "$STARTED_DATABASE" ] && [ ! -f "$RUN/supervisor-database.owner" ]; then
            say "Whoever started the database has stopped it; starting it again"
            DB_PORT_FIXED=$DB_PORT start_database "$(lesser_account mysql)"
        fi
        if ! kill -0 "$SERVER" 2> /dev/null; then
            say "What keeps the web server alive has died; starting it again"
            serve "$port"
        fi
    done
}

stop_server() {
    [ -n "$SERVER" ] || return 0
    end_supervisor "server-$SERVED_PORT"
    SERVER=""
}

# stop_all: before a script ends, however it ends.
stop_all() {
    trap - EXIT INT TERM
    let_start
    stop_server
    stop_database
}
trap stop_all EXIT
trap 'exit 130' INT TERM
