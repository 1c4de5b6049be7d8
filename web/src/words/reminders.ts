import { formatWeight, type AgainReason } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'

/** Why a dog is measured again, in a short line (handbook 4.8). */
export function againWords({ code, facts, since }: AgainReason, unit: 'in' | 'cm'): string {
  const kg = (value: number): string => formatWeight(value, unit === 'in' ? 'lb' : 'kg')
  switch (code) {
    case 'growing':
      return `growing, ${facts.months === 1 ? '1 month' : `${facts.months ?? 0} months`} old; tapes ${facts.days ?? 0} days old`
    case 'weight':
      return `weight ${kg(facts.fromKg ?? 0)} then, ${kg(facts.toKg ?? 0)} now`
    case 'tug-past-tail':
      return 'V low or tug past the tail at the last try-on'
    case 'chafe':
      return 'chafed: look under every strap'
    case 'cough':
      return 'coughed in gear: stop and refit'
    case 'gait':
      return 'gait changed'
    case 'refuses-gear':
      return 'refuses its gear'
    case 'season':
      return `before the season; tapes of ${Math.round((facts.days ?? 0) / 30)} months ago`
    case 'whelped':
      return `after whelping, ${day(since)}`
    case 'neutered':
      return `after neutering, ${day(since)}`
    case 'surgery':
      return `after surgery, ${day(since)}; ask the vet first`
    case 'lay-off':
      return `after a long lay-off, ${day(since)}`
    case 'coat-change':
      return `coat changed, ${day(since)}`
    case 'new-sport':
      return 'new sport since it was measured'
    case 'new-school':
      return 'new measuring school'
    case 'new-maker':
      return 'new maker'
  }
}

const day = (text: string): string => format(parseISO(text), 'd MMM')
