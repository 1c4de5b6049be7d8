import type { Owner } from './owner.schema.ts'
import { resource } from './resource.ts'

export type { NewOwner, Owner, OwnerFields } from './owner.schema.ts'

export const owners = resource<Owner>({
  name: 'owner',
  table: 'owners',
  address: '/owners',
  tags: ['Owners', 'Tickets', 'Dogs', 'Found'],
  columns: { id: 'id', name: 'name', contact: 'contact', notes: 'notes', createdAt: 'created_at' },
  made: 'createdAt',
  defaults: { contact: '', notes: '' },
})
