/** What a rib has to stretch to where it is worn. */
export interface RibStretch {
  /** Ring to the rib's rest; under 1 it hangs. */
  stretch: number
  state: 'hangs' | 'holds' | 'hard'
}

/** A rib stretched to more than half as much again is hard on dog and stitches. Ours, unverified. */
export const HARD_STRETCH = 1.5

/**
 * How a rib lies on a ring.
 *
 * @param restMm the ring of cloth at rest, and the body's, mm
 */
export function ribStretch(restMm: number, ringMm: number): RibStretch {
  if (!(restMm > 0) || !(ringMm > 0)) throw new RangeError(`rings are over 0 mm: ${restMm}, ${ringMm}`)
  const stretch = ringMm / restMm
  return { stretch, state: stretch > HARD_STRETCH ? 'hard' : stretch < 1 ? 'hangs' : 'holds' }
}
