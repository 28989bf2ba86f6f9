import { execFileSync, spawn } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, openSync, readFileSync, readdirSync, rmSync, statSync, symlinkSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

/** How long a slow machine may take. */
const WAIT_MS = 120000;

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
export const freePort = () => new Promise((resolve) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
        const { port } = server.address();
        server.close(() => resolve(port));
    });
});

/** Comes back once the check holds, with what it gave and after how many milliseconds. */
export const until = async (what, check) => {
    const begun = Date.now();
    while (Date.now() - begun < WAIT_MS) {
        const is = await check();
        if (is) return { is, after: Date.now() - begun };
        await wait(50);
    }
    throw new Error(`${what}: not within ${WAIT_MS} ms`);
};

/** The processes whose command line has all of these words, by number. */
const processes = (...words) => readdirSync('/proc').filter((one) => /^\d+$/.test(one)).filter((one) => {
    try {
        const line = readFileSync(`/proc/${one}/cmdline`, 'utf8').replaceAll('\0', ' ');
        return words.every((word) => line.includes(word));
    } catch {
        return false;
    }
}).map(Number);
const childrenOf = (parent) => {
    try {
        return execFileSync('pgrep', ['-P', String(parent)]).toString().trim().split('\n').map(Number);
    } catch {
        return [];
    }
};

// Only what is the same in every copy is shared; what is written is the copy's own.
export const copyOf = (from = process.cwd()) => {
    mkdirSync(join(from, 'storage/run'), { recursive: true });
    const folder = mkdtempSync(join(from, 'storage/run/copy-'));
    execFileSync('chmod', ['755', folder]);
    for (const name of readdirSync(from)) {
        if (['storage', '.git', '.env', 'test-results'].includes(name)) continue;
        if (name === 'node_modules') symlinkSync(join(from, name), join(folder, name));
        else execFileSync('cp', ['-al', join(from, name), join(folder, name)]);
    }
    for (const name of ['framework/views', 'framework/sessions', 'framework/cache/data', 'logs', 'app/private', 'run']) {
        mkdirSync(join(folder, 'storage', name), { recursive: true });
    }
    for (const name of ['composer.stamp', 'npm.stamp', 'assets.stamp']) {
        if (existsSync(join(from, 'storage/run', name))) cpSync(join(from, 'storage/run', name), join(folder, 'storage/run', name));
    }
    return folder;
};

/**
 * A whole Hidden Wire of a test's own, begun by bin/start in a copy of this folder, so that the test can kill parts of it without harm to
 * anybody.
 */
export const ownServer = async (folder = copyOf()) => {
    const port = await freePort();
    const out = join(folder, 'storage/run/start.out');
    const log = openSync(out, 'a');
    const env = { PATH: process.env.PATH, HOME: process.env.HOME, LANG: 'C.UTF-8' };
    const script = spawn('bin/start', [`--port=${port}`], { cwd: folder, env, stdio: ['ignore', log, log], detached: true });
    const says = () => readFileSync(out, 'utf8');
    const supervisor = (name) => Number(readFileSync(join(folder, `storage/run/supervisor-${name}.owner`), 'utf8').split('\n')[0]);
    const child = (name, ...words) => {
        const all = processes(...words);
        return childrenOf(supervisor(name)).filter((one) => all.includes(one))[0];
    };
    const answers = async (path = '/sign-in') => (await fetch(`${url}${path}`).catch(() => null))?.status === 200;
    const url = `http://127.0.0.1:${port}`;
    const stop = async () => {
        if (script.exitCode === null) {
            const ended = new Promise((resolve) => script.once('exit', resolve));
            process.kill(script.pid, 'SIGTERM');
            await ended;
        }
        rmSync(folder, { recursive: true, force: true });
    };
    try {
        await until(`bin/start: ${folder}`, () => says().includes('Ready:') || script.exitCode !== null);
        if (!says().includes('Ready:')) throw new Error(says());
    } catch (error) {
        await stop();
        throw error;
    }
    // Its own supervisor would start it again at once.
    const kill = async () => {
        process.kill(supervisor('database'), 'SIGSTOP');
        const database = child('database', 'mariadbd');
        process.kill(database, 'SIGKILL');
        await until('The database is dead', () => readFileSync(`/proc/${database}/stat`, 'utf8').includes(') Z'));
    };
    const start = async () => {
        process.kill(supervisor('database'), 'SIGCONT');
        return until('The database', () => answers());
    };
    const compiledIn = join(folder, `storage/run/server-${port}/compiled`);
    return {
        url,
        folder,
        says,
        /** Kills the database; it stays away until start(). */
        kill,
        start,
        stop,
        answers,
        /** PHP's workers, the master, the web server, the queue of what takes long: their numbers. */
        workers: () => childrenOf(child('server-' + port, 'php-fpm')),
        php: () => child(`server-${port}`, 'php-fpm'),
        compiledIn,
        /** What they have compiled: when each file was written, by its path in that folder. */
        compiled: () => Object.fromEntries(readdirSync(compiledIn, { recursive: true }).filter((one) => one.endsWith('.bin'))
            .map((one) => [one, statSync(join(compiledIn, one)).mtimeMs])),
        web: () => child(`server-${port}`, 'nginx'),
        queue: () => child(`server-${port}`, 'queue:work', '--timeout=300'),
        run: (...command) => {
            const ran = { status: 0, says: '' };
            try {
                ran.says = execFileSync(command[0], command.slice(1), { cwd: folder, env, stdio: ['ignore', 'pipe', 'pipe'] }).toString();
            } catch (error) {
                ran.status = error.status;
                ran.says = `${error.stdout}${error.stderr}`;
            }
            return ran;
        },
        /** How many revisions there are, and whether each rig's rows are what its revision holds. */
        stored: () => JSON.parse(execFileSync('php', ['tests/Browser/stored.php'], { cwd: folder, env }).toString()),
    };
};
