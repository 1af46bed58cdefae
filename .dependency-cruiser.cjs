/** The folders of a part, the lowest first: each may import those before it, and none after it. */
const FLOORS = {
  core: [
    ['ids', 'problems', 'words', 'terms', 'units', 'version', 'math', 'stations', 'conventions'],
    ['chromatography', 'melting', 'instruments', 'heating', 'substances', 'structures', 'schema'],
    ['thermometer', 'solubility', 'weighing', 'repeats', 'scheduling'],
    ['procedures', 'reference', 'judging', 'identity'],
    ['notebook'],
    ['simulator', 'line', 'wire', 'planning', 'crate', 'practice'],
    ['schemas', 'checks'],
  ],
  web: [
    ['vite-env', 'clock', 'device', 'format'],
    ['drawings', 'workers', 'ledger'],
    ['parts'],
    ['paper'],
    ['places'],
    ['app'],
    ['theme', 'main'],
  ],
}

/** One rule for each folder, and one for a folder that nobody gave a floor. */
const floorRules = Object.entries(FLOORS).flatMap(([part, floors]) => {
  const order = floors.flat()
  const inside = (folders) => `^${part}/src/(${folders.join('|')})[/.]`
  const IS_TEST = ['\\.test\\.tsx?$', '^web/src/testing/']
  return [
    ...order.slice(0, -1).map((folder, i) => ({
      name: `${part}-${folder}-not-upwards`,
      severity: 'error',
      from: { path: inside([folder]), pathNot: IS_TEST },
      to: { path: inside(order.slice(i + 1)) },
    })),
    {
      name: `${part}-has-a-floor`,
      severity: 'error',
      from: { path: `^${part}/src/`, pathNot: [inside(order), ...IS_TEST] },
      to: {},
    },
  ]
})

/** Imports run one way: web and server import core; core imports neither; web and server meet over HTTP. */
module.exports = {
  forbidden: [
    ...floorRules,
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
          '(\\.test\\.ts|[sS]chemas?\\.ts|^core/src/notebook/refusal\\.ts|^core/src/schema/.*|^core/src/structures/.*|^core/src/heating/fitBlockModel\\.ts|^core/src/practice/(lens/code|progress)\\.ts)$',
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
        path: '^core/src/(schemas|checks|reference/(shelfSchema|reference|reagents))',
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
