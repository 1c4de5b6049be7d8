import type { DogJoin } from './dog-join.schema.ts'
import { json, resource } from './resource.ts'

export type { DogJoin, DogJoinFields, NewDogJoin } from './dog-join.schema.ts'

export const dogJoins = resource<DogJoin>({
  name: 'dog-join',
  table: 'dog_joins',
  address: '/dogs/:dogId/joins',
  within: { dogId: 'dog_id' },
  tags: ['Dogs', 'Tickets', 'Found', 'Reminders', 'Pieces'],
  columns: { id: 'id', otherId: 'other_id', moved: json('moved'), filled: json('filled'), at: 'at', by: 'by_whom', undone: 'undone_at' },
  made: 'at',
  defaults: { moved: {}, filled: {}, undone: null },
})
