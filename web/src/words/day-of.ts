import type { Caution, Ticket } from '@merry-tailor/core'

/** What is looked at on the day itself: the air, the load, the way to the car, each as far as this ticket has it. */
export function dayOfWords(cautions: readonly Caution[], { airC, humidity }: Pick<Ticket, 'airC' | 'humidity'>): string {
  const has = (code: Caution['code']): boolean => cautions.some((each) => each.code === code)
  const heat = cautions.find((each) => each.code === 'heat' || each.code === 'humid')
  const said = [airC === null ? '' : `${airC} °C`, humidity === null ? '' : `${humidity} %`].filter(Boolean).join(', ')
  return [
    heat ? `thermometer first, nothing pulled above about ${heat.facts.maxC ?? 10} °C, less in damp air${said === '' ? '' : ` (said here: ${said})`}` : '',
    has('first-outings') ? 'small loads and short ways at first' : '',
    has('tether') || has('crate-held-fast') ? 'nothing trailing in the car, lead and tether off, the crate held fast' : '',
    'look at the dog and under every strap',
  ]
    .filter(Boolean)
    .join('; ')
}
