import type { MeasureId } from '../model/index.ts'

/**
 * What no dog goes beyond, from a toy of eight weeks to the largest giant: whole rings and full lengths in mm, M00 in kg.
 * Wide on purpose, so that only a slip lies outside. Ours, unverified; heights and weights held against the breed list.
 */
const BOUNDS: Readonly<Partial<Record<MeasureId, readonly [from: number, to: number]>>> = {
  M00: [0.2, 130],
  M01: [100, 1000],
  M02: [80, 850],
  M03: [90, 1000],
  M04: [110, 800],
  M05: [15, 350],
  M06: [35, 550],
  M07: [130, 1400],
  M08: [125, 1350],
  M09: [110, 1500],
  M10: [55, 900],
  M11: [45, 700],
  M12: [30, 600],
  M13: [110, 1400],
  M14: [80, 1100],
  M15: [80, 1300],
  M16: [80, 1300],
  M17: [100, 1500],
  M18: [50, 1300],
  M19: [35, 700],
  M20: [20, 450],
  M21: [90, 1200],
  M22: [80, 1100],
  M23: [90, 1400],
  M24: [20, 900],
  M25: [20, 650],
  M26: [12, 500],
  M27: [12, 500],
  M28: [10, 600],
  M29: [110, 1400],
  M30: [8, 600],
  M31: [35, 500],
  M32: [10, 150],
  M33: [12, 200],
  M34: [10, 150],
  M35: [12, 200],
  M36: [22, 250],
  M38: [10, 350],
  M39: [90, 1350],
  M40: [90, 1450],
  M41: [80, 1300],
  M42: [160, 1800],
  M43: [35, 650],
  M44: [45, 600],
  M45: [70, 1100],
  M46: [55, 900],
  M47: [100, 3001],
}

/** The least and the most any dog has on a measure; `null` where no bound makes sense (M37, M48, M49). */
export const boundsOf = (measure: string): readonly [from: number, to: number] | null =>
  (BOUNDS as Readonly<Record<string, readonly [number, number] | undefined>>)[measure] ?? null

/** Does a value lie where a dog can be? */
export function isPossible(measure: string, value: number): boolean {
  const bounds = boundsOf(measure)
  return bounds === null || (value >= bounds[0] && value <= bounds[1])
}

/** Does a maker's band touch where a dog can be? One that reaches a little beyond is a way to say "and up". */
export function isPossibleBand(measure: string, [from, to]: readonly [number, number]): boolean {
  const bounds = boundsOf(measure)
  return bounds === null || (from <= bounds[1] && to >= bounds[0] && to <= 2 * bounds[1] && from >= bounds[0] / 4)
}
