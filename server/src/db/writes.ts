import type { Db } from './open.ts'

export interface Answered {
  status: number
  answer: unknown
}

/** What a write was answered, whatever happened since; `null` for one never seen. */
export function answeredBefore(db: Db, id: string): Answered | null {
  const row = db.prepare<[string], { status: number; answer: string }>('SELECT status, answer FROM writes WHERE id = ?').get(id)
  return row ? { status: row.status, answer: JSON.parse(row.answer) as unknown } : null
}

/**
 * Keeps what a write was answered, inside its own transaction.
 *
 * @returns its place among all writes
 */
export function keepAnswer(db: Db, id: string, at: string, { status, answer }: Answered): number {
  return Number(
    db.prepare('INSERT INTO writes (id, at, status, answer) VALUES (?, ?, ?, ?)').run(id, at, status, JSON.stringify(answer ?? null)).lastInsertRowid,
  )
}
