import type { MeasureId } from '../model/index.ts'
/** A tape a family wants. */
export interface Want {
  measure: MeasureId
  /** `warning`: only checks. */
  need: 'must' | 'warning'
  /** The other measure that serves as well. */
  either?: MeasureId
}

/** Tapes by the way a piece is got; made ones to one of the two measuring schools where the family has them. */
export interface WantedTapes {
  stock: readonly Want[]
  made?: Readonly<Record<'A' | 'B', readonly Want[]>>
}

export const must = (...ids: MeasureId[]): Want[] => ids.map((measure) => ({ measure, need: 'must' }))
export const check = (...ids: MeasureId[]): Want[] => ids.map((measure) => ({ measure, need: 'warning' }))
export const oneOf = (a: MeasureId, b: MeasureId, need: Want['need'] = 'warning'): Want[] => [
  { measure: a, need, either: b },
  { measure: b, need, either: a },
]
