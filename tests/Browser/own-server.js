import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, openSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const WAIT_MS = 60000;

const freePort = () => new Promise((resolve) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
        const { port } = server.address();
        server.close(() => resolve(port));
    });
});
const until = async (what, check) => {
    const end = Date.now() + WAIT_MS;
    while (Date.now() < end) {
        if (await check()) return;
        await new Promise((resolve) => setTimeout(resolve, 150));
    }
    throw new Error(`${what} did not come up within ${WAIT_MS} ms`);
};
const works = (command, args) => {
    try {
        execFileSync(command, args, { stdio: 'ignore' });
        return true;
    } catch {
        return false;
    }
};

/** A database server and a web server of a test's own, so that it can kill the one and start it again without harm to anybody. */
export const ownServer = async () => {
    const folder = mkdtempSync(join(tmpdir(), 'relay-'));
    const data = join(folder, 'data');
    const socket = join(folder, 'db.sock');
    const [databasePort, webPort] = [await freePort(), await freePort()];
    const account = execFileSync('id', ['-un']).toString().trim();
    const log = openSync(join(folder, 'log'), 'a');
    execFileSync('mariadb-install-db', ['--no-defaults', `--user=${account}`, `--datadir=${data}`, '--auth-root-authentication-method=socket', `--auth-root-socket-user=${account}`, '--skip-test-db'], { stdio: 'ignore' });
    let database = null;
    const start = async () => {
        database = spawn('mariadbd', ['--no-defaults', `--user=${account}`, `--datadir=${data}`, `--socket=${socket}`, '--bind-address=127.0.0.1', `--port=${databasePort}`, '--skip-name-resolve', '--innodb-flush-log-at-trx-commit=1', '--sql-mode=TRADITIONAL'], { stdio: ['ignore', log, log] });
        await until('The database', () => works('mariadb-admin', [`--socket=${socket}`, 'ping']));
    };
    await start();
    execFileSync('mariadb', [`--socket=${socket}`, '-e', "CREATE DATABASE relay CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci; CREATE USER 'relay'@'127.0.0.1' IDENTIFIED BY 'relay'; GRANT ALL ON relay.* TO 'relay'@'127.0.0.1';"]);
    const url = `http://127.0.0.1:${webPort}`;
    const env = { ...process.env, APP_ENV: 'local', APP_DEBUG: 'false', APP_URL: url, DB_PORT: String(databasePort), DB_DATABASE: 'relay', DB_USERNAME: 'relay', DB_PASSWORD: 'relay', SESSION_DRIVER: 'database', CACHE_STORE: 'array', PHP_CLI_SERVER_WORKERS: '2' };
    const artisan = (...args) => execFileSync('php', ['artisan', ...args], { env }).toString();
    artisan('migrate', '--force', '--seed');
    const web = spawn('php', ['-S', `127.0.0.1:${webPort}`, '../bin/router.php'], { cwd: 'public', env, stdio: ['ignore', log, log], detached: true });
    await until('The web server', () => fetch(`${url}/sign-in`).then((answer) => answer.ok, () => false));
    const end = (child, signal) => new Promise((resolve) => {
        if (child.exitCode !== null || child.signalCode !== null) return resolve();
        child.once('exit', resolve);
        child.kill(signal);
    });
    return {
        url,
        start,
        kill: () => end(database, 'SIGKILL'),
        /** How many revisions there are, and whether each rig's rows are what its revision holds. */
        stored: () => JSON.parse(execFileSync('php', ['tests/Browser/stored.php'], { env }).toString()),
        stop: async () => {
            process.kill(-web.pid, 'SIGTERM');
            await end(database, 'SIGTERM');
            rmSync(folder, { recursive: true, force: true });
        },
    };
};
