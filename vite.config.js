import { readdirSync, readFileSync } from 'node:fs';
import { defineConfig } from 'vite';
import laravel from 'laravel-vite-plugin';

/** The licences of what is sent to the browser go with it. */
const licences = {
    name: 'licences',
    generateBundle() {
        const sent = JSON.parse(readFileSync('package.json', 'utf8')).sentToBrowsers;
        const texts = sent.map((name) => {
            const folder = `node_modules/${name}`;
            const about = JSON.parse(readFileSync(`${folder}/package.json`, 'utf8'));
            const file = readdirSync(folder).find((one) => /^licen[cs]e/i.test(one));
            const author = about.author?.name ?? about.author ?? '';
            return `${name} ${about.version}\nLicence: ${about.license}${author ? `\nBy ${author}` : ''}\n\n`
                + (file ? readFileSync(`${folder}/${file}`, 'utf8') : '');
        });
        this.emitFile({ type: 'asset', fileName: 'licences.txt', source: texts.join(`\n${'-'.repeat(100)}\n\n`) });
    },
};

/** The faces of what is printed, by weight: those of the page, and plain ones for other scripts and for emoji. */
const PRINTED = {
    barlow: [400, 600], 'barlow-semi-condensed': [400, 600], 'noto-sans': [400, 700], 'noto-sans-arabic': [400], 'noto-sans-hebrew': [400],
    'noto-sans-thai': [400], 'noto-emoji': [400],
};

/** Fonts for what is printed, which has no files beside it: each face with the characters that it is for, as base64. */
const printFonts = {
    name: 'print-fonts',
    generateBundle() {
        const faces = [];
        for (const [name, weights] of Object.entries(PRINTED)) {
            for (const weight of weights) {
                const folder = `node_modules/@fontsource/${name}`;
                const css = readFileSync(`${folder}/${weight}.css`, 'utf8');
                for (const [, family, file, range] of css.matchAll(/font-family: '([^']+)';[^}]*?url\(\.\/([^)]+\.woff2)\)[^}]*?(?:unicode-range: ([^;]+);)?\n\}/g)) {
                    faces.push({ family, weight, range: range ?? '', woff2: readFileSync(`${folder}/${file}`).toString('base64') });
                }
            }
        }
        this.emitFile({ type: 'asset', fileName: 'print-fonts.json', source: JSON.stringify(faces) });
    },
};

export default defineConfig({
    plugins: [
        laravel({ input: ['resources/scss/app.scss', 'resources/js/app.js'], refresh: false }),
        licences,
        printFonts,
    ],
    css: {
        // Bootstrap 5.3 still uses Sass's older import rules; its warnings are not ours to mend.
        preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] } },
    },
    worker: { format: 'es' },
    // Signs go into the style sheet: two dozen small files are slower than one.
    build: { chunkSizeWarningLimit: 2000, assetsInlineLimit: (file) => file.endsWith('.svg') },
});
