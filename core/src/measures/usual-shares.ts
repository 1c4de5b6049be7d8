import type { Build } from '../reference/index.ts'

/**
 * Usual share of the largest girth, over dogs of all builds: wide marks, good only for telling a wrong unit or swapped
 * digits. From the handbook's one sled dog (V01 to V05) where it has them, the rest from memory, unverified.
 */
const SHARE_OF_GIRTH: Readonly<Record<string, number>> = {
  M01: 0.86,
  M02: 0.62,
  M03: 0.72,
  M04: 0.56,
  M05: 0.22,
  M06: 0.43,
  M07: 1,
  M08: 0.96,
  M10: 0.54,
  M11: 0.4,
  M12: 0.38,
  M13: 0.84,
  M14: 0.74,
  M15: 0.83,
  M16: 0.79,
  M17: 0.74,
  M18: 0.74,
  M19: 0.36,
  M20: 0.19,
  M21: 0.82,
  M22: 0.74,
  M23: 0.78,
  M25: 0.42,
  M26: 0.27,
  M29: 0.9,
  M39: 0.95,
  M42: 1.25,
  M43: 0.42,
  M44: 0.29,
  M45: 0.8,
}

/** Builds whose own shares lie far from those: the middle dogs of our form (docs/decisions/0009), so ours, unverified. */
const BY_BUILD: Partial<Readonly<Record<Build, Readonly<Record<string, number>>>>> = {
  'long-low': { M06: 0.52, M10: 0.68, M11: 0.5, M13: 1.02, M25: 0.24, M26: 0.15, M39: 0.76, M43: 0.24, M45: 0.53 },
  sighthound: { M01: 0.74, M02: 0.46, M03: 0.6, M04: 0.44, M05: 0.29, M15: 0.94, M22: 0.57, M25: 0.5, M26: 0.35, M39: 1.18, M43: 0.5 },
  hound: { M02: 0.54, M22: 0.65 },
  molosser: { M12: 0.4, M25: 0.34, M26: 0.23, M43: 0.34, M45: 0.68 },
  toy: { M12: 0.4, M25: 0.34, M26: 0.23, M43: 0.34, M45: 0.68 },
}

/**
 * Shares a measure usually has of the girth, the likeliest first: of the dog's own builds, or of every build where
 * none is known.
 */
export function usualShares(measure: string, builds: readonly Build[]): number[] {
  const usual = SHARE_OF_GIRTH[measure]
  if (usual === undefined) return []
  const own = (builds.length > 0 ? builds : (['long-low', 'sighthound', 'molosser'] as const)).map((build) => BY_BUILD[build]?.[measure] ?? usual)
  return [...new Set(builds.length > 0 ? own : [usual, ...own])]
}

export const sharedMeasures: readonly string[] = Object.keys(SHARE_OF_GIRTH)
