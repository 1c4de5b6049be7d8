import type { FamilyId, Grade } from '../model/index.ts'

/** What was foretold of one check in one round, beside what was seen. */
export interface KeptPair {
  round: string
  family: FamilyId
  check: string
  predicted: Grade
  seen: Grade
}

/** How often checks of one predicted grade were seen to hold, with the 90 % interval of that share. */
export interface GradeTrust {
  n: number
  held: number
  low: number
  high: number
}

export interface FamilyTrust {
  /** Different rounds behind it. */
  rounds: number
  byGrade: Record<'holds' | 'doubt' | 'fails', GradeTrust>
  /** Its predictions count; before, they only order what to try. */
  trusted: boolean
}

/** Both tails together a tenth: the 95 % point of the standard normal. */
const Z = 1.6448536269514722
/** So many rounds, and shares beyond these, before a prediction counts. Ours, unverified. */
const ROUNDS = 30
const HOLDS_LOW = 0.7
const FAILS_HIGH = 0.3

/** Wilson's score interval of a share. Source: Wilson 1927, J. Am. Stat. Assoc. 22, formula from memory. */
function wilson(held: number, n: number): [low: number, high: number] {
  if (n === 0) return [0, 1]
  const share = held / n
  const middle = (share + Z ** 2 / (2 * n)) / (1 + Z ** 2 / n)
  const reach = (Z * Math.sqrt((share * (1 - share)) / n + Z ** 2 / (4 * n ** 2))) / (1 + Z ** 2 / n)
  return [Math.max(0, middle - reach), Math.min(1, middle + reach)]
}

const GRADES = ['holds', 'doubt', 'fails'] as const

/**
 * What kept pairs say of the predictions, family by family: a seen doubt is not held. A family is trusted from thirty
 * rounds on, where what should hold is held more often than seven times in ten by the lower end of its interval, and
 * what likely misses less often than three by the upper.
 */
export function trustOf(pairs: readonly KeptPair[]): Partial<Record<FamilyId, FamilyTrust>> {
  const families = [...new Set(pairs.map((pair) => pair.family))]
  return Object.fromEntries(
    families.map((family): [FamilyId, FamilyTrust] => {
      const own = pairs.filter((pair) => pair.family === family && pair.seen !== 'none')
      const byGrade = Object.fromEntries(
        GRADES.map((grade) => {
          const of = own.filter((pair) => pair.predicted === grade)
          const held = of.filter((pair) => pair.seen === 'holds').length
          const [low, high] = wilson(held, of.length)
          return [grade, { n: of.length, held, low, high }]
        }),
      ) as FamilyTrust['byGrade']
      const rounds = new Set(own.filter((pair) => pair.predicted !== 'none').map((pair) => pair.round)).size
      const trusted = rounds >= ROUNDS && byGrade.holds.low > HOLDS_LOW && byGrade.fails.high < FAILS_HIGH
      return [family, { rounds, byGrade, trusted }]
    }),
  )
}
