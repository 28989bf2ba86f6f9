// Imports a document for the demo account, and prints the number of the new rig: `import.mjs ADDRESS FILE`.
import { readFileSync } from 'node:fs';
import { importRig, signIn } from './people.mjs';

const base = process.argv[2];
console.log(await importRig(base, await signIn(base), readFileSync(process.argv[3], 'utf8')));
