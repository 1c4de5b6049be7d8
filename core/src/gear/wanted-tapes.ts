/** A tape a family wants. */
export interface Want {
  measure: string
  /** `warning`: only checks. */
  need: 'must' | 'warning'
  /** The other measure that serves as well. */
  either?: string
}

/** Tapes by the way a piece is got; made ones to one of the two measuring schools where the family has them. */
export interface WantedTapes {
  stock: readonly Want[]
  made?: Readonly<Record<'A' | 'B', readonly Want[]>>
}

export const must = (...ids: string[]): Want[] => ids.map((measure) => ({ measure, need: 'must' }))
export const check = (...ids: string[]): Want[] => ids.map((measure) => ({ measure, need: 'warning' }))
export const oneOf = (a: string, b: string, need: Want['need'] = 'warning'): Want[] => [
  { measure: a, need, either: b },
  { measure: b, need, either: a },
]
