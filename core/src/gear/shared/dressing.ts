import { steps, tighten, type Dressing } from '../dressing-steps.ts'

/** Source: handbook 8.2 and 8.4, common practice; boots and the line first off a pulling dog from memory, unverified. */
export const overhead: Dressing = {
  on: steps('ring-up', 'over-the-head', 'foreleg-through', 'buckle-the-other-side'),
  off: steps('lead-off', 'buckle', 'leg', 'head'),
  release: steps('buckle', 'head'),
  set: [...steps('loosen-all'), ...tighten('chest straps', 'buckled neck strap', 'unbuckled neck strap')],
}
export const stepIn: Dressing = {
  on: steps('spread-flat', 'feet-into-holes', 'draw-up', 'clip'),
  off: steps('lead-off', 'clip'),
  release: steps('clip'),
  set: [...steps('loosen-all'), ...tighten('girth')],
}
export const pullingDress: Dressing = {
  on: steps('over-the-head', 'draw-skin-through', 'fold-each-foreleg', 'pull-end-back'),
  off: steps('line-off', 'legs', 'head'),
  release: steps('line-off', 'legs', 'head'),
  set: [],
}
export const bootDress: Dressing = {
  on: steps('lift-by-the-wrist', 'spread-the-hair', 'slide-on', 'strap', 'hind-paws-last', 'walk-at-once'),
  off: steps('unstrap', 'pull-at-toe'),
  release: steps('unstrap', 'pull-at-toe'),
  set: steps(['tighten', 'all four straps'], 'walk-at-once', ['strap-again', 'all four straps']),
}
/** A crate is walked into: a door is all there is to shut. */
export const crateDress: Dressing = {
  on: steps('door-open', 'lure-in', 'door-shut-a-moment'),
  off: steps('door-open', 'walk-out'),
  release: steps('door-open', 'walk-out'),
  set: [],
}
/** A cloth over the back; its band is the last on and the first off, from memory, unverified. */
export const bandedDress: Dressing = {
  on: steps('front-clip', 'band-last'),
  off: steps('band-first', 'front'),
  release: steps('band-first', 'front'),
  set: tighten('band'),
}
