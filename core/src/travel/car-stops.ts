export interface CarQuestion {
  seat: 'front' | 'rear'
  /** The front passenger’s: only one that is surely off is none. */
  airBag: 'on' | 'off' | 'unknown'
  tetherOn: boolean
  crashed: boolean
  dogKg: number | null
  /** Heaviest dog the harness was tested for; `null` where nobody says. */
  testedKg: number | null
  held: 'loop' | 'collar' | 'nothing'
}

export interface CarStop {
  code: 'air-bag' | 'front-seat' | 'tether' | 'crashed' | 'over-tested' | 'tested-unknown' | 'collar' | 'not-held'
  level: 'stop' | 'caution'
}

/** What must not drive off (handbook 5.6, 8.7): stops first. Local law decides beside it. */
export function carStops({ seat, airBag, tetherOn, crashed, dogKg, testedKg, held }: CarQuestion): CarStop[] {
  const stop = (code: CarStop['code'], is: boolean): CarStop[] => (is ? [{ code, level: 'stop' }] : [])
  const caution = (code: CarStop['code'], is: boolean): CarStop[] => (is ? [{ code, level: 'caution' }] : [])
  return [
    ...stop('air-bag', seat === 'front' && airBag !== 'off'),
    ...stop('tether', tetherOn),
    ...stop('crashed', crashed),
    ...stop('over-tested', dogKg !== null && testedKg !== null && dogKg > testedKg),
    ...stop('collar', held === 'collar'),
    ...stop('not-held', held === 'nothing'),
    ...caution('front-seat', seat === 'front' && airBag === 'off'),
    ...caution('tested-unknown', testedKg === null),
  ]
}

/** Before driving off, in order (handbook 8.7, 7.2). */
export const PRE_DRIVE = [
  { code: 'buckles-home' },
  { code: 'sides-even' },
  { code: 'belt-through' },
  { code: 'slack-out' },
  { code: 'lead-off' },
  { code: 'rear-seat' },
] as const
