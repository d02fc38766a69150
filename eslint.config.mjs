import tseslint from 'typescript-eslint';
import importX from 'eslint-plugin-import-x';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import reactHooks from 'eslint-plugin-react-hooks';

/**
 * The direction of imports is part of the design: everything points inward to the core, and within the core each folder
 * uses only those named before it. Tests and what only they use may look anywhere.
 */
const CORE_FOLDERS = [
  'colour',
  'hair',
  'draw',
  'product',
  'process',
  'rules',
  'case',
  'card',
  'exercise',
  'simulate',
  'method',
  'solve',
  'appointments',
  'mark',
  'cases',
  'drill',
  'gradebook',
  'io',
];
const inward = CORE_FOLDERS.flatMap((folder, depth) =>
  CORE_FOLDERS.slice(depth + 1).map((later) => ({
    target: `./core/${folder}/**/!(*.test).ts`,
    from: `./core/${later}`,
    message: `core/${folder} stands before core/${later}`,
  })),
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
            ...inward,
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
  {
    // What a browser gets holds no figures of a case: those are keys, and educators get them from the server.
    files: ['web/**/*.{ts,tsx}', 'contract/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}', 'web/testing/**'],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['@cimbel/core/cases', '@cimbel/core/testing/*'] }],
    },
  },
);
