import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';

const fingerprint = (...files: string[]): string => files.reduce((hash, file) => hash.update(readFileSync(file)), createHash('sha256')).digest('hex');

/** What a device fetches once and opens without a network: the page, its scripts, styles and fonts. Answers of the server are no part of it. */
const withoutNetwork = VitePWA({
    // The page asks for it itself, and says when a newer one may take over: never under a lesson that is being marked.
    registerType: 'prompt',
    injectRegister: null,
    outDir: 'public',
    filename: 'sw.js',
    scope: '/',
    base: '/',
    buildBase: '/',
    includeAssets: [],
    includeManifestIcons: false,
    manifest: false,
    workbox: {
        inlineWorkboxRuntime: true,
        importScripts: ['/sw-routes.js'],
        globDirectory: 'public',
        globPatterns: ['build/assets/**/*.{js,css,woff2}', 'theme.js', 'favicon.svg', 'manifest.webmanifest', 'icon-*.png'],
        // Every file of a build is named after what is in it.
        dontCacheBustURLsMatching: /^build\/assets\//,
        // The page is the server's, the same for everybody and at every address: it changes with what it loads.
        additionalManifestEntries: [{ url: '/', revision: fingerprint('resources/views/app.blade.php') }],
        manifestTransforms: [
            (entries) => {
                const loaded = createHash('sha256')
                    .update(entries.map((entry) => `${entry.url} ${entry.revision}`).join())
                    .digest('hex');
                return { manifest: entries.map((entry) => (entry.url === '/' ? { ...entry, revision: loaded } : entry)) };
            },
        ],
        navigateFallback: '/',
        navigateFallbackDenylist: [/^\/api\//, /^\/up$/, /^\/build\//, /\.[a-z0-9]+$/],
        cleanupOutdatedCaches: true,
    },
});

export default defineConfig({
    // Unit tests need no server of Laravel's, and its plugin refuses to start one in continuous integration.
    plugins: [process.env.VITEST ? [] : [laravel({ input: ['resources/css/app.css', 'resources/js/main.tsx'] }), withoutNetwork], react(), tailwindcss()],
    // In which form page and server speak: the server says its own with every answer (config/installation.php).
    define: { __CONTRACT__: JSON.stringify(fingerprint('docs/openapi.json').slice(0, 12)) },
    resolve: { alias: { '@': '/resources/js' } },
    // Scripts and fonts stay files of their own: the content policy forbids anything inline.
    build: { assetsInlineLimit: 0, modulePreload: { polyfill: false } },
    // A time limit finds what hangs; how fast a machine is, bin/bench measures.
    test: { environment: 'jsdom', include: ['resources/js/**/*.test.{ts,tsx}'], setupFiles: ['resources/js/testing/browser.ts'], testTimeout: 60_000 },
});
