import type { Reading } from '../model/index.ts'
import type { Agreed } from './agree.ts'
import { measures } from './catalogue.ts'

/** A value that follows by an identity. It is shown as derived and is never enough to order by. */
export interface Derived {
  measure: string
  mm: number
  sigmaMm: number
  from: string[]
}

type Read = Pick<Reading, 'measure' | 'chalkMark' | 'struck'>

/** Was every reading that counts of this measure read on one straight tape through one chalk mark? */
function throughOneMark(measure: string, readings: readonly Read[]): boolean {
  const kept = readings.filter((reading) => reading.measure === measure && !reading.struck)
  return kept.length > 0 && kept.every((reading) => reading.chalkMark)
}

/**
 * The one identity between measures besides doubling: M13 = M10 + M12, only when both were read on one straight tape
 * through one chalk mark at the rib (handbook 3.2, common practice). Everything else is refused: see {@link refusals}.
 */
export function derivedOverall(body: Readonly<Record<string, Agreed | undefined>>, readings: readonly Read[]): Derived | null {
  const [under, onward] = [body.M10, body.M12]
  if (!under || !onward || under.mm === null || onward.mm === null) return null
  if (!throughOneMark('M10', readings) || !throughOneMark('M12', readings)) return null
  return { measure: 'M13', mm: under.mm + onward.mm, sigmaMm: Math.hypot(under.sigmaMm ?? 0, onward.sigmaMm ?? 0), from: ['M10', 'M12'] }
}

/** A conversion somebody may ask for and does not get: what was had, and what to take instead. */
export interface Refusal {
  from: string
  take: string
  because: string
}

/** Everything near a measure that it is never made from, with the reason, from the definitions of handbook 3.2. */
export function refusals(measure: string): Refusal[] {
  return (measures[measure]?.alternates ?? []).flatMap((alternate) =>
    alternate.converts === 'other' && alternate.is ? [{ from: alternate.is, take: measure, because: alternate.differs }] : [],
  )
}
