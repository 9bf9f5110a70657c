import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [laravel({ input: ['resources/css/app.css', 'resources/js/main.tsx'], refresh: true }), react(), tailwindcss()],
    resolve: { alias: { '@': '/resources/js' } },
    // Scripts and fonts stay files of their own: the content policy forbids anything inline.
    build: { assetsInlineLimit: 0, modulePreload: { polyfill: false } },
    test: { environment: 'jsdom', include: ['resources/js/**/*.test.{ts,tsx}'] },
});
