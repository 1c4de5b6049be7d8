import { families, type Caution, type CautionCode } from '@merry-tailor/core'

interface CautionWords {
  title: string
  text: string
}

const LOCAL = 'Local rules and the vet go before this.'

/** A caution or stop in words, with its reason. Source: handbook 5.6. */
export function cautionWords({ code, facts }: Pick<Caution, 'code' | 'facts'>): CautionWords {
  const months = facts.months === undefined ? '' : facts.months === 1 ? '1 month' : `${facts.months} months`
  const texts: Record<CautionCode, CautionWords> = {
    'growing-no-load': {
      title: `No load: ${months} old`,
      text: `Bones and joints still grow. No pulling and no bike before about ${facts.fromMonths ?? 18} months; getting used to the harness without load is fine. ${LOCAL}`,
    },
    'growing-light-only': {
      title: `Light line-out only: ${months} old`,
      text: `Bones and joints still grow. Loads and bike wait until about ${facts.fromMonths ?? 18} months, later for giants. ${LOCAL}`,
    },
    'growing-refit': {
      title: 'Still growing',
      text: `At ${months} the tapes go out of date fast: every two to four weeks until six months, then monthly. No front clip, nothing that holds movement back.`,
    },
    'age-unknown': { title: 'Age not asked', text: 'No loads before the bones are grown, about 18 months, later for giants. Ask, or ask the vet.' },
    'flat-face-no-draught': {
      title: 'No draught sport: flat face',
      text: `A short muzzle can’t shed heat or draw breath enough to pull. A walking harness with the Y low and wide instead of a collar. ${LOCAL}`,
    },
    'flat-face-y-low': { title: 'Flat face: Y low and wide', text: 'Harness instead of collar; nothing near the windpipe; watch the breath in warm air.' },
    sparing: {
      title: 'Spare this dog',
      text: 'Injury, stitches or pregnancy: no measuring stress, no pulling; use stored numbers where you can. Ask the vet.',
    },
    heat: {
      title: 'Heat: not above about 10 °C',
      text: 'The usual upper limit for pulling work; humidity lowers it. On the day, look at the thermometer and the dog.',
    },
    windpipe: { title: 'Cough, wheeze or gasp: stop and refit', text: 'In any harness. No strap may rest on the windpipe.' },
    'soft-tissue': { title: 'No loaded strap behind the last rib', text: 'The sternum strap ends on bone; the side straps stay on the ribs.' },
    'first-outings': { title: 'First outings short and light', text: 'Small weights, short distances, and a look under every strap afterwards.' },
    tether: {
      title: 'Nothing trailing in the car',
      text: 'A lead or tether wraps round a leg and breaks it in a crash: take it off before driving. The ring is only for the way to the car.',
    },
    'not-for-car': {
      title: 'Not a car restraint',
      text: 'Nothing on this ticket is made to hold a dog in a crash. Use a harness tested for cars, or a travel crate that is held fast; nothing trailing in the car, the lead off before driving.',
    },
    'crate-held-fast': {
      title: 'The crate held fast in the car',
      text: 'Tie it down by its own points or stand it against a bulkhead, the door latched. Ask the maker of car and crate how.',
    },
    'not-for-draught': {
      title: `${facts.family ? families[facts.family].name : 'This piece'}: not for this work`,
      text: facts.family ? families[facts.family].wrong : 'It is not built for that.',
    },
    'buy-from-workers': { title: 'Check what carries the load', text: 'Padding that bears, fixed straps, a tug loop; from people who equip working dogs.' },
    unattended: { title: 'Not left on alone', text: 'No harness, coat or boots left on an unattended dog, in the crate or out.' },
  }
  return texts[code]
}

const ACTS = { load: 'pulling', bike: 'the bike', car: 'the car', 'measuring-stress': 'long measuring' } as const

/** What a stop forbids, in words. */
export const boundWords = (caution: Caution): string => `Binds ${caution.binds.map((act) => ACTS[act]).join(' and ')}, never the tape or the size.`
