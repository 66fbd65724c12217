import next from '@next/eslint-plugin-next';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const OUTSIDE = ['react', 'react-*', 'next', 'next/*', 'dexie', 'dexie-*', 'comlink', 'node:*'];

/** The core knows no interface, store or machine; which folder may import from which is in .dependency-cruiser.mjs. */
const pureCore = {
  files: ['src/core/**/*.ts'],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      { patterns: [{ group: OUTSIDE, message: 'The core knows no interface, store, worker or machine.' }] },
    ],
    'no-restricted-globals': [
      'error',
      'window',
      'document',
      'navigator',
      'localStorage',
      'indexedDB',
      'process',
    ],
  },
};

export default tseslint.config(
  { ignores: ['.next/**', '.build/**', 'node_modules/**', 'next-env.d.ts', '**/*.generated.*'] },
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-lines': ['error', { max: 400, skipBlankLines: true }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      eqeqeq: 'error',
    },
  },
  pureCore,
  {
    files: ['src/app/**', 'src/ui/**'],
    plugins: { '@next/next': next, 'react-hooks': reactHooks },
    rules: { ...next.configs['core-web-vitals'].rules, ...reactHooks.configs.recommended.rules },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**', 'src/ui/**/*.tsx', 'src/app/**/*.tsx'],
    rules: {
      'max-lines-per-function': 'off',
    },
  },
  {
    files: ['**/*.test.ts', 'e2e/**'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-dynamic-delete': 'off',
    },
  },
);
