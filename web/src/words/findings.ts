import { formatGap, type Finding, type LengthStyle, type LikelyCause } from '@merry-tailor/core'
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
  'dog-is-so': 'Or the dog is so.',
}

export interface FindingWords {
  title: string
  text: string
  /** What the others expect, mm, for the bracket on the tape; open ends are `null`. */
  expected: { measure: string; mm: number; fromMm: number; toMm: number } | null
}

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
        text: `Expected ${say(fromMm)} to ${say(toMm)}, from a girth of ${say(girth)}; the neck comes to ${say(mmOf('M01'))}. ${causes}${halved}`,
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
  }
}
