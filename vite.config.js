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
    build: { chunkSizeWarningLimit: 2000 },
});
