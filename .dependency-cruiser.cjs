/** The arrows of docs/architecture.md, and no others. */
const none = (name, from, to, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from },
  to: { path: to },
});

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    none(
      'core-stands-alone',
      '^core/',
      '^(library|contract|server|web|e2e|bench)/',
      'core knows nobody',
    ),
    none(
      'core-is-pure',
      '^core/src/(?!.*[.]test[.]ts$)',
      'node_modules/(?!(zod|gl-matrix|fuse.js|d3-random|@types/d3-random|d3-polygon|@types/d3-polygon|highs|date-fns|@date-fns|papaparse|@types/papaparse|yaml)/)',
      'core uses schemas, vectors, a text search, seeded chance, polygons, a solver, dates, tables and YAML, nothing else',
    ),
    none(
      'library-knows-core',
      '^library/',
      '^(contract|server|web|e2e|bench)/',
      'library stands on core',
    ),
    none(
      'contract-knows-core',
      '^contract/',
      '^(library|server|web|e2e|bench)/',
      'the contract stands on core; server and browser stand on it',
    ),
    none(
      'server-knows-no-screen',
      '^server/',
      '^(web|e2e|bench)/',
      'server stands on core and library',
    ),
    none(
      'desk-is-a-stranger',
      '^desk/',
      '^(core|library|contract|server|web|e2e|bench)/',
      'the desk is another system: it knows what is published',
    ),
    none(
      'cli-stands-on-core',
      '^cli/',
      '^(server|web|desk|e2e|bench|tools)/',
      'the command line needs no server',
    ),
    none(
      'web-knows-no-server',
      '^web/',
      '^(server|e2e|bench)/',
      'web talks to the server over HTTP',
    ),
    none(
      'web-screens-know-no-frame',
      '^web/src/(screens|parts|data|workers)/(?!.*[.]test[.]tsx?$)',
      '^web/src/app/',
      'the app wires screens together; nothing below knows it',
    ),
    none(
      'web-parts-know-no-screen',
      '^web/src/(parts|data|workers)/',
      '^web/src/screens/',
      'screens stand on parts and data',
    ),
    none('web-data-shows-nothing', '^web/src/data/', '^web/src/parts/', 'parts stand on data'),
    none(
      'ground-floor',
      '^core/src/movement/',
      '^core/src/(body|plan|people|room|review|search|fit|live|log|draft)/',
      'movement is the ground floor',
    ),
    none(
      'first-floor',
      '^core/src/(body|plan|people)/',
      '^core/src/(review|search|fit|live|log|draft)/',
      'first floor',
    ),
    none(
      'room-floor',
      '^core/src/room/',
      '^core/src/(review|search|fit|live|log|draft)/',
      'room stands below order',
    ),
    none(
      'draft-stands-on-order',
      '^core/src/review/',
      '^core/src/(draft|fit)/',
      'order knows no draft and no fit',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(dist|[.]cache)/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default'],
    },
  },
};
