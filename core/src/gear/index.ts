/** Gear families as data: what each is for, its build, its straps on a dog. */
export { families, suits, type Family, type Shelf, type Suits } from './families.ts'
export { adjustersOf, layStraps, settableStraps, type LaidGear, type LaidStrap } from './lay-straps.ts'
export { strapGraphs, type StrapEdge, type StrapGraph, type StrapPanel, type StrapRole } from './strap-graphs.ts'
export { placeOn, STRAP_NODES, whereItShows, type StrapNode, type StrapPlace } from './strap-nodes.ts'
export { ringsFor, type RingPlace } from './rings.ts'
