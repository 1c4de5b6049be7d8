/** One side wall of an air box: its area, what of it is open, and how much of that lies in its upper half, mm². */
export interface VentedWall {
  wallMm2: number
  openMm2: number
  upperMm2?: number | undefined
}

export interface VentRule {
  holds: boolean
  /** Open share of all four sides. */
  share: number
  needShare: number
  /** Sides that miss the rule, by place. */
  short: number[]
}

const sum = (all: readonly number[]): number => all.reduce((whole, each) => whole + each, 0)

/**
 * Openings of the four sides against both rules: the carriers' (all four open, 16 in 100 of the four sides; from memory,
 * unverified) and 9 CFR 3.14 (four walls of 8 in 100 each, or three so, or two opposite of 16; 14 in 100 of all; a third
 * of it in the upper half; value from memory). The carrier decides.
 *
 * @param walls front, right, back, left
 * @throws RangeError for other than four walls, or areas that are none
 */
export function ventilation(walls: readonly VentedWall[]): { common: VentRule; cfr: VentRule } {
  if (walls.length !== 4) throw new RangeError(`a box has four sides, not ${walls.length}`)
  for (const { wallMm2, openMm2, upperMm2 = 0 } of walls)
    if (!(wallMm2 > 0) || !(openMm2 >= 0) || openMm2 > wallMm2 || !(upperMm2 >= 0) || upperMm2 > openMm2 || !Number.isFinite(wallMm2))
      throw new RangeError('openings are 0 mm² or more and no larger than their wall')
  const whole = sum(walls.map(({ wallMm2 }) => wallMm2))
  const open = sum(walls.map(({ openMm2 }) => openMm2))
  const share = open / whole
  const under = (least: number): number[] => walls.flatMap(({ wallMm2, openMm2 }, i) => (openMm2 / wallMm2 < least - 1e-9 ? [i] : []))
  const closed = walls.flatMap(({ openMm2 }, i) => (openMm2 > 0 ? [] : [i]))
  const small = under(0.08)
  const opposite = [0, 1].some((i) => [walls[i], walls[i + 2]].every((wall) => wall && wall.openMm2 / wall.wallMm2 >= 0.16 - 1e-9))
  const upper = sum(walls.map(({ openMm2, upperMm2 }) => upperMm2 ?? openMm2 / 2))
  return {
    common: { holds: closed.length === 0 && share >= 0.16 - 1e-9, share, needShare: 0.16, short: closed },
    cfr: {
      holds: (small.length <= 1 || opposite) && share >= 0.14 - 1e-9 && upper >= open / 3 - 1e-9,
      share,
      needShare: 0.14,
      short: opposite ? [] : small,
    },
  }
}
