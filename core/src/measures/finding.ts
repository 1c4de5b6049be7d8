import type { MeasureId } from '../model/index.ts'
/** What is known of a body: agreed values by measure ID, full length, mm. */
export type Body = Readonly<Record<string, { mm: number | null; sigmaMm?: number | null } | undefined>>

export type PlausibleRule =
  | 'neck-under-girth'
  | 'half-neck-to-girth'
  | 'route-order'
  | 'length-parts'
  | 'parts-through-mark'
  | 'schools-window'
  | 'same-value'
  | 'girth-order'
  | 'collar-order'
  | 'back-order'
  | 'drop-twice'
  | 'drop-in-girth'
  | 'chest-front'
  | 'waist-order'
  | 'sheath'
  | 'leg-order'
  | 'ears-order'
  | 'paw-order'
  | 'loaded-paw'
  | 'sides-differ'
  | 'readings-slip'
  | 'odd-number'
  | 'odd-weight'
  | 'out-of-bounds'
  | 'unit-of-all'

/** Likeliest cause first. Words are made in the interface. */
export type LikelyCause =
  | 'doubled-twice'
  | 'not-doubled'
  | 'collar-line'
  | 'thick-ruff'
  | 'girth-too-far-forward'
  | 'route-mistake'
  | 'ran-onto-belly'
  | 'earlier-rib'
  | 'soft-flank'
  | 'kinked-line'
  | 'on-the-tail'
  | 'copied'
  | 'other-school'
  | 'other-definition'
  | 'places-swapped'
  | 'start-point'
  | 'not-centred'
  | 'wrapped-tape'
  | 'wrong-place'
  | 'sheath-close'
  | 'to-the-floor'
  | 'head-lowered'
  | 'paw-lifted'
  | 'front-and-rear-swapped'
  | 'not-square'
  | 'lame'
  | 'mark-moved'
  | 'centimetres-as-inches'
  | 'inches-as-centimetres'
  | 'swapped-digits'
  | 'decimal-place'
  | 'half'
  | 'double'
  | 'pounds-as-kilograms'
  | 'kilograms-as-pounds'
  | 'old-weight'
  | 'hem-chosen'
  | 'dog-is-so'

/** A question about readings: it asks, it never blocks and never corrects. */
export interface Finding {
  rule: PlausibleRule
  measures: MeasureId[]
  /** How far past the rule's limit, mm (M00: kg), always positive; 0 for values that are simply the same. */
  byMm: number
  /** `limit` and `found` are what the rule speaks of; `would` what the number would be if the first cause is true. */
  because: { code: PlausibleRule; limit?: number; found?: number; would?: number; place?: string }
  ask: LikelyCause[]
  /** Only a word beside the tape: it makes nothing doubtful. */
  soft?: true
  /** What the number would be by each cause that changes it. */
  woulds?: Partial<Record<LikelyCause, number>>
}
