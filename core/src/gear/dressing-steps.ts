/** One step of dressing by its code; the interface has the words. `part`: the strap, cord or buckle it is done to. */
export interface DressingStep {
  code: DressingCode
  part?: string
}

/** How a kind goes on, comes off, lets the dog out at once, and in which order it is set: nothing, where it is sewn fixed. */
export interface Dressing {
  on: readonly DressingStep[]
  off: readonly DressingStep[]
  release: readonly DressingStep[]
  set: readonly DressingStep[]
}

export const DRESSING_CODES = [
  'ring-up', 'over-the-head', 'foreleg-through', 'buckle-the-other-side', 'find-the-loose-ring', 'spread-flat', 'feet-into-holes', 'draw-up', 'clip', 'collar-first', 'clip-at-chest',
  'back-strap', 'under-the-legs', 'link-to-collar', 'lead-both-ends', 'handle-up', 'right-foreleg', 'girth-and-belly-buckles', 'draw-skin-through', 'draw-ruff-through', 'fold-each-foreleg',
  'pull-end-back', 'open-neck-and-keel', 'centre-keel', 'lift-each-foreleg', 'cinch-under-traces', 'body-piece-on', 'cinch-through-loop', 'loops-equal', 'belly-band-snap', 'traces-to-spreader',
  'thumbs-in-rings', 'leg-right-side', 'centre-it', 'marked-side-up', 'panel-between-forelegs', 'straps-home-and-tug', 'front-clip', 'open-front', 'band-last', 'sleeves', 'hood-up', 'lay-it-out', 'front-feet',
  'press-stud', 'hind-feet', 'zip-mind-ears', 'lift-by-the-wrist', 'spread-the-hair', 'slide-on', 'strap', 'hind-paws-last', 'walk-at-once', 'door-open', 'lure-in', 'door-shut-a-moment', 'touch-paws-first',
  'line-off', 'lead-off', 'buckle', 'leg', 'head', 'both-buckles', 'legs', 'reverse', 'unsnap-cinch', 'spreader-over', 'neck-back-over-head', 'steps-out', 'release-at-loops', 'traces', 'band-first', 'zip', 'hind',
  'front', 'unstrap', 'pull-at-toe', 'walk-out', 'away-from-traffic', 'loosen-all', 'tighten', 'even', 'level', 'meet-in-line', 'fix-keepers', 'check-in-step', 'last', 'strap-again', 'tails-in', 'at-home-first',
  'handle-legs-and-belly', 'stays-open-cosy', 'one-pair-indoors', 'all-four-indoors', 'then-outside', 'wear-then-lines', 'then-empty-cart', 'then-load', 'words-and-line-manners', 'minutes-then-more', 'head-in-by-treats',
  'safe-place', 'short-and-light', 'look-under-straps', 'rear-in-the-middle', 'head-to-the-centre', 'belt-90-cm', 'thread-and-buckle', 'no-tether', 'no-air-bag', 'replace-after-crash', 'paws-after-every-outing', 'two-minutes-in-all',
] as const // prettier-ignore
export type DressingCode = (typeof DRESSING_CODES)[number]

/** Steps in a row: a code, or a code with what it is done to. */
export const steps = (...codes: readonly (DressingCode | readonly [DressingCode, string])[]): DressingStep[] =>
  codes.map((each) => (typeof each === 'string' ? { code: each } : { code: each[0], part: each[1] }))

/** Straps and cords drawn in, one after another. */
export const tighten = (...parts: readonly string[]): DressingStep[] => parts.map((part) => ({ code: 'tighten', part }))
