/** Arrows point one way. Inside core a room imports only rooms that stand before it in this list. */
const rooms = [
  'units',
  'model',
  'reference',
  'measures',
  'device',
  'acts',
  'form',
  'gear',
  'hitch',
  'choose',
  'sizing',
  'coat',
  'fit',
  'growth',
  'progress',
  'formats',
]

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(web|server|demo|e2e)/' } },
    { name: 'core-has-no-io', severity: 'error', from: { path: '^core/src/', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    {
      name: 'web-and-server-meet-in-core',
      severity: 'error',
      from: { path: '^web/', pathNot: '^web/src/test/|\\.test\\.tsx?$' },
      to: { path: '^(server|demo)/' },
    },
    { name: 'server-not-to-web', severity: 'error', from: { path: '^server/' }, to: { path: '^(web|demo)/' } },
    { name: 'ui-knows-no-data', severity: 'error', from: { path: '^web/src/ui/' }, to: { path: '^web/src/(api|ticket|dogs|tables|today|settings)/' } },
    {
      name: 'rooms-by-their-door',
      severity: 'error',
      from: { path: '^(web|server|demo)/' },
      to: { path: '^core/src/', pathNot: '^core/src/(index|schemas|formats/index)\\.ts$' },
    },
    ...rooms.map((room, i) => ({
      name: `room-${room}`,
      severity: 'error',
      from: { path: `^core/src/${room}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^core/src/(${[...rooms.slice(i + 1), 'index\\.ts'].join('|')})` },
    })),
    ...rooms.map((room) => ({
      name: `door-of-${room}`,
      severity: 'error',
      from: { path: '^core/src/', pathNot: [`^core/src/${room}/`, '\\.test\\.ts$'] },
      to: { path: `^core/src/${room}/`, pathNot: room === 'model' ? '^core/src/model/(index|schemas)\\.ts$' : `^core/src/${room}/index\\.ts$` },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
}
