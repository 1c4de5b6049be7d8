import { spreadEvenly, stitchesFor, type Gauge, type StitchRepeat } from './gauge.ts'

export interface KnitRow {
  /** 0 is the cast-on row. Even rows are right-side rows. */
  row: number
  stitches: number
  /** Against the row before. */
  change: number
}

/** One line of the instructions: a straight run of the outline. */
export interface KnitLine {
  code: 'increase' | 'decrease' | 'cast-on' | 'bind-off' | 'straight'
  /** The row it is first done in. */
  row: number
  /** Rows from time to time; `null` where they differ: as charted. */
  every: number | null
  times: number
  /** Stitches each time, both sides together; minus: fewer. */
  by: number
}

export interface KnitPlan {
  castOn: number
  rows: KnitRow[]
  lines: KnitLine[]
  /** Yarn with what is spare; `null` where the swatch was not weighed. */
  grams: number | null
  /** From the loop a stitch of this gauge takes. */
  metres: number
}

export interface KnitOptions extends StitchRepeat {
  /** Yarn to spare, as a share. */
  spareShare?: number
}

/** How far the counts may leave the outline before a run ends, stitches. */
const WITHIN = 0.8
const MOST_ROWS = 4000
/**
 * Stitches a mm2 times the square of a stitch's yarn: constant for plain knitting. Munden DL 1959, J. Text. Inst. 50 T448,
 * about 21.6, value from memory.
 */
const LOOP = 21.6

/** The outline's width at a place along it. */
function widthAt(profile: readonly (readonly [number, number])[], along: number): number {
  const past = profile.findIndex(([at]) => at >= along)
  if (past === 0) return (profile[0] as readonly [number, number])[1]
  if (past < 0) return (profile.at(-1) as readonly [number, number])[1]
  const [a, b] = [profile[past - 1] as readonly [number, number], profile[past] as readonly [number, number]]
  return b[0] > a[0] ? a[1] + ((b[1] - a[1]) * (along - a[0])) / (b[0] - a[0]) : b[1]
}

/** Even rows at which straight runs end: the farthest place over the limit divides a run. */
function runs(target: Float64Array): number[] {
  const ends = [0, target.length - 1]
  const divide = (from: number, to: number): void => {
    let [most, where] = [WITHIN, -1]
    for (let i = from + 1; i < to; i++) {
      const on = (target[from] as number) + (((target[to] as number) - (target[from] as number)) * (i - from)) / (to - from)
      const off = Math.abs((target[i] as number) - on)
      if (off > most) [most, where] = [off, i]
    }
    if (where < 0) return
    ends.push(where)
    divide(from, where)
    divide(where, to)
  }
  divide(0, target.length - 1)
  return ends.sort((a, b) => a - b)
}

/**
 * Rows and stitches that knit an outline: an even number of rows, shaping in pairs on right-side rows, one line per
 * straight run; where a run is too steep for pairs, stitches are cast on or bound off.
 *
 * @param profile places along, mm, rising, with the width there
 * @throws RangeError for fewer than two places, falling places, or a profile of over 4,000 rows
 */
export function knitProfile(profile: readonly (readonly [alongMm: number, widthMm: number])[], gauge: Gauge, options: KnitOptions): KnitPlan {
  const { multiple, edge, spareShare = 0.1 } = options
  const [first, last] = [profile[0], profile.at(-1)]
  if (!first || !last || profile.length < 2 || profile.some(([at, wide], i) => !Number.isFinite(at + wide) || at < (profile[i - 1]?.[0] ?? at)))
    throw new RangeError('an outline has two places or more, one after the other')
  const slots = Math.max(1, Math.round(((last[0] - first[0]) * gauge.rowsPerMm) / 2))
  if (2 * slots > MOST_ROWS) throw new RangeError(`over ${MOST_ROWS} rows: ${2 * slots}`)
  const castOn = stitchesFor(Math.max(0, first[1]), gauge, { multiple, edge }).stitches
  const least = castOn % 2 === 0 ? 2 : 1
  /** Stitches the outline asks for at every right-side row. */
  const target = Float64Array.from({ length: slots + 1 }, (_, i) =>
    Math.max(least, widthAt(profile, first[0] + ((last[0] - first[0]) * i) / slots) * gauge.stitchesPerMm),
  )
  const change = new Int32Array(2 * slots + 1)
  const lines: KnitLine[] = []
  let now = castOn
  const ends = runs(target)
  for (let k = 1; k < ends.length; k++) {
    const [from, to] = [ends[k - 1] as number, ends[k] as number]
    const length = to - from
    // A stitch off is nothing to shape for.
    const off = (target[to] as number) - now
    const pairs = Math.max(-Math.floor((now - least) / 2), Math.sign(off) * Math.ceil(Math.abs(off) / 2 - 0.5 - 1e-9))
    const many = Math.abs(pairs)
    const sign = Math.sign(pairs)
    now += 2 * pairs
    if (many === 0) {
      lines.push({ code: 'straight', row: 2 * from + 1, every: 1, times: 2 * length, by: 0 })
    } else if (many <= length) {
      let slot = from
      const rows = spreadEvenly(length, many).map((gap) => 2 * (slot += gap))
      for (const row of rows) change[row] = 2 * sign
      const gaps = rows.slice(1).map((row, i) => row - (rows[i] as number))
      lines.push({
        code: sign > 0 ? 'increase' : 'decrease',
        row: rows[0] as number,
        every: gaps.length === 0 ? 2 : gaps.every((gap) => gap === gaps[0]) ? (gaps[0] as number) : null,
        times: many,
        by: 2 * sign,
      })
    } else {
      // Steeper than a pair a right-side row: some slots take one pair more than the rest.
      const [each, more] = [Math.floor(many / length), many % length]
      for (const [start, count, pairsEach] of [
        [from, more, each + 1],
        [from + more, length - more, each],
      ] as const) {
        if (count === 0) continue
        for (let i = 1; i <= count; i++) change[2 * (start + i)] = 2 * sign * pairsEach
        lines.push({
          code: pairsEach === 1 ? (sign > 0 ? 'increase' : 'decrease') : sign > 0 ? 'cast-on' : 'bind-off',
          row: 2 * (start + 1), every: 2, times: count, by: 2 * sign * pairsEach,
        }) // prettier-ignore
      }
    }
  }
  let [stitches, all] = [castOn, 0]
  const rows = Array.from(change, (by, row): KnitRow => {
    stitches += by
    if (row > 0) all += stitches
    return { row, stitches, change: by }
  })
  const spare = 1 + spareShare
  const areaMm2 = all / (gauge.stitchesPerMm * gauge.rowsPerMm)
  return {
    castOn,
    rows,
    lines,
    grams: gauge.gramsPerM2 === null ? null : (areaMm2 / 1e6) * gauge.gramsPerM2 * spare,
    metres: (all * Math.sqrt(LOOP / (gauge.stitchesPerMm * gauge.rowsPerMm)) * spare) / 1000,
  }
}
