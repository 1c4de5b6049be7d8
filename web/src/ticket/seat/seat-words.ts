import type { CarStop, Claim, PRE_DRIVE, ReadClaim, Restraint } from '@merry-tailor/core'

export const STOP_WORDS: Readonly<Record<CarStop['code'], { title: string; what: string }>> = {
  'air-bag': { title: 'Never before an air bag', what: 'Seat the dog behind, or have the bag surely off.' },
  'front-seat': { title: 'The front seat is the last choice', what: 'Behind is further from glass and driver; local law may ask for it.' },
  tether: { title: 'Take the lead off', what: 'It wraps round a leg and breaks it in a crash.' },
  crashed: { title: 'This harness was in a crash', what: 'It is not used in a car again, whatever the eye says.' },
  'over-tested': { title: 'Heavier than it was tested for', what: 'Nobody knows what it does with this dog.' },
  'tested-unknown': { title: 'Nobody says for how heavy a dog it was tested', what: 'Ask the maker before you trust it in a crash.' },
  collar: { title: 'Never held by the collar', what: 'A neck is no way to stop a dog.' },
  'not-held': { title: 'The belt holds nothing', what: 'Lead it through the harness’s loop.' },
}

export const PRE_DRIVE_WORDS: Readonly<Record<(typeof PRE_DRIVE)[number]['code'], string>> = {
  'buckles-home': 'Every buckle pushed home, and tugged',
  'sides-even': 'Both sides even, the harness in the middle',
  'belt-through': 'Tongue and all the belt through the loop, pushed down, buckled',
  'slack-out': 'Slack drawn out of the belt',
  'lead-off': 'Lead off, in the footwell',
  'rear-seat': 'Behind, its rear at the middle of the seat or nearer the door, head inward',
}

export const CLAIM_WORDS: Readonly<Record<Claim['id'], { says: string; saysNot: string }>> = {
  'us-child-sled': { says: 'A sled for child seats, stopped from 48 km/h.', saysNot: 'Made for children: it certifies no dog’s harness.' },
  'un-child-sled': { says: 'A sled for child seats, stopped from 50 km/h.', saysNot: 'Made for children: it certifies no dog’s harness.' },
  belt: { says: 'New belt webbing breaks at 14.7 kN or more.', saysNot: 'A strap’s strength says nothing of seams, buckles or the dog.' },
  luggage: { says: 'Seat backs hold two blocks of 18 kg.', saysNot: 'It is of the seat back alone.' },
  cargo: { says: 'Lashing points, nets and grids of the car.', saysNot: 'It is of the car, not of a harness.' },
  lashing: { says: 'Lashing webbing breaks at three times what it may hold.', saysNot: 'A strap’s strength says nothing of seams, buckles or the dog.' },
}

export const PULSE_NAMES: Readonly<Record<string, string>> = {
  'us-child-sled': 'Sled for child seats, 48 km/h',
  'un-child-sled': 'Sled for child seats, 50 km/h',
  'un-child-rear': 'The same from behind, 30 km/h',
  'hard-braking': 'Hard braking, 0.9 g',
}

/** What a claim says in numbers, and what it leaves unsaid. */
export const claimSays = (read: ReadClaim): { says: string[]; silent: string[] } => ({
  says: [
    ...(read.speedKmh === null ? [] : [`${read.speedKmh.toFixed(0)} km/h`]),
    ...(read.massKg === null ? [] : [`${read.massKg.toFixed(1)} kg`]),
    ...(read.forceN === null ? [] : [`${(read.forceN / 1000).toFixed(1)} kN`]),
  ],
  silent: [
    ...(read.speedKmh === null ? ['what speed'] : []),
    ...(read.massKg === null ? ['what mass'] : []),
    ...(read.forceN === null ? ['what force'] : []),
    'how far the head went',
  ],
})

export const WAY_NAMES: Readonly<Record<Restraint['way'], string>> = {
  harness: 'Harness on the belt',
  'crate-lashed': 'Crate, lashed',
  'crate-behind-seat': 'Crate behind the seat',
  barrier: 'Barrier or net',
  loose: 'Loose',
}
export const REASON_WORDS: Readonly<Record<Restraint['reasons'][number], string>> = {
  'held-at-the-body': 'held at the body',
  'slack-out': 'slack drawn out',
  'rear-seat': 'behind',
  'lash-by-strength': 'lashed by strength to the car’s own points',
  'against-the-seat': 'against the seat’s back',
  'room-to-fly': 'it flies as far as there is room',
  'keeps-out-of-the-front': 'keeps it out of the front',
  'hits-people': 'it hits people',
  'hurts-itself': 'it hurts itself',
}
