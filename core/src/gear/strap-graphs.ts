import type { FamilyId } from '../model/index.ts'
import type { StrapNode } from './strap-nodes.ts'

export type StrapRole = 'neck-ring' | 'sternum' | 'girth' | 'belly' | 'side' | 'back' | 'cross' | 'front' | 'trace' | 'bar' | 'link' | 'hem'

/** One strap from node to node; between its ends it may be led over others. */
export interface StrapEdge {
  role: StrapRole
  /** First and last are its ends. */
  through: readonly StrapNode[]
  padded?: true
  /** Shortest and longest setting, shares of the middle one, where it can be set. */
  adjusts?: readonly [number, number]
  /** Sliders on it, where it has more than one: one on each side. */
  sliders?: number
  /** Runs between the legs: under the blade. */
  hidden?: true
}

/** Cloth or a plate: a closed outline over nodes. */
export interface StrapPanel {
  kind: 'cloth' | 'plate' | 'hood'
  outline: readonly StrapNode[]
}

/** What one family is made of on the dog's side: straps from landmark to landmark, cloth between, the pull point. */
export interface StrapGraph {
  edges: readonly StrapEdge[]
  panels: readonly StrapPanel[]
  /** Where line, belt or lead is clipped; `null` where nothing pulls. */
  pull: StrapNode | null
  /** Rings besides the pull point. */
  rings: readonly StrapNode[]
  /** Paws in boots, or the whole dog in a crate. */
  around?: 'paws' | 'bars' | 'shell' | 'mesh' | 'pen'
}

/** An adjuster's usual range: a strap of one size. Source: from memory, unverified. */
const SLIDER = [0.88, 1.14] as const
const strap = (role: StrapRole, through: readonly StrapNode[], more: Omit<StrapEdge, 'role' | 'through'> = {}): StrapEdge => ({ role, through, ...more })
const set = { adjusts: SLIDER }
const setBothSides = { adjusts: SLIDER, sliders: 2 }
const pad = { padded: true } as const
const graph = (edges: readonly StrapEdge[], pull: StrapNode | null, more: Partial<StrapGraph> = {}): StrapGraph => ({
  edges,
  panels: [],
  rings: [],
  pull,
  ...more,
})

const neckRing = strap('neck-ring', ['lump', 'front', 'withers'], pad)
const neckRingSet = strap('neck-ring', ['lump', 'front', 'withers'], setBothSides)
const pullNeck = strap('neck-ring', ['lump', 'front', 'aheadOfWithers'], pad)
const sternum = strap('sternum', ['lump', 'betweenLegs', 'girthLow'], { hidden: true })
const sternumSet = strap('sternum', ['lump', 'betweenLegs', 'girthLow'], { hidden: true, ...set })
const girth = strap('girth', ['girthTop', 'girthSide', 'girthLow'])
const girthSet = strap('girth', ['girthTop', 'girthSide', 'girthLow'], set)
const nearGirth = strap('girth', ['nearGirthTop', 'nearGirthSide', 'nearGirthLow'])
const backShort = strap('back', ['withers', 'girthTop'])
/** From the breastbone between the forelegs, over the ribs, to the tail. */
const side = strap('side', ['lump', 'betweenLegs', 'chestSide', 'ribs', 'loin', 'tail'], pad)
const backLong = strap('back', ['aheadOfWithers', 'crossFore', 'crossRear', 'tail'])
const cross = [strap('cross', ['bladeTop', 'crossMid']), strap('cross', ['crossMid', 'crossRearSide'])]
const crossBack = [pullNeck, side, backLong, ...cross]

/**
 * Source: handbook 5.2 (builds), 5.4, 8.6 (pull points), common practice; the courses between the landmarks ours.
 */
export const strapGraphs: Readonly<Record<FamilyId, StrapGraph>> = {
  H01: graph([neckRingSet, sternumSet, girthSet, backShort], 'girthTop', { rings: ['lump'] }),
  H02: graph(
    [{ ...neckRing, ...set }, sternum, strap('side', ['girthLow', 'chestSide', 'sideHalf', 'backHalf'], pad), strap('back', ['withers', 'backHalf']), girthSet],
    'backHalf',
  ),
  H03: graph([strap('front', ['lump', 'armLevel', 'girthSide'], set), girthSet, strap('back', ['nearGirthTop', 'girthTop'], pad)], 'girthTop'),
  H04: graph(
    [strap('front', ['lump', 'front', 'nearGirthTop']), { ...nearGirth, ...set }, strap('sternum', ['lump', 'betweenLegs', 'nearGirthLow'], { hidden: true })],
    'nearGirthTop',
  ),
  H05: graph([strap('neck-ring', ['collarFront', 'front', 'withers']), girthSet], 'girthTop', {
    panels: [{ kind: 'cloth', outline: ['withers', 'front', 'lump', 'betweenLegs', 'girthLow', 'girthSide', 'girthTop'] }],
  }),
  H06: graph([strap('front', ['lump', 'front', 'nearGirthTop']), { ...nearGirth, ...set }], 'nearGirthTop', {
    panels: [{ kind: 'plate', outline: ['lump', 'blade', 'plateSide', 'girthLow', 'betweenLegs'] }],
  }),
  H07: graph([strap('neck-ring', ['collarFront', 'collarTop'], set), strap('back', ['collarTop', 'withers', 'girthTop']), girthSet], 'girthTop'),
  H08: graph(
    [strap('front', ['lump', 'armLevel', 'girthSide'], set), girthSet, strap('back', ['withers', 'girthTop']), strap('link', ['collarFront', 'lump'])],
    'lump',
    { rings: ['girthTop'] },
  ),
  H09: graph(
    [
      { ...neckRing, ...setBothSides },
      { ...sternum, ...set },
      girthSet,
      strap('belly', ['bellyTop', 'bellySide', 'bellyLow'], set),
      strap('back', ['withers', 'girthTop', 'bellyTop'], pad),
    ],
    'girthTop',
    { rings: ['bellyTop'] },
  ),
  H10: graph([{ ...neckRing, ...set }, { ...girth, ...set }, strap('back', ['withers', 'girthTop'], set), { ...sternum, ...set }], 'girthTop', {
    panels: [{ kind: 'plate', outline: ['lump', 'blade', 'plateSide', 'girthLow', 'betweenLegs'] }],
  }),
  H11: graph(crossBack, 'tail'),
  H12: graph([pullNeck, side, backLong, strap('bar', ['backHalf', 'ribs'])], 'tail'),
  H13: graph([pullNeck, side], 'tail'),
  H14: graph(
    [pullNeck, strap('side', ['lump', 'betweenLegs', 'chestSide', 'sideHalf', 'backHalf'], pad), strap('back', ['aheadOfWithers', 'crossFore', 'backHalf'])],
    'backHalf',
  ),
  H15: graph(
    [
      pullNeck,
      strap('side', ['lump', 'betweenLegs', 'chestSide', 'sideHalf', 'backHalf'], pad),
      strap('back', ['aheadOfWithers', 'crossFore', 'backHalf']),
      strap('bar', ['backHalf', 'crossRearSide', 'sideHalf']),
    ],
    'backHalf',
    { rings: ['crossRearSide'] },
  ),
  H16: graph([...crossBack, strap('belly', ['girthSide', 'girthLow'], pad)], 'tail'),
  H17: graph(crossBack, 'tail', { rings: ['tailSide', 'loin'] }),
  H18: graph([...crossBack, strap('bar', ['tail', 'tailSide'])], 'tail', { rings: ['tailSide'] }),
  H19: graph(
    [
      pullNeck,
      strap('side', ['lump', 'betweenLegs', 'chestSide', 'ribs', 'tailSide', 'belowTail'], pad),
      strap('back', ['aheadOfWithers', 'crossFore', 'crossRear', 'tail', 'belowTail']),
      ...cross,
    ],
    'belowTail',
    { rings: ['tail'] },
  ),
  H20: graph(
    [
      pullNeck,
      strap('side', ['lump', 'betweenLegs', 'chestSide', 'ribs', 'tailSide', 'behindThigh'], pad),
      strap('back', ['aheadOfWithers', 'crossFore', 'crossRear', 'tail']),
      strap('bar', ['tail', 'belowTail', 'behindThigh']),
    ],
    'behindThigh',
  ),
  H21: graph(
    [pullNeck, sternum, girthSet, strap('side', ['lump', 'armLevel', 'nearGirthTop'], pad), strap('back', ['aheadOfWithers', 'nearGirthTop'])],
    'nearGirthTop',
  ),
  H22: graph(
    [
      { ...pullNeck, role: 'neck-ring' },
      strap('trace', ['front', 'armLevel', 'bellySide', 'traceUpper'], pad),
      strap('trace', ['lump', 'betweenLegs', 'chestSide', 'bellyLow', 'traceLower'], pad),
      strap('girth', ['girthTop', 'girthSide', 'girthLow'], set),
      strap('back', ['aheadOfWithers', 'girthTop']),
      strap('bar', ['traceUpper', 'traceLower']),
    ],
    'traceLower',
  ),
  H23: graph(
    [
      { ...pullNeck, role: 'neck-ring' },
      strap('girth', ['girthTop', 'shaftLoop', 'girthLow'], set),
      strap('belly', ['bellyTop', 'bellySide', 'bellyLow'], set),
      strap('back', ['aheadOfWithers', 'girthTop', 'bellyTop']),
      strap('trace', ['front', 'armLevel', 'shaftRear'], { ...pad, ...set }),
      strap('bar', ['shaftFore', 'shaftLoop', 'shaftRear']),
    ],
    'shaftRear',
    { rings: ['shaftLoop'] },
  ),
  H24: graph(
    [strap('front', ['lump', 'front', 'withers'], { ...pad, ...setBothSides }), { ...girth, ...setBothSides }, strap('back', ['withers', 'girthTop'], pad)],
    'girthTop',
    {
      panels: [{ kind: 'plate', outline: ['front', 'lump', 'betweenLegs', 'girthLow', 'chestSide', 'blade'] }],
    },
  ),
  C1: graph([strap('belly', ['hemMid', 'girthLow'], set)], null, {
    panels: [{ kind: 'cloth', outline: ['collarTop', 'front', 'lump', 'hemFore', 'hemMid', 'hemRear', 'hemTail', 'crossRear', 'crossFore'] }],
  }),
  C2: graph([strap('hem', ['waistTop', 'waistLow'])], null, {
    panels: [
      {
        kind: 'cloth',
        outline: ['collarTop', 'collarFront', 'lump', 'elbowFore', 'wristFore', 'wristRear', 'elbow', 'girthLow', 'waistLow', 'waistTop', 'crossFore'],
      },
    ],
  }),
  C3: graph([strap('belly', ['hemMid', 'bellyLow'], set)], null, {
    panels: [
      { kind: 'hood', outline: ['headTop', 'brow', 'throat', 'collarFront', 'collarTop'] },
      { kind: 'cloth', outline: ['collarTop', 'collarFront', 'lump', 'betweenLegs', 'girthLow', 'waistLow', 'hemRear', 'hemTail', 'crossRear', 'crossFore'] },
    ],
  }),
  C4: graph([strap('hem', ['collarTop', 'collarFront'], set), strap('hem', ['waistTop', 'waistLow'], set)], null, {
    panels: [
      {
        kind: 'cloth',
        outline: [
          'collarTop',
          'collarFront',
          'lump',
          'elbowFore',
          'wristFore',
          'wristRear',
          'elbow',
          'girthLow',
          'waistLow',
          'stifle',
          'hindCuffFore',
          'hindCuffRear',
          'thighRear',
          'hemTail',
          'crossRear',
          'crossFore',
        ],
      },
    ],
  }),
  C5: graph([strap('belly', ['girthSide', 'girthLow'], set)], null, {
    panels: [{ kind: 'cloth', outline: ['collarTop', 'front', 'blade', 'girthSide', 'crossRearSide', 'loin', 'tail', 'crossRear', 'crossFore'] }],
  }),
  B1: graph([], null, { around: 'paws' }),
  B2: graph([], null, { around: 'paws' }),
  B3: graph([], null, { around: 'paws' }),
  K1: graph([], null, { around: 'bars' }),
  K2: graph([], null, { around: 'shell' }),
  K3: graph([], null, { around: 'mesh' }),
  K4: graph([], null, { around: 'pen' }),
}
