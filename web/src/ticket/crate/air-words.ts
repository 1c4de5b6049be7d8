import type { AirPaper, AirRefusal } from '@merry-tailor/core'

export const REFUSALS: Readonly<Record<AirRefusal, string>> = {
  'under-8-weeks': 'Under 8 weeks no dog is flown.',
  'over-14-kg-alone': 'Over 14 kg each dog travels alone.',
  'too-many': 'Too many for one box: two grown dogs, three of one litter.',
  'flat-face-refused': 'This carrier takes no flat faces.',
  'too-large-length': 'Longer than this carrier takes.',
  'too-large-width': 'Wider than this carrier takes.',
  'too-large-height': 'Higher than this carrier takes.',
}
export const PAPERS: Readonly<Record<AirPaper, string>> = {
  'ask-the-carrier': 'Carrier’s written answer: size, breed, weather',
  'ask-the-states': 'Rules of both countries and any between',
  'crate-at-home': 'Box stands open at home, meals inside',
  'identity-and-vaccines': 'Chip, vaccinations and their waiting times: ask the vet',
  'vet-certificate': 'Vet’s certificate',
  'label-and-dishes': 'Labels, arrows, dishes filled from outside, wheels off',
  'no-food-before': 'Light meal long before, water, a walk',
}
export const AIR_CAUTION = 'Carrier, states and vet decide; ask in writing before anything is bought. No tranquillisers without the vet.'
