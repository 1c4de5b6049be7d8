import type { MeasureId } from '../model/index.ts'

/**
 * Where straps meet. On the underline: `v` under the neck, `low` under the girth strap, `bellyLow`; on the topline: `top`
 * of the neck, `girthTop`, `bellyTop`; on the side: `rib` where side, cross and rear strap join, `ring` where traces do;
 * `tug` where the line begins. Led by others: `collarUpper` and `collarLower` on the neck ring, `join` on the girth ring,
 * `loop` of a shaft on it and `loopLow` under the belly.
 */
export type RigNode =
  'v' | 'top' | 'low' | 'girthTop' | 'bellyLow' | 'bellyTop' | 'rib' | 'ring' | 'tug' | 'collarUpper' | 'collarLower' | 'join' | 'loop' | 'loopLow'

export const STRAP_IDS = [
  'neck', 'front', 'keel', 'girth', 'cinch', 'side', 'cross', 'back', 'upper', 'lower', 'rear', 'belly', 'loopDrop',
] as const // prettier-ignore
export type StrapId = (typeof STRAP_IDS)[number]
/** What is set on gear: its straps, and the loop round a shaft. */
export type SetPart = StrapId | 'loop'

/** How a strap runs: `around` the body, `along` its side, `under` or `over` it on the midline, or through the `air`. */
export type StrapCourse = 'around' | 'along' | 'under' | 'over' | 'air'

/** A strap of a family from node to node. */
export interface RigStrap {
  id: StrapId
  from: RigNode
  to: RigNode
  course: StrapCourse
  /** Its length is the whole ring's; else one side's. */
  ring: boolean
  /** The tape that runs where it runs. */
  tape: MeasureId | null
  adjusts: boolean
  /** Webbing doubled through its slider: the slider goes half as far as the strap. */
  doubled: boolean
}

/** Where the far end of a pulling harness goes when its line draws. */
export type RigEnd = 'tail' | 'back' | 'below-tail' | 'behind-thighs' | 'bar' | 'girth-top'

/** The straps of a family that decide where it lies. */
export interface StrapRig {
  straps: readonly RigStrap[]
  /** Straps that are set and lie on no body: the ring round a shaft. */
  off?: readonly SetPart[]
  /** `null`: a lead at the back ring, or nothing, draws on it. */
  end: RigEnd | null
}

/** What the trade judges a lay by (mm): where V, top, junction and end lie, gaps to elbow, armpit and blade, room in rings. */
export const FIGURE_IDS = ['v', 'top', 'ribs', 'tug', 'elbow', 'trueRib', 'armpit', 'blade', 'neckRoom', 'girthRoom', 'bellyRoom'] as const
export type FigureId = (typeof FIGURE_IDS)[number]
