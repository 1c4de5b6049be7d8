/** Another place: a landmark, or a share of the way from one to another. */
export type Mistaken = string | readonly [from: string, to: string, share: number]

export interface Landmark {
  name: string
  feel: string
  /** What it is usually taken for; where that lies, as far as the form knows; and the side it is best seen from. */
  not?: string
  mistaken?: readonly Mistaken[]
  seenFrom?: 'side' | 'front' | 'below'
}

/**
 * Landmarks of the handbook, chapter 2, by feel, and what each is usually confused with.
 * Source: common practice; L05, L09, L10, L11, L23 and L25 from memory, unverified.
 */
export const landmarks = {
  L01: {
    name: 'Breastbone lump',
    feel: 'Stroke the keel up the midline until it forms a lump, then drops into the hollow.',
    not: 'Not the hollow above it, nor half-way down the keel, nor the point of shoulder.',
    mistaken: ['L24', ['L01', 'L02', 0.5], 'L05'],
    seenFrom: 'front',
  },
  L02: {
    name: 'Last sternum bone',
    feel: 'Stroke the keel back until firm bone turns to soft belly.',
    not: 'Not the soft belly behind it, nor the keel between the elbows; the gristle tip is no bone.',
    mistaken: [
      ['L02', 'L17', 0.35],
      ['L01', 'L02', 0.55],
    ],
    seenFrom: 'below',
  },
  L03: {
    name: 'Withers',
    feel: 'Follow the neck’s upper edge back to the crest between the blades.',
    not: 'Not the point of shoulder, nor the neck base ahead of it.',
    mistaken: ['L05', 'L19'],
    seenFrom: 'side',
  },
  L04: {
    name: 'Upper blade rim',
    feel: 'Swing the foreleg: the plate that glides is the blade.',
    not: 'No joint like a person’s shoulder: the foreleg swings from high up.',
    mistaken: ['L05'],
    seenFrom: 'side',
  },
  L05: {
    name: 'Point of shoulder',
    feel: 'Front knob where blade meets upper arm.',
    not: 'Not the withers, nor the breastbone lump.',
    mistaken: ['L03', 'L01'],
    seenFrom: 'side',
  },
  L06: { name: 'Elbow', feel: 'Bony tip at the rear top of the foreleg.', not: 'Not the wrist, which many call knee.', mistaken: ['L08'], seenFrom: 'side' },
  L07: {
    name: 'Armpit',
    feel: 'Skin fold inside and behind the elbow.',
    not: 'Not by eye: the coat makes a strap look nearer or farther.',
    mistaken: [],
    seenFrom: 'side',
  },
  L08: {
    name: 'Front wrist',
    feel: 'Joint that bends when the paw is lifted.',
    not: 'Some call it knee, some ankle: the same place.',
    mistaken: [],
    seenFrom: 'side',
  },
  L09: { name: 'Pastern', feel: 'Slim part between wrist and paw.', not: 'Not over the dewclaw, nor over feathering.', mistaken: ['L10'], seenFrom: 'side' },
  L10: {
    name: 'Dewclaw',
    feel: 'Inner side above the front paw.',
    not: 'Not forgotten under a strap; some dogs have them behind too, some none.',
    mistaken: [],
    seenFrom: 'side',
  },
  L11: {
    name: 'Paw, widest part',
    feel: 'Across the outer toes while the paw carries weight.',
    not: 'Not on a lifted paw: up to a fifth too narrow.',
    mistaken: [],
    seenFrom: 'side',
  },
  L12: {
    name: 'Last rib',
    feel: 'Rub the flank forward to the first bony arch; use the crossing on the tape’s own line.',
    not: 'Not an earlier, lower rib end, nor the soft flank.',
    mistaken: ['L13', 'L16'],
    seenFrom: 'side',
  },
  L13: { name: 'Last true rib', feel: 'Last rib that joins the breastbone.', not: 'Not the last rib, far behind it.', mistaken: ['L12'], seenFrom: 'side' },
  L14: {
    name: 'Tail base',
    feel: 'Lift the tail: where it leaves the body.',
    not: 'Not the fur of the tail, nor the croup ahead of it.',
    mistaken: ['L15'],
    seenFrom: 'side',
  },
  L15: { name: 'Hips', feel: 'Two bony points ahead of the tail.' },
  L16: {
    name: 'Waist',
    feel: 'Narrowest ring between ribs and thighs.',
    not: 'Not always where a belly band goes: that often sits farther forward.',
    mistaken: [],
    seenFrom: 'side',
  },
  L17: { name: 'Sheath or vulva', feel: 'Look and feel.', not: 'Not left out on a young male.', mistaken: [], seenFrom: 'side' },
  L18: {
    name: 'Collar line',
    feel: 'Where a collar lies, upper to mid neck.',
    not: 'Not a harness neck, which sits much lower.',
    mistaken: ['L19'],
    seenFrom: 'side',
  },
  L19: {
    name: 'Neck base',
    feel: 'Thickest ring of the neck, a little ahead of the withers.',
    not: 'Not the withers behind it.',
    mistaken: ['L03'],
    seenFrom: 'side',
  },
  L20: { name: 'Ear base', feel: 'Lower rear root of the ear.', not: 'Not the ear’s edge or its tip.', mistaken: ['L25'], seenFrom: 'side' },
  L21: { name: 'Front span ends', feel: 'Front edge of each shoulder.', not: 'Not round the side.', mistaken: [], seenFrom: 'front' },
  L22: {
    name: 'Middle of foreleg bone',
    feel: 'Centre of the leg column, from the front.',
    not: 'Not the outer edges of the legs.',
    mistaken: [],
    seenFrom: 'front',
  },
  L23: {
    name: 'Stifle and hock',
    feel: 'Hind knee at the flank fold; backward joint below.',
    not: '“Hind ankle” may mean either.',
    mistaken: [],
    seenFrom: 'side',
  },
  L24: { name: 'Windpipe zone', feel: 'Front of the neck above the lump.' },
  L25: {
    name: 'Ear tip, nose tip, skull, floor',
    feel: 'Highest points, standing and sitting.',
    not: 'Not with the head lowered.',
    mistaken: [],
    seenFrom: 'side',
  },
} as const satisfies Record<string, Landmark>

export type LandmarkId = keyof typeof landmarks
