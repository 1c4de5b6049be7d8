/** How to stand the dog, how the tape lies, and the slip made most often. */
export interface HowTo {
  stand: string
  howTight: string
  usualSlip: string
}

const SQUARE = 'Square on four feet, head up, facing ahead.'
const LIES = 'Lies on the coat, no dent, no hanging.'
const WEIGHT_ON_PAW = 'Standing; lift the opposite paw so this one carries weight.'
const TRACE = 'Trace it on paper, pencil upright; measure the drawing.'

/**
 * Source: handbook 3.1, 3.2 and 4.2, common practice; M00, M24 start, M27, M29 to M49 from memory, unverified.
 */
export const howTo: Readonly<Record<string, HowTo>> = {
  M00: { stand: 'Still, all four feet on the plate.', howTight: 'Or you with the dog, minus you.', usualSlip: 'A guessed weight, or last year’s.' },
  M01: { stand: SQUARE, howTight: 'No dent, no gap; slides when tugged.', usualSlip: 'Starts below the lump, or runs up at the collar.' },
  M02: { stand: 'Square, head normal; collar off.', howTight: 'Two flat fingers under the tape.', usualSlip: 'Too tight, or over a collar.' },
  M03: { stand: 'Square, head normal.', howTight: 'On the coat, no dent; slides when tugged.', usualSlip: 'Taken at the middle of the neck.' },
  M04: { stand: 'Still; standing or sitting.', howTight: 'Snug, no pressure; ears free.', usualSlip: 'Ears squeezed in, or the muzzle ring taken.' },
  M05: { stand: 'Square, head normal.', howTight: LIES, usualSlip: 'Runs on to the ear’s edge.' },
  M06: { stand: 'Square, head held up.', howTight: 'Follows the keel, taut, not pressing.', usualSlip: 'Runs on to the belly, or stops ahead of the legs.' },
  M07: {
    stand: 'Square on four feet, head normal.',
    howTight: 'On the coat, no dent; slides when tugged.',
    usualSlip: 'Too far forward in the armpit; the biggest place missed.',
  },
  M08: { stand: 'Square on four feet, head normal.', howTight: 'On bone, no dent; slides when tugged.', usualSlip: 'Taken at the biggest ring instead.' },
  M09: { stand: SQUARE, howTight: 'No dent, no gap; as the maker draws it.', usualSlip: 'The maker’s route guessed. Ask for the drawing.' },
  M10: {
    stand: 'Square, body straight, head normal.',
    howTight: 'One straight line toward the tail base.',
    usualSlip: 'Stops at an earlier rib, or the tape sags.',
  },
  M11: {
    stand: 'Square, body straight, head normal.',
    howTight: 'One straight diagonal to mid side.',
    usualSlip: 'Drifts behind the rib into the soft flank.',
  },
  M12: {
    stand: 'Square, tail hanging, no sitting back.',
    howTight: 'Straight; rather short than long.',
    usualSlip: 'Begins in the soft flank, or ends on the croup.',
  },
  M13: {
    stand: 'Square, body straight, tail hanging.',
    howTight: 'Straight in one go; do not press in.',
    usualSlip: 'Cuts the corner under the chest, or ends on the tail.',
  },
  M14: {
    stand: 'Square, back level, head normal.',
    howTight: 'Lies on the spine, no bridge over hollows.',
    usualSlip: 'Starts at the collar, or ends on tail fur.',
  },
  M15: { stand: 'Square, back level, head normal.', howTight: LIES, usualSlip: 'The hem laid over the tail. Note the hem you chose.' },
  M16: { stand: 'Square, back level, head normal.', howTight: LIES, usualSlip: 'Starts up on the neck.' },
  M17: { stand: 'Square, elbows level.', howTight: 'Lies over the shoulders, even on both sides.', usualSlip: 'One elbow lower than the other.' },
  M18: { stand: 'Square, back level.', howTight: 'Lies down the side to the wished edge.', usualSlip: 'Not begun on the spine.' },
  M19: { stand: SQUARE, howTight: 'Lies across the chest front.', usualSlip: 'Wraps on into the armpit.' },
  M20: { stand: 'Square, seen from the front.', howTight: 'Straight across; a stick or two boards.', usualSlip: 'The tape wrapped round the chest.' },
  M21: { stand: 'Square, not after a meal.', howTight: 'Snug, never tight.', usualSlip: 'Taken at the narrowest place by habit; too far back on a male.' },
  M22: { stand: 'Square, not after a meal.', howTight: 'Snug, never tight.', usualSlip: 'Taken where the band ends instead.' },
  M23: {
    stand: 'Square, head normal.',
    howTight: 'Lies along chest and tummy.',
    usualSlip: 'Begun up on the throat instead of the breastbone, or ended elsewhere than the band ring.',
  },
  M24: { stand: 'Square, head normal.', howTight: 'Lies along the underside.', usualSlip: 'The same for both sexes; a male needs it shorter.' },
  M25: { stand: 'Square, leg upright.', howTight: 'Straight down the front of the leg.', usualSlip: 'Taken as the sleeve, which ends at the wrist.' },
  M26: { stand: 'Square, leg upright.', howTight: 'Straight down the front of the leg.', usualSlip: 'Run on to the floor.' },
  M27: { stand: 'Square, hind feet level.', howTight: 'Straight from crease to hock.', usualSlip: 'Begun at the belly instead of the crease.' },
  M28: { stand: 'Square, leg upright.', howTight: LIES, usualSlip: 'The wished end not asked; longer for cold houses.' },
  M29: { stand: 'Square, head normal.', howTight: 'On the coat, no dent; slides when tugged.', usualSlip: 'On the ribs, or far back in the waist.' },
  M30: { stand: 'Standing, held at the head.', howTight: LIES, usualSlip: 'Begun on the soft gristle tip.' },
  M31: { stand: 'Square, weight on the leg.', howTight: 'Loose: the leg must swing in it.', usualSlip: 'Taken at the elbow.' },
  M32: {
    stand: `${WEIGHT_ON_PAW} Standing, the front paws carry about 60 of 100 parts.`,
    howTight: TRACE,
    usualSlip: 'A lifted paw: up to a fifth too narrow.',
  },
  M33: { stand: WEIGHT_ON_PAW, howTight: 'Rear of the big pad to the longest nail.', usualSlip: 'Long nails left out, or hair counted in.' },
  M34: { stand: WEIGHT_ON_PAW, howTight: TRACE, usualSlip: 'The front paw taken for all four.' },
  M35: { stand: WEIGHT_ON_PAW, howTight: 'Rear of the big pad to the longest nail.', usualSlip: 'Long nails left out, or hair counted in.' },
  M36: { stand: WEIGHT_ON_PAW, howTight: 'Snug at the thinnest place.', usualSlip: 'Over the dewclaw or over feathering.' },
  M37: { stand: WEIGHT_ON_PAW, howTight: 'A rule from the floor to the claw.', usualSlip: 'Forgotten: a strap set on top of it.' },
  M38: { stand: WEIGHT_ON_PAW, howTight: 'A rule from the floor to the wrist.', usualSlip: 'Taken to the dewclaw.' },
  M39: { stand: 'Square at the wall, head in normal carriage.', howTight: 'A book flat on the skull, mark the wall.', usualSlip: 'The head lowered.' },
  M40: { stand: 'Square at the wall, ears up.', howTight: 'To the tips; drop ears count as the skull.', usualSlip: 'Ears forgotten.' },
  M41: {
    stand: 'Sitting at the wall, head up.',
    howTight: 'A book flat on the highest point.',
    usualSlip: 'Left out: a short-legged dog sits taller than it stands.',
  },
  M42: { stand: 'Square, head forward.', howTight: 'Straight, in the air beside the dog.', usualSlip: 'The tail counted in, or the tape laid along the back.' },
  M43: { stand: 'Square, leg upright.', howTight: 'A square from the floor.', usualSlip: 'The wrist taken for the elbow.' },
  M44: { stand: 'Square, seen from above.', howTight: 'Between two boards, no pressing.', usualSlip: 'Hips taken where shoulders are wider.' },
  M45: { stand: 'Square at the wall, head normal.', howTight: 'A square flat on the withers.', usualSlip: 'Taken on the neck.' },
  M46: { stand: 'Square, legs upright.', howTight: 'A square from the floor to the front knob.', usualSlip: 'The withers taken for the point of shoulder.' },
  M47: { stand: 'In harness, hind legs in full stride.', howTight: 'Taut, ring to bar.', usualSlip: 'Measured standing: the hocks then strike the bar.' },
  M48: { stand: 'No dog needed.', howTight: 'Height from the floor; line taut.', usualSlip: 'The line measured slack.' },
  M49: { stand: 'Your own hand, relaxed.', howTight: 'A calliper, or between two books.', usualSlip: 'Everybody’s fingers thought equal.' },
}
