import { defineConfig } from 'vite';
import laravel from 'laravel-vite-plugin';

export default defineConfig({
    plugins: [
        laravel({ input: ['resources/scss/app.scss', 'resources/js/app.js'], refresh: false }),
    ],
    css: {
        // Bootstrap 5.3 still uses Sass's older import rules; its warnings are not ours to mend.
        preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] } },
    },
    worker: { format: 'es' },
    // Signs go into the style sheet: two dozen small files are slower than one.
    build: { chunkSizeWarningLimit: 2000, assetsInlineLimit: (file) => file.endsWith('.svg') },
});
