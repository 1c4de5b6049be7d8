import { resource } from './resource.ts'
import type { Weighing } from './weighing.schema.ts'

export type { NewWeighing, Weighing } from './weighing.schema.ts'

export const weighings = resource<Weighing>({
  name: 'weighing',
  table: 'weighings',
  address: '/dogs/:dogId/weighings',
  within: { dogId: 'dog_id' },
  tags: ['Tickets', 'Dogs', 'Reminders'],
  fact: true,
  columns: { id: 'id', kg: 'kg', asTyped: 'as_typed', unit: 'unit', on: 'on_day', at: 'at', by: 'by_whom' },
})
