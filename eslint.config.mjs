import tseslint from 'typescript-eslint';
import importX from 'eslint-plugin-import-x';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import reactHooks from 'eslint-plugin-react-hooks';

/**
 * The direction of imports is part of the design: everything points inward to the core, and within the core
 * colour <- hair <- process <- card <- simulate <- solve <- mark. A zone names a folder and what it must not reach.
 */
const core = (folder) => `./core/${folder}`;
const layers = ['colour', 'hair', 'process', 'card', 'simulate', 'solve', 'mark'];
const outward = layers.flatMap((layer, depth) =>
  layers.slice(depth + 1).map((later) => ({
    target: core(layer),
    from: core(later),
    message: `core/${layer} is nearer the centre than core/${later}`,
  })),
);
const innerOnly = ['colour', 'hair', 'shades', 'measure', 'theory', 'tress', 'process'].flatMap((folder) =>
  ['solve', 'mark'].map((from) => ({ target: core(folder), from: core(from) })),
);

export default tseslint.config(
  { ignores: ['**/dist/**', '.data/**', '.cache/**', 'node_modules/**', 'test-results/**'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'import-x': importX },
    settings: { 'import-x/resolver-next': [createTypeScriptImportResolver({ project: './tsconfig.json' })] },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'import-x/no-cycle': 'error',
      'import-x/no-restricted-paths': [
        'error',
        {
          zones: [
            ...outward,
            ...innerOnly,
            { target: './core', from: './server' },
            { target: './core', from: './web' },
            { target: './core', from: './contract' },
            { target: './contract', from: './server' },
            { target: './contract', from: './web' },
            { target: './server', from: './web' },
            { target: './web', from: './server' },
          ],
        },
      ],
    },
  },
  {
    // They compile what they look at, so they are kept to where there is React.
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: reactHooks.configs['recommended-latest'].rules,
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['react*', 'express*', 'node:*', 'fs', 'knex', 'pg', '@cimbel/*'] },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core has no clock; pass the time in.' },
        { object: 'Math', property: 'random', message: 'Randomness in the core takes a seed.' },
      ],
    },
  },
);
