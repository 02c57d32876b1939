/** Floors of the core, the ground first: a room stands on those below it, and knows none beside it. */
const FLOORS = [
  ['units', 'matter', 'numeric', 'calendar', 'document'],
  ['coffee'],
  ['brew'],
  ['shop', 'pantry'],
  ['batch', 'drink', 'jug'],
  ['events'],
  ['recipeText', 'steps', 'day', 'learn', 'log', 'tasting'],
  ['instruments'],
];

const floorRules = FLOORS.flatMap((rooms, i) =>
  rooms.map((room) => {
    const below = FLOORS.slice(0, i).flat();
    // The ground is one floor: units need matter, and matter a little numeric work.
    const allowed = [room, ...below, ...(i === 0 ? rooms : [])];
    return {
      name: `${room}-stands-on-what-is-below`,
      comment: `A file of ${room} imports ${allowed.join(', ')} and the files at the root of the core.`,
      severity: 'error',
      from: { path: `^core/src/${room}/` },
      to: { path: '^core/src/.+/', pathNot: `^core/src/(${allowed.join('|')})/` },
    };
  }),
);

/** Floors of the pages, the ground first. A page about several concepts stands above them. */
const WEB_FLOORS = [
  ['format'],
  ['ui', 'sync'],
  ['shop'],
  ['pantry'],
  ['events'],
  ['instruments'],
  ['steep'],
  ['drink'],
  ['jug'],
  ['houseRecipe'],
  ['plan'],
  ['recipe'],
  ['day'],
  ['week', 'log', 'label', 'shelf', 'people', 'samples', 'setUp', 'backups'],
  ['app'],
];

const webRules = WEB_FLOORS.flatMap((slices, i) =>
  slices.map((slice) => ({
    name: `${slice}-imports-what-is-below`,
    severity: 'error',
    from: { path: `^web/src/${slice}/` },
    to: {
      path: '^web/src/.+/',
      pathNot: `^web/src/(${[slice, ...WEB_FLOORS.slice(0, i).flat()].join('|')})/`,
    },
  })),
);

/** Keeps the arrows pointing down: web → core ← server, floor by floor inside the core. */
module.exports = {
  forbidden: [
    ...floorRules,
    {
      name: 'the-root-knows-no-room',
      comment: 'What every room may use depends on none.',
      severity: 'error',
      from: { path: '^core/src/[^/]+$' },
      to: { path: '^core/src/.+/' },
    },
    {
      name: 'core-is-pure',
      comment:
        'Zod, Temporal for calendars, fractions, random numbers, hashes and comparisons: no interface, database, clock or network.',
      severity: 'error',
      from: { path: '^core/src' },
      to: {
        pathNot: [
          '^core/src',
          'node_modules/(zod|fast-deep-equal|@noble/hashes|temporal-polyfill|temporal-utils|fraction.js|@?[\\w/-]*d3-(array|random))/',
        ],
      },
    },
    {
      name: 'no-room-enters-by-its-own-door',
      comment:
        'An index is for outsiders; inside the core the file named after the idea is imported.',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^core/src/[^/]+/index\\.ts$' },
    },
    {
      name: 'outsiders-import-a-room',
      comment: 'Import @ratio/core/batch, not its files.',
      severity: 'error',
      from: { path: '^(web|server|demo|e2e)/' },
      to: { path: '^core/src/[^/]+/(?!index\\.ts$)' },
    },
    {
      name: 'web-and-server-never-meet',
      severity: 'error',
      from: { path: '^web/src' },
      to: { path: '^server/' },
    },
    {
      name: 'server-knows-no-page',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: '^web/' },
    },
    {
      name: 'the-engine-is-known-in-one-room',
      comment: 'What is particular to SQLite and to Sequelize lies in server/src/database.',
      severity: 'error',
      from: { path: '^server/src', pathNot: '^server/src/database/' },
      to: { path: 'node_modules/(sequelize|sqlite3|umzug)/', dependencyTypesNot: ['type-only'] },
    },
    ...webRules,
    {
      name: 'a-slice-is-entered-through-its-index',
      comment: 'Import ../jug/index.ts, not its files.',
      severity: 'error',
      from: { path: '^web/src/(ui/[^/]+|[^/]+)/' },
      to: {
        path: '^web/src/(?:ui/[^/]+|(?!ui/)[^/]+)/(?!index\\.ts$)',
        pathNot: '^web/src/$1/',
      },
    },
    {
      name: 'the-web-root-knows-no-slice',
      severity: 'error',
      from: { path: '^web/src/[^/]+$' },
      to: { path: '^web/src/' },
    },
    {
      name: 'pages-alone-use-composables',
      comment:
        'A view takes plain values and sends events; a page wires it. The type of a row may come from the composable that makes it.',
      severity: 'error',
      from: { path: '^web/src/(?!ui/).+\\.vue$', pathNot: '(Page|App)\\.vue$' },
      to: { path: '^web/src/(?!ui/).+/use[A-Z][^/]*\\.ts$', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'no-circle-between-folders',
      severity: 'error',
      scope: 'folder',
      from: { path: '^(core|server|web)/src' },
      to: { circular: true },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { pathNot: 'node_modules' } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules/\\.vite)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.js', '.vue'],
    },
  },
};
