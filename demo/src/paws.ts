import type { BootsHere, CarrierRules, CarSpace, MeasuredCrate, NewBootOuting, NewTracing } from '@merry-tailor/core'

/** Outings in boots of two team dogs, half a season of them: what came back, paw by paw. Invented. */
export interface BootStory {
  dog: string
  daysAgo: number
  km: number
  minutes: number
  paws: NewBootOuting['paws']
}

const fine = { worn: false, lost: false, seen: [] }
const all = (over: NewBootOuting['paws'] = {}): NewBootOuting['paws'] => ({
  'front-left': fine,
  'front-right': fine,
  'rear-left': fine,
  'rear-right': fine,
  ...over,
})
const worn = { worn: true, lost: false, seen: [] }
const lost = { worn: false, lost: true, seen: [] }

export const bootOutings: readonly BootStory[] = [
  { dog: 'bilberry', daysAgo: 33, km: 9.5, minutes: 44, paws: all() },
  { dog: 'bilberry', daysAgo: 29, km: 12.4, minutes: 57, paws: all({ 'front-right': worn }) },
  { dog: 'bilberry', daysAgo: 25, km: 14.8, minutes: 66, paws: all({ 'rear-left': lost }) },
  { dog: 'bilberry', daysAgo: 18, km: 11.2, minutes: 51, paws: all() },
  { dog: 'bilberry', daysAgo: 11, km: 18.6, minutes: 84, paws: all({ 'front-left': worn, 'front-right': { worn: false, lost: false, seen: ['S63'] } }) },
  { dog: 'bilberry', daysAgo: 6, km: 16.1, minutes: 71, paws: all({ 'rear-right': worn }) },
  { dog: 'lodestar', daysAgo: 25, km: 14.8, minutes: 66, paws: all() },
  { dog: 'lodestar', daysAgo: 11, km: 18.6, minutes: 84, paws: all({ 'front-left': lost }) },
]

/** A sheet with two paws of a pair drawn on it. */
export interface SheetStory {
  dog: string
  daysAgo: number
  pencilMm: number
  nails: NewTracing['nails']
  paws: readonly { paw: NewTracing['paw']; widthMm: number; lengthMm: number; lean: number }[]
  /** How it lay before the camera; `null`: only the outline was kept. */
  shot: { turn: number; tilt: number; light: number } | null
}

/** Traced paws of one of them, both fore paws twice: the right front one is the odd one. Drawn from our own outline. */
export const sheets: readonly SheetStory[] = [
  { dog: 'bilberry', daysAgo: 23, pencilMm: 1.2, nails: 'short', shot: null, paws: [{ paw: 'front-left', widthMm: 58.9, lengthMm: 72.2, lean: 0.05 }, { paw: 'front-right', widthMm: 64.6, lengthMm: 75.6, lean: -0.02 }] },
  { dog: 'bilberry', daysAgo: 23, pencilMm: 1.2, nails: 'short', shot: { turn: -0.12, tilt: -0.16, light: 1.4 }, paws: [{ paw: 'front-left', widthMm: 58.2, lengthMm: 71.8, lean: 0.03 }, { paw: 'front-right', widthMm: 63.4, lengthMm: 74.7, lean: -0.04 }] },
  { dog: 'bilberry', daysAgo: 23, pencilMm: 1.2, nails: 'short', shot: { turn: 0.05, tilt: 0.12, light: 2.3 }, paws: [{ paw: 'rear-left', widthMm: 51.9, lengthMm: 67, lean: 0.02 }, { paw: 'rear-right', widthMm: 52.5, lengthMm: 67.8, lean: -0.01 }] },
] // prettier-ignore

/** Boots counted on the shelf. */
export const shelf: readonly BootsHere[] = [
  { tableId: 'tidewrack-team-booties', label: 'Cockle', here: 14 },
  { tableId: 'tidewrack-team-booties', label: 'Razor', here: 9 },
  { tableId: 'tidewrack-team-booties', label: 'Oyster', here: 3 },
]

const boot = (long: number, wide: number, high: number, top: number, arch: number): CarSpace => ({
  floor: [[0, 0], [long, 0], [long, wide], [0, wide]],
  side: [[0, 0], [long, 0], [top, high], [0, high]],
  arches: [{ xMm: [long * 0.42, long * 0.88], yMm: [0, arch], heightMm: 290 }, { xMm: [long * 0.42, long * 0.88], yMm: [wide - arch, wide], heightMm: 290 }],
  opening: [[0, 0], [wide * 0.97, 0], [wide * 0.9, high * 0.93], [wide * 0.07, high * 0.93]],
  floorUpMm: 612,
  sillMm: 26,
  anchors: [[62, 58, 0], [62, wide - 58, 0], [long - 58, 58, 0], [long - 58, wide - 58, 0]],
}) // prettier-ignore

/** Load spaces: one a high crate goes into, one too low for it. */
export const spaces: Readonly<Record<string, CarSpace>> = {
  'Green estate': boot(1254, 1302, 905, 1120, 42),
  'Low runabout': boot(724, 982, 512, 566, 118),
}

export const crates: readonly MeasuredCrate[] = [
  { family: 'K2', label: '36', lengthMm: 886, widthMm: 579, heightMm: 641, door: { widthMm: 412, heightMm: 538 } },
]
export const carriers: readonly CarrierRules[] = [
  {
    name: 'Skerry air, short hops',
    lengthB: 1,
    width: null,
    flatFaceShare: 0.15,
    refusesFlatFace: false,
    leastMm: {},
    mostMm: { height: 760 },
    answered: 'by letter, spring',
  },
  {
    name: 'Night freight',
    lengthB: null,
    width: null,
    flatFaceShare: null,
    refusesFlatFace: true,
    leastMm: {},
    mostMm: { length: 1240, height: 840 },
    answered: 'by telephone',
  },
]
