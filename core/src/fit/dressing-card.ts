import { families } from '../gear/index.ts'
import type { Dog, FamilyId, Trait } from '../model/index.ts'

/** One step of dressing by its code; the interface has the words. `part`: the strap, cord or buckle it is done to. */
export interface DressingStep {
  code: DressingCode
  part?: string
}

export interface DressingQuestion {
  family: FamilyId
  /** Coat and temper, as far as they are known. */
  dog: { coat?: Dog['coat']; traits?: readonly Trait[] } | null
  /** What is known of the piece: a car harness's build. */
  gear?: { build?: string | null } | null
  /** The seat in the car, where it is worked out; else the usual way is told. */
  car?: object | null
}

export interface DressingCard {
  on: DressingStep[]
  off: DressingStep[]
  /** Out at once. */
  release: DressingStep[]
  /** The order in which it is set at the dog (handbook 8.2); empty for what is sewn fixed. */
  set: DressingStep[]
  habituation: DressingStep[]
  /** The first time out. */
  first: DressingStep[]
  /** Belt and place in the car (8.7). */
  seat?: DressingStep[]
}

const CODES = [
  'ring-up', 'over-the-head', 'foreleg-through', 'buckle-the-other-side', 'find-the-loose-ring', 'spread-flat', 'feet-into-holes', 'draw-up', 'clip', 'collar-first', 'clip-at-chest',
  'back-strap', 'under-the-legs', 'link-to-collar', 'lead-both-ends', 'handle-up', 'right-foreleg', 'girth-and-belly-buckles', 'draw-skin-through', 'draw-ruff-through', 'fold-each-foreleg',
  'pull-end-back', 'open-neck-and-keel', 'centre-keel', 'lift-each-foreleg', 'cinch-under-traces', 'body-piece-on', 'cinch-through-loop', 'loops-equal', 'belly-band-snap', 'traces-to-spreader',
  'thumbs-in-rings', 'leg-right-side', 'centre-it', 'marked-side-up', 'panel-between-forelegs', 'straps-home-and-tug', 'front-clip', 'open-front', 'band-last', 'sleeves', 'hood-up', 'lay-it-out', 'front-feet',
  'press-stud', 'hind-feet', 'zip-mind-ears', 'lift-by-the-wrist', 'spread-the-hair', 'slide-on', 'strap', 'hind-paws-last', 'walk-at-once', 'door-open', 'lure-in', 'door-shut-a-moment', 'touch-paws-first',
  'line-off', 'lead-off', 'buckle', 'leg', 'head', 'both-buckles', 'legs', 'reverse', 'unsnap-cinch', 'spreader-over', 'neck-back-over-head', 'steps-out', 'release-at-loops', 'traces', 'band-first', 'zip', 'hind',
  'front', 'unstrap', 'pull-at-toe', 'walk-out', 'away-from-traffic', 'loosen-all', 'tighten', 'even', 'level', 'meet-in-line', 'fix-keepers', 'check-in-step', 'last', 'strap-again', 'tails-in', 'at-home-first',
  'handle-legs-and-belly', 'stays-open-cosy', 'one-pair-indoors', 'all-four-indoors', 'then-outside', 'wear-then-lines', 'then-empty-cart', 'then-load', 'words-and-line-manners', 'minutes-then-more', 'head-in-by-treats',
  'safe-place', 'short-and-light', 'look-under-straps', 'rear-in-the-middle', 'head-to-the-centre', 'belt-90-cm', 'thread-and-buckle', 'no-tether', 'no-air-bag', 'replace-after-crash', 'paws-after-every-outing',
] as const // prettier-ignore
export const DRESSING_CODES = CODES
export type DressingCode = (typeof CODES)[number]

const steps = (...codes: readonly (DressingCode | readonly [DressingCode, string])[]): DressingStep[] =>
  codes.map((each) => (typeof each === 'string' ? { code: each } : { code: each[0], part: each[1] }))
const tighten = (...parts: readonly string[]): DressingStep[] => parts.map((part) => ({ code: 'tighten', part }))

interface Ways {
  on: DressingStep[]
  off: DressingStep[]
  release: DressingStep[]
  set: DressingStep[]
}

const overhead: Ways = {
  on: steps('ring-up', 'over-the-head', 'foreleg-through', 'buckle-the-other-side'),
  off: steps('lead-off', 'buckle', 'leg', 'head'),
  release: steps('buckle', 'head'),
  set: [...steps('loosen-all'), ...tighten('chest straps', 'buckled neck strap', 'unbuckled neck strap')],
}
const pulls: Ways = {
  on: steps('over-the-head', 'draw-skin-through', 'fold-each-foreleg', 'pull-end-back'),
  off: steps('line-off', 'legs', 'head'),
  release: steps('line-off', 'legs', 'head'),
  set: [],
}
const boots: Ways = {
  on: steps('lift-by-the-wrist', 'spread-the-hair', 'slide-on', 'strap', 'hind-paws-last', 'walk-at-once'),
  off: steps('unstrap', 'pull-at-toe'),
  release: steps('unstrap', 'pull-at-toe'),
  set: steps(['tighten', 'all four straps'], 'walk-at-once', ['strap-again', 'all four straps']),
}
const crates: Ways = {
  on: steps('door-open', 'lure-in', 'door-shut-a-moment'),
  off: steps('door-open', 'walk-out'),
  release: steps('door-open', 'walk-out'),
  set: [],
}

/** Source: handbook 8.2 and 8.4, common practice; boots, the line first off a pulling dog and the band last on a rug from memory, unverified. */
const WAYS: Readonly<Partial<Record<FamilyId, Ways>>> = {
  H04: { on: steps('spread-flat', 'feet-into-holes', 'draw-up', 'clip'), off: steps('lead-off', 'clip'), release: steps('clip'), set: [...steps('loosen-all'), ...tighten('girth')] },
  H06: { on: steps('spread-flat', 'feet-into-holes', 'draw-up', 'clip'), off: steps('lead-off', 'clip'), release: steps('clip'), set: [...steps('loosen-all'), ...tighten('girth')] },
  H07: { ...overhead, on: steps('find-the-loose-ring', 'ring-up', 'over-the-head', 'foreleg-through', 'buckle-the-other-side') },
  H08: {
    on: steps('collar-first', 'clip-at-chest', 'back-strap', 'under-the-legs', 'link-to-collar', 'lead-both-ends'),
    off: steps('lead-off', 'reverse'),
    release: steps('lead-off', 'buckle', 'head'),
    set: [...steps('loosen-all'), ...tighten('girth', 'front')],
  },
  H09: {
    on: steps('handle-up', 'right-foreleg', ['girth-and-belly-buckles', 'girth'], ['girth-and-belly-buckles', 'belly']),
    off: steps('lead-off', 'both-buckles', 'leg', 'head'),
    release: steps('both-buckles', 'head'),
    set: [...steps('loosen-all'), ...tighten('belly', 'girth', 'neck, left', 'neck, right', 'chest')],
  },
  H10: { ...overhead, set: steps('loosen-all', ['tighten', 'neck'], ['tighten', 'girth'], 'check-in-step') },
  H21: { ...pulls, set: steps('loosen-all', ['tighten', 'girth']) },
  H22: {
    on: steps('open-neck-and-keel', 'over-the-head', 'centre-keel', 'lift-each-foreleg', 'cinch-under-traces'),
    off: steps('line-off', 'unsnap-cinch', 'spreader-over', 'neck-back-over-head', 'steps-out'),
    release: steps('unsnap-cinch', 'spreader-over', 'neck-back-over-head', 'steps-out'),
    set: steps(['tighten', 'neck and keel'], ['even', 'traces'], ['tighten', 'forward cinch'], ['even', 'rear traces'], 'tails-in'),
  },
  H23: {
    on: steps('body-piece-on', 'cinch-through-loop', 'loops-equal', 'belly-band-snap', 'traces-to-spreader'),
    off: steps('line-off', 'release-at-loops', 'traces', 'head'),
    release: steps('release-at-loops', 'traces', 'head'),
    set: steps(['tighten', 'neck and keel'], ['even', 'traces'], ['tighten', 'forward cinch'], ['level', 'shaft loops'], ['tighten', 'belly band'], ['even', 'rear traces'], 'tails-in'),
  },
  C1: { on: steps('front-clip', 'band-last'), off: steps('band-first', 'front'), release: steps('band-first', 'front'), set: tighten('band') },
  C2: { on: steps('over-the-head', 'sleeves'), off: steps('legs', 'head'), release: steps('legs', 'head'), set: [] },
  C3: { on: steps('over-the-head', 'hood-up', 'band-last'), off: steps('band-first', 'head'), release: steps('band-first', 'head'), set: tighten('band') },
  C4: {
    on: steps('lay-it-out', 'front-feet', 'press-stud', 'hind-feet', 'zip-mind-ears'),
    off: steps('zip', 'hind', 'front'),
    release: steps('zip', 'front'),
    set: steps(['tighten', 'chest-front cord'], ['tighten', 'belly cord'], ['tighten', 'front leg cords, inside'], ['tighten', 'hem snaps of the legs'], ['tighten', 'neck snaps, zip, guard flap'], ['last', 'collar rain cord']),
  },
  C5: { on: steps('front-clip', 'band-last'), off: steps('band-first', 'front'), release: steps('band-first', 'front'), set: tighten('band') },
} // prettier-ignore

const CAR: Readonly<Record<'two-buckle' | 'panel', Ways>> = {
  'two-buckle': {
    on: steps('thumbs-in-rings', 'leg-right-side', ['buckle', 'both'], 'centre-it'),
    off: steps('away-from-traffic', 'lead-off', 'both-buckles'),
    release: steps('both-buckles', 'away-from-traffic'),
    set: steps(['tighten', 'straps'], ['meet-in-line', 'upper and lower straps'], 'fix-keepers'),
  },
  panel: {
    on: steps('marked-side-up', 'panel-between-forelegs', ['straps-home-and-tug', 'left'], ['straps-home-and-tug', 'right']),
    off: steps('away-from-traffic', 'lead-off', 'both-buckles'),
    release: steps('both-buckles', 'away-from-traffic'),
    set: [
      ...tighten('girth, rear part of each side', 'girth, front part of each side'),
      ...steps('tails-in'),
      ...tighten('neck, a little on each side in turn'),
    ],
  },
}

/** Full pulling types go over the head alike; the rest as its kind is worn. */
function waysOf(family: FamilyId, build: string | null | undefined): Ways {
  const { shelf } = families[family]
  if (shelf === 'car') return CAR[build === 'two-buckle' ? 'two-buckle' : 'panel']
  if (shelf === 'boot') return boots
  if (shelf === 'crate') return crates
  return WAYS[family] ?? (shelf === 'pulling' ? pulls : overhead)
}

/** Source: handbook 8.8, common practice; boots and drafting from memory, unverified. */
function habituationOf(family: FamilyId): DressingStep[] {
  const { shelf } = families[family]
  if (shelf === 'boot') return steps('one-pair-indoors', 'all-four-indoors', 'then-outside')
  if (shelf === 'crate') return steps('stays-open-cosy')
  if (shelf === 'drafting') return steps('at-home-first', 'wear-then-lines', 'then-empty-cart', 'then-load')
  if (shelf === 'pulling') return steps('at-home-first', 'words-and-line-manners')
  return steps('at-home-first', 'handle-legs-and-belly')
}

function firstOf(family: FamilyId): DressingStep[] {
  const { shelf, pulls: loads } = families[family]
  if (shelf === 'boot') return steps('minutes-then-more', 'paws-after-every-outing')
  if (shelf === 'crate') return steps('minutes-then-more')
  return steps('safe-place', ...(loads ? (['short-and-light'] as const) : []), 'look-under-straps')
}

/**
 * How gear goes on this dog and comes off, how it is let out of it at once, in which order it is set, and how the dog gets
 * used to it (handbook 8.1 to 8.4, 8.7, 8.8). Hair and skin are drawn through where there is much of either, paws are
 * touched first where the dog minds it, and a dog that fights the head opening puts its own head in.
 */
export function dressingCard({ family, dog, gear = null, car = null }: DressingQuestion): DressingCard {
  const { on, off, release, set } = waysOf(family, gear?.build)
  const { shelf } = families[family]
  const traits = dog?.traits ?? []
  const ruff = dog?.coat === 'thick-double' || dog?.coat === 'long'
  const shy = traits.includes('head-shy')
  const gentle = traits.includes('wriggles') || shy
  const overHead = on.some(({ code }) => code === 'over-the-head')
  const dressed = on.flatMap((step): DressingStep[] => [
    ...(step.code === 'over-the-head' && shy ? steps('head-in-by-treats') : []),
    ...((step.code === 'lift-by-the-wrist' || step.code === 'feet-into-holes') && gentle ? steps('touch-paws-first') : []),
    step,
    ...(step.code === 'over-the-head' && ruff && !on.some(({ code }) => code === 'draw-skin-through') ? steps('draw-ruff-through') : []),
  ])
  const seat = shelf === 'car' || car !== null ? steps('rear-in-the-middle', 'head-to-the-centre', 'belt-90-cm', 'thread-and-buckle', 'no-tether', 'no-air-bag', 'replace-after-crash') : null // prettier-ignore
  return {
    on: dressed,
    off: [...off],
    release: [...release],
    set: [...set],
    habituation: [...habituationOf(family), ...(shy && overHead ? steps('head-in-by-treats') : [])],
    first: firstOf(family),
    ...(seat ? { seat } : {}),
  }
}
