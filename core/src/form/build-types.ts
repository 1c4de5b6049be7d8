import type { Build } from '../reference/index.ts'

/** Shares of the back length unless named otherwise. Estimates of ours for drawing and guessing, not data. */
export interface BuildType {
  /** Back length of a middling dog of this build, mm, and its weight, kg. */
  backMm: number
  weightKg: number
  /** Chest depth to back length, chest width to depth. */
  depth: number
  width: number
  /** Breastbone ahead of the withers to back length; its drop below the withers to chest depth. */
  ahead: number
  drop: number
  /** Elbow to floor to back length. */
  leg: number
  /** Sternum length to back length; last rib's place behind the withers to back length. */
  sternum: number
  rib: number
  head: number
  tail: number
  /** Waist depth to chest depth. */
  waist: number
  ears: 'erect' | 'drop'
}

const nordic: BuildType = {
  backMm: 520,
  weightKg: 23,
  depth: 0.5,
  width: 0.72,
  ahead: 0.2,
  drop: 0.56,
  leg: 0.54,
  sternum: 0.46,
  rib: 0.52,
  head: 0.4,
  tail: 0.62,
  waist: 0.66,
  ears: 'erect',
}

/** Source: from memory, unverified (means of a trial's generated types). */
export const buildTypes: Readonly<Record<Build, BuildType>> = {
  nordic,
  herding: { ...nordic, backMm: 570, weightKg: 27, depth: 0.48, width: 0.68, leg: 0.55, head: 0.41 },
  sighthound: { ...nordic, backMm: 600, weightKg: 26, depth: 0.52, width: 0.58, leg: 0.63, head: 0.42, tail: 0.72, waist: 0.5, sternum: 0.48, ears: 'drop' },
  hound: { ...nordic, backMm: 590, weightKg: 29, depth: 0.5, width: 0.64, leg: 0.57, head: 0.42, tail: 0.66, waist: 0.6, ears: 'drop' },
  molosser: { ...nordic, backMm: 580, weightKg: 45, depth: 0.54, width: 0.86, leg: 0.48, head: 0.4, tail: 0.5, waist: 0.74, ears: 'drop' },
  giant: { ...nordic, backMm: 740, weightKg: 60, depth: 0.5, width: 0.7, leg: 0.56, head: 0.42, tail: 0.66, waist: 0.66, ears: 'drop' },
  terrier: { ...nordic, backMm: 340, weightKg: 8, depth: 0.5, width: 0.7, leg: 0.5, head: 0.45, tail: 0.4, waist: 0.72, ears: 'drop' },
  toy: { ...nordic, backMm: 240, weightKg: 3.5, depth: 0.5, width: 0.74, leg: 0.5, head: 0.42, tail: 0.6, waist: 0.7, ears: 'erect' },
  'long-low': {
    ...nordic,
    backMm: 380,
    weightKg: 10,
    depth: 0.44,
    width: 0.8,
    leg: 0.25,
    head: 0.42,
    tail: 0.58,
    waist: 0.76,
    sternum: 0.5,
    rib: 0.54,
    ears: 'drop',
  },
  retriever: { ...nordic, backMm: 570, weightKg: 29, depth: 0.5, width: 0.76, leg: 0.51, head: 0.42, tail: 0.62, waist: 0.7, ears: 'drop' },
}
