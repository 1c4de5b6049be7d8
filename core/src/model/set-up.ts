import { json, resource } from './resource.ts'
import type { SetUp } from './set-up.schema.ts'

export type { NewSetUp, PairSetUp, SetUp, SetUpLoad } from './set-up.schema.ts'

export const setUps = resource<SetUp>({
  name: 'set-up',
  table: 'set_ups',
  address: '/tickets/:ticketId/set-ups',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: {
    id: 'id',
    itemId: 'item_id',
    pieceId: 'piece_id',
    rigId: 'rig_id',
    loads: json('loads'),
    surface: 'surface',
    gradePercent: 'grade_percent',
    lasts: 'lasts',
    loopMm: 'loop_mm',
    hitchMm: 'hitch_mm',
    rearMm: json('rear_mm'),
    route: json('route'),
    pair: json('pair'),
    minutes: json('minutes'),
    at: 'at',
    by: 'by_whom',
  },
})
