import { adjust, change, procedure, resize, type FamilySymptom, type SymptomId } from '../checks-and-symptoms.ts'

/** Source: handbook 7.3, rug, sweater, coat and suit; common practice. */
const all: readonly FamilySymptom[] = [
  {
    id: 'S51',
    name: 'The hem lies over the tail',
    cause: 'Too long',
    remedies: [resize('a-shorter-one', 'A shorter one'), procedure('fold-the-hem', 'Fold the hem')],
  },
  { id: 'S52', name: 'Slides backwards', cause: 'Band too loose', remedies: [adjust('draw-the-band-in', 'Draw the band in')] },
  {
    id: 'S53',
    name: 'The band holds the dog: it freezes',
    cause: 'Band too tight, or not used to it',
    remedies: [adjust('let-the-band-out', 'Let the band out'), procedure('get-it-used-to-it', 'Get it used to it, a minute at a time')],
  },
  {
    id: 'S54',
    name: 'Slides about sideways',
    cause: 'Full loose band on an active dog',
    remedies: [change('short-bands-on-both-edges', 'Short bands fixed to both edges')],
  },
  {
    id: 'S55',
    name: 'The edge lies over the sheath: it gets wet',
    cause: 'Edge or band over the sheath',
    remedies: [adjust('move-it-ahead', 'Move it ahead of the sheath'), resize('shorter-below', 'Shorter below')],
  },
  {
    id: 'S56',
    name: 'Steps out of the sleeve',
    cause: 'Leg too long, hem near the toes',
    remedies: [adjust('draw-the-leg-cords', 'Draw the leg cords in'), resize('shorter-legs', 'Shorter legs')],
  },
  {
    id: 'S57',
    name: 'The front gapes',
    cause: 'A single top button',
    remedies: [procedure('fasten-low-or-overlap', 'Fasten low, or overlap; or leave it if the dog prefers')],
  },
  {
    id: 'S58',
    name: 'Fights the head opening',
    cause: 'Temper',
    remedies: [change('open-front-with-a-clip', 'Open front with a clip'), change('pre-stitched-pullover', 'Pre-stitched quick pullover')],
  },
  { id: 'S59', name: 'The ears stay bare', cause: 'Collar extension too small', remedies: [resize('a-longer-collar-piece', 'A longer collar piece')] },
  {
    id: 'S60',
    name: 'The hood is tight',
    cause: 'Made to the head, not to the thick neck',
    remedies: [resize('by-the-larger-of-head-and-neck', 'By the larger of head and neck base')],
  },
  { id: 'S61', name: 'Rain runs in at the collar', cause: 'Collar cord open', remedies: [adjust('draw-the-collar-cord', 'Draw the collar cord, last of all')] },
  { id: 'S62', name: 'Clip bursts', cause: 'Fastening too light for a big dog', remedies: [change('stronger-clips', 'Stronger clips')] },
]
const of = (...ids: SymptomId[]): FamilySymptom[] => all.filter(({ id }) => ids.includes(id))

export const rugSymptoms = of('S51', 'S52', 'S53', 'S54', 'S55', 'S57', 'S58', 'S62')
export const sweaterSymptoms = of('S51', 'S54', 'S55', 'S56', 'S58')
export const winterCoatSymptoms = of('S51', 'S52', 'S53', 'S55', 'S57', 'S58', 'S59', 'S60', 'S62')
export const rainSuitSymptoms = of('S51', 'S53', 'S54', 'S55', 'S56', 'S61', 'S62')
export const layerSymptoms = of('S51', 'S52', 'S53', 'S54', 'S55', 'S58')
