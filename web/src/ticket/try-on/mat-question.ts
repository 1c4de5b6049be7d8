import { checkByMaker, type Check, type Foretold, type Item, type Observation, type PullState, type SizeTable, type TryOn } from '@merry-tailor/core'

/** What the mat of a round shows and does, on a bench and on a phone alike. */
export interface MatQuestion {
  item: Item
  round: TryOn
  state: PullState
  /** Checks of the state, in the order a hand makes them. */
  checks: readonly Check[]
  /** The answer of each check and state that counts. */
  newest: ReadonlyMap<string, Observation>
  /** As it is set now; `null` where nothing can be laid or foretold. */
  foretold: Foretold | null
  /** It is being laid. */
  isLaying: boolean
  riseRad: number
  /** The maker’s own rules. */
  rules: SizeTable['rules']
  /** The check in hand. */
  open: string | null
  onOpen: (check: string | null) => void
  /** Symptoms of the part that was pressed. */
  onPart: (symptoms: readonly string[]) => void
  onKept: (grade: Observation['grade']) => void
  /** What to do in this state. */
  hint: string
}

export const byOwnRules = (check: Check, rules: MatQuestion['rules']): Check => checkByMaker(check, rules)
