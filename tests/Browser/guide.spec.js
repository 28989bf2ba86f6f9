import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test, expect } from '@playwright/test';
import { copyOf, freePort } from './own-server.js';

/** Lines of a text that are commands, in their order. */
const commandsOf = (text) => text.split('\n').filter((line) => line.startsWith('    ')).map((line) => line.trim());

const bash = (script, folder) => new Promise((resolve) => {
    const env = { PATH: `${process.env.PATH}:/usr/sbin:/sbin`, HOME: process.env.HOME, LANG: 'C.UTF-8' };
    const child = spawn('bash', [script], { cwd: folder, env, stdio: ['ignore', 'pipe', 'pipe'] });
    let says = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => { says += part; });
    child.on('exit', (status) => resolve({ status, says }));
});

/**
 * What a machine has and a folder has not: packages, accounts, services. Each stand-in looks at what it is asked as far as that can be
 * seen here: packages are installed, units are sound, settings are read by the program that they are for.
 */
const standIns = ({ root, data, port }) => String.raw`
set -eu
root=${root}
data=${data}
mkdir -p "$root"/etc/nginx/sites-enabled "$root"/var/log "$data"
apt-get() {
    local one
    for one in "$@"; do case $one in install | -y) ;; nginx) dpkg -s nginx-light > /dev/null ;; *) dpkg -s "$one" > /dev/null 2>&1 || command -v "$one" > /dev/null ;; esac; done
}
useradd() { [ "$1 $2" = "--system --home-dir" ] && [ "$6" = hidden-wire ]; }
git() { [ "$1" = pull ]; }
chown() { local one; shift 2; for one in "$@"; do [ -e "$one" ]; done; }
mariadb() { command mariadb --no-defaults --socket="$data/database.sock" "$@"; }
nginx() {
    mkdir -p "$root/nginx"
    sed -e "s| /etc/ssl/| $root/etc/ssl/|; s| /var/log/| $root/var/log/|; s|listen \(\[::\]:\)*\(80\|443\)|listen 127.0.0.1:$((${port} + 1))|" "$root/etc/nginx/sites-enabled/hidden-wire" |
        awk '!/listen/ || !seen[$0]++' > "$root/nginx/site"
    printf 'pid %s/nginx/pid; error_log stderr; events {} http { include %s/nginx/site; }\n' "$root" "$root" > "$root/nginx/conf"
    command nginx -t -q -c "$root/nginx/conf"
}
php-fpm8.2() {
    sed -e "s/= hidden-wire$/= www-data/" "$root/etc/php/8.2/fpm/pool.d/hidden-wire.conf" > "$root/pool"
    printf '[global]\nerror_log = %s/fpm.log\ninclude = %s/pool\n' "$root" "$root" > "$root/fpm.conf"
    command php-fpm8.2 -t -y "$root/fpm.conf"
}
# It looks for the interface, which is another one here; a sound file ends it by its own signal, others with a number.
keepalived() {
    local file=$2
    file=$(printf %s "$file" | cut -d= -f2)
    sed -i 's/interface eth0/interface lo/' "$file"
    local ended=0
    command keepalived "$@" 2> "$root/keepalived" || ended=$?
    [ $ended = 0 ] || [ $ended = 143 ]
    ! grep -q 'Unknown keyword' "$root/keepalived"
}
systemctl() {
    local one asked=$1
    shift
    for one in "$@"; do
        case $one in
            --now | nginx | php8.2-fpm) continue ;;
            *.timer) ;;
            *) one=$one.service ;;
        esac
        [ -f "$root/etc/systemd/system/$one" ]
        systemd-analyze verify "$root/etc/systemd/system/$one"
        # What is started once is started.
        if [ "$asked $one" = "start hidden-wire-backup.service" ]; then
            bash -c "$(sed -n 's/^ExecStart=//p' "$root/etc/systemd/system/$one")"
        fi
    done
}
`;

test('each command of the guide does what it says, in an empty folder', async () => {
    test.setTimeout(600000);
    const folder = copyOf();
    const scratch = mkdtempSync(join(tmpdir(), 'guide-'));
    const [root, data] = [join(scratch, 'root'), join(scratch, 'database')];
    const port = await freePort();
    const commands = commandsOf(readFileSync('docs/servers.md', 'utf8'));
    expect(commands.length).toBeGreaterThan(50);
    // Where a machine's own folders are meant, it is those of the empty one.
    const here = (line) => line.replaceAll('/srv/hidden-wire', folder).replaceAll(/(?<![\w.}-])\/(etc|var)\//g, `${root}/$1/`);
    const script = join(scratch, 'guide.sh');
    writeFileSync(script, [
        standIns({ root, data, port }),
        // Debian's database, as root finds it on a machine.
        `command mariadb-install-db --no-defaults --user="$(id -un)" --datadir=${data}/files --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db > /dev/null`,
        `mariadbd --no-defaults --user="$(id -un)" --datadir=${data}/files --socket=${data}/database.sock --pid-file=${data}/pid --bind-address=127.0.0.1 --port=${port} --skip-name-resolve > ${data}/log 2>&1 &`,
        'trap "kill $! 2> /dev/null; wait $! || true" EXIT',
        'for i in $(seq 600); do mariadb -e "SELECT 1" > /dev/null 2>&1 && break; sleep 0.1; done',
        ...commands.flatMap((line) => [`echo ${JSON.stringify(`+ ${line}`).replaceAll('$', '\\$').replaceAll('`', '\\`')}`, here(line),
            // The scratch database listens elsewhere, and no TLS is between two programs on one machine.
            ...(line.startsWith('php artisan migrate') ? ['APP_DEMO=true php artisan db:seed --force'] : []),
            ...(line.startsWith('cp deploy/env') ? [`sed -i 's/^DB_PORT=.*/DB_PORT=${port}/' .env`, 'echo DB_SOCKET= >> .env'] : [])]),
        'for setting in deploy-database/etc/mysql/mariadb.conf.d/*.cnf; do command mariadbd --defaults-file=$setting --wsrep-provider=none --help --verbose > /dev/null; done',
        'logrotate --debug --state=/dev/null deploy/etc/logrotate.d/hidden-wire',
        'echo all done',
    ].join('\n'));
    try {
        const { status, says } = await bash(script, folder);
        expect(says).toContain('all done');
        expect(status, says).toBe(0);
        expect(says).toContain('3 rigs of 1 accounts are back');
        expect(says).not.toMatch(/^urgent/m);
        expect(existsSync(join(folder, 'bootstrap/cache/catalogue.php'))).toBe(true);
    } finally {
        rmSync(folder, { recursive: true, force: true });
        rmSync(scratch, { recursive: true, force: true });
    }
});
