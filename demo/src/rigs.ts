import type { NewCar, NewRig } from '@merry-tailor/core'
import type { OutingStory } from './stories.ts'

type RigStory = Omit<NewRig, 'at'>

/** What the shop’s drafting dogs draw. Invented. */
export const rigs: readonly RigStory[] = [
  {
    name: 'Ash cart',
    kind: 'cart',
    massKg: 14.6,
    massAheadMm: -12,
    massHeightMm: 316,
    axleMm: 248,
    trackMm: 618,
    wheelbaseMm: null,
    lockRad: null,
    shafts: { aheadMm: 1236, levelMm: 462, thickMm: 25, stopMm: 45 },
    hitch: { aheadMm: 286, heightMm: 286 },
    bar: { widthMm: 372, swings: false },
    bed: { fromMm: -394, toMm: 352, heightMm: 392 },
    brake: false,
    notes: 'The fixed bar is to be changed for one that swings.',
  },
  {
    name: 'Hay wagon',
    kind: 'wagon',
    massKg: 31.5,
    massAheadMm: -426,
    massHeightMm: 352,
    axleMm: 212,
    trackMm: 664,
    wheelbaseMm: 858,
    lockRad: 0.61,
    shafts: { aheadMm: 1182, levelMm: 448, thickMm: 28, stopMm: 48, massKg: 4.2 },
    hitch: { aheadMm: 236, heightMm: 274 },
    bar: { widthMm: 412, swings: true },
    bed: { fromMm: -1124, toMm: 214, heightMm: 424 },
    brake: true,
    notes: '',
  },
  {
    name: 'Log drag',
    kind: 'drag',
    massKg: 3.4,
    massAheadMm: 0,
    massHeightMm: 62,
    axleMm: 62,
    trackMm: 210,
    wheelbaseMm: null,
    lockRad: null,
    shafts: null,
    hitch: { aheadMm: 318, heightMm: 118 },
    bar: { widthMm: 388, swings: true },
    bed: { fromMm: -318, toMm: 318, heightMm: 62 },
    brake: false,
    notes: 'For first lines on grass.',
  },
]

const out = (daysAgo: number, rung: OutingStory['rung'], minutes: number, over: Partial<OutingStory> = {}): OutingStory => ({
  dog: 'anvil',
  daysAgo,
  rung,
  calm: true,
  minutes,
  ...over,
})

/** How Anvil learns to draw: calm at wearing and lines, one fright before the empty cart, then a first load. Invented. */
export const outings: readonly OutingStory[] = [
  out(41, 'wear', 12),
  out(38, 'wear', 18),
  out(36, 'wear', 24, { note: 'Ate and lay down in it.' }),
  out(31, 'lines', 11, { rig: 'Log drag' }),
  out(27, 'lines', 16, { rig: 'Log drag', calm: false, note: 'The log caught a root; stood and waited.' }),
  out(24, 'lines', 14, { rig: 'Log drag' }),
  out(21, 'lines', 19, { rig: 'Log drag' }),
  out(18, 'lines', 21, { rig: 'Log drag' }),
  out(12, 'empty', 14, { rig: 'Ash cart', note: 'Watched the wheels, then forgot them.' }),
]

/** Cars that dogs of this shop ride in, by their owners’ keys. Invented. */
export const cars: readonly (Omit<NewCar, 'at' | 'ownerId'> & { owner: string })[] = [
  {
    name: 'Green estate',
    owner: 'eirun',
    seats: [
      {
        name: 'Rear left',
        row: 'rear',
        outlet: { aheadMm: -84, leftMm: 262, upMm: 612 },
        buckle: { aheadMm: 46, leftMm: -224, upMm: 38 },
        frontSeatMm: 742,
        cushionMm: 492,
        airBag: 'none',
      },
      {
        name: 'Rear right',
        row: 'rear',
        outlet: { aheadMm: -84, leftMm: -262, upMm: 612 },
        buckle: { aheadMm: 46, leftMm: 224, upMm: 38 },
        frontSeatMm: 766,
        cushionMm: 492,
        airBag: 'none',
      },
      {
        name: 'Front',
        row: 'front',
        outlet: { aheadMm: -118, leftMm: -268, upMm: 664 },
        buckle: { aheadMm: 34, leftMm: 231, upMm: 52 },
        frontSeatMm: 918,
        cushionMm: 508,
        airBag: 'unknown',
      },
    ],
    notes: 'The left belt’s reel sticks when it is pulled fast.',
    space: null,
  },
  {
    name: 'Low runabout',
    owner: 'jory',
    seats: [
      {
        name: 'Rear',
        row: 'rear',
        outlet: { aheadMm: -78, leftMm: 244, upMm: 588 },
        buckle: { aheadMm: 42, leftMm: -208, upMm: 36 },
        frontSeatMm: 688,
        cushionMm: 471,
        airBag: 'none',
      },
    ],
    notes: '',
    space: null,
  },
]
