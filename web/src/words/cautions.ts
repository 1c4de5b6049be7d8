import { families, type BoundAct, type Caution, type CautionCode, type CautionLevel } from '@merry-tailor/core'

interface CautionWords {
  title: string
  text: string
}

/** Whose rule it is, and who goes before it. */
const LOCAL = 'Common practice; local rules and the vet go before this.'
const OURS = 'From memory, not proven; local rules and the vet go before this.'
const MAKER = 'Common practice; the maker’s word goes before this.'

const monthsWords = (months: number | undefined): string => (months === undefined ? '' : months === 1 ? '1 month' : `${months} months`)
const name = (family: Caution['facts']['family']): string => (family === undefined ? 'This piece' : families[family].name)
const air = (facts: Caution['facts']): string => `${facts.airC ?? 0} °C${facts.humidity === undefined ? '' : `, ${facts.humidity} %`}`

/** A stop, a line to confirm or a note in words, with its reason and whose rule it is. Source: handbook 5.6. */
export function cautionWords({ code, facts, level }: Pick<Caution, 'code' | 'facts' | 'level'>): CautionWords {
  const months = monthsWords(facts.months)
  const texts: Record<CautionCode, CautionWords> = {
    'growing-no-load': {
      title: `No load: ${months} old`,
      text: `Bones and joints still grow. No pulling and no bike before about ${facts.fromMonths ?? 18} months; getting used to the harness without load is fine. ${OURS}`,
    },
    'growing-light-only': {
      title: `Light line-out only: ${months} old`,
      text: `Bones and joints still grow. Loads and bike wait until about ${facts.fromMonths ?? 18} months, later for giants. ${OURS}`,
    },
    'growing-refit': {
      title: 'Still growing',
      text: `At ${months} the tapes go out of date fast: every two to four weeks until six months, then monthly. Nothing that holds movement back. ${LOCAL}`,
    },
    'age-unknown': { title: 'How old is it?', text: `No loads before about ${facts.fromMonths ?? 18} months, later for giants. Ask, or ask the vet. ${OURS}` },
    'flat-face-no-draught': {
      title: 'No draught sport: flat face',
      text: `A short muzzle can’t shed heat or draw breath enough to pull. A walking harness with the Y low and wide instead of a collar. ${OURS}`,
    },
    'flat-face-y-low': {
      title: 'Flat face: Y low and wide',
      text: `Harness instead of collar; nothing near the windpipe; watch the breath in warm air. ${OURS}`,
    },
    'flat-face-crate': {
      title: 'Flat face: the crate a tenth larger',
      text: 'In transport every inside measure 10 % larger, and air on more sides. From memory; the carrier’s and local rules go before this.',
    },
    'flat-face-hood': { title: 'Flat face: no rigid hood', text: `A stiff hood sits over eyes and nose of a short muzzle. ${OURS}` },
    sparing: {
      title: 'Spare this dog',
      text: 'Injury, stitches or pregnancy: no measuring stress, no pulling; use stored numbers where you can. Common practice; ask the vet.',
    },
    humid: {
      title: `Damp air: ${air(facts)}`,
      text: 'Degrees Fahrenheit and percent of humidity make more than 130 together: shorter, slower, and look at the dog. From memory, not proven; local rules and the vet go before this.',
    },
    heat:
      level === 'stop'
        ? {
            title: `Too warm to pull: ${air(facts)}`,
            text: `Above about ${facts.maxC ?? 10} °C no pulling and no bike; humidity lowers it. Wait for the cool of the day. ${LOCAL}`,
          }
        : level === 'confirm'
          ? {
              title: `Warm for a run: ${air(facts)}`,
              text: `Above about ${facts.maxC ?? 10} °C go slow and short, with water and shade, and stop at the first hard panting. ${LOCAL}`,
            }
          : {
              title: `Not above about ${facts.maxC ?? 10} °C`,
              text: `The usual upper limit for pulling work; humidity lowers it. On the day, look at the thermometer and the dog. ${LOCAL}`,
            },
    'front-clip':
      level === 'stop'
        ? {
            title: `No front clip: ${months} old`,
            text: `Bones and joints still grow, and a front clip may hold movement back. Not before about ${facts.fromMonths ?? 18} months. ${LOCAL}`,
          }
        : {
            title: 'Front clip: until when?',
            text: 'A teaching aid with an end date: note it on this ticket. Never for running; a double lead, one end in front, one behind, and the link to the collar. It may alter the gait. Common practice; a trainer’s and the vet’s word go before this.',
          },
    'running-in-front':
      level === 'stop'
        ? {
            title: 'Running harness: not for pulling in front',
            text: `This dog pulls. In front of a runner it wants a long Y, a half-back or another pulling harness. ${LOCAL}`,
          }
        : {
            title: 'Running harness in front: only while it does not pull',
            text: `It is made for beside the runner. Once the dog pulls in front it wants a pulling harness. ${LOCAL}`,
          },
    windpipe: { title: 'Cough, wheeze or gasp: stop and refit', text: `In any harness. No strap may rest on the windpipe. ${LOCAL}` },
    'soft-tissue': { title: 'No loaded strap behind the last rib', text: `The sternum strap ends on bone; the side straps stay on the ribs. ${LOCAL}` },
    'first-outings': { title: 'First outings short and light', text: `Small weights, short distances, and a look under every strap afterwards. ${LOCAL}` },
    tether: {
      title: 'Before driving: lead and tether off',
      text: 'What trails wraps round a leg and breaks it in a crash. The ring is only for the way to the car. Common practice; the maker’s and local rules go before this.',
    },
    'not-for-car': {
      title: `${name(facts.family)}: not a car restraint`,
      text: 'It is not made to hold a dog in a crash. Use a harness tested for cars, or a travel crate that is held fast; nothing trailing in the car, the lead off before driving. Common practice; local rules go before this.',
    },
    'crate-held-fast': {
      title: 'The crate held fast in the car',
      text: 'Tie it down by its own points or stand it against a bulkhead, the door latched. Ask the maker of car and crate how; local rules go before this.',
    },
    'carrier-rules': {
      title: 'Flying: ask the carrier first',
      text: 'Size, air, and which dogs fly is each carrier’s own rule, and it changes. Ask for it in writing before a crate is bought; it goes before everything here.',
    },
    'crate-no-punishment': {
      title: 'The crate is a den',
      text: 'Never as punishment, not all day; in turns with a pen or a walk. Common practice, in part from memory; a trainer’s and the vet’s word go before this.',
    },
    'not-for-draught': {
      title: `${name(facts.family)}: not for this work`,
      text: `${facts.family ? families[facts.family].wrong : 'It is not built for that.'} ${MAKER}`,
    },
    'buy-from-workers': {
      title: 'Check what carries the load',
      text: `Padding that bears, fixed straps, a tug loop; from people who equip working dogs. ${MAKER}`,
    },
    unattended: { title: 'Not left on alone', text: `No harness, coat or boots left on an unattended dog, in the crate or out. ${OURS}` },
  }
  return texts[code]
}

const ACTS: Readonly<Record<BoundAct, string>> = {
  load: 'pulling',
  bike: 'the bike',
  car: 'the car',
  'measuring-stress': 'long measuring',
  wear: 'wearing it',
}

/** What a stop forbids, in words. */
export const boundWords = (caution: Caution): string => `Binds ${caution.binds.map((act) => ACTS[act]).join(' and ')}, never the tape or the size.`

/** The word of each level ahead of its title on paper. */
export const LEVEL_WORDS: Readonly<Record<CautionLevel, string>> = { stop: 'STOP. ', confirm: 'To confirm. ', note: '' }
