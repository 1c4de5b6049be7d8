import type { Outing } from './outing.schema.ts'
import { flag, resource } from './resource.ts'

export type { NewOuting, Outing } from './outing.schema.ts'

export const outings = resource<Outing>({
  name: 'outing',
  table: 'outings',
  address: '/dogs/:dogId/outings',
  within: { dogId: 'dog_id' },
  tags: ['Dogs', 'Tickets'],
  columns: {
    id: 'id',
    on: 'on_day',
    rung: 'rung',
    calm: flag('calm'),
    loadKg: 'load_kg',
    minutes: 'minutes',
    rigId: 'rig_id',
    note: 'note',
    removed: flag('removed'),
    at: 'at',
    by: 'by_whom',
  },
  made: 'at',
  defaults: { removed: false },
})
