/**
 * The house: every arrow points down. A folder of the core may import from those named before it, and from nothing that
 * is named after it; types count.
 */
const LAYERS = [
  'units',
  'signal/measure',
  'signal/files',
  'signal/render',
  'calculators',
  'plugs',
  'schema',
  'parts',
  'apps',
  'rig',
  'engine/mate',
  'engine/circuit',
  'engine/supply',
  'engine/bus',
  'engine/flow',
  'engine/returns',
  'engine',
  'engine/levels',
  'engine/power',
  'engine/earth',
  'engine/air',
  'engine/hearing',
  'checks',
  'signal/reading',
  'views',
  'judge',
  'diagnosis',
  'search/settings',
  'search/levels',
  'search/returns',
  'search/fixes',
  'search/route',
  'words',
  'files',
];

/** A folder itself, without the layers that lie in it. */
const inside = (layer) => `^src/core/${layer}/${layer === 'engine' ? '[^/]+\\.ts$' : ''}`;

const above = LAYERS.map((layer, index) => ({
  name: `${layer} imports downward`,
  severity: 'error',
  from: { path: inside(layer), pathNot: '\\.test\\.ts$' },
  to: { path: LAYERS.slice(index + 1).map(inside) },
})).slice(0, -1);

export default {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      comment: 'A cycle makes two files one.',
      from: {},
      to: { circular: true },
    },
    ...above,
    {
      name: 'the core stands alone',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: ['^src/(store|workers|server|app|ui|cli)/', '^(e2e|testing|scripts)/'] },
    },
    {
      name: 'the store knows no page',
      severity: 'error',
      from: { path: '^src/(store|workers)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/(app|ui|cli|server)/' },
    },
    {
      name: 'the server knows no page and no store',
      severity: 'error',
      from: { path: '^src/server/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/(app|ui|cli|store|workers)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mts', '.mjs', '.json'] },
  },
};
