import { ACTIVITIES, type Activity as ActivityId, type FamilyId } from '../model/index.ts'

/** `first` choice, `works`, only under `conditions`, `wrong`, or `pointless` (handbook 5.3). */
export type Suits = 'first' | 'works' | 'conditions' | 'wrong' | 'pointless'

/** What shelf an item stands on. */
export type Shelf = 'walking' | 'pulling' | 'drafting' | 'car' | 'coat' | 'boot' | 'crate'

export interface Family {
  id: FamilyId
  name: string
  shelf: Shelf
  build: string
  /** Bears a load: binds the cautions about growing bones, heat and flat faces. */
  pulls: boolean
  activities: Readonly<Record<ActivityId, Suits>>
  /** Handbook 5.4: why right, why wrong, in a sentence each. */
  right: string
  wrong: string
}

const SUITS: Readonly<Record<string, Suits>> = { F: 'first', w: 'works', c: 'conditions', x: 'wrong', '-': 'pointless' }

/** One letter to an activity, in the order of `Activity`. */
function activitiesOf(letters: string): Record<ActivityId, Suits> {
  return Object.fromEntries(ACTIVITIES.map((activity, i) => [activity, SUITS[letters[i] ?? '-'] ?? 'pointless'])) as Record<ActivityId, Suits>
}

const nothing = '---------------'
type Row = [name: string, shelf: Shelf, letters: string, build: string, right: string, wrong: string]

/**
 * Letters: F first choice, w works, c only under conditions, x wrong, - pointless. Columns: stroll, learning puller,
 * long hike, scramble, beside a runner, in front of a runner, bike in front, bike at the side, ski, sled team, wheel
 * place, weight, cart, tracking, car.
 * Source: handbook 5.2 to 5.5, common practice; cells it sets in italics, C5 and the boots from memory, unverified.
 */
const rows: Readonly<Record<FamilyId, Row>> = {
  H01: [
    'Walking Y, short',
    'walking',
    'FwFcwcxwxxxxxFx',
    'Neck ring with a Y on the breastbone, sternum strap, girth strap behind the elbows, back ring.',
    'The shoulder swings free; it bears on the breastbone.',
    'For draught: too little padding, the pull point is wrong, sliders creep.',
  ],
  H02: [
    'Long Y for pulling',
    'pulling',
    'wcwxwFFwFwxxxwx',
    'Padded Y, straps running back, pull point far behind; for line and elastic.',
    'Spreads the pull over the upper body; airway and shoulders stay free.',
    'With neck or length off: it chokes or drags on the hips. Needless for strolls.',
  ],
  H03: [
    'Strap across the chest',
    'walking',
    'ccxcxxxxxxxxxcx',
    'A level strap over the chest front, girth strap, often a handle.',
    'Quick to put on, with a handle.',
    'For anything but a short lead: the strap lies over the blade and holds it back; riding up it presses the windpipe.',
  ],
  H04: [
    'Step-in',
    'walking',
    'wxxxxxxxxxxxxxx',
    'Two leg holes on the ground, one buckle on the back.',
    'Light, nothing over the head.',
    'For pullers and long tours: narrow straps rub, close behind the elbow they cut.',
  ],
  H05: [
    'Vest',
    'walking',
    'wxcxxxxxxxxxxxx',
    'Fabric body, head opening usually fixed, one buckle.',
    'Quickest to dress, soft.',
    'Where the neck was not measured: it cannot be adjusted. Warm in summer.',
  ],
  H06: [
    'Plate, step-in style',
    'walking',
    'wxcxxxxxxxxxxxx',
    'As the step-in, with a plate, wide end to the rear.',
    'Light; the plate spreads the strap.',
    'For pullers and long tours.',
  ],
  H07: [
    'Dual strap, overhead',
    'walking',
    'wcwxxxxxxxxxxcx',
    'Neck ring over the head, one side buckle.',
    'Adjustable, cheap.',
    'Put on the wrong way round: find the leash ring first.',
  ],
  H08: [
    'Front clip for training',
    'walking',
    'cFxxxxxxxxxxxxx',
    'Ring on the chest, link to the collar, double-ended lead.',
    'Curbs pulling at once; for a person who cannot hold a strong dog.',
    'For running and for growing puppies: it alters the gait. It needs an end date.',
  ],
  H09: [
    'Multi-strap assist',
    'walking',
    'wwFFcxxxxxxxxwx',
    'Y or chest pad, girth strap and second belly strap, grab handle, five adjusters.',
    'Lifts and steadies on obstacles; hard to back out of.',
    'For pulling: the second strap lies on soft belly.',
  ],
  H10: [
    'Running, broad plate',
    'walking',
    'wcwxFcxwxxxxxwx',
    'Four adjusters, plate between the legs, not for hard pull.',
    'Broad plate beside the runner; many dogs fit one size.',
    'For a dog that pulls in front.',
  ],
  H11: [
    'Full cross-back',
    'pulling',
    '----cwFcwFccx-x',
    'Fixed sewn, padded neck, straps crossing on the back, side straps on the ribs, tug loop at the tail.',
    'The whole body goes into the harness; the load lies along the ribs.',
    'Short backs and thick necks: it can be far too long. Lines that rise steeply.',
  ],
  H12: [
    'H-back',
    'pulling',
    '-----wF-wFc-x-x',
    'As the full cross-back, with a cross-bar instead of the X.',
    'As the cross-back, without the cross on the spine.',
    'Short backs and thick necks, as the cross-back.',
  ],
  H13: [
    'Open-back',
    'pulling',
    '-----wF-wFc-x-x',
    'Y front, sides, back free, end piece only.',
    'For strongly flexing backs; touches other places.',
    'For hard load: light padding. Feel the armpits.',
  ],
  H14: [
    'Half-back',
    'pulling',
    '--w-wFwcFxxxxwx',
    'Ends mid-back, tug loop, for lines that rise.',
    'The line comes in above the tail; the clip does not beat the back.',
    'For a low sled hitch, and for extremely strong pullers.',
  ],
  H15: [
    'Half-back, rotating side pull',
    'pulling',
    '--F-wwwwwFxxx-x',
    'Top piece slides so that the line may leave sideways.',
    'For dogs that put in more with a sideways line.',
    'For dogs that cannot put full force into it.',
  ],
  H16: [
    'Cross-back with chest piece',
    'pulling',
    '-----ww-wFc-x-x',
    'Small bridge under the chest, long padding.',
    'Deep narrow chests: it does not wander.',
    'For broad fluffy dogs, which need neither bridge nor rear padding.',
  ],
  H17: [
    'Cross-back with side hooks',
    'pulling',
    '------ww-Fc-x-x',
    'Hooks left and right for a tug off the middle.',
    'Counters crabbing.',
    'As a crutch for good: a side pull can hide pain or a trail cause.',
  ],
  H18: [
    'Cross-back, sliding tug loop',
    'pulling',
    '-----wF-wFc-x-x',
    'The loop travels sideways at the rear end.',
    'Side-to-side movement in front of a bike.',
    'Where nothing swings.',
  ],
  H19: [
    'Wheel, long',
    'pulling',
    '-----xx-xwFcx-x',
    'Longer body; rings let the end fall below the tail.',
    'Wheel dogs and tall dogs close to a low hitch: hips relieved.',
    'Anywhere else: it looks and is too long.',
  ],
  H20: [
    'Stick harness',
    'pulling',
    '-----xx-xwFwx-x',
    'Rod behind the thighs, elastic part, end below the tail.',
    'Wheel dogs: hips relieved, fewer injuries.',
    'Anywhere else: it looks and is too long.',
  ],
  H21: [
    'Short pull',
    'pulling',
    'w-wxwFFwwwxxxwx',
    'Neck, sternum strap, adjustable girth; short back, tab at the shoulder.',
    'For short backs and thick necks; counters crabbing; dryland.',
    'With the armpit rubbed: too short. In wheel place.',
  ],
  H22: [
    'Freight and weight',
    'drafting',
    '------x--x-Fc-x',
    'One piece, four primary traces, forward cinch, spreader bar behind.',
    'One piece, does not tangle, fast off over the head.',
    'It must come off whole to free the dog from the load.',
  ],
  H23: [
    'Cart with shafts',
    'drafting',
    '------x--x-wF-x',
    'Body, forward cinch with shaft loops, belly band, two traces, separate spreader.',
    'The dog leaves the cart quickly; cinch and release adjust on their own.',
    'Many parts; confusing to put together.',
  ],
  H24: [
    'Car harness',
    'car',
    'c-xxxxxxxxxxxxF',
    'Strength-rated metal parts, padded panel, loop for the vehicle belt.',
    'Keeps the dog in its seat and lets it stand, sit and lie.',
    'For sport. The walking ring is only for the way to the car.',
  ],
  C1: [
    'Rug',
    'coat',
    nothing,
    'Knitted or fabric, over the back, open below.',
    'Warmth in and out of doors; a harness goes on top; it can grow with a puppy.',
    'Wet brush and rain; over the tail’s end.',
  ],
  C2: [
    'Sweater with sleeves',
    'coat',
    nothing,
    'Knitted, sleeves, closed below.',
    'Cold house, cold walks.',
    'A male with a long underside; dogs that hate head or legs handled.',
  ],
  C3: [
    'Hooded winter coat',
    'coat',
    nothing,
    'Hood, belly warmer, made to measure.',
    'Severe cold, thin coats, ears to protect.',
    'The hood cut by the head alone on a thick neck.',
  ],
  C4: [
    'Rain suit with cords',
    'coat',
    nothing,
    'Full body, legs, drawcords.',
    'Rain and mud; one suit fits very different bodies once its cords are set.',
    'When nobody spends the first fitting; in warm weather.',
  ],
  C5: ['Light or cooling layer', 'coat', nothing, 'Light reflective or cooling cloth.', 'Night; heat, wet only where air moves.', 'Still hot air.'],
  B1: ['Sled booties', 'boot', nothing, 'Unlined cloth, strap.', 'Snow, ice, ice balls, small cuts; used up.', 'Asphalt.'],
  B2: [
    'Trail boots',
    'boot',
    nothing,
    'Rubber sole.',
    'Rock, hot or salted ground, injuries.',
    'The wrong width; hours without a break; deep snow without a gaiter.',
  ],
  B3: ['Indoor grip socks', 'boot', nothing, 'Grip sock or unlined rubber boot.', 'Old dogs on floors; salt.', 'Long wear: moisture.'],
  K1: [
    'Wire crate',
    'crate',
    nothing,
    'Wire, usually two doors, a tray; takes a divider.',
    'Home, puppy with divider; a pen clips on.',
    'Folded often: the joints loosen.',
  ],
  K2: [
    'Travel crate, rigid',
    'crate',
    nothing,
    'Two half shells, one door.',
    'Car, vet, flight if it is to the carrier’s rules.',
    'Puppy training: no divider, little space.',
  ],
  K3: ['Soft crate', 'crate', nothing, 'Frame and mesh, pockets.', 'Camping and trips with trained dogs.', 'Daily use, chewers, untrained dogs.'],
  K4: ['Exercise pen', 'crate', nothing, 'Panels of several heights; clips to the wire crate.', 'More room while people work.', 'Jumpers and climbers.'],
}

/** Every family and item of the handbook, keyed by ID. */
export const families: Readonly<Record<FamilyId, Family>> = Object.fromEntries(
  Object.entries(rows).map(([id, [name, shelf, letters, build, right, wrong]]) => [
    id,
    { id, name, shelf, build, right, wrong, pulls: shelf === 'pulling' || shelf === 'drafting', activities: activitiesOf(letters) },
  ]),
) as Record<FamilyId, Family>

/** How a family suits one activity. */
export const suits = (family: FamilyId, activity: ActivityId): Suits => families[family].activities[activity]
