import type { Finding } from '@merry-tailor/core'
import { readingStyle, type Settings } from '../state/settings'
import { amountText } from '../ui/length/amount-text'
import { findingWords } from '../words/findings'

/** What a number raises before the next dog, in one breath: "22 3/4 so far, this says 84." */
export function yardQuestion(finding: Finding, kept: { mm: number | null } | undefined, settings: Settings): string {
  const look = { ...readingStyle(settings), unit: settings.unit }
  const [measure = ''] = finding.measures
  const found = finding.because.found
  const so =
    kept?.mm != null && found !== undefined ? `${amountText(measure, kept.mm, look, true)} so far, this says ${amountText(measure, found, look, true)}. ` : ''
  const { title, text } = findingWords(finding, { [measure]: { mm: found ?? kept?.mm ?? null } }, look)
  return `${so}${title}. ${text}`
}
