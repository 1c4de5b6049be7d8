import { GRAVITY, slopeOf } from '../units/index.ts'

/** What a load runs on, with the share of its weight that resists: the usual range. */
export const SURFACES = {
  'hard-cycle': [0.002, 0.008],
  'hard-tyre': [0.011, 0.015],
  gravel: [0.02, 0.02],
  'dirt-road': [0.05, 0.05],
  grass: [0.03, 0.1],
  'soft-ground': [0.1, 0.35],
  sand: [0.2, 0.4],
  'packed-snow': [0.02, 0.1],
  'cold-new-snow': [0.1, 0.2],
} as const satisfies Readonly<Record<string, readonly [number, number]>>
export type Surface = keyof typeof SURFACES

/**
 * Sources of `SURFACES`: tyres, gravel, roads and soft ground: Wong, Theory of Ground Vehicles (values from memory);
 * bicycle tyres: Wilson, Bicycling Science, and grass and sand: from memory, unverified; runners on snow: Colbeck 1992,
 * CRREL Monograph 92-2 (value from memory), very cold or new snow from memory, unverified.
 */
export interface RollingQuestion {
  /** Everything that moves: vehicle, load and rider, kg. */
  massKg: number
  /** Share of the weight that resists on the level. */
  resistance: number
  /** Rise over a hundred of level way; negative downhill. */
  gradePercent?: number
}

export interface RollingPull {
  /** Pull along the way, N; negative where the load runs by itself and wants holding back. */
  pullN: number
  /** The same as a mass that pulls as hard, kg. */
  pullKg: number
  runsByItself: boolean
}

/**
 * Pull that keeps a load moving: F = W (C cos theta + sin theta), W = m g, sin theta = p / sqrt(p^2 + 10^4).
 *
 * @throws RangeError where mass or resistance is no number, or below nothing
 * Source: mechanics; worked rows in `core/check`
 */
export function rollingPull({ massKg, resistance, gradePercent = 0 }: RollingQuestion): RollingPull {
  if (!(massKg >= 0) || !(resistance >= 0) || !Number.isFinite(gradePercent))
    throw new RangeError('mass, resistance and grade are numbers, the first two not below nothing')
  const { sin, cos } = slopeOf(gradePercent)
  const pullN = massKg * GRAVITY * (resistance * cos + sin)
  return { pullN, pullKg: pullN / GRAVITY, runsByItself: pullN < 0 }
}

/** Sustained pull a conditioned grown dog is planned with, share of its weight. From memory, unverified; no study fixes a safe limit. */
export const SUSTAINED_PULL: readonly [number, number] = [0.1, 0.15]
