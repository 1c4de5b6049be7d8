import { measures, PLAIN_CIRCUMSTANCES, type Mark, type NewReading, type Reading } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'
import { requireOpenTicket } from './tickets.ts'

interface Row {
  id: string
  ticket_id: string
  measure: string
  mm: number
  side: Reading['side']
  as_typed: string
  unit: Reading['unit']
  method: Reading['method']
  taken_at: string
  by_whom: string
  place: Reading['place']
  definition: number
  school: Reading['school']
  coat: Reading['coat']
  posture_doubt: string
  chalk_mark: number
  dewclaw: Reading['dewclaw']
  remark: string
  held_by: string
}

const toReading = (row: Row): Reading => ({
  id: row.id,
  measure: row.measure,
  mm: row.mm,
  side: row.side,
  asTyped: row.as_typed,
  unit: row.unit,
  method: row.method,
  takenAt: row.taken_at,
  by: row.by_whom,
  place: row.place,
  definition: row.definition,
  school: row.school,
  coat: row.coat,
  postureDoubt: row.posture_doubt,
  chalkMark: row.chalk_mark === 1,
  dewclaw: row.dewclaw,
  remark: row.remark,
  heldBy: row.held_by,
})

/** A reading with the newest mark on it: struck out, or counting. */
export const withMark = <T extends { id: string }>(fact: T, newest: ReadonlyMap<string, Mark>): T => {
  const mark = newest.get(fact.id)
  return mark?.kind === 'struck' ? { ...fact, struck: { why: mark.why, at: mark.at, by: mark.by } } : fact
}

export const readingsOfTicket = (db: Db, ticketId: string): Reading[] =>
  db.prepare<[string], Row>('SELECT * FROM readings WHERE ticket_id = ? ORDER BY taken_at, id').all(ticketId).map(toReading)

export function findReading(db: Db, id: string): { ticketId: string; reading: Reading } | null {
  const row = db.prepare<[string], Row>('SELECT * FROM readings WHERE id = ?').get(id)
  return row ? { ticketId: row.ticket_id, reading: toReading(row) } : null
}

/** Refuses what the catalogue does not allow: an unknown measure, a paw that is none, a doubled girth, a stray mark. */
function mustBeTakeable(reading: NewReading): void {
  const measure = measures[reading.measure]
  if (!measure) throw new ProblemError('unknown-reference', `${reading.measure} is no measure of the catalogue.`)
  const refuse = (path: string, message: string): never => {
    throw new ProblemError('not-takeable', `${measure.name}: ${message}.`, { fields: [{ path, message }] })
  }
  if (reading.side === 'one' && !measure.doubling) {
    throw new ProblemError('doubling-not-allowed', `${measure.name} is never taken on one side and doubled.`, {
      fields: [{ path: 'side', message: 'take the whole of it' }],
    })
  }
  const place = reading.place ?? null
  const allowed = measure.places.length > 0 ? measure.places : measure.sided ? (['left', 'right'] as const) : []
  if (place === null ? measure.places.length > 0 : !allowed.some((each) => each === place)) refuse('place', 'say which one')
  if (reading.chalkMark && !['M10', 'M12', 'M13'].includes(reading.measure)) refuse('chalkMark', 'no chalk mark on this line')
  if (reading.dewclaw && reading.measure !== 'M37') refuse('dewclaw', 'dewclaws are noted with their height')
}

/**
 * Appends a reading. The same id with the same reading changes nothing, even on a ticket closed meanwhile; with
 * another reading it is refused, since a reading is never changed.
 */
export function addReading(db: Db, ticketId: string, id: string, given: NewReading): Reading {
  const known = findReading(db, id)
  if (known) {
    const same = known.ticketId === ticketId && known.reading.measure === given.measure && known.reading.mm === given.mm && known.reading.side === given.side
    if (!same) throw new ProblemError('id-taken', 'Another reading is kept under this id. A reading is never changed, only struck.')
    return known.reading
  }
  requireOpenTicket(db, ticketId)
  mustBeTakeable(given)
  const reading = { ...PLAIN_CIRCUMSTANCES, ...given, id }
  db.prepare(
    `INSERT INTO readings (id, ticket_id, measure, mm, side, as_typed, unit, method, taken_at, by_whom,
       place, definition, school, coat, posture_doubt, chalk_mark, dewclaw, remark, held_by)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    id,
    ticketId,
    reading.measure,
    reading.mm,
    reading.side,
    reading.asTyped,
    reading.unit,
    reading.method,
    reading.takenAt,
    reading.by,
    reading.place,
    reading.definition,
    reading.school,
    reading.coat,
    reading.postureDoubt,
    Number(reading.chalkMark),
    reading.dewclaw,
    reading.remark,
    reading.heldBy,
  )
  return reading
}
