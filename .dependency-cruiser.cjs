// The import rules of the tree: the core imports downwards only, and knows nothing outside itself.
const ORDER = [
  'findings',
  'quantities',
  'numerics',
  'catalogue',
  'devices',
  'circuit',
  'solver',
  'tolerance',
  'observe',
  'parts',
  'sound',
  'answers',
  'board',
  'patterns',
  'assembly',
  'checking',
  'kits',
  'sheet',
];

/** A folder of the core may not import from one that stands below it in the list. */
const downwards = ORDER.slice(0, -1).map((folder, i) => ({
  name: `core-${folder}-imports-downwards`,
  severity: 'error',
  from: { path: `^src/core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^src/core/(${ORDER.slice(i + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    ...downwards,
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^src/core/', '^node_modules/(zod|papaparse|@types/papaparse)/'] },
    },
    {
      name: 'only-observe-solves',
      comment: 'what a build does is observed; solving many times over is for bands and for answers',
      severity: 'error',
      from: {
        path: '^src/core/',
        pathNot: [
          '^src/core/(solver|tolerance|observe|sound|answers)/',
          '^src/core/index\\.ts$',
          '\\.test\\.ts$',
        ],
      },
      to: {
        path: '^src/core/solver/(solve|operatingPoint|newton|sweep|run/run)\\.ts$',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'core-has-one-door',
      severity: 'error',
      from: { path: '^(src/(messages|cli|workers|features|ui|app|server|demo|house)|bench)/' },
      to: { path: '^src/core/', pathNot: '^src/core/index\\.ts$' },
    },
    {
      name: 'only-server-touches-the-database',
      severity: 'error',
      from: { pathNot: '^(src/(server|demo|house)|tests|bench)/' },
      to: { path: ['^node_modules/(knex|libsql)/', '^src/server/db/'] },
    },
    {
      name: 'screens-reach-the-server-by-actions',
      severity: 'error',
      from: { path: '^src/features/', pathNot: '(actions|files|\\.test)\\.tsx?$' },
      to: { path: '^src/server/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'server-knows-no-screens',
      severity: 'error',
      from: { path: '^src/(server|messages|workers|cli)/' },
      to: { path: '^src/(app|features|ui)/' },
    },
    {
      name: 'ui-knows-no-domain',
      severity: 'error',
      from: { path: '^src/ui/' },
      to: { path: '^src/(core|features|app|messages|server)/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: ['\\.d\\.ts$', '\\.test\\.tsx?$', '^src/app/', '\\.worker\\.ts$', 'main\\.ts$'],
      },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: 'specify',
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
