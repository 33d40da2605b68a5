import optimizeLocales from '@react-aria/optimize-locales-plugin';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
    // The page speaks English; what the controls would say in thirty other languages is a third of their script.
    plugins: [laravel({ input: ['resources/ts/main.tsx'] }), react(), { ...optimizeLocales.vite({ locales: ['en-US'] }), enforce: 'pre' }],
    build: {
        sourcemap: false,
        target: 'es2022',
        // What most places share is one file: in crumbs of half a kilobyte it is a tenth larger on its way.
        rolldownOptions: {
            output: { codeSplitting: { groups: [{ name: 'shared', test: /resources\/ts\/(ui|app|dabs|api)\//, minShareCount: 3 }] } },
        },
    },
});
