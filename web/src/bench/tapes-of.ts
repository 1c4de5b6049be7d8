import {
  byStations,
  derivedOverall,
  openFindings,
  readingsByTape,
  tapeKey,
  tapesFor,
  type Agreed,
  type AgreedBody,
  type Derived,
  type Finding,
  type Item,
  type Place,
  type Reading,
  type ShopFields,
  type Station,
  type Tape,
  type TicketSheet,
  isMeasureId,
  type MeasureId,
} from '@merry-tailor/core'

export interface TapeRow {
  key: string
  tape: Tape<Item>
  readings: Reading[]
  agreed: Agreed | undefined
  /** Something asks for this tape to be taken again. */
  doubt: boolean
  /** The value follows from others by an identity; never enough to order by. */
  derived: Derived | null
}

export interface Tapes {
  rows: TapeRow[]
  findings: Finding[]
  agreeing: number
  left: number
}

const placeOf = (key: string): { measure: MeasureId; place: Place | null }[] => {
  const [measure = '', place] = key.split('/')
  return isMeasureId(measure) ? [{ measure, place: (place as Place | undefined) ?? null }] : []
}

/** The tapes of a ticket in the order they are taken, and the questions they raise. */
export function tapesOf(sheet: TicketSheet, body: AgreedBody, rules: ShopFields, first: readonly Station[], extra: readonly string[]): Tapes {
  const items = sheet.items.filter((item) => !item.removed)
  const taken = readingsByTape(sheet.readings)
  const findings = openFindings(body, sheet.acknowledgements, { readings: sheet.readings, about: sheet.dog, rules })
  const wanted = tapesFor(items, sheet.ticket.wholeBody)
  const keys = new Set(wanted.map((tape) => tapeKey(tape.measure, tape.place)))
  // A tape nobody asked for but somebody took, or wants to take, stays in sight.
  const more = [...new Set([...Object.keys(taken), ...extra])]
    .filter((key) => !keys.has(key))
    .flatMap(placeOf)
    .map((tape): Tape<Item> => ({ ...tape, need: 'sheet', items: [] }))
  const overall = derivedOverall(body, sheet.readings)
  const rows = byStations(
    [...wanted, ...more].map((tape): TapeRow => {
      const key = tapeKey(tape.measure, tape.place)
      const agreed = body[key]
      return {
        key,
        tape,
        readings: taken[key] ?? [],
        agreed,
        doubt:
          agreed?.state === 'disagrees' ||
          findings.some(
            (finding) => !finding.soft && (finding.rule === 'unit-of-all' ? finding.measures.includes(tape.measure) : finding.measures[0] === tape.measure),
          ),
        derived: !agreed && overall?.measure === tape.measure ? overall : null,
      }
    }),
    first,
  )
  const agreeing = rows.filter((row) => row.agreed?.state === 'agrees' && !row.doubt).length
  return { rows, findings, agreeing, left: rows.filter((row) => !row.agreed && row.tape.either !== 'M13').length }
}
