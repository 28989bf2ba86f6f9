// Draws QR codes under Node: reads a list of texts from standard input, writes a list of {size, path}: modules a side, and the dark ones as
// an SVG path. Error correction M, without a quiet zone.
import { create } from 'qrcode';

let text = '';
for await (const part of process.stdin) text += part;
const drawn = JSON.parse(text).map((one) => {
    const { modules } = create(one, { errorCorrectionLevel: 'M' });
    let path = '';
    for (let y = 0; y < modules.size; y++) {
        for (let x = 0; x < modules.size; x++) if (modules.get(y, x)) path += `M${x} ${y}h1v1h-1z`;
    }
    return { size: modules.size, path };
});
process.stdout.write(JSON.stringify(drawn));
