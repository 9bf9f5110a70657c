import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    // Unit tests need no server of Laravel's, and its plugin refuses to start one in continuous integration.
    plugins: [process.env.VITEST ? [] : laravel({ input: ['resources/css/app.css', 'resources/js/main.tsx'] }), react(), tailwindcss()],
    resolve: { alias: { '@': '/resources/js' } },
    // Scripts and fonts stay files of their own: the content policy forbids anything inline.
    build: { assetsInlineLimit: 0, modulePreload: { polyfill: false } },
    // A time limit finds what hangs; how fast a machine is, bin/bench measures.
    test: { environment: 'jsdom', include: ['resources/js/**/*.test.{ts,tsx}'], setupFiles: ['resources/js/testing/browser.ts'], testTimeout: 60_000 },
});
