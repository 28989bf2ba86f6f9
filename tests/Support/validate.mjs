// Validates rig documents by the published schemas, as somebody else's program would: lines of {name, document} on standard input, a line of
// {name, fault} for each on standard output; the fault is null where there is none.
import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import Ajv from 'ajv/dist/2020.js';

const ajv = new Ajv({ strict: true, strictRequired: false, strictTypes: false });
const validators = {};
const validatorOf = (version) => validators[version] ??= ajv.compile(JSON.parse(readFileSync(`docs/format/rig-${version}.schema.json`)));

for await (const line of createInterface({ input: process.stdin })) {
    const { name, document } = JSON.parse(line);
    const validate = validatorOf(document.version);
    const fault = validate(document) ? null : `${validate.errors[0].instancePath} ${validate.errors[0].message}`;
    console.log(JSON.stringify({ name, fault }));
}
