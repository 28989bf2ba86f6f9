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

export default defineConfig({
    plugins: [
        laravel({ input: ['resources/scss/app.scss', 'resources/js/app.js'], refresh: false }),
        licences,
    ],
    css: {
        // Bootstrap 5.3 still uses Sass's older import rules; its warnings are not ours to mend.
        preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] } },
    },
    worker: { format: 'es' },
    // Signs go into the style sheet: two dozen small files are slower than one.
    build: { chunkSizeWarningLimit: 2000, assetsInlineLimit: (file) => file.endsWith('.svg') },
});
