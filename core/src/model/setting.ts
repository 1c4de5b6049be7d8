import { json, resource } from './resource.ts'
import type { Setting } from './setting.schema.ts'

export type { NewSetting, Setting } from './setting.schema.ts'

export const settings = resource<Setting>({
  name: 'setting',
  table: 'settings',
  address: '/tickets/:ticketId/settings',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: { id: 'id', of: json('of_what'), dogId: 'dog_id', part: 'part', side: 'side', mm: 'mm', mark: 'mark', at: 'at', by: 'by_whom' },
})
