import type { RankedWay } from '@merry-tailor/core'
import { dayWords } from '../../state/today'
import { Mark } from '../../ui/marks/Mark'
import { WAY_REASONS, WAY_VERDICTS } from '../../words/ways'
import { wayName } from '../../words/stages'

const MARKS = { first: 'holds', works: 'doubt', 'not-now': 'fails' } as const

/** Stock, quick-ship, made and second-hand in one table, with the reason in a few words. */
export function WaysBlock({ ways }: { ways: readonly RankedWay[] }) {
  if (ways.length < 2) return null
  return (
    <section aria-label="Ways to get it">
      <h3 className="px-4 pt-2 text-[17px] leading-[22px]">Ways to get it</h3>
      <ul>
        {ways.map((way) => (
          <Way key={way.way} way={way} />
        ))}
      </ul>
    </section>
  )
}

function Way({ way }: { way: RankedWay }) {
  const grade = MARKS[way.verdict]
  const colour = { holds: 'text-holds', doubt: 'text-mute', fails: 'text-snag' }[grade]
  const reasons = way.reasons.map(({ code, for: speaks }) => WAY_REASONS[code][speaks ? 0 : 1]).filter(Boolean)
  const order = way.orderBy && way.verdict !== 'not-now' && way.way !== 'stock' ? `order by ${dayWords(way.orderBy)}` : ''
  const words = [order, ...reasons].filter(Boolean).join('; ')
  return (
    <li className="border-b border-rule px-4 py-1.5 last:border-b-0">
      <p className="flex items-center justify-between gap-2 leading-[20px] font-bold">
        {way.way === 'second-hand' ? 'Second-hand' : wayName(way.way)}
        <span className={`inline-flex items-center gap-1.5 text-[14px] ${colour}`}>
          {way.verdict !== 'works' && <Mark grade={grade} basis="predicted" size={18} />}
          {WAY_VERDICTS[way.verdict]}
        </span>
      </p>
      {words && <p className="text-[13.5px] leading-[17px] text-mute first-letter:uppercase">{words}.</p>}
    </li>
  )
}
