import type { Grade } from '../model/index.ts'
import { worstGrade, type SizedBody } from '../sizing/index.ts'
import { MM_PER_UNIT } from '../units/index.ts'
import { crateChecks, type CrateCheck, type CrateCheckId, type Inside } from './crate-checks.ts'
import type { DogPlan } from './dog-plan.ts'

/** The series crates come in, inches outside; width and height as the trade gives them, inside already. Source: handbook 10.2, lengths common practice, the rest from memory, unverified. */
const SERIES = {
  '18': [18, 12, 14],
  '24': [24, 17, 19],
  '30': [30, 19, 21],
  '36': [36, 23, 25],
  '42': [42, 28, 30],
  '48': [48, 30, 33],
  '54': [54, 37, 45],
} as const satisfies Readonly<Record<string, readonly [length: number, width: number, height: number]>>

export type CrateLabel = keyof typeof SERIES
export const CRATE_LABELS = Object.keys(SERIES) as CrateLabel[]

/** What the walls take of a nominal length, and how far an unmeasured inside may be off, mm. Ours, within 2 to 5 cm. */
const WALLS = 35
const UNMEASURED = 8

/**
 * The inside a label promises until somebody measures it, mm.
 *
 * @throws RangeError for a label that is not of the series
 */
export function insideOf(label: string): Inside {
  const inches = (SERIES as Readonly<Record<string, readonly [number, number, number]>>)[label]
  if (!inches) throw new RangeError(`no crate of the series is called ${label}`)
  const [length, width, height] = inches.map((inch) => inch * MM_PER_UNIT.in) as [number, number, number]
  return { lengthMm: length - WALLS, widthMm: width, heightMm: height, sigmaMm: UNMEASURED }
}

export interface CrateForQuestion {
  body: SizedBody
  plan?: DogPlan | null | undefined
  bedMm?: number | undefined
  /** Insides somebody measured, by label. */
  insides?: Readonly<Partial<Record<string, Inside>>> | undefined
}

export interface SizedCrate {
  label: string
  checks: CrateCheck[]
  grade: Grade
}

export interface CrateFor {
  sizes: SizedCrate[]
  /** The first that holds throughout. */
  smallest: string | null
  /** The first without a fail. */
  perhaps: string | null
  /** What keeps the next smaller from it, least spare first. */
  decides: CrateCheckId[]
}

/**
 * The series against one dog: the smallest crate in which it stands, sits, turns and lies.
 *
 * @returns sizes in the order of the series; `null` where none holds or none could
 * @throws RangeError for an inside that is none
 */
export function crateFor({ body, plan, bedMm, insides = {} }: CrateForQuestion): CrateFor {
  const sizes = CRATE_LABELS.map((label): SizedCrate => {
    const checks = crateChecks({ body, plan, inside: insides[label] ?? insideOf(label), bedMm })
    return { label, checks, grade: worstGrade(checks.map(({ grade }) => grade)) }
  })
  const smallest = sizes.find(({ grade }) => grade === 'holds')?.label ?? null
  const perhaps = sizes.find(({ grade }) => grade === 'holds' || grade === 'doubt')?.label ?? null
  const named = sizes.findIndex(({ label }) => label === (smallest ?? perhaps))
  const before = named > 0 ? sizes[named - 1] : named < 0 ? sizes.at(-1) : undefined
  const decides = (before?.checks ?? [])
    .filter(({ grade }) => grade === 'fails' || grade === 'doubt')
    .sort((a, b) => (a.spareMm ?? 0) - (b.spareMm ?? 0))
    .map(({ check }) => check)
  return { sizes, smallest, perhaps, decides }
}
