// Lays maps out under Node: reads {name: structure} from standard input, writes {name: geometry}.
import ELK from 'elkjs';
import { layOutMap } from './lay-out-map.js';

let text = '';
for await (const part of process.stdin) text += part;
const elk = new ELK();
const answers = {};
for (const [name, structure] of Object.entries(JSON.parse(text))) answers[name] = await layOutMap(structure, elk);
process.stdout.write(JSON.stringify(answers));
