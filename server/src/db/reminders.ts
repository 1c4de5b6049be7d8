import { measureAgain, type ComingBack, type DogNote, type Reminder, type MeasuredRecord, type Activity, type FamilyId, type School } from '@merry-tailor/core'
import type { Db } from './open.ts'

interface DogRow {
  id: string
  name: string
  born: string | null
  age_months: number | null
  age_said_on: string | null
  weight_kg: number | null
  measured_at: string
}

/** Readings that count: no newest mark strikes them. */
const COUNTING = `NOT EXISTS (SELECT 1 FROM marks WHERE marks.about = readings.id AND marks.kind = 'struck'
  AND NOT EXISTS (SELECT 1 FROM marks later WHERE later.about = marks.about AND later.seq > marks.seq))`

/** Dogs looked at for one day's list; a shop with more looks at those measured last. */
const MOST_DOGS = 2000

const day = (moment: string): string => moment.slice(0, 10)

function recordOf(db: Db, dog: DogRow): MeasuredRecord {
  const tickets = db
    .prepare<[string], { id: string; activities: string; created_at: string; measured: number }>(
      `SELECT id, activities, created_at, EXISTS (SELECT 1 FROM readings WHERE readings.ticket_id = tickets.id) AS measured
       FROM tickets WHERE dog_id = ? ORDER BY created_at`,
    )
    .all(dog.id)
  const items = db
    .prepare<[string], { ticket_id: string; family: FamilyId; school: School | null }>(
      `SELECT ticket_id, family, school FROM items JOIN tickets ON tickets.id = items.ticket_id WHERE tickets.dog_id = ? AND items.removed = 0`,
    )
    .all(dog.id)
  const makers = db
    .prepare<[string], { ticket_id: string; maker: string }>(
      `SELECT choices.ticket_id, json_extract(size_tables.document, '$.maker') AS maker FROM choices
       JOIN tickets ON tickets.id = choices.ticket_id
       JOIN size_tables ON size_tables.id = choices.table_id AND size_tables.version = choices.table_version WHERE tickets.dog_id = ?`,
    )
    .all(dog.id)
  const weights = db
    .prepare<[string], { mm: number; taken_at: string }>(
      `SELECT readings.mm, readings.taken_at FROM readings JOIN tickets ON tickets.id = readings.ticket_id
       WHERE tickets.dog_id = ? AND readings.measure = 'M00' AND ${COUNTING} ORDER BY readings.taken_at`,
    )
    .all(dog.id)
  // The weight at the newest measuring with a tape: a later weighing alone is a change.
  const tape = db
    .prepare<[string], { at: string | null }>(
      `SELECT max(readings.taken_at) AS at FROM readings JOIN tickets ON tickets.id = readings.ticket_id
       WHERE tickets.dog_id = ? AND readings.measure NOT IN ('M00', 'M48', 'M49') AND ${COUNTING}`,
    )
    .get(dog.id)?.at
  const symptoms = db
    .prepare<[string, string], { symptom: string; present: number }>(
      `SELECT symptom, present FROM symptom_notes JOIN try_ons ON try_ons.id = symptom_notes.try_on_id
       JOIN tickets ON tickets.id = try_ons.ticket_id WHERE tickets.dog_id = ? AND symptom_notes.at > ? ORDER BY symptom_notes.at, symptom_notes.id`,
    )
    .all(dog.id, tape ?? dog.measured_at)
  const notes = db
    .prepare<[string], { kind: DogNote['kind']; on: string; over: string | null }>(
      'SELECT kind, on_day AS "on", over_day AS over FROM dog_notes WHERE dog_id = ?',
    )
    .all(dog.id)
  const lastMeasured = tickets.filter((ticket) => ticket.measured === 1).at(-1)?.created_at ?? ''
  const side = (measured: boolean) => {
    const of = tickets.filter((ticket) => (measured ? ticket.created_at <= lastMeasured : ticket.created_at > lastMeasured)).map((ticket) => ticket.id)
    return {
      activities: tickets.filter((ticket) => of.includes(ticket.id)).flatMap((ticket) => JSON.parse(ticket.activities) as Activity[]),
      schools: items.filter((item) => of.includes(item.ticket_id)).flatMap((item) => item.school ?? []),
      makers: makers.filter((choice) => of.includes(choice.ticket_id)).map((choice) => choice.maker),
    }
  }
  const before = weights.filter((weight) => day(weight.taken_at) <= day(tape ?? dog.measured_at))
  return {
    born: dog.born,
    ageMonths: dog.age_months,
    ageSaidOn: dog.age_said_on,
    measuredOn: day(tape ?? dog.measured_at),
    weightThenKg: before.at(-1)?.mm ?? null,
    weightNowKg: weights.at(-1)?.taken_at === before.at(-1)?.taken_at ? (dog.weight_kg ?? before.at(-1)?.mm ?? null) : (weights.at(-1)?.mm ?? null),
    notes,
    symptoms: [...new Set(symptoms.filter((note) => note.present === 1).map((note) => note.symptom))],
    worn: items.map((item) => item.family),
    measuredFor: side(true),
    askedSince: side(false),
  }
}

/** Who is to be measured again (handbook 4.8) and who is expected back, for one day. */
export function remindersOn(db: Db, on: string): { again: Reminder[]; back: ComingBack[] } {
  const dogs = db
    .prepare<[number], DogRow>(
      `SELECT dogs.*, max(readings.taken_at) AS measured_at FROM dogs JOIN tickets ON tickets.dog_id = dogs.id
       JOIN readings ON readings.ticket_id = tickets.id GROUP BY dogs.id ORDER BY measured_at DESC LIMIT ?`,
    )
    .all(MOST_DOGS)
  const again = dogs
    .flatMap((dog): Reminder[] => {
      const record = recordOf(db, dog)
      const reasons = measureAgain(record, on)
      return reasons.length > 0 ? [{ dogId: dog.id, dog: dog.name, measuredOn: record.measuredOn ?? on, reasons }] : []
    })
    .sort((a, b) => Number(b.reasons[0]?.urgency === 'now') - Number(a.reasons[0]?.urgency === 'now') || a.measuredOn.localeCompare(b.measuredOn))
  const back = db
    .prepare<[string], ComingBack>(
      `SELECT tickets.id AS ticketId, tickets.number, tickets.dog_id AS dogId, coalesce(dogs.name, 'Counter') AS dog, tickets.next_look_on AS "on", tickets.state
       FROM tickets LEFT JOIN dogs ON dogs.id = tickets.dog_id WHERE tickets.next_look_on IS NOT NULL AND tickets.next_look_on >= date(?, '-14 days')
       ORDER BY tickets.next_look_on LIMIT 40`,
    )
    .all(on)
  return { again, back }
}
