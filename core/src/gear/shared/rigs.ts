import type { StrapRig, RigStrap } from '../rig.ts'

const strap = (
  id: RigStrap['id'],
  [from, to]: readonly [RigStrap['from'], RigStrap['to']],
  course: RigStrap['course'],
  tape: RigStrap['tape'],
  more: Partial<RigStrap> = {},
): RigStrap => ({ id, from, to, course, ring: course === 'around', tape, adjusts: false, doubled: false, ...more })
/** Set at one slider on a doubled strap, as on walking and car gear (handbook 8.3). */
const doubled = { adjusts: true, doubled: true } as const
/** Set on single webbing, as on pulling and drafting gear. */
const single = { adjusts: true } as const

const neck = strap('neck', ['v', 'top'], 'around', 'M01')
const keel = strap('keel', ['v', 'low'], 'under', 'M06')
const girth = strap('girth', ['low', 'girthTop'], 'around', 'M07')
const back = strap('back', ['top', 'girthTop'], 'over', null)
const side = strap('side', ['v', 'rib'], 'along', 'M10')

/** Neck, sides, the X and its rear end: the whole body goes into it. */
export const crossBackRig: StrapRig = {
  straps: [neck, side, strap('cross', ['top', 'rib'], 'along', 'M11'), strap('rear', ['rib', 'tug'], 'along', 'M12')],
  end: 'tail',
}
export const wheelRig: StrapRig = { ...crossBackRig, end: 'below-tail' }
export const stickRig: StrapRig = { ...crossBackRig, end: 'behind-thighs' }
export const openBackRig: StrapRig = { straps: [neck, strap('side', ['v', 'tug'], 'along', 'M13')], end: 'tail' }
export const halfBackRig: StrapRig = {
  straps: [neck, strap('side', ['v', 'tug'], 'along', null), strap('back', ['top', 'tug'], 'over', null)],
  end: 'back',
}
export const shortPullRig: StrapRig = {
  straps: [neck, keel, { ...girth, ...single }, strap('side', ['v', 'girthTop'], 'along', null), back],
  end: 'girth-top',
}
/** A Y whose sides and back end at mid-back, and a girth strap of its own. */
export const longYRig: StrapRig = {
  straps: [{ ...neck, ...doubled }, keel, { ...girth, ...doubled }, strap('side', ['v', 'tug'], 'along', null), strap('back', ['top', 'tug'], 'over', null)],
  end: 'back',
}
export const walkingYRig: StrapRig = { straps: [{ ...neck, ...doubled }, { ...keel, ...doubled }, { ...girth, ...doubled }, back], end: null }
export const runningRig: StrapRig = {
  straps: [
    { ...neck, ...doubled },
    { ...keel, ...doubled },
    { ...girth, ...doubled },
    { ...back, ...doubled },
  ],
  end: null,
}
export const assistRig: StrapRig = {
  straps: [...walkingYRig.straps, strap('rear', ['girthTop', 'bellyTop'], 'over', null), strap('belly', ['bellyLow', 'bellyTop'], 'around', 'M29', doubled)],
  end: null,
}
/** A level strap round the chest that ends on the girth strap, left and right. */
export const chestStrapRig: StrapRig = { straps: [strap('front', ['v', 'join'], 'along', null, doubled), { ...girth, ...doubled }], end: null }
/** Two leg holes: a front that closes at the back ring, the girth strap, and what runs between the legs. */
export const stepInRig: StrapRig = { straps: [strap('front', ['v', 'girthTop'], 'around', null), keel, { ...girth, ...doubled }], end: null }
export const vestRig: StrapRig = { straps: [neck, keel, { ...girth, ...doubled }, back], end: null }
export const dualStrapRig: StrapRig = { straps: [{ ...neck, ...doubled }, { ...girth, ...doubled }, back], end: null }
export const carRig: StrapRig = {
  straps: [strap('front', ['v', 'top'], 'around', 'M01', doubled), keel, { ...girth, ...doubled }, back],
  end: null,
}

const cinch = strap('cinch', ['low', 'girthTop'], 'around', 'M07', single)
const draft: readonly RigStrap[] = [
  neck,
  keel,
  back,
  strap('upper', ['collarUpper', 'ring'], 'along', null),
  strap('lower', ['collarLower', 'ring'], 'along', null),
  cinch,
  strap('rear', ['ring', 'tug'], 'air', null, single),
]
export const freightRig: StrapRig = { straps: draft, end: 'bar' }
export const cartRig: StrapRig = {
  straps: [
    ...draft,
    strap('loopDrop', ['girthTop', 'loop'], 'around', null, { ...single, ring: false }),
    strap('belly', ['loop', 'loopLow'], 'around', null, { ...single, ring: false }),
  ],
  off: ['loop'],
  end: 'bar',
}
