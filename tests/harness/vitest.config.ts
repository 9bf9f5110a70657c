import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** The marks harness: the real queue against a running application, which bin/test starts and names. */
export default defineConfig({
    root: fileURLToPath(new URL('../..', import.meta.url)),
    define: { __CONTRACT__: '""' },
    resolve: { alias: { '@': '/resources/js' } },
    test: { environment: 'node', include: ['tests/harness/**/*.test.ts'], testTimeout: 600_000, reporters: ['verbose'] },
});
