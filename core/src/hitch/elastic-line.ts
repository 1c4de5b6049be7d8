export interface ElasticQuestion {
  /** The moving mass: the dog's, or m1 m2 / (m1 + m2) where both ends move. */
  massKg: number
  /** Speed at which the line comes taut. */
  speedMps: number
  stiffnessNpm: number
  /** Length at rest. */
  restMm: number
}

export interface ElasticPull {
  peakN: number
  stretchMm: number
  /** Rest length and stretch together: how far the dog gets. */
  longestMm: number
  timeToPeakS: number
  energyJ: number
}

/**
 * A lunge into a line that stretches evenly, nothing lost: F = v sqrt(k m), x = v sqrt(m / k), t = pi/2 sqrt(m / k).
 *
 * @throws RangeError on a mass or stiffness that is not positive, or a negative speed or length
 * Source: mechanics of a spring and a mass; worked rows in the outside checks.
 */
export function elasticLine({ massKg, speedMps, stiffnessNpm, restMm }: ElasticQuestion): ElasticPull {
  if (!(massKg > 0) || !(stiffnessNpm > 0)) throw new RangeError('mass and stiffness are above zero')
  if (!(speedMps >= 0) || !(restMm >= 0)) throw new RangeError('speed and length are not below zero')
  const stretchMm = speedMps * Math.sqrt(massKg / stiffnessNpm) * 1000
  return {
    peakN: speedMps * Math.sqrt(stiffnessNpm * massKg),
    stretchMm,
    longestMm: restMm + stretchMm,
    timeToPeakS: (Math.PI / 2) * Math.sqrt(massKg / stiffnessNpm),
    energyJ: (massKg * speedMps * speedMps) / 2,
  }
}

/** Two parts in a row: 1 / k = 1 / k1 + 1 / k2. */
export const inRow = (stiffnesses: readonly number[]): number => 1 / stiffnesses.reduce((sum, k) => sum + 1 / k, 0)
