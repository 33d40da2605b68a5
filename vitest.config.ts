import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [react()],
    test: {
        include: ['tests/Page/**/*.test.{ts,tsx}'],
        environment: 'jsdom',
        reporters: ['default', ['junit', { outputFile: 'var/test/vitest.xml' }]],
    },
});
