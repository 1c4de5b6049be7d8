import { CHECK_READS, type Foretold, type Form, type Point3, type PredictedCheck, type StrapId } from '@merry-tailor/core'

export type LaidState = 'slack' | 'pulling'

/** Where a check shows on the dog, and a finger goes; `null` where nothing that is laid says. */
export function placeOfCheck({ check, strap }: Pick<PredictedCheck, 'check' | 'strap'>, { laid }: Foretold, form: Form, state: LaidState): Point3 | null {
  const lay = laid?.[state]
  if (!lay) return null
  // A little past its middle, clear of the node there.
  const on = (...ids: StrapId[]): Point3 | null => {
    const points = ids.map((id) => lay.straps[id]?.points ?? []).find((each) => each.length > 0) ?? []
    return points[Math.floor(points.length * 0.55)] ?? null
  }
  if (strap) return on(strap)
  if (check === 'under-every-strap') return on('girth', 'neck', 'front')
  if (check === 'sides-equal' || check === 'cross-sides-equal') return on('side', 'girth')
  switch (CHECK_READS[check]?.figure) {
    case 'v':
      return lay.nodes.v?.at ?? null
    case 'top':
      return lay.nodes.top?.at ?? null
    case 'ribs':
      return lay.nodes.rib?.at ?? null
    case 'tug':
      return lay.nodes.tug?.at ?? null
    case 'elbow':
    case 'trueRib':
      return lay.nodes.low?.at ?? null
    case 'armpit':
      return form.landmarks.L07 ?? null
    case 'blade':
      return form.landmarks.L05 ?? null
    case 'neckRoom':
      return on('neck', 'front')
    case 'girthRoom':
      return on('girth', 'cinch')
    case 'bellyRoom':
    case 'belly':
      return on('belly') ?? lay.nodes.bellyLow?.at ?? null
    default:
      return null
  }
}

/** The landmark a check is read from, where it has one on the dog. */
export function readFrom({ check }: Pick<PredictedCheck, 'check'>, form: Form): Point3 | null {
  const { landmarks, sections } = form
  switch (CHECK_READS[check]?.figure) {
    case 'v':
      return landmarks.L01 ?? null
    case 'top':
      return [sections.withers.tx, 0, sections.withers.tz]
    case 'tug':
      return [sections.tail.tx, 0, sections.tail.tz]
    case 'ribs':
    case 'trueRib':
      return landmarks.L12 ?? null
    case 'elbow':
    case 'armpit':
      return landmarks.L06 ?? null
    case 'blade':
      return landmarks.L05 ?? null
    default:
      return null
  }
}
