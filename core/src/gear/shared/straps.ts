import type { StrapEdge, StrapGraph, StrapRole } from '../strap-graph.ts'
import type { StrapNode } from '../strap-nodes.ts'

/** An adjuster's usual range: a strap of one size. Source: from memory, unverified. */
const SLIDER = [0.88, 1.14] as const
export const strap = (role: StrapRole, through: readonly StrapNode[], more: Omit<StrapEdge, 'role' | 'through'> = {}): StrapEdge => ({ role, through, ...more })
export const set = { adjusts: SLIDER }
export const setBothSides = { adjusts: SLIDER, sliders: 2 }
export const pad = { padded: true } as const
export const graph = (edges: readonly StrapEdge[], pull: StrapNode | null, more: Partial<StrapGraph> = {}): StrapGraph => ({
  edges,
  panels: [],
  rings: [],
  pull,
  ...more,
})

export const neckRing = strap('neck-ring', ['lump', 'front', 'withers'], pad)
export const neckRingSet = strap('neck-ring', ['lump', 'front', 'withers'], setBothSides)
export const pullNeck = strap('neck-ring', ['lump', 'front', 'aheadOfWithers'], pad)
export const sternum = strap('sternum', ['lump', 'betweenLegs', 'girthLow'], { hidden: true })
export const sternumSet = strap('sternum', ['lump', 'betweenLegs', 'girthLow'], { hidden: true, ...set })
export const girth = strap('girth', ['girthTop', 'girthSide', 'girthLow'])
export const girthSet = strap('girth', ['girthTop', 'girthSide', 'girthLow'], set)
export const nearGirth = strap('girth', ['nearGirthTop', 'nearGirthSide', 'nearGirthLow'])
export const backShort = strap('back', ['withers', 'girthTop'])
/** From the breastbone between the forelegs, over the ribs, to the tail. */
export const side = strap('side', ['lump', 'betweenLegs', 'chestSide', 'ribs', 'loin', 'tail'], pad)
export const backLong = strap('back', ['aheadOfWithers', 'crossFore', 'crossRear', 'tail'])
/** Half of the X: from the neck over the spine to the side strap; the other half mirrors it. */
export const cross = [strap('cross', ['aheadOfWithers', 'crossMid', 'loin'])]
export const crossBack = [pullNeck, side, backLong, ...cross]
