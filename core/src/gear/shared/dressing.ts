import type { Dressing } from '../family.ts'

/** Source: handbook 8.4, common practice; the line first off a pulling dog, the band last on a rug, and boots from memory, unverified. */
export const overhead: Dressing = {
  on: ['Ring up', 'Over the head', 'One foreleg through', 'Buckle the other side'],
  off: ['Buckle', 'Leg', 'Head'],
}
export const stepIn: Dressing = {
  on: ['Spread it flat, ring side up, clip open', 'Feet into the holes', 'Draw it up', 'Clip'],
  off: ['Clip'],
}
export const pullingDress: Dressing = {
  on: ['Over the head', 'Draw neck hair and loose skin through', 'Fold each foreleg and bring it through gently', 'Pull the end back to check'],
  off: ['Line off first', 'Legs', 'Head'],
}
export const bootDress: Dressing = {
  on: ['Lift the paw by the wrist', 'Spread the hair', 'Slide it on', 'Strap', 'Hind paws last', 'Walk at once'],
  off: ['Strap', 'Pull at the toe'],
}
