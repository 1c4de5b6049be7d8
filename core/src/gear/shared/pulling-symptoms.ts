import { adjust, change, procedure, resize, type FamilySymptom, type Remedy, type SymptomId } from '../checks-and-symptoms.ts'
import { coughs, sways } from './any-harness-symptoms.ts'

/** Source: handbook 7.3, pulling harness; common practice. */
const all: readonly FamilySymptom[] = [
  {
    id: 'S01',
    name: 'Chokes, coughs or gasps in the pull; Y climbs',
    cause: 'Neck too small, or ruff and loose skin caught',
    remedies: [procedure('draw-the-skin-and-ruff-through', 'Draw the skin and ruff through'), resize('next-size-up', 'Next size up')],
    stop: true,
  },
  {
    id: 'S02',
    name: 'V hangs below the breastbone lump',
    cause: 'Neck too big, weight loss, or measured too low',
    remedies: [resize('next-size-down', 'Next size down'), procedure('take-harness-neck-again', 'Take harness neck again')],
  },
  { id: 'S03', name: 'Neck slides onto the shoulder, stride shortens', cause: 'Too big', remedies: [resize('next-size-down', 'Next size down')] },
  { id: 'S04', name: 'A whole hand fits under the neck', cause: 'Far too big', remedies: [resize('down-one-or-more-sizes', 'Down one or more sizes')] },
  {
    id: 'S05',
    name: 'Neck does not go over the head',
    cause: 'Too small, or a large head',
    remedies: [change('a-style-with-an-adjustable-neck', 'A style with an adjustable neck'), resize('next-size-up', 'Next size up')],
  },
  {
    id: 'S06',
    name: 'End past the tail under load, hips pressed down',
    cause: 'Body too long',
    remedies: [resize('shorter-or-made-to-measure', 'Shorter, or made to measure'), change('short-pull-harness', 'Short pull harness')],
  },
  { id: 'S07', name: 'End a little over the tail, all else right', cause: 'Within tolerance', remedies: [procedure('accept-it', 'Accept it')], harmless: true },
  {
    id: 'S08',
    name: 'Slack: end mid-back, bunched over the shoulders',
    cause: 'Normal while slack',
    remedies: [procedure('look-at-it-in-the-pull-before-judging', 'Look at it in the pull before judging')],
    harmless: true,
  },
  { id: 'S09', name: 'End well short of the tail while pulling hard', cause: 'Too short', remedies: [resize('longer', 'Longer')] },
  {
    id: 'S10',
    name: 'Side strap in the armpit, rubbing',
    cause: 'Sides too short, or too small',
    remedies: [
      procedure('feel-by-hand-first-it-may-look-closer-than-it-is', 'Feel by hand first: it may look closer than it is'),
      change('open-back-or-another-cut', 'Open-back or another cut'),
      resize('next-size-up', 'Next size up'),
    ],
  },
  {
    id: 'S11',
    name: 'Side strap behind the ribs, into the belly',
    cause: 'Too long, or a size too big',
    remedies: [resize('next-size-down', 'Next size down'), change('another-style', 'Another style')],
  },
  {
    id: 'S12',
    name: 'Harness wanders round a deep chest',
    cause: 'Shape',
    remedies: [change('cross-back-with-chest-piece-or-stick-harness', 'Cross-back with chest piece, or stick harness')],
  },
  {
    id: 'S13',
    name: 'Dog crabs sideways',
    cause: 'Habit, partner, discomfort or trail',
    remedies: [
      procedure('look-for-pain-first-ask-the-vet-if-it-stays', 'Look for pain first; ask the vet if it stays'),
      change('side-hooks-or-short-pull-harness', 'Side hooks or short pull harness'),
    ],
  },
  {
    id: 'S14',
    name: 'Swings from side to side before a bike',
    cause: 'Style',
    remedies: [change('cross-back-with-sliding-tug-loop', 'Cross-back with sliding tug loop')],
  },
  {
    id: 'S15',
    name: 'Stiff or arched back in the cross',
    cause: 'Spine limited by the cross',
    remedies: [change('h-back-or-open-back', 'H-back or open-back')],
  },
  { id: 'S16', name: 'Wheel or tall dog sinks behind', cause: 'Line too low or short', remedies: [change('wheel-or-stick-harness', 'Wheel or stick harness')] },
  {
    id: 'S17',
    name: 'Snap beats the back',
    cause: 'Line too high for the body length',
    remedies: [change('half-back-with-a-tug-loop', 'Half-back, with a tug loop')],
  },
  {
    id: 'S18',
    name: 'Chafe although the fit is right',
    cause: 'Same contact daily',
    remedies: [procedure('rotate-styles-let-it-heal-check-the-fit-again', 'Rotate styles, let it heal, check the fit again')],
  },
  { id: 'S19', name: 'Coat broken on chest or shoulder', cause: 'Bare webbing', remedies: [change('a-padded-one', 'A padded one')] },
  {
    id: 'S20',
    name: 'Adjusters creep',
    cause: 'Sliding buckles under load',
    remedies: [change('fixed-straps', 'Fixed straps'), adjust('lock-with-a-few-stitches', 'Lock with a few stitches')],
  },
  {
    id: 'S21',
    name: 'Dog will not pull',
    cause: 'Discomfort, or untrained',
    remedies: [procedure('go-through-s01-to-s12', 'Go through S01 to S12'), procedure('shorter-lighter-outings', 'Shorter, lighter outings')],
  },
]

const only = (...ids: SymptomId[]): FamilySymptom[] => all.filter(({ id }) => ids.includes(id))
/** What any pulling harness can show, whatever its length. */
const COMMON = ['S01', 'S02', 'S03', 'S04', 'S05', 'S10', 'S13', 'S18', 'S19', 'S20', 'S21'] as const

/** A choke in the pull, for kinds that are not made for it. */
export const chokes = only('S01')
export const fullLengthSymptoms = [...all, ...coughs]
export const longYSymptoms = [...only(...COMMON, 'S12', 'S17'), ...coughs, ...sways]
export const halfBackSymptoms = [...only(...COMMON, 'S14', 'S17'), ...coughs, ...sways]
export const wheelSymptoms = [...only(...COMMON, 'S11', 'S12', 'S16'), ...coughs, ...sways]
/** The short pull's girth strap can be set: a neck that chokes or hangs is helped there first (handbook 7.3). */
const setFirst: Partial<Record<SymptomId, Remedy>> = {
  S01: adjust('lengthen-the-girth-strap', 'Lengthen the girth strap'),
  S02: adjust('shorten-the-girth-strap', 'Shorten the girth strap'),
}
export const shortPullSymptoms = [
  ...only(...COMMON, 'S11', 'S17').map((symptom) => {
    const set = setFirst[symptom.id]
    // Skin and ruff are drawn through before anything is set.
    const [drawn, rest] = [symptom.remedies.filter(({ kind }) => kind === 'procedure'), symptom.remedies.filter(({ kind }) => kind !== 'procedure')]
    return set ? { ...symptom, remedies: symptom.id === 'S01' ? [...drawn, set, ...rest] : [set, ...symptom.remedies] } : symptom
  }),
  ...coughs,
  ...sways,
]
/** Of a harness before a load what its neck and its contact can show. */
export const underLoad = [...only('S01', 'S03', 'S04', 'S05', 'S10', 'S18', 'S19', 'S20', 'S21'), ...coughs, ...sways]
