/** Keeps the direction web → core ← server, and the core pure. */
module.exports = {
  forbidden: [
    {
      name: 'core-is-pure',
      comment:
        'The core depends on zod, and on Temporal for calendars: no interface, database, clock or network.',
      severity: 'error',
      from: { path: '^core/src' },
      to: { pathNot: ['^core/src', 'node_modules/(zod|temporal-polyfill|temporal-utils)/'] },
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
      name: 'outsiders-import-the-package',
      comment: 'Import @ratio/core, not its files.',
      severity: 'error',
      from: { path: '^(web|server|demo)/', pathNot: '/test/' },
      to: { path: '^core/src/(?!index\\.ts$)' },
    },
    {
      name: 'views-hold-no-store',
      comment: 'Drawings, charts and fields take props and send events.',
      severity: 'error',
      from: { path: '^web/src/(drawing|chart|field|figure)' },
      to: { path: '^web/src/(stores|api|pages)' },
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
