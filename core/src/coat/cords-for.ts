/** Where a rain suit's cords run, in the order they are drawn in (handbook 8.2, common practice). */
export const CORD_PLACES = ['chest', 'belly', 'leg-front-left', 'leg-front-right', 'leg-hind-left', 'leg-hind-right', 'collar'] as const
export type CordPlace = (typeof CORD_PLACES)[number]

export interface Cord {
  place: CordPlace
  /** How much of the tunnel is drawn in. */
  drawInMm: number
  /** Tunnel to loop. */
  ratio: number
  /** Cord to cut. */
  cordMm: number
  state: 'draws' | 'too-small' | 'bunches'
}

/** A tunnel of more than twice its loop bunches. Ours, unverified. */
const BUNCHES = 2

/**
 * Cords of a suit: each draws its tunnel in to the ring and some slack, and is as long as the open tunnel and two tails.
 *
 * @param tunnels tunnel laid flat all round and the body's ring there, mm
 * @throws RangeError for a length that is none
 */
export function cordsFor(
  tunnels: readonly { place: CordPlace; flatMm: number; ringMm: number }[],
  { slackMm, tailMm }: { slackMm: number; tailMm: number },
): Cord[] {
  return tunnels
    .map(({ place, flatMm, ringMm }): Cord => {
      const loop = ringMm + slackMm
      if (!(flatMm > 0) || !(loop > 0) || !(tailMm >= 0) || !Number.isFinite(flatMm + loop + tailMm))
        throw new RangeError(`${place}: tunnel and loop are over 0 mm, tails 0 or more`)
      const ratio = flatMm / loop
      return { place, drawInMm: flatMm - loop, ratio, cordMm: flatMm + 2 * tailMm, state: flatMm < loop ? 'too-small' : ratio > BUNCHES ? 'bunches' : 'draws' }
    })
    .sort((a, b) => CORD_PLACES.indexOf(a.place) - CORD_PLACES.indexOf(b.place))
}
