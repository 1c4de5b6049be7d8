import { adjust, change, procedure, resize, type FamilySymptom, type SymptomId } from '../checks-and-symptoms.ts'
import { coughs, sways } from './any-harness-symptoms.ts'
import { chokes } from './pulling-symptoms.ts'

/** Source: handbook 7.3, walking harness; common practice. S33’s second belly strap and S37 from memory, unverified. */
const all: readonly FamilySymptom[] = [
  {
    id: 'S22',
    name: 'Head held high, short steps, tail pressed down',
    cause: 'Y too high, or a strap across',
    remedies: [adjust('lower-the-front-piece', 'Lower the front piece'), change('a-y-front-cut-lower', 'A Y-front cut lower')],
  },
  ...coughs,
  ...sways,
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
    id: 'S35',
    name: 'Cut behind the elbow',
    cause: 'Narrow strap too far forward',
    remedies: [change('a-padded-y-front', 'A padded Y-front')],
  },
  {
    id: 'S36',
    name: 'Pulls sideways, gait odd',
    cause: 'Comes with the front clip',
    remedies: [procedure('limit-the-time-and-train', 'Limit the time, and train'), change('a-ring-on-the-back', 'A ring on the back')],
  },
  {
    id: 'S37',
    name: 'Red skin or bent hair after an hour',
    cause: 'Pressure point, buckle on bone',
    remedies: [adjust('move-the-slider', 'Move the slider'), change('another-cut', 'Another cut')],
  },
]

const except = (...ids: SymptomId[]): FamilySymptom[] => [...all.filter(({ id }) => !ids.includes(id)), ...chokes]
/** By kind: a cut behind the elbow is a step-in's, an odd gait the front clip's, a bare breastbone a plate's or Y's. */
export const walkingSymptoms = except('S35', 'S36')
export const petSymptoms = except('S30', 'S31', 'S35', 'S36')
export const stepInSymptoms = except('S30', 'S31', 'S36')
export const plateStepInSymptoms = except('S36')
export const frontClipSymptoms = except('S30', 'S31', 'S35')
/** What fingers say under any strap, in the car too. */
export const loosenessSymptoms = all.filter(({ id }) => ['S24', 'S25', 'S26', 'S27', 'S33'].includes(id))
