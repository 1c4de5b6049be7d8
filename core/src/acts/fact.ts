import type { MarkedKind } from '../model/index.ts'
import type { Act, Signed } from './act.ts'

/** A fact is taken back and done again by marks; it stays. */
export const takenBack = (what: MarkedKind, why = 'Taken back') => ({
  inverse: (act: { id: string }, signed: Signed): Act => marked(what, act.id, 'struck', why, signed),
  again: (act: { id: string }, signed: Signed): Act => marked(what, act.id, 'restored', 'Done again', signed),
})

const marked = (what: MarkedKind, about: string, kind: 'struck' | 'restored', why: string, { id, at, by }: Signed): Act => ({
  act: 'mark',
  id,
  body: { what, about, kind, why, at, by },
})
