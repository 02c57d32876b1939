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
    {
      name: 'views-take-plain-values',
      comment: 'A component takes props and sends events; a page wires it to stores.',
      severity: 'error',
      from: { path: '^web/src/components/.+\\.vue$' },
      to: { path: '^web/src/(stores|api|pages)/' },
    },
    {
      name: 'pages-alone-know-stores',
      comment: 'What lies beside a page takes plain values; the page wires it to composables.',
      severity: 'error',
      from: { path: '^web/src/pages/.+\\.vue$', pathNot: 'Page\\.vue$' },
      to: { path: '^web/src/(stores|api|composables)/' },
    },
    {
      name: 'pages-alone-use-composables',
      comment: 'The type of a row may come from the composable that makes it; nothing else does.',
      severity: 'error',
      from: { path: '^web/src/pages/.+\\.vue$', pathNot: 'Page\\.vue$' },
      to: { path: '^web/src/pages/.+/use[A-Z][^/]*\\.ts$', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'format-and-composables-know-no-page',
      severity: 'error',
      from: { path: '^web/src/(api|composables|format|stores)/' },
      to: { path: '^web/src/(pages|components)/' },
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
