import { useMemo } from 'react'
import { useOpenTicket, useTapes } from '../../bench'
import { lowerFirst } from '../../words/first-letter'
import { measureName } from '../../words/stages'

const STATES = {
  none: 'not taken',
  once: 'read once, a second reading first',
  'third-wanted': 'third reading first',
  disagrees: 'no two readings agree',
  agrees: '',
} as const

/** Measures a maker may not cut by yet, and why: not taken, read once, apart, or a question waits. */
export function useUnsettled(): ReadonlyMap<string, string> {
  const { body } = useOpenTicket()
  const { rows } = useTapes()
  return useMemo(() => {
    const open = new Map<string, string>()
    for (const row of rows) {
      const { measure } = row.tape
      if (row.derived !== null || open.has(measure)) continue
      const why = STATES[row.agreed?.state ?? 'none'] || (row.doubt ? 'a question waits' : '')
      if (why !== '') open.set(measure, why)
    }
    for (const [id, agreed] of Object.entries(body)) if (!id.includes('/') && agreed.state !== 'agrees' && !open.has(id)) open.set(id, STATES[agreed.state])
    return open
  }, [body, rows])
}

/** "Harness neck: third reading first; girth: not taken". */
export const waitsForWords = (measures: readonly string[], unsettled: ReadonlyMap<string, string>): string =>
  measures.flatMap((id, i) => (unsettled.has(id) ? [`${i === 0 ? measureName(id) : lowerFirst(measureName(id))}: ${unsettled.get(id) ?? ''}`] : [])).join('; ')
