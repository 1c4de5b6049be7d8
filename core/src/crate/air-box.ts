/** The four measures of a flying dog, mm: A nose to tail root, B floor to elbow, C greatest width, D head or ear tips, whichever is higher. */
export interface AirQuestion {
  aMm: number
  bMm: number
  cMm: number
  dMm: number
  bedMm: number
  flatFace: boolean
  /** How many in one box; C of the widest, the rest of the longest and tallest. */
  animals?: number | undefined
  heaviestKg?: number | undefined
  /** One litter, up to six months old. */
  young?: boolean | undefined
  ageWeeks?: number | undefined
  /** Boxes are ordered in steps of this. */
  stepMm?: number | undefined
}

export type AirSide = 'length' | 'width' | 'height'
type BySide<T> = Record<AirSide, T>

/** A carrier's own rules; what it leaves out is as commonly asked. */
export interface Carrier {
  factors?: { lengthB?: number | undefined; width?: number | undefined } | undefined
  flatFaceShare?: number | undefined
  refusesFlatFace?: boolean | undefined
  leastMm?: Partial<BySide<number>> | undefined
  mostMm?: Partial<BySide<number>> | undefined
}

export const AIR_REFUSALS = [
  'under-8-weeks', 'over-14-kg-alone', 'too-many', 'flat-face-refused', 'too-large-length', 'too-large-width', 'too-large-height',
] as const // prettier-ignore
export type AirRefusal = (typeof AIR_REFUSALS)[number]

export interface AirBox {
  /** What the dog asks inside. */
  insideMm: BySide<number>
  /** The same rounded up to what is ordered. */
  orderMm: BySide<number>
  by: BySide<'common' | 'carrier'>
  refusals: AirRefusal[]
}

const SIDES = ['length', 'width', 'height'] as const
/** Common rule: A + B / 2, 2 C (3 C and 4 C for more), D and bedding, a tenth more for a flat face. Source: facts of the live-animal rules, container requirement 1; value from memory. */
const COMMON = { lengthB: 0.5, width: 2, flatFaceShare: 0.1 }
const YOUNGEST_WEEKS = 8
const LITTER_WEEKS = 26
const ALONE_KG = 14

const positive = (name: string, mm: number): void => {
  if (!(mm > 0) || !Number.isFinite(mm)) throw new RangeError(`${name} is over 0: ${mm}`)
}
const notNegative = (name: string, mm: number | undefined): void => {
  if (mm !== undefined && (!(mm >= 0) || !Number.isFinite(mm))) throw new RangeError(`${name} is 0 or more: ${mm}`)
}
/** Floating leftovers are no millimetre. */
const clean = (mm: number): number => Math.round(mm * 1e6) / 1e6

function ask({ aMm, bMm, cMm, dMm, bedMm, animals = 1, heaviestKg, ageWeeks, stepMm = 10 }: AirQuestion, carrier: Carrier): void {
  for (const [name, mm] of [['A', aMm], ['B', bMm], ['C', cMm], ['D', dMm], ['the step', stepMm]] as const) positive(name, mm) // prettier-ignore
  for (const [name, value] of [['bedding', bedMm], ['weight', heaviestKg], ['age', ageWeeks], ['flat-face share', carrier.flatFaceShare]] as const) notNegative(name, value) // prettier-ignore
  if (!Number.isInteger(animals) || animals < 1) throw new RangeError(`animals are one or more: ${animals}`)
  notNegative('factor of B', carrier.factors?.lengthB)
  if (carrier.factors?.width !== undefined) positive('factor of C', carrier.factors.width)
  for (const side of SIDES) for (const box of [carrier.leastMm, carrier.mostMm]) if (box?.[side] !== undefined) positive(side, box[side])
}

/**
 * The air box a dog asks, by the common rule or the carrier's own, who wins; the carrier, the states and the vet decide.
 *
 * @throws RangeError for measures that are none
 */
export function airBox(question: AirQuestion, carrier: Carrier = {}): AirBox {
  ask(question, carrier)
  const { aMm, bMm, cMm, dMm, bedMm, flatFace, animals = 1, heaviestKg, young = false, ageWeeks, stepMm = 10 } = question
  const more = flatFace ? 1 + (carrier.flatFaceShare ?? COMMON.flatFaceShare) : 1
  const bare: BySide<number> = {
    length: aMm + bMm * (carrier.factors?.lengthB ?? COMMON.lengthB),
    width: cMm * ((carrier.factors?.width ?? COMMON.width) + animals - 1),
    height: dMm + bedMm,
  }
  const own: BySide<boolean> = {
    length: carrier.factors?.lengthB !== undefined,
    width: carrier.factors?.width !== undefined,
    height: false,
  }
  const each = <T>(of: (side: AirSide) => T): BySide<T> => ({ length: of('length'), width: of('width'), height: of('height') })
  const asked = each((side) => clean(bare[side] * more))
  const insideMm = each((side) => Math.max(asked[side], carrier.leastMm?.[side] ?? 0))
  const orderMm = each((side) => clean(Math.ceil(insideMm[side] / stepMm - 1e-9) * stepMm))
  const by = each((side) =>
    own[side] || (flatFace && carrier.flatFaceShare !== undefined) || insideMm[side] > asked[side] ? ('carrier' as const) : ('common' as const),
  )
  const litter = young && (ageWeeks === undefined || ageWeeks <= LITTER_WEEKS)
  const refusals: AirRefusal[] = []
  if (ageWeeks !== undefined && ageWeeks < YOUNGEST_WEEKS) refusals.push('under-8-weeks')
  if (animals > 1 && !litter && heaviestKg !== undefined && heaviestKg > ALONE_KG) refusals.push('over-14-kg-alone')
  if (animals > (litter ? 3 : 2)) refusals.push('too-many')
  if (flatFace && carrier.refusesFlatFace) refusals.push('flat-face-refused')
  for (const side of SIDES) if (carrier.mostMm?.[side] !== undefined && orderMm[side] > carrier.mostMm[side]) refusals.push(`too-large-${side}`)
  return { insideMm, orderMm, by, refusals }
}
