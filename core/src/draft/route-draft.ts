import { rollingPull } from '../hitch/index.ts'
import { askNumbers } from '../units/index.ts'

export interface WayStretch {
  lengthM: number
  resistance: number
  gradePercent: number
}

export interface RouteDraft {
  /** Pull on each stretch, N; minus: it wants holding back. */
  pullsN: number[]
  /** Work of pulling, and of holding back, kJ. */
  workKj: number
  holdKj: number
  /** Over all its length, with holding back as nothing. */
  meanN: number
  /** The stretch that pulls hardest. */
  worst: number
  worstN: number
  /** Stretches on which the load runs by itself. */
  holdBack: number[]
}

/**
 * A way stretch by stretch, each by `rollingPull`.
 *
 * @throws RangeError for no stretch, one without length, or a number that is none
 * Source: mechanics (facts 5b)
 */
export function routeDraft({ massKg, stretches }: { massKg: number; stretches: readonly WayStretch[] }): RouteDraft {
  askNumbers({ massKg }, 0)
  if (stretches.length === 0) throw new RangeError('stretches: none')
  const pullsN = stretches.map(({ lengthM, resistance, gradePercent }) => {
    askNumbers({ lengthM }, 0)
    return rollingPull({ massKg, resistance, gradePercent }).pullN
  })
  const lengthM = stretches.reduce((sum, each) => sum + each.lengthM, 0)
  if (!(lengthM > 0)) throw new RangeError('stretches: no length')
  const sum = (of: (pullN: number) => number): number => stretches.reduce((all, each, i) => all + of(pullsN[i] as number) * each.lengthM, 0)
  const workJ = sum((pullN) => Math.max(0, pullN))
  const worstN = Math.max(...pullsN)
  return {
    pullsN,
    workKj: workJ / 1000,
    holdKj: sum((pullN) => Math.max(0, -pullN)) / 1000,
    meanN: workJ / lengthM,
    worst: pullsN.indexOf(worstN),
    worstN,
    holdBack: pullsN.flatMap((pullN, i) => (pullN < 0 ? [i] : [])),
  }
}

export interface StartPullQuestion {
  massKg: number
  resistance: number
  gradePercent?: number
  /** As fast as this, within so much way. */
  toMps: number
  withinMm: number
  /** How many times its rolling drag a load asks to be set going. */
  stiction: number
}

/**
 * Pull that sets a load going: rolling drag times stiction, the grade, and m v^2 / 2 d.
 *
 * @throws RangeError for a number that is none or below nothing, or no way to start in
 */
export function startPull({ massKg, resistance, gradePercent = 0, toMps, withinMm, stiction }: StartPullQuestion): number {
  askNumbers({ massKg, resistance, toMps, stiction }, 0)
  askNumbers({ withinMm }, 1)
  return rollingPull({ massKg, resistance: resistance * stiction, gradePercent }).pullN + (massKg * toMps ** 2) / (2 * (withinMm / 1000))
}

export interface LoadQuestion {
  dogKg: number
  /** Share of its weight the dog is planned to pull. */
  share: number
  vehicleKg: number
  resistance: number
  gradePercent?: number
}

/**
 * The load at which a dog pulls so much of its own weight, kg, at least 0; `null` where everything runs by itself.
 *
 * @throws RangeError for a number that is none, or below nothing
 */
export function loadFor({ dogKg, share, vehicleKg, resistance, gradePercent = 0 }: LoadQuestion): number | null {
  askNumbers({ dogKg, share, vehicleKg, resistance }, 0)
  const { pullKg } = rollingPull({ massKg: 1, resistance, gradePercent })
  return pullKg <= 0 ? null : Math.max(0, (share * dogKg) / pullKg - vehicleKg)
}
