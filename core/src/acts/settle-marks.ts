import type { Mark, MarkedKind, Strike } from '../model/index.ts'
import type { ActSheet } from './act.ts'

interface Fact {
  id: string
  struck?: Strike | undefined
}

/** The facts of a ticket that a mark can stand on. */
export function factsOf(sheet: ActSheet, what: MarkedKind): readonly Fact[] {
  switch (what) {
    case 'reading':
      return sheet.readings
    case 'acknowledgement':
      return sheet.acknowledgements
    case 'as-written':
      return sheet.asWritten
    case 'choice':
      return sheet.choices
    case 'hitch':
      return sheet.hitches
    case 'set-up':
      return sheet.setUps
    case 'try-on':
      return sheet.tryOns
    case 'observation':
      return sheet.tryOns.flatMap((round) => round.observations)
    case 'symptom':
      return sheet.tryOns.flatMap((round) => round.symptoms)
    case 'setting':
      return sheet.settings
  }
}

/** Why a fact does not count, by the newest mark on it. */
export const strikeOf = (mark: Mark | undefined): Strike | undefined => (mark?.kind === 'struck' ? { why: mark.why, at: mark.at, by: mark.by } : undefined)

/** A mark may arrive before its fact: both ways round the newest mark decides. */
export function settleMarks(sheet: ActSheet, what: MarkedKind, id: string): void {
  const newest = sheet.marks.findLast((mark) => mark.about === id)
  if (!newest) return
  const fact = factsOf(sheet, what).find((each) => each.id === id)
  if (!fact) return
  const struck = strikeOf(newest)
  if (struck) fact.struck = struck
  else delete fact.struck
}
