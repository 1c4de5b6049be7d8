import { families, isKin } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'
import type { Conflict, MeasureFit, RankedSize } from './ranked-size.ts'
import type { SizedBody } from './sized-body.ts'

/** How far past the tail is "a little", mm. From memory, unverified. */
const PAST_TAIL_MM = 20
/** Back to girth under which a dog is short for a chart of girths alone. Ours, unverified. */
const SHORT_BACK = 0.78

const LENGTHS = ['M12', 'M13', 'M14']
const SIDES = ['M10', 'M11', 'M06']

const good = (fit: MeasureFit | undefined): boolean => fit?.grade === 'holds' || fit?.grade === 'doubt'

/**
 * The length that may be let pass: a little past the tail with everything else right, on a harness that ends at the tail.
 * `undefined` where nothing is to be let pass.
 */
export function fitWithinTailTolerance(family: FamilyId, fits: readonly MeasureFit[]): MeasureFit | undefined {
  // Half-backs end mid-back, wheel and stick harnesses below the tail: the tail is no end of theirs (7.2).
  if (!isKin(family, 'ends-at-tail')) return undefined
  let failing = 0
  for (const fit of fits) if (fit.grade === 'fails') failing += 1
  if (failing !== 1) return undefined
  const bad = fits.filter((fit) => fit.grade === 'fails')
  const past = bad.find((fit) => LENGTHS.includes(fit.measure) && (fit.byMm ?? 0) < 0 && Math.abs(fit.byMm ?? 0) <= PAST_TAIL_MM)
  const restRight = fits.every((fit) => fit === past || fit.grade === 'holds')
  return past && restRight && fits.some((fit) => fit.measure === 'M01') ? past : undefined
}

/** What about this size the trade has an order for; `null` where its measures agree. */
export function conflictIn(family: FamilyId, size: RankedSize, all: readonly RankedSize[], body: SizedBody): Conflict | null {
  const { shelf } = families[family]
  if (shelf !== 'walking' && shelf !== 'pulling') return null
  if (shelf === 'pulling' && size.grade !== 'fails' && size.because.code !== 'past-tail') return null
  const fit = (id: string): MeasureFit | undefined => size.perMeasure.find((each) => each.measure === id)
  const neck = fit('M01') ?? fit('M02')
  if (shelf === 'pulling' && neck && good(neck)) {
    const length = !isKin(family, 'ends-at-tail') ? undefined : LENGTHS.map(fit).find((each) => each && (each.byMm ?? 0) < 0 && each.grade !== 'holds')
    if (length && size.because.code === 'past-tail') return { code: 'past-tail-accept', measures: [length.measure], byMm: -(length.byMm ?? 0) }
    if (length?.grade === 'fails') return { code: 'length-veto', measures: [neck.measure, length.measure], byMm: -(length.byMm ?? 0) }
    const side = SIDES.map(fit).find((each) => each?.grade === 'fails' && (each.byMm ?? 0) > 0)
    if (side) return { code: 'armpit', measures: [neck.measure, side.measure], byMm: side.byMm ?? 0 }
  }
  if (shelf === 'walking') {
    const girth = fit('M07') ?? fit('M08')
    const neckElsewhere = all.some((other) => other !== size && other.perMeasure.some((each) => each.measure === neck?.measure && each.grade === 'holds'))
    if (girth && neck?.grade === 'fails' && good(girth) && neckElsewhere) {
      return { code: families[family].head === 'fixed' ? 'neck-decides' : 'girth-decides', measures: [girth.measure, neck.measure], byMm: neck.byMm ?? 0 }
    }
    const [head, collar] = [body.M04, body.M02]
    if (head?.mm != null && collar?.mm != null && !head.guess && !collar.guess && collar.mm > head.mm)
      return { code: 'neck-over-head', measures: ['M02', 'M04'], byMm: collar.mm - head.mm }
    const [back, ring] = [body.M14?.mm, body.M07?.mm]
    if (size.perMeasure.length === 1 && girth && back != null && ring != null && back < SHORT_BACK * ring)
      return { code: 'girth-alone-short-dog', measures: ['M07', 'M14'], byMm: 0 }
  }
  return null
}
