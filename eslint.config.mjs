import next from '@next/eslint-plugin-next';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** The core's stages from the ground up: a stage imports only from those before it. */
const STAGES = [
  'schema',
  'units',
  'plugs',
  'parts',
  'rig',
  'circuit',
  'bus',
  'flow',
  'pipeline',
  'checks',
  'fixes',
  'levels',
  'route',
  'report',
];
const OUTSIDE = ['react', 'react-*', 'next', 'next/*', 'dexie', 'dexie-*', 'comlink', 'zustand', 'node:*'];

const above = (stage) => STAGES.slice(STAGES.indexOf(stage) + 1);
/** checks read the pipeline's facts and the pipeline runs the checks; the cycle rule keeps them apart by file. */
const forbidden = (stage) => above(stage).filter((other) => !(stage === 'pipeline' && other === 'checks'));

const pureCore = STAGES.map((stage) => ({
  files: [`src/core/${stage}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: OUTSIDE, message: 'The core knows no interface, store, worker or machine.' },
          { group: ['**/store/**', '**/ui/**', '**/app/**', '**/workers/**', '**/cli/**'] },
          ...forbidden(stage).map((other) => ({
            group: [`../${other}`, `../${other}/**`],
            message: `"${stage}" stands below "${other}".`,
          })),
        ],
      },
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
}));

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
  ...pureCore,
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
