import { MM_PER_UNIT } from '@merry-tailor/core'

export type TapeUnit = 'in' | 'cm'

export interface TapeScale {
  unit: TapeUnit
  fromMm: number
  toMm: number
  width: number
  /** Millimetres to px from the left end. */
  x: (mm: number) => number
}

export const tapeScale = (unit: TapeUnit, fromMm: number, toMm: number, width: number): TapeScale => ({
  unit,
  fromMm,
  toMm,
  width,
  x: (mm) => ((mm - fromMm) / (toMm - fromMm)) * width,
})

/** A paw or a tail: shorter than this the strip comes closer, or its bands are too narrow to read. */
const SMALL_MM = 100

/**
 * A range for a strip: all of `points` with a little room, at least three whole units of it (one and a bit for a paw),
 * never below 0 unless a point is.
 */
export function tapeRange(unit: TapeUnit, points: readonly number[]): [number, number] {
  const mm = MM_PER_UNIT[unit]
  const low = Math.min(...points)
  const high = Math.max(...points)
  const closer = low > 0 && high < SMALL_MM ? 0.4 : 1
  const least = (unit === 'in' ? 3 : 8) * closer
  const pad = Math.max(0.35 * mm * closer, (high - low) * 0.08)
  let from = (low - pad) / mm
  let to = (high + pad) / mm
  if (to - from < least) {
    const more = (least - (to - from)) / 2
    from -= more
    to += more
  }
  if (from < 0 && low >= 0) {
    to -= from
    from = 0
  }
  return [from * mm, to * mm]
}

export interface Tick {
  mm: number
  /** Share of the strip's height. */
  height: number
  strong: boolean
  label: string | null
}

/** Every tick of a strip, as fine as its scale allows; labels at whole units, thinned when tight. */
export function ticksOf({ unit, fromMm, toMm, width }: TapeScale): Tick[] {
  const mm = MM_PER_UNIT[unit]
  const perUnit = width / ((toMm - fromMm) / mm)
  const parts = unit === 'in' ? (perUnit / 8 >= 4 ? 8 : perUnit / 4 >= 3 ? 4 : perUnit > 14 ? 2 : 1) : perUnit / 10 >= 4 ? 10 : perUnit > 9 ? 2 : 1
  const labelEvery = perUnit >= 24 ? 1 : unit === 'in' ? (perUnit > 12 ? 2 : 6) : perUnit > 5 ? 5 : 10
  const first = Math.ceil((fromMm / mm) * parts - 1e-9)
  const last = Math.floor((toMm / mm) * parts + 1e-9)
  const ticks: Tick[] = []
  /** A long tape on a narrow strip shows every fifth unit only. */
  const every = parts === 1 && perUnit < 4 ? 5 : 1
  for (let i = Math.ceil(first / every) * every; i <= last; i += every) {
    const whole = i % parts === 0
    const value = i / parts
    const half = (i * 2) % parts === 0
    const quarter = unit === 'in' && (i * 4) % parts === 0
    ticks.push({
      mm: value * mm,
      height: whole ? 0.62 : half ? 0.42 : quarter ? 0.3 : 0.18,
      strong: whole,
      label: whole && value % labelEvery === 0 ? String(Math.abs(value)) : null,
    })
  }
  return ticks
}
