import type { Build } from '../reference/index.ts'
import type { Proportions } from './parameters.ts'

export type Ears = 'erect' | 'drop'
/** How the tail is carried standing. */
export type TailCarriage = 'low' | 'level' | 'up' | 'curled'

export interface BuildType {
  means: Proportions
  ears: Ears
  tail: TailCarriage
}

const nordic: Proportions = {
  back: 520, depth: 0.5, width: 0.72, ahead: 0.17, drop: 0.62, sternum: 0.2, rib: 0.16, ribDepth: 0.88, ribWidth: 1.02,
  waistDepth: 0.64, waistWidth: 0.74, hipWidth: 0.86, croup: 0.04, loin: 0, neckLength: 0.4, neckAngle: 0.84, neckBase: 0.9,
  collarDepth: 0.5, collarWidth: 0.9, head: 0.4, skullWidth: 0.54, skullDepth: 1.02, muzzle: 0.46, muzzleDepth: 0.48,
  elbow: 0.59, elbowBack: 0.06, elbowOver: 0.03, shoulder: 1, stance: 0.78, forearm: 0.26, exponent: 2.15, coat: 0.012,
  density: 1, ear: 0.34, tail: 0.62, wrist: 0.3, shin: 1, sit: 1, paw: 1.2, pawHind: 0.9, pawLong: 1.15,
} // prettier-ignore

const of = (means: Partial<Proportions>, ears: Ears, tail: TailCarriage): BuildType => ({ means: { ...nordic, ...means }, ears, tail })

/**
 * Ten builds: the middle dog of each. Estimates of ours, not data; heights and lengths follow the breed standards
 * (square dogs as long as tall, 10:9, 9:5), the rest is from memory, unverified.
 */
export const buildTypes: Readonly<Record<Build, BuildType>> = {
  nordic: of({}, 'erect', 'curled'),
  herding: of(
    { back: 520, depth: 0.49, width: 0.68, ahead: 0.165, ribDepth: 0.87, waistDepth: 0.62, waistWidth: 0.74, croup: 0.055, neckLength: 0.43, neckBase: 0.84, collarDepth: 0.48, head: 0.42, skullWidth: 0.5, muzzle: 0.49, elbow: 0.585, forearm: 0.27, coat: 0.008, ear: 0.38, tail: 0.66 },
    'erect',
    'low',
  ), // prettier-ignore
  sighthound: of(
    { back: 600, depth: 0.52, width: 0.56, ahead: 0.15, drop: 0.6, sternum: 0.25, rib: 0.17, ribDepth: 0.82, ribWidth: 1, waistDepth: 0.49, waistWidth: 0.66, hipWidth: 0.9, croup: 0.1, loin: 0.035, neckLength: 0.52, neckAngle: 0.87, neckBase: 0.78, collarDepth: 0.37, collarWidth: 0.85, head: 0.42, skullWidth: 0.41, muzzle: 0.54, muzzleDepth: 0.44, elbow: 0.645, elbowBack: 0.05, elbowOver: 0.04, shoulder: 0.98, stance: 0.84, forearm: 0.25, exponent: 2.05, coat: 0.001, ear: 0.4, tail: 0.74, paw: 1.15 },
    'drop',
    'low',
  ), // prettier-ignore
  hound: of(
    { back: 570, depth: 0.52, width: 0.64, ahead: 0.165, drop: 0.61, sternum: 0.22, ribDepth: 0.86, waistDepth: 0.58, waistWidth: 0.72, hipWidth: 0.88, croup: 0.05, loin: 0.008, neckLength: 0.44, neckAngle: 0.86, neckBase: 0.83, collarDepth: 0.45, head: 0.43, skullWidth: 0.48, muzzle: 0.5, muzzleDepth: 0.54, elbow: 0.605, forearm: 0.265, coat: 0.002, ear: 0.68, tail: 0.64 },
    'drop',
    'level',
  ), // prettier-ignore
  molosser: of(
    { back: 560, depth: 0.55, width: 0.86, ahead: 0.185, drop: 0.58, sternum: 0.18, ribDepth: 0.92, ribWidth: 1.04, waistDepth: 0.7, waistWidth: 0.77, hipWidth: 0.84, croup: 0.05, loin: 0.005, neckBase: 0.9, collarDepth: 0.57, collarWidth: 0.98, head: 0.4, skullWidth: 0.66, muzzle: 0.36, muzzleDepth: 0.64, elbow: 0.535, elbowBack: 0.07, elbowOver: 0.02, shoulder: 1.08, stance: 0.8, forearm: 0.29, exponent: 2.35, coat: 0.002, ear: 0.4, tail: 0.52 },
    'drop',
    'low',
  ), // prettier-ignore
  giant: of(
    { back: 720, depth: 0.51, width: 0.71, ahead: 0.165, drop: 0.6, ribWidth: 1.04, waistDepth: 0.64, waistWidth: 0.75, croup: 0.055, loin: 0.004, neckLength: 0.45, neckAngle: 0.88, neckBase: 0.86, collarDepth: 0.49, head: 0.42, skullWidth: 0.52, skullDepth: 1.06, muzzle: 0.47, muzzleDepth: 0.6, elbow: 0.58, shoulder: 1.02, forearm: 0.285, coat: 0.006, ear: 0.42, tail: 0.66 },
    'drop',
    'low',
  ), // prettier-ignore
  terrier: of(
    { back: 340, depth: 0.54, width: 0.73, ahead: 0.14, drop: 0.58, ribDepth: 0.9, ribWidth: 1.05, waistDepth: 0.7, waistWidth: 0.8, hipWidth: 0.88, croup: 0.025, neckLength: 0.46, neckAngle: 0.98, neckBase: 0.86, collarDepth: 0.47, head: 0.48, skullWidth: 0.46, skullDepth: 1.05, muzzle: 0.5, muzzleDepth: 0.54, elbow: 0.62, elbowBack: 0.05, shoulder: 1.02, stance: 0.8, forearm: 0.28, coat: 0.005, ear: 0.34, tail: 0.42 },
    'drop',
    'up',
  ), // prettier-ignore
  toy: of(
    { back: 235, depth: 0.55, width: 0.78, ahead: 0.145, drop: 0.58, sternum: 0.18, ribWidth: 1.05, waistDepth: 0.67, waistWidth: 0.76, hipWidth: 0.88, croup: 0.03, neckLength: 0.42, neckAngle: 1, neckBase: 0.86, collarDepth: 0.47, collarWidth: 0.92, head: 0.43, skullWidth: 0.62, muzzle: 0.36, muzzleDepth: 0.46, elbow: 0.56, elbowBack: 0.05, stance: 0.8, forearm: 0.22, exponent: 2.1, coat: 0.008, ear: 0.58, tail: 0.6 },
    'erect',
    'up',
  ), // prettier-ignore
  'long-low': of(
    { back: 390, depth: 0.44, width: 0.8, ahead: 0.2, drop: 0.58, sternum: 0.27, ribDepth: 0.93, ribWidth: 1.05, waistDepth: 0.77, waistWidth: 0.84, hipWidth: 0.88, croup: 0.04, loin: 0.004, neckLength: 0.38, neckAngle: 0.9, neckBase: 0.86, collarDepth: 0.54, collarWidth: 0.92, head: 0.43, skullWidth: 0.47, skullDepth: 1.04, muzzle: 0.52, muzzleDepth: 0.5, elbow: 0.3, elbowBack: 0.1, elbowOver: 0.14, shoulder: 1.06, stance: 0.78, forearm: 0.31, exponent: 2.25, coat: 0.003, ear: 0.52, tail: 0.6, wrist: 0.36, paw: 1.15 },
    'drop',
    'level',
  ), // prettier-ignore
  retriever: of(
    { back: 530, depth: 0.515, width: 0.74, ahead: 0.17, drop: 0.6, ribDepth: 0.9, ribWidth: 1.04, waistDepth: 0.68, waistWidth: 0.79, croup: 0.04, neckLength: 0.41, neckAngle: 0.85, neckBase: 0.86, collarDepth: 0.5, collarWidth: 0.92, head: 0.42, skullWidth: 0.53, muzzle: 0.47, muzzleDepth: 0.55, elbow: 0.585, shoulder: 1.04, forearm: 0.275, exponent: 2.2, coat: 0.004, ear: 0.48, tail: 0.63 },
    'drop',
    'level',
  ), // prettier-ignore
}
