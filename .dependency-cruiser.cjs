/** Imports run one way: web and server import core; core imports neither; web and server meet over HTTP. */
module.exports = {
  forbidden: [
    {
      name: 'core-stays-pure',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(server|web)/' },
    },
    {
      name: 'core-uses-no-node-api',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-packages',
      comment:
        'the public face carries no package but the one that fits a dial; Joi, structures and practice are entries of their own',
      severity: 'error',
      from: {
        path: '^core/src',
        pathNot:
          '(\\.test\\.ts|[sS]chemas?\\.ts|^core/src/notebook/refusal\\.ts|^core/src/notebook/kinds/pieces\\.ts|^core/src/structures/.*|^core/src/heating/fitBlockModel\\.ts|^core/src/practice/(lens/code|progress)\\.ts)$',
      },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'npm-no-pkg', 'npm-unknown'],
        dependencyTypesNot: ['type-only'],
      },
    },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/' }, to: { path: '^server/' } },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    {
      name: 'web-takes-cores-public-face',
      severity: 'error',
      from: { path: '^web/', pathNot: '^web/src/testing/' },
      // Schemas bring Joi: loaded with the first form that is handed in, never before.
      to: {
        path: '^core/src/(schemas|reference/(shelfSchema|reference|reagents))',
        dynamic: false,
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'structures-only-when-shown',
      comment:
        'the structure package is a megabyte: the web app loads it where a structure is drawn, never before',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^core/src/structures', dynamic: false },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'resolvable',
      comment: 'types alone have no file to run; what the bundler makes has none before it is bundled',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(pdfmake/interfaces|virtual:pwa-register)$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '/dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.json', '.css'],
    },
  },
}
