import type { FormCause, LengthStyle, Suspect } from '@merry-tailor/core'
import { lengthText } from '../ui/length/length-text'
import { measureName } from './stages'

/** What is asked of a reading shorter or longer than expected, and how the dog may simply be so. */
interface SoOrSo {
  short: readonly [asked: string, dog: string]
  long: readonly [asked: string, dog: string]
}

/** Source: the usual slips of handbook 3.2 and 2. */
const ASKED: Readonly<Record<string, SoOrSo>> = {
  M01: { short: ['Begun above the lump, or taken at the collar line?', 'slender neck'], long: ['Begun below the lump, or over a thick ruff?', 'strong neck'] },
  M02: { short: ['Pulled tight?', 'slender neck'], long: ['Taken lower than a collar lies?', 'strong neck'] },
  M03: { short: ['Taken at the middle of the neck?', 'slender neck'], long: ['Taken over the breastbone?', 'strong neck'] },
  M04: { short: ['The muzzle ring taken?', 'small head'], long: ['Over the ears?', 'large head'] },
  M05: { short: ['Begun on the neck?', 'short neck'], long: ['Ended on the ear?', 'long neck'] },
  M06: { short: ['Stopped ahead of the forelegs, or the head down?', 'short breastbone'], long: ['Run on to the belly?', 'long breastbone'] },
  M07: { short: ['Too far forward, in the armpit?', 'narrow chest'], long: ['Over a fluffy coat?', 'wide chest'] },
  M08: { short: ['Past the last bone, on the belly?', 'narrow chest'], long: ['Taken at the largest place?', 'wide chest'] },
  M10: { short: ['Stopped at an earlier rib?', 'short rib cage'], long: ['Ended in the soft flank, or the tape sagging?', 'long rib cage'] },
  M11: { short: ['Stopped at an earlier rib?', 'short rib cage'], long: ['Drifted behind the rib?', 'long rib cage'] },
  M12: { short: ['Began in the soft flank, or ended on the croup?', 'short loin'], long: ['Began at an earlier rib, or ended on the tail?', 'long loin'] },
  M13: { short: ['The corner cut under the chest?', 'short body'], long: ['Run on to the tail?', 'long body'] },
  M14: { short: ['Begun behind the withers, or the dog curled?', 'short back'], long: ['Begun at the collar, or tail hair taken along?', 'long back'] },
  M15: { short: ['Begun at the withers?', 'short back'], long: ['Run on to the tail?', 'long back'] },
  M16: { short: ['Begun at the withers?', 'short back'], long: ['Begun on the neck?', 'long back'] },
  M17: { short: ['One elbow lower than the other?', 'shallow chest'], long: ['Ended below the elbow?', 'deep chest'] },
  M18: { short: ['Begun beside the spine?', 'shallow chest'], long: ['Begun beside the spine?', 'deep chest'] },
  M21: { short: ['Taken at the narrowest place?', 'slim waist'], long: ['Taken further forward?', 'full waist'] },
  M22: { short: ['Pulled tight?', 'slim waist'], long: ['Not at the narrowest place?', 'full waist'] },
  M25: { short: ['Ended at the wrist?', 'short leg'], long: ['Begun above the elbow?', 'long leg'] },
  M39: { short: ['The head lowered?', 'low head'], long: ['The ears taken along?', 'high head'] },
  M42: { short: ['The head turned?', 'short dog'], long: ['The tail taken along?', 'long dog'] },
  M45: { short: ['The dog crouching?', 'low dog'], long: ['The square on the coat?', 'tall dog'] },
}

const otherwise = (long: boolean): readonly [string, string] => (long ? ['Run on past the end?', 'long'] : ['Stopped short of the end?', 'short'])

export interface SuspectWords {
  title: string
  text: string
  /** What the quiet button says beside "Keep". */
  keep: string
  expected: { fromMm: number; toMm: number }
}

const RANGE = 1.2816

/** A cause as a question, with what the tape would then read. */
function causeWords(cause: FormCause, wouldMm: number, measure: string | undefined, asked: string, say: (mm: number) => string): string {
  switch (cause) {
    case 'one-side-not-doubled':
      return `One side, not doubled? Doubled it reads ${say(wouldMm)}.`
    case 'doubled-twice':
      return `Doubled twice? Halved it reads ${say(wouldMm)}.`
    case 'inches-for-centimetres':
      return `Inches typed for centimetres? It would be ${say(wouldMm)}.`
    case 'centimetres-for-inches':
      return `Centimetres typed for inches? It would be ${say(wouldMm)}.`
    case 'swapped-digits':
      return `Two digits changed over? It would be ${say(wouldMm)}.`
    case 'other-path':
      return `The path of ${measureName(measure ?? '').toLowerCase()}?`
    case 'plain-slip':
      return asked
    case 'unusual-build':
      return ''
  }
}

/** One model's doubt in words: expected from what, what was read, why it may be, and that the dog may be so. */
export function suspectWords(suspect: Suspect, look: LengthStyle): SuspectWords {
  const say = (mm: number): string => lengthText(mm, look)
  const long = suspect.readMm > suspect.expectedMm
  const [asked, dog] = ASKED[suspect.measure]?.[long ? 'long' : 'short'] ?? otherwise(long)
  const [fromMm, toMm] = [suspect.expectedMm - RANGE * suspect.expectedSigmaMm, suspect.expectedMm + RANGE * suspect.expectedSigmaMm]
  const slips = suspect.causes.filter(({ cause, weight }) => cause !== 'unusual-build' && weight > 0.15).slice(0, 2)
  const said = slips.map((each) => causeWords(each.cause, each.wouldReadMm, each.measure, asked, say))
  const causes = [...new Set(said.length > 0 ? said : [asked])].join(' ')
  return {
    title: `${measureName(suspect.measure)}: ${long ? 'longer' : 'shorter'} than expected`,
    text: `Expected ${say(fromMm)} to ${say(toMm)}, from your other tapes; you read ${say(suspect.readMm)}. ${causes} Or a ${dog}.`,
    keep: dog,
    expected: { fromMm, toMm },
  }
}

/** One code per measure and value: a kept one does not come back, a new reading asks anew. */
export const suspectCode = (suspect: Pick<Suspect, 'measure' | 'readMm'>): string => `form:${suspect.measure}:${Math.round(suspect.readMm)}`
