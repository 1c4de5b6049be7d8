import type { AsWritten, BecameReading } from './as-written.schema.ts'
import { resource } from './resource.ts'

export type { AsWritten, BecameReading, NewAsWritten } from './as-written.schema.ts'

export const asWritten = resource<AsWritten>({
  name: 'as-written',
  table: 'as_written',
  address: '/tickets/:ticketId/as-written',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: { id: 'id', letters: 'letters', asWritten: 'as_written', came: 'came', wanted: 'wanted', remark: 'remark', at: 'at', by: 'by_whom' },
})

/** The reading a number became, under the number's own id. */
export const answers = resource<BecameReading & { asWrittenId: string }>({
  name: 'answer',
  table: 'answers',
  key: ['as_written_id'],
  address: '/tickets/:ticketId/as-written/:asWrittenId/answer',
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: { asWrittenId: 'as_written_id', readingId: 'reading_id', at: 'at', by: 'by_whom' },
})
