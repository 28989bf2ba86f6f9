// People at a server, as the benches need them: one connection each, signed in as the demo account.
import { Agent, request } from 'node:http';
import { gunzipSync } from 'node:zlib';

const agent = new Agent({ keepAlive: true, maxSockets: 400 });

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
export const tokenOf = (page) => page.match(/name="csrf-token" content="([^"]+)"/)[1];
export const revisionOf = (page) => page.match(/data-revision="(\d+)"/)[1];

/**
 * One request, to the last byte.
 *
 * @param person what keeps the cookie
 * @param form fields, or text of another kind with its type in the headers; null for a GET
 */
export const ask = (base, person, path, form = null, headers = {}) => new Promise((resolve, reject) => {
    const begun = performance.now();
    const body = form === null || typeof form === 'string' ? form : new URLSearchParams(form).toString();
    const sent = request(new URL(path, base), { agent, method: body === null ? 'GET' : 'POST', headers: {
        Accept: 'text/html', 'Accept-Encoding': 'gzip', ...(person.cookie ? { Cookie: person.cookie } : {}),
        ...(body === null ? {} : { 'Content-Type': 'application/x-www-form-urlencoded', 'Content-Length': Buffer.byteLength(body) }), ...headers,
    } }, (answer) => {
        const parts = [];
        answer.on('data', (part) => parts.push(part));
        // A server that dies in the middle of an answer has not answered.
        answer.on('error', reject);
        answer.on('end', () => {
            const cookie = answer.headers['set-cookie']?.[0]?.split(';')[0];
            if (cookie) person.cookie = cookie;
            const bytes = Buffer.concat(parts);
            resolve({ status: answer.statusCode, ms: performance.now() - begun, location: answer.headers.location,
                text: () => (answer.headers['content-encoding'] === 'gzip' ? gunzipSync(bytes) : bytes).toString() });
        });
    });
    sent.on('error', reject);
    sent.end(body);
});

export const signIn = async (base) => {
    const person = {};
    const token = tokenOf((await ask(base, person, '/sign-in')).text());
    const answer = await ask(base, person, '/sign-in', { _token: token, email: 'demo@hidden-wire.test', password: 'night-relay' });
    if (answer.status !== 302) throw new Error(`Sign-in answered ${answer.status}.`);
    return person;
};

/** The number of the demo account's rig of that name. */
export const rigNamed = async (base, person, name) => {
    const home = (await ask(base, person, '/')).text();
    for (const id of new Set([...home.matchAll(/href="[^"]*\/rigs\/(\d+)\/wiring"/g)].map(([, one]) => one))) {
        if ((await ask(base, person, `/rigs/${id}/history`)).text().includes(`<h1>${name}</h1>`)) return id;
    }
    throw new Error(`There is no rig ${name}.`);
};

/** Imports a document; the number of the new rig. */
export const importRig = async (base, person, document) => {
    const token = tokenOf((await ask(base, person, '/')).text());
    const boundary = `b${Math.random().toString(36).slice(2)}`;
    const part = (head, value) => `--${boundary}\r\nContent-Disposition: form-data; ${head}\r\n\r\n${value}\r\n`;
    const answer = await ask(base, person, '/rigs', `${part('name="_token"', token)}${part('name="document"; filename="rig.json"\r\nContent-Type: application/json', document)}--${boundary}--\r\n`,
        { 'Content-Type': `multipart/form-data; boundary=${boundary}` });
    const made = answer.location?.match(/rigs\/(\d+)/);
    if (!made) throw new Error(`The import answered ${answer.status}.`);
    return made[1];
};
