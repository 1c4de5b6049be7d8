import type { Act, ActSheet } from './act.ts'

const missing = <T extends { id: string }>(held: readonly T[], kept: readonly T[]): T[] => {
  const there = new Set(kept.map((each) => each.id))
  return held.filter((each) => !there.has(each.id))
}

/** The same without what is no part of the body that was sent. */
function bodyOf(record: object): never {
  const body = { ...record } as Record<string, unknown>
  for (const field of ['id', 'struck', 'observations', 'symptoms', 'became', 'removed', 'createdAt']) Reflect.deleteProperty(body, field)
  if ('createdAt' in record) body['at'] = (record as { createdAt: string }).createdAt
  return body as never
}

/**
 * The facts one sheet of a ticket has and another has not, as the acts that made them: what a device still knows when a
 * book was brought back from a copy of before. Fields of the ticket are left alone: which of two values is newer nobody
 * can say.
 */
export function actsBeyond(held: ActSheet, kept: ActSheet): Act[] {
  const roundsKept = new Map(kept.tryOns.map((round) => [round.id, round]))
  return [
    ...missing(held.items, kept.items).map((each): Act => ({ act: 'item', id: each.id, body: bodyOf(each) })),
    ...missing(held.readings, kept.readings).map((each): Act => ({ act: 'read', id: each.id, body: bodyOf(each) })),
    ...missing(held.acknowledgements, kept.acknowledgements).map((each): Act => ({ act: 'acknowledge', id: each.id, body: bodyOf(each) })),
    ...missing(held.asWritten, kept.asWritten).map((each): Act => ({ act: 'write-down', id: each.id, body: bodyOf(each) })),
    ...held.asWritten.flatMap((each): Act[] =>
      each.became && !kept.asWritten.find((there) => there.id === each.id)?.became ? [{ act: 'answer', id: each.id, body: each.became }] : [],
    ),
    ...missing(held.choices, kept.choices).map((each): Act => ({ act: 'choose', id: each.id, body: bodyOf(each) })),
    ...missing(held.hitches, kept.hitches).map((each): Act => ({ act: 'hitch', id: each.id, body: bodyOf(each) })),
    ...missing(held.setUps, kept.setUps).map((each): Act => ({ act: 'set-up', id: each.id, body: bodyOf(each) })),
    ...missing(held.settings, kept.settings).map((each): Act => ({ act: 'set', id: each.id, body: bodyOf(each) })),
    ...missing(held.tryOns, kept.tryOns).map((each): Act => ({ act: 'try-on', id: each.id, body: bodyOf(each) })),
    ...held.tryOns.flatMap((round): Act[] => [
      ...missing(round.observations, roundsKept.get(round.id)?.observations ?? []).map((each): Act => ({
        act: 'observe',
        id: each.id,
        roundId: round.id,
        body: bodyOf(each),
      })),
      ...missing(round.symptoms, roundsKept.get(round.id)?.symptoms ?? []).map((each): Act => ({
        act: 'symptom',
        id: each.id,
        roundId: round.id,
        body: bodyOf(each),
      })),
    ]),
    ...missing(held.marks, kept.marks).map((each): Act => ({ act: 'mark', id: each.id, body: bodyOf(each) })),
  ]
}
