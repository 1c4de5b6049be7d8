import { adjust, procedure, resize, type FamilySymptom } from '../checks-and-symptoms.ts'

/** Source: handbook 7.3, boots; from memory, unverified. A limp that stays without boots is the vet's. */
export const bootSymptoms: readonly FamilySymptom[] = [
  {
    id: 'S63',
    name: 'Rotates on the paw',
    cause: 'Too wide, or the strap low',
    remedies: [resize('a-narrower-boot', 'A narrower boot'), adjust('strap-higher', 'Strap higher')],
  },
  {
    id: 'S64',
    name: 'Gets lost',
    cause: 'Strap loose, over the dewclaw, or too long',
    remedies: [adjust('strap-again-after-a-minute', 'Strap again after a minute’s walk'), resize('a-shorter-boot', 'A shorter boot')],
  },
  {
    id: 'S65',
    name: 'Toes squeezed: it limps',
    cause: 'Too narrow or short, or long nails',
    remedies: [resize('next-size-up', 'Next size up'), procedure('trim-the-nails', 'Trim the nails')],
    stop: true,
  },
  {
    id: 'S66',
    name: 'Redness at the dewclaw',
    cause: 'Strap on it',
    remedies: [adjust('strap-off-the-dewclaw', 'Strap off the dewclaw'), procedure('a-liner-or-sock', 'A liner or sock')],
  },
  {
    id: 'S67',
    name: 'Too tight above the paw: it swells',
    cause: 'Too tight; the paw is cold',
    remedies: [procedure('off-at-once', 'Off at once'), adjust('strap-looser', 'Strap looser')],
    stop: true,
  },
  {
    id: 'S68',
    name: 'Sole worn in front',
    cause: 'Toes drag: too short, or a tired dog',
    remedies: [resize('a-longer-boot', 'A longer boot'), procedure('the-vet-if-one-sided', 'The vet if it is one-sided')],
  },
  { id: 'S69', name: 'Rear boots too big, front ones right', cause: 'One size for all four', remedies: [resize('a-size-down-behind', 'A size down behind')] },
]
