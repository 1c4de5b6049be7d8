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
  'lay',
  'hitch',
  'choose',
  'sizing',
  'pattern',
  'nest',
  'coat',
  'fit',
  'draft',
  'travel',
  'growth',
  'paw',
  'crate',
  'progress',
  'formats',
]

/**
 * The rooms of the page, lowest first: each imports only rooms before it. The stages of a ticket know nothing of each other.
 */
const stages = ['ask', 'measure', 'solo', 'paper', 'letters', 'choose', 'all-sizes', 'kinds', 'hitch', 'seat', 'crate', 'paws', 'pattern', 'try-on', 'finish'].map(
  (stage) => `ticket/${stage}`,
)
const webRooms = [
  ['ui'],
  ['words'],
  ['said'],
  ['api'],
  ['workers'],
  ['form'],
  ['state'],
  ['sizes'],
  ['device'],
  ['frame'],
  ['length-entry'],
  ['rigs'],
  ['dog-record'],
  ['bench'],
  ['drafting'],
  ['garment'],
  stages,
  ['ticket'],
  ['dogs'],
  ['round'],
  ['tables'],
  ['gear'],
  ['settings'],
  ['today'],
  ['app'],
]
/** Rooms with a door: others come in by its `index.ts` alone. The rest are libraries of small parts. */
const webDoors = [
  'form',
  'device',
  'length-entry',
  'rigs',
  'dog-record',
  'bench',
  'drafting',
  'garment',
  ...stages,
  'dogs',
  'round',
  'tables',
  'gear',
  'settings',
  'today',
  'ticket',
]
/** A room's own files; those of a ticket's frame lie beside its stages. */
const inRoom = (room) => (room === 'ticket' ? '^web/src/ticket/[^/]+$' : `^web/src/${room}/`)
const TESTS = '\\.test\\.tsx?$|^web/src/test/'

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
    ...webRooms.slice(0, -1).flatMap((rooms, i) =>
      rooms.map((room) => ({
        name: `web-${room}`,
        severity: 'error',
        from: { path: inRoom(room), pathNot: TESTS },
        to: { path: [...rooms.filter((each) => each !== room), ...webRooms.slice(i + 1).flat()].map(inRoom) },
      })),
    ),
    ...webDoors.map((room) => ({
      name: `web-door-of-${room}`,
      severity: 'error',
      from: { path: '^web/src/', pathNot: [inRoom(room), TESTS] },
      to: { path: inRoom(room), pathNot: `^web/src/${room}/index\\.ts$` },
    })),
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
