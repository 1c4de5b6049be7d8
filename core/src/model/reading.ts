import type { Circumstances, Reading } from './reading.schema.ts'
import { flag, resource } from './resource.ts'

export type { CoatState, Dewclaw, Method, NewReading, Place, Reading, Strike } from './reading.schema.ts'

/** What a reading says of its circumstances when nobody said anything. */
export const PLAIN_CIRCUMSTANCES = {
  place: null,
  definition: 1,
  school: null,
  method: 'tape',
  coat: null,
  postureDoubt: '',
  chalkMark: false,
  dewclaw: null,
  remark: '',
  heldBy: '',
  tracingId: null,
} as const satisfies Circumstances

export const readings = resource<Reading>({
  name: 'reading',
  table: 'readings',
  address: '/tickets/:ticketId/readings',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: {
    id: 'id',
    measure: 'measure',
    mm: 'mm',
    side: 'side',
    asTyped: 'as_typed',
    unit: 'unit',
    method: 'method',
    takenAt: 'taken_at',
    on: 'on_day',
    by: 'by_whom',
    place: 'place',
    definition: 'definition',
    school: 'school',
    coat: 'coat',
    postureDoubt: 'posture_doubt',
    chalkMark: flag('chalk_mark'),
    dewclaw: 'dewclaw',
    remark: 'remark',
    heldBy: 'held_by',
    tracingId: 'tracing_id',
  },
  defaults: PLAIN_CIRCUMSTANCES,
})
