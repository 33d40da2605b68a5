import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [react()],
    test: {
        include: ['tests/Page/**/*.test.{ts,tsx}'],
        environment: 'jsdom',
        setupFiles: ['tests/Page/setup.ts'],
        testTimeout: 40_000,
        reporters: ['default', ['junit', { outputFile: 'var/test/vitest.xml' }]],
    },
});
