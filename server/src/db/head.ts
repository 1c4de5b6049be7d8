import { randomUUID } from 'node:crypto'
import type { Db } from './open.ts'

/** Which book this is, how often it was brought back, and how many writes it has taken. */
export interface BookHead {
  book: string
  epoch: number
  seq: number
}

interface Row {
  id: string
  epoch: number
  last_number: number
}

const rowOf = (db: Db): Row | undefined => db.prepare<[], Row>('SELECT id, epoch, last_number FROM book WHERE one = 1').get()

/** The book's own head; a new book gets its id here. */
export function readHead(db: Db): BookHead {
  let row = rowOf(db)
  if (!row) {
    row = { id: randomUUID(), epoch: 1, last_number: 100 }
    db.prepare('INSERT INTO book (one, id, epoch, last_number) VALUES (1, @id, @epoch, @last_number)').run(row)
  }
  const seq = db.prepare<[], { seq: number }>('SELECT coalesce(max(seq), 0) AS seq FROM writes').get()?.seq ?? 0
  return { book: row.id, epoch: row.epoch, seq }
}

/** The next ticket number. None is ever given twice: the highest is kept beside the tickets, and through every copy. */
export function nextNumber(db: Db): number {
  readHead(db)
  return db.prepare<[], { n: number }>('UPDATE book SET last_number = last_number + 1 WHERE one = 1 RETURNING last_number AS n').get()?.n ?? 0
}

export const lastNumber = (db: Db): number => rowOf(db)?.last_number ?? 100
