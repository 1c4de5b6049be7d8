import { formatGap, formatWeight, type Finding, type LengthStyle, type LikelyCause } from '@merry-tailor/core'
import { lengthText } from '../ui/length/length-text'
import { measureName } from './stages'

const CAUSES: Readonly<Record<LikelyCause, string>> = {
  'doubled-twice': 'Doubled twice?',
  'not-doubled': 'One side, not doubled?',
  'collar-line': 'Taken at the collar line?',
  'thick-ruff': 'Over a thick ruff?',
  'girth-too-far-forward': 'Girth too far forward?',
  'route-mistake': 'Another route?',
  'ran-onto-belly': 'Ran on to the belly?',
  'earlier-rib': 'Stopped at an earlier rib?',
  'soft-flank': 'Began in the soft flank?',
  'kinked-line': 'A kinked line?',
  'on-the-tail': 'Ended on the tail?',
  copied: 'Copied by mistake?',
  'other-school': 'The other school’s path?',
  'other-definition': 'Taken by another definition?',
  'places-swapped': 'The two changed over?',
  'start-point': 'Another start point?',
  'not-centred': 'Not begun on the spine?',
  'wrapped-tape': 'The tape wrapped round?',
  'wrong-place': 'Taken at another place?',
  'sheath-close': 'The sheath is close: end it further forward.',
  'to-the-floor': 'Run on to the floor?',
  'head-lowered': 'The head lowered?',
  'paw-lifted': 'The paw lifted, not loaded?',
  'front-and-rear-swapped': 'Front and rear changed over?',
  'not-square': 'Not standing square?',
  lame: 'If the dog goes uneven, tell the owner; a vet looks at that.',
  'mark-moved': 'The chalk mark moved?',
  'centimetres-as-inches': 'Centimetres taken for inches?',
  'inches-as-centimetres': 'Inches taken for centimetres?',
  'swapped-digits': 'Two digits changed over?',
  'decimal-place': 'The decimal point slipped?',
  half: 'Half of it, not doubled?',
  double: 'Doubled once too often?',
  'pounds-as-kilograms': 'Pounds taken for kilograms?',
  'kilograms-as-pounds': 'Kilograms taken for pounds?',
  'old-weight': 'An old weight?',
  'hem-chosen': 'A hem or edge chosen so?',
  'dog-is-so': 'Or the dog is so.',
}

/** Why one of a pair is never the longer. */
const WHY: Partial<Readonly<Record<Finding['rule'], string>>> = {
  'girth-order': 'The largest girth is the largest by its name.',
  'collar-order': 'A collar lies on the slimmer neck, so its ring is the smaller.',
  'back-order': 'The starts move forward: withers, neck base, collar line; each line is longer than the one before.',
  'drop-in-girth': 'A rug leaves the underside free, so its width stays below the girth.',
  'chest-front': 'Straight across is shorter than along the body.',
  'waist-order': 'The waist is the narrow end, the girth the wide one.',
  'leg-order': 'The wrist is above the floor.',
  'ears-order': 'With the ears up a dog is no lower than its skull.',
  'paw-order': 'The front paw is usually the larger.',
}

export interface FindingWords {
  title: string
  text: string
  /** What the others expect, mm, for the bracket on the tape; open ends are `null`. */
  expected: { measure: string; mm: number; fromMm: number; toMm: number } | null
}

/** The causes in their order, each with what it would make of the number. */
const causesWith = (finding: Finding, say: (mm: number) => string): string =>
  finding.ask
    .map((cause) => {
      const would = finding.woulds?.[cause]
      return would === undefined ? CAUSES[cause] : `${CAUSES[cause]} It would then be ${say(would)}.`
    })
    .join(' ')

const weightIn = (kg: number, look: LengthStyle): string => formatWeight(kg, look.unit === 'in' ? 'lb' : 'kg')

/** A finding in words: what was expected, from what, what was read, the likely causes in order. It asks, no more. */
export function findingWords(finding: Finding, body: Readonly<Record<string, { mm: number | null } | undefined>>, look: LengthStyle): FindingWords {
  const mmOf = (id: string): number => body[id]?.mm ?? 0
  const say = (mm: number): string => lengthText(mm, look)
  const causes = finding.ask.map((cause) => CAUSES[cause]).join(' ')
  const [first = '', second = ''] = finding.measures
  const name = measureName(first)
  switch (finding.rule) {
    case 'neck-under-girth':
    case 'half-neck-to-girth': {
      const girth = mmOf('M07')
      const [fromMm, toMm] = [0.7 * girth, 0.96 * girth]
      const long = mmOf('M01') > fromMm
      const halved =
        finding.ask[0] === 'doubled-twice'
          ? ` Halved it reads ${say(mmOf('M01') / 2)}.`
          : finding.ask[0] === 'not-doubled'
            ? ` Doubled it reads ${say(mmOf('M01') * 2)}.`
            : ''
      return {
        title: `${measureName('M01')}: ${long ? 'longer' : 'shorter'} than expected`,
        text: `Expected ${say(fromMm)} to ${say(toMm)}, from a girth of ${say(girth)}; the neck comes to ${say(mmOf('M01'))}. ${causesWith(finding, say)}${halved}`,
        expected: { measure: 'M01', mm: mmOf('M01'), fromMm, toMm },
      }
    }
    case 'route-order':
      return {
        title: `${name}: longer than ${measureName(second).toLowerCase()}`,
        text: `Both run on one line from the breastbone, so ${name.toLowerCase()} stays below ${say(mmOf(second))}; you read ${say(mmOf(first))}. ${causes}`,
        expected: { measure: first, mm: mmOf(first), fromMm: mmOf(second) * 0.55, toMm: mmOf(second) },
      }
    case 'length-parts': {
      const sum = mmOf('M10') + mmOf('M12')
      return {
        title: `${name}: longer than its two parts`,
        text: `${measureName('M10')} and ${measureName('M12').toLowerCase()} make ${say(sum)}; the whole line can’t be longer, and you read ${say(mmOf('M13'))}, ${formatGap(finding.byMm, look).text.replace('+', '')} more. ${causes}`,
        expected: { measure: 'M13', mm: mmOf('M13'), fromMm: sum * 0.9, toMm: sum },
      }
    }
    case 'schools-window': {
      const under = mmOf('M10')
      return {
        title: `${name}: ${mmOf('M11') > 0.85 * under ? 'longer' : 'shorter'} than expected`,
        text: `Expected ${say(0.55 * under)} to ${say(0.85 * under)} beside an under-route of ${say(under)}; you read ${say(mmOf('M11'))}. ${causes}`,
        expected: { measure: 'M11', mm: mmOf('M11'), fromMm: 0.55 * under, toMm: 0.85 * under },
      }
    }
    case 'same-value':
      return {
        title: `${name} and ${measureName(second).toLowerCase()}: the same number`,
        text: `${say(finding.because.found ?? 0)} stands twice${finding.measures.includes('M01') && mmOf('M01') > (finding.because.found ?? 0) * 1.5 ? ', once as half a neck' : ''}. That can be right. ${causes}`,
        expected: null,
      }
    case 'parts-through-mark':
      return {
        title: `${name}: shorter than its two parts`,
        text: `All were read on one straight tape through one chalk mark, so ${measureName('M10').toLowerCase()} and ${measureName('M12').toLowerCase()} make the whole: ${say(finding.because.limit ?? 0)}; you read ${say(mmOf('M13'))}. ${causes}`,
        expected: { measure: 'M13', mm: mmOf('M13'), fromMm: (finding.because.limit ?? 0) - 10, toMm: (finding.because.limit ?? 0) + 10 },
      }
    case 'drop-twice': {
      const elbows = finding.because.limit ?? 0
      return {
        title: `${name}: not half of ${measureName(second).toLowerCase()}`,
        text: `With the edge at the elbow both are one line: ${say(elbows)} over the shoulders, ${say(mmOf('M18'))} from the half drop, doubled. ${causes}`,
        expected: { measure: 'M18', mm: mmOf('M18'), fromMm: elbows - 20, toMm: elbows + 20 },
      }
    }
    case 'sheath':
      return {
        title: `${name}: too near the sheath`,
        text: `From the foreleg openings it ends clear of the sheath within about ${say(Math.max(0, finding.because.limit ?? 0))}; you read ${say(mmOf('M24'))}. ${causes}`,
        expected: null,
      }
    case 'loaded-paw':
      return {
        title: `${name}: wider lifted than loaded`,
        text: `A paw spreads under weight. Lifted you read ${say(finding.because.found ?? 0)}, loaded ${say(finding.because.limit ?? 0)}. ${causes}`,
        expected: null,
      }
    case 'sides-differ':
      return {
        title: `${name}: left and right differ`,
        text: `${say(finding.because.limit ?? 0)} left, ${say(finding.because.found ?? 0)} right: more than ${say(10)} apart. ${causes}`,
        expected: null,
      }
    case 'readings-slip':
      return {
        title: `${name}: two readings that don’t meet`,
        text: `You read ${say(finding.because.limit ?? 0)} and ${say(finding.because.found ?? 0)}. ${causes} Then both would be ${say(finding.because.would ?? 0)}.`,
        expected: null,
      }
    case 'odd-number': {
      const about = finding.because.limit ?? 0
      return {
        title: `${name}: ${mmOf(first) > about ? 'longer' : 'shorter'} than expected`,
        text: `Expected about ${say(about)}, from the other tapes, the weight and the breed; you read ${say(mmOf(first))}. ${causesWith(finding, say)}`,
        expected: { measure: first, mm: mmOf(first), fromMm: about * 0.8, toMm: about * 1.25 },
      }
    }
    case 'out-of-bounds':
      return {
        title: `${name}: no dog measures that`,
        text: first === 'M00' ? `You read ${weightIn(mmOf('M00'), look)}. ${causes}` : `You read ${say(mmOf(first))}. ${causesWith(finding, say)}`,
        expected: null,
      }
    case 'unit-of-all':
      return {
        title: `All ${finding.measures.length} read as ${finding.ask[0] === 'centimetres-as-inches' ? 'inches' : 'centimetres'}?`,
        text: `${name} ${say(mmOf(first))}: beside ${finding.measures.length - 1} others it lies a whole unit off. In ${finding.ask[0] === 'centimetres-as-inches' ? 'centimetres' : 'inches'} it would be ${say(finding.because.would ?? 0)}. One slip, not ${finding.measures.length}: strike them out and type them with their unit. ${causes}`,
        expected: null,
      }
    case 'odd-weight': {
      const kg = (value: number): string => formatWeight(value, look.unit === 'in' ? 'lb' : 'kg')
      const would = finding.because.would
      return {
        title: `Weight: ${mmOf('M00') > (finding.because.limit ?? 0) ? 'heavier' : 'lighter'} than expected`,
        text: `Around ${kg(finding.because.limit ?? 0)} would be usual for this breed; you read ${kg(mmOf('M00'))}. ${causes}${would ? ` It would then be ${kg(would)}.` : ''}`,
        expected: null,
      }
    }
    default:
      return {
        title: `${name}: longer than ${measureName(second).toLowerCase()}`,
        text: `${WHY[finding.rule] ?? ''} You read ${say(mmOf(first))} beside ${say(mmOf(second))}. ${causes}`,
        expected: { measure: first, mm: mmOf(first), fromMm: mmOf(second) * 0.7, toMm: mmOf(second) },
      }
  }
}
