export type { DogSheet, Found, TicketSheet } from './sheet.schema.ts'
