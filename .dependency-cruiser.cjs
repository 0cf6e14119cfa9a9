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
    none('core-stands-alone', '^core/', '^(library|server|web|e2e|bench)/', 'core knows nobody'),
    none(
      'core-is-pure',
      '^core/src/(?!.*[.]test[.]ts$)',
      'node_modules/(?!(zod|gl-matrix|fuse.js)/)',
      'core uses schemas, vectors and a text search, nothing else',
    ),
    none('library-knows-core', '^library/', '^(server|web|e2e|bench)/', 'library stands on core'),
    none(
      'server-knows-no-screen',
      '^server/',
      '^(web|e2e|bench)/',
      'server stands on core and library',
    ),
    none(
      'web-knows-no-server',
      '^web/',
      '^(server|e2e|bench)/',
      'web talks to the server over HTTP',
    ),
    none(
      'ground-floor',
      '^core/src/movement/',
      '^core/src/(body|plan|people|room|order|live|log)/',
      'movement is the ground floor',
    ),
    none(
      'first-floor',
      '^core/src/(body|plan|people)/',
      '^core/src/(order|live|log)/',
      'first floor',
    ),
    none('room-floor', '^core/src/room/', '^core/src/(order|live|log)/', 'room stands below order'),
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
