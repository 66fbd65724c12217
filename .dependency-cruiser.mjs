/** Import cycles, which no lint rule here sees; the layers of the core are in eslint.config.mjs. */
export default {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      comment: 'A cycle makes two files one. Types that only describe do not count.',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mts', '.mjs', '.json'] },
  },
};
