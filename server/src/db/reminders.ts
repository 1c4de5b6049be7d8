import { measureAgain, type Activity, type ComingBack, type DogNote, type FamilyId, type MeasuredRecord, type Reminder, type School } from '@merry-tailor/core'
import type { Db } from './open.ts'
import { listSizeTables } from './size-tables.ts'

interface DogRow {
  id: string
  name: string
  born: string | null
  age_months: number | null
  age_said_on: string | null
  breed: string
  cross_with: string
  sex: 'male' | 'female' | null
  weight_kg: number | null
  measured_at: string
  measured_on: string
}

/** Readings that count: no newest mark strikes them. */
const COUNTING = `coalesce((SELECT kind FROM marks WHERE marks.about = readings.id ORDER BY marks.seq DESC LIMIT 1), '') <> 'struck'`

/** Dogs looked at for one day's list; a shop with more looks at those measured last. */
const MOST_DOGS = 2000

/** The dogs measured last, each with its newest reading: the rest is asked for these at once, not for each alone. */
const DOGS = `SELECT dogs.*, max(readings.taken_at) AS measured_at, max(readings.on_day) AS measured_on
  FROM dogs CROSS JOIN tickets ON tickets.dog_id = dogs.id CROSS JOIN readings ON readings.ticket_id = tickets.id
  GROUP BY dogs.id ORDER BY measured_at DESC LIMIT ?`
const OF_DOGS = 'IN (SELECT value FROM json_each(?))'

/** Rows by the dog they belong to. */
function byDog<T extends { dog_id: string }>(rows: readonly T[]): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const group = groups.get(row.dog_id)
    if (group) group.push(row)
    else groups.set(row.dog_id, [row])
  }
  return groups
}

/** Everything that is remembered of these dogs, in one statement for each kind of record. */
function remembered(db: Db, dogs: readonly DogRow[]) {
  const ids = JSON.stringify(dogs.map((dog) => dog.id))
  const ask = <T extends { dog_id: string }>(sql: string) => byDog(db.prepare<[string], T>(sql).all(ids))
  return {
    tickets: ask<{ dog_id: string; id: string; activities: string; created_at: string; measured: number }>(
      `SELECT dog_id, id, activities, created_at, EXISTS (SELECT 1 FROM readings WHERE readings.ticket_id = tickets.id) AS measured
       FROM tickets WHERE dog_id ${OF_DOGS} ORDER BY created_at`,
    ),
    items: ask<{ dog_id: string; ticket_id: string; family: FamilyId; school: School | null }>(
      `SELECT dog_id, ticket_id, family, school FROM items JOIN tickets ON tickets.id = items.ticket_id WHERE tickets.dog_id ${OF_DOGS} AND items.removed = 0`,
    ),
    choices: ask<{ dog_id: string; ticket_id: string; table_id: string | null; table_version: number | null }>(
      `SELECT dog_id, ticket_id, json_extract(what, '$.tableId') AS table_id, json_extract(what, '$.tableVersion') AS table_version
       FROM choices JOIN tickets ON tickets.id = choices.ticket_id WHERE tickets.dog_id ${OF_DOGS} ORDER BY choices.seq`,
    ),
    weights: ask<{ dog_id: string; mm: number; taken_at: string; on_day: string }>(
      `SELECT dog_id, readings.mm, readings.taken_at, readings.on_day FROM readings JOIN tickets ON tickets.id = readings.ticket_id
       WHERE tickets.dog_id ${OF_DOGS} AND readings.measure = 'M00' AND ${COUNTING} ORDER BY readings.taken_at`,
    ),
    // The weight at the newest measuring with a tape: a later weighing alone is a change.
    tapes: ask<{ dog_id: string; at: string; on_day: string }>(
      `SELECT dog_id, max(readings.taken_at) AS at, max(readings.on_day) AS on_day FROM readings JOIN tickets ON tickets.id = readings.ticket_id
       WHERE tickets.dog_id ${OF_DOGS} AND readings.measure NOT IN ('M00', 'M48', 'M49') AND ${COUNTING} GROUP BY dog_id`,
    ),
    symptoms: ask<{ dog_id: string; symptom: string; present: number; at: string }>(
      `SELECT dog_id, symptom, present, symptom_notes.at FROM symptom_notes JOIN try_ons ON try_ons.id = symptom_notes.try_on_id
       JOIN tickets ON tickets.id = try_ons.ticket_id WHERE tickets.dog_id ${OF_DOGS} ORDER BY symptom_notes.seq`,
    ),
    notes: ask<{ dog_id: string; kind: DogNote['kind']; on: string; over: string | null }>(
      `SELECT dog_id, kind, on_day AS "on", over_day AS over FROM dog_notes WHERE dog_id ${OF_DOGS}`,
    ),
  }
}

type Remembered = ReturnType<typeof remembered>

function recordOf(dog: DogRow, all: Remembered, makerOf: (id: string, version: number) => string | undefined): MeasuredRecord {
  const of = <T>(groups: ReadonlyMap<string, readonly T[]>): readonly T[] => groups.get(dog.id) ?? []
  const [tickets, items, weights] = [of(all.tickets), of(all.items), of(all.weights)]
  const tape = of(all.tapes)[0]
  const measuredOn = tape?.on_day ?? dog.measured_on
  const since = tape?.at ?? dog.measured_at
  const lastMeasured = tickets.findLast((ticket) => ticket.measured === 1)?.created_at ?? ''
  const side = (measured: boolean) => {
    const own = new Set(
      tickets.filter((ticket) => (measured ? ticket.created_at <= lastMeasured : ticket.created_at > lastMeasured)).map((ticket) => ticket.id),
    )
    return {
      activities: tickets.filter((ticket) => own.has(ticket.id)).flatMap((ticket) => JSON.parse(ticket.activities) as Activity[]),
      schools: items.filter((item) => own.has(item.ticket_id)).flatMap((item) => item.school ?? []),
      makers: of(all.choices)
        .filter((choice) => own.has(choice.ticket_id))
        .flatMap((choice) => (choice.table_id === null ? [] : (makerOf(choice.table_id, choice.table_version ?? 0) ?? []))),
    }
  }
  const before = weights.filter((weight) => weight.on_day <= measuredOn)
  // The newest note of a symptom counts: it may be gone since.
  const present = new Map(of(all.symptoms).filter((note) => note.at > since).map((note) => [note.symptom, note.present === 1])) // prettier-ignore
  return {
    born: dog.born,
    ageMonths: dog.age_months,
    ageSaidOn: dog.age_said_on,
    breed: dog.breed,
    crossWith: dog.cross_with,
    sex: dog.sex,
    measuredOn,
    weightThenKg: before.at(-1)?.mm ?? null,
    weightNowKg: weights.at(-1)?.taken_at === before.at(-1)?.taken_at ? (dog.weight_kg ?? before.at(-1)?.mm ?? null) : (weights.at(-1)?.mm ?? null),
    notes: of(all.notes),
    symptoms: [...present].filter(([, is]) => is).map(([symptom]) => symptom),
    worn: items.map((item) => item.family),
    measuredFor: side(true),
    askedSince: side(false),
  }
}

/** Who is to be measured again (handbook 4.8) and who is expected back, for one day. */
export function remindersOn(db: Db, on: string): { again: Reminder[]; back: ComingBack[] } {
  const dogs = db.prepare<[number], DogRow>(DOGS).all(MOST_DOGS)
  const all = remembered(db, dogs)
  const makers = new Map(listSizeTables(db).map((table) => [`${table.id} ${table.version}`, table.maker]))
  const again = dogs
    .flatMap((dog): Reminder[] => {
      const record = recordOf(dog, all, (id, version) => makers.get(`${id} ${version}`))
      const reasons = measureAgain(record, on)
      return reasons.length > 0 ? [{ dogId: dog.id, dog: dog.name, measuredOn: record.measuredOn ?? on, reasons }] : []
    })
    .sort((a, b) => Number(b.reasons[0]?.urgency === 'now') - Number(a.reasons[0]?.urgency === 'now') || (a.measuredOn < b.measuredOn ? -1 : 1))
  const back = db
    .prepare<[string], ComingBack>(
      `SELECT tickets.id AS ticketId, tickets.number, tickets.dog_id AS dogId, coalesce(dogs.name, 'Counter') AS dog, tickets.next_look_on AS "on", tickets.state
       FROM tickets LEFT JOIN dogs ON dogs.id = tickets.dog_id WHERE tickets.next_look_on IS NOT NULL AND tickets.next_look_on >= date(?, '-14 days')
       ORDER BY tickets.next_look_on LIMIT 40`,
    )
    .all(on)
  return { again, back }
}
