import { adjust, change, procedure, resize, type FamilySymptom } from '../checks-and-symptoms.ts'

/** Source: handbook 7.3, walking harness; common practice. S33’s second belly strap and S37 from memory, unverified. */
export const walkingSymptoms: readonly FamilySymptom[] = [
  {
    id: 'S22',
    name: 'Head held high, short steps, tail pressed down',
    cause: 'Y too high, or a strap across',
    remedies: [adjust('lower-the-front-piece', 'Lower the front piece'), change('a-y-front-cut-lower', 'A Y-front cut lower')],
  },
  {
    id: 'S23',
    name: 'Cough on the lead',
    cause: 'Strap on the windpipe',
    remedies: [adjust('lower-the-front-piece-lengthen-the-neck', 'Lower the front piece, lengthen the neck'), change('another-cut', 'Another cut')],
    stop: true,
  },
  { id: 'S24', name: 'Sways or rolls', cause: 'Girth loose, sides unequal', remedies: [adjust('tighten-and-equalise', 'Tighten and equalise')] },
  { id: 'S25', name: 'Leans always to one side', cause: 'Unequal straps', remedies: [adjust('equalise-left-and-right', 'Equalise left and right')] },
  { id: 'S26', name: 'Fingers must be forced', cause: 'Too tight', remedies: [adjust('lengthen', 'Lengthen'), resize('next-size-up', 'Next size up')] },
  { id: 'S27', name: 'Much more than two fingers', cause: 'Too loose', remedies: [adjust('shorten', 'Shorten')] },
  {
    id: 'S28',
    name: 'Girth strap nearer than two fingers to the elbow',
    cause: 'Back piece too short',
    remedies: [adjust('lengthen-the-back-piece', 'Lengthen the back piece'), resize('next-size-up', 'Next size up'), change('another-cut', 'Another cut')],
  },
  { id: 'S29', name: 'Girth strap behind the last true rib', cause: 'Too long', remedies: [resize('next-size-down', 'Next size down')] },
  {
    id: 'S30',
    name: 'Breastbone bare above the front piece',
    cause: 'Neck let out too far, front too short',
    remedies: [adjust('draw-the-neck-back-in', 'Draw the neck back in'), resize('next-size-up-and-draw-in', 'Next size up and draw in')],
  },
  {
    id: 'S31',
    name: 'Neck good, armpit tight',
    cause: 'Between sizes',
    remedies: [resize('next-size-up-shorten-neck-and-girth', 'Next size up, shorten neck and girth')],
  },
  { id: 'S32', name: 'Straps longer than the adjuster can take', cause: 'Wrong size', remedies: [resize('next-size-down', 'Next size down')] },
  {
    id: 'S33',
    name: 'Backs out',
    cause: 'Neck or girth loose; head slimmer than neck',
    remedies: [
      adjust('tighten-neck-and-girth', 'Tighten neck and girth'),
      change('assist-harness-with-a-second-belly-strap', 'Assist harness with a second belly strap'),
    ],
  },
  {
    id: 'S34',
    name: 'Ring hangs below or in front',
    cause: 'Put on the wrong way round',
    remedies: [procedure('find-the-loosely-hung-leash-ring-first', 'Find the loosely hung leash ring first')],
  },
  {
    id: 'S37',
    name: 'Red skin or bent hair after an hour',
    cause: 'Pressure point, buckle on bone',
    remedies: [adjust('move-the-slider', 'Move the slider'), change('another-cut', 'Another cut')],
  },
]
