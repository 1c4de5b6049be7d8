import type { BookHead } from './db/head.ts'
import type { Db } from './db/open.ts'
import type { Copies } from './copies/copies.ts'
import type { DayBoard } from './db/day.ts'
import type { NewsBoard } from './news.ts'

/** What every route works with: the book, its head, what is told to other devices, its copies, and the clock. */
export interface Desk {
  db: Db
  head: BookHead
  news: NewsBoard
  day: DayBoard
  copies: Copies
  /** The moment, ISO 8601. */
  now: () => string
}
