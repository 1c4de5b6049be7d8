import {
  PLAIN_CIRCUMSTANCES,
  type Acknowledgement,
  type AsWritten,
  type BecameReading,
  type Change,
  type Mark,
  type NewAcknowledgement,
  type NewAsWritten,
  type NewMark,
  type NewReading,
  type Reading,
  type Strike,
  type TicketSheet,
} from '../model/index.ts'

/** One act on the bench, under the client-made id of what it makes. */
export type Act =
  | { act: 'read'; id: string; body: NewReading }
  | { act: 'mark'; id: string; body: NewMark }
  | { act: 'acknowledge'; id: string; body: NewAcknowledgement }
  | { act: 'write-down'; id: string; body: NewAsWritten }
  | { act: 'answer'; id: string; body: BecameReading }
  | { act: 'change'; changes: Change[] }

type Sheet = Pick<TicketSheet, 'ticket' | 'readings' | 'acknowledgements' | 'asWritten' | 'marks'>

/** Keeps one row to an id: what is there already stays, since facts never change. */
function keep<T extends { id: string }>(list: T[], made: T): void {
  if (!list.some((each) => each.id === made.id)) list.push(made)
}

const strikeOf = (mark: Mark | undefined): Strike | undefined => (mark?.kind === 'struck' ? { why: mark.why, at: mark.at, by: mark.by } : undefined)

/** Lets the newest mark on a fact decide whether it counts. */
interface Fact {
  id: string
  struck?: Strike | undefined
}

/** A mark may arrive before its fact: both ways round the newest mark decides. */
function settle(facts: readonly Fact[], id: string, marks: readonly Mark[]): void {
  const fact = facts.find((each) => each.id === id)
  if (!fact) return
  const newest = marks.findLast((mark) => mark.about === id)
  if (!newest) return
  const struck = strikeOf(newest)
  if (struck) fact.struck = struck
  else delete fact.struck
}

/**
 * Does one act to a ticket's sheet, in place (a draft or a copy of your own). The same act again changes nothing, so
 * acts may be replayed; marks decide in the order in which they arrive.
 */
export function applyAct(sheet: Sheet, act: Act): void {
  switch (act.act) {
    case 'read': {
      keep<Reading>(sheet.readings, { ...PLAIN_CIRCUMSTANCES, ...act.body, id: act.id })
      settle(sheet.readings, act.id, sheet.marks)
      break
    }
    case 'acknowledge': {
      keep<Acknowledgement>(sheet.acknowledgements, { ...act.body, id: act.id })
      settle(sheet.acknowledgements, act.id, sheet.marks)
      break
    }
    case 'write-down': {
      keep<AsWritten>(sheet.asWritten, { ...act.body, id: act.id, became: null })
      settle(sheet.asWritten, act.id, sheet.marks)
      break
    }
    case 'answer': {
      const written = sheet.asWritten.find((each) => each.id === act.id)
      if (written) written.became ??= act.body
      break
    }
    case 'mark': {
      keep<Mark>(sheet.marks, { ...act.body, id: act.id })
      const facts = { reading: sheet.readings, acknowledgement: sheet.acknowledgements, 'as-written': sheet.asWritten }[act.body.what]
      settle(facts, act.body.about, sheet.marks)
      break
    }
    case 'change': {
      for (const { field, to } of act.changes) (sheet.ticket as Record<string, unknown>)[field] = to
      break
    }
  }
}
