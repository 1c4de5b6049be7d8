import { byUrgency, dayIn, dayRow, dayWork, isUntouched, type Day, type DayRow, type News } from '@merry-tailor/core'
import type { Db } from './open.ts'
import { ticketSheet } from './sheets.ts'
import { readShop } from './shop.ts'

/** Rows made before others are let through. */
const AT_ONCE = 20
const letOthersThrough = (): Promise<void> => new Promise((resolve) => setImmediate(resolve))

/**
 * Today's list: one short row for every open ticket. A row is worked out once and stays until something about its ticket
 * or dog is written.
 */
export class DayBoard {
  readonly #db: Db
  readonly #rows = new Map<string, DayRow | null>()
  #on = ''

  constructor(db: Db) {
    this.#db = db
  }

  /** Something was written: what it may have changed is worked out anew. */
  hear({ ticketId, tags }: Pick<News, 'ticketId' | 'tags'>, dogId: string | null): void {
    if (ticketId !== null) this.#rows.delete(ticketId)
    else if (dogId !== null) for (const [id, row] of this.#rows) if (row?.dog?.id === dogId) this.#rows.delete(id)
    if (ticketId === null && dogId === null && ['Tickets', 'Dogs', 'Owners', 'Shop'].some((tag) => tags.includes(tag))) this.forget()
  }

  forget(): void {
    this.#rows.clear()
  }

  /** Every open ticket, most urgent first, and what was done that day at tickets open and closed. */
  async of(on: string): Promise<Day> {
    const rules = readShop(this.#db)
    if (on !== this.#on) this.forget()
    this.#on = on
    const open = this.#db.prepare<[], { id: string }>("SELECT id FROM tickets WHERE state = 'open' ORDER BY created_at DESC").all()
    const rows: DayRow[] = []
    let made = 0
    for (const { id } of open) {
      let row = this.#rows.get(id)
      if (row === undefined) {
        const sheet = ticketSheet(this.#db, id)
        row = isUntouched(sheet) ? null : dayRow(sheet, on, rules)
        this.#rows.set(id, row)
        if ((made += 1) % AT_ONCE === 0) await letOthersThrough()
      }
      if (row) rows.push(row)
    }
    return { on, rows: rows.sort(byUrgency(on)), work: dayWork(this.#touchedOn(on), on) }
  }

  /** The tickets at which anything was done that day; one that was opened and left with nothing on it is none. */
  #touchedOn(on: string) {
    return this.#db
      .prepare<[Record<string, string>], { id: string }>(
        `SELECT id FROM tickets WHERE on_day = @on UNION SELECT ticket_id FROM readings WHERE on_day = @on
         UNION SELECT ticket_id FROM choices WHERE on_day = @on UNION SELECT ticket_id FROM try_ons WHERE on_day = @on`,
      )
      .all({ on })
      .map(({ id }) => ticketSheet(this.#db, id))
      .filter((sheet) => !isUntouched(sheet))
  }

  /** The shop's day of a moment. */
  dayAt(at: string): string {
    return dayIn(readShop(this.#db).timeZone, at)
  }
}
