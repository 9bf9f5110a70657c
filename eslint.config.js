import reactHooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';

export default defineConfig(
    { ignores: ['resources/js/api/contract.ts', 'public', 'vendor', 'node_modules', 'var'] },
    tseslint.configs.strictTypeChecked,
    reactHooks.configs.flat.recommended,
    {
        languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
        linterOptions: { reportUnusedDisableDirectives: 'error' },
        rules: {
            // Figures are put into sentences everywhere; what they look like is decided in strip/words.
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            // An index that the code has just checked; noUncheckedIndexedAccess asks for the sign.
            '@typescript-eslint/no-non-null-assertion': 'off',
            // What the server answers is typed by whoever asks.
            '@typescript-eslint/no-unnecessary-type-parameters': 'off',
            // A handler may answer with what it calls.
            '@typescript-eslint/no-confusing-void-expression': 'off',
            '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
            eqeqeq: ['error', 'smart'],
            'no-console': 'error',
        },
    },
);
