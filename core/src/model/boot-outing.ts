import type { BootOuting } from './boot-outing.schema.ts'
import { flag, json, resource } from './resource.ts'

export type { BootOuting, BootSeen, NewBootOuting } from './boot-outing.schema.ts'

export const bootOutings = resource<BootOuting>({
  name: 'boot-outing',
  table: 'boot_outings',
  address: '/dogs/:dogId/boot-outings',
  within: { dogId: 'dog_id' },
  tags: ['Dogs', 'Tickets'],
  columns: {
    id: 'id',
    on: 'on_day',
    km: 'km',
    footing: 'footing',
    minutes: 'minutes',
    paws: json('paws'),
    note: 'note',
    removed: flag('removed'),
    at: 'at',
    by: 'by_whom',
  },
  made: 'at',
  defaults: { removed: false },
})
