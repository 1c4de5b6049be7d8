import { formatWeight, measures, type Garment, type LengthStyle } from '@merry-tailor/core'
import { Link } from 'react-router'
import { useOpenTicket } from '../../bench'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange, type TapeUnit } from '../../ui/tape/scale'

/** Measures a garment is cut by: what was taken, and what is only expected with how far it may be off. */
export function MeasuresUsed({ garment, style, say }: { garment: Garment; style: LengthStyle & { unit: TapeUnit }; say: (mm: number) => string }) {
  const { sheet } = useOpenTicket()
  const rows = Object.entries(garment.numbers)
  const taken = rows.filter(([, { from }]) => from === 'taken')
  const expected = rows.filter(([, { from }]) => from === 'expected')
  return (
    <section aria-label="Measures used">
      <header className="flex flex-wrap items-baseline justify-between gap-x-3 pb-1">
        <h2 className="text-[20px] leading-6">Measures used</h2>
        <span className="text-[14px] text-mute">
          {taken.length} taken, {expected.length} expected
        </span>
      </header>
      <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-[15px] leading-6">
        {taken.map(([id, { mm }]) => (
          <div key={id} className="contents">
            <dt>{measures[id]?.name ?? id}</dt>
            <dd className="text-right font-bold">{id === 'M00' ? formatWeight(mm, style.unit === 'in' ? 'lb' : 'kg') : say(mm)}</dd>
          </div>
        ))}
      </dl>
      {expected.length > 0 && (
        <details open={taken.length < 3 ? undefined : expected.length <= 3} className="mt-1 border-t border-rule">
          <summary className="flex min-h-11 cursor-pointer items-center text-[15px] font-bold">
            {expected.length === 1 ? 'One more would narrow it' : `${expected.length} more would narrow it`}
          </summary>
          {expected.map(([id, { mm, sigmaMm }]) => {
            const weight = id === 'M00'
            const [low, high] = [Math.max(0, mm - 1.28 * sigmaMm), mm + 1.28 * sigmaMm]
            const words = weight
              ? `${formatWeight(low, style.unit === 'in' ? 'lb' : 'kg')} to ${formatWeight(high, style.unit === 'in' ? 'lb' : 'kg')}`
              : `${say(low)} to ${say(high)}`
            return (
              <div key={id} className="grid min-h-11 grid-cols-[1fr_72px_auto] items-center gap-2 border-t border-rule text-[14.5px] leading-[18px]">
                <span>
                  {measures[id]?.name ?? id}
                  <span className="block text-[13px] text-mute">{words}, expected</span>
                </span>
                {weight ? <span /> : <MiniSpread mm={mm} low={low} high={high} style={style} />}
                {sheet.ticket.closedAt === null ? (
                  <Link
                    to={`/tickets/${sheet.ticket.id}/measure?tape=${id}`}
                    className="inline-flex min-h-11 items-center font-bold underline"
                    aria-label={`Take ${measures[id]?.name ?? id}`}
                  >
                    take it
                  </Link>
                ) : (
                  <span />
                )}
              </div>
            )
          })}
        </details>
      )}
    </section>
  )
}

function MiniSpread({ mm, low, high, style }: { mm: number; low: number; high: number; style: LengthStyle & { unit: TapeUnit } }) {
  const [from, to] = tapeRange(style.unit, [low, high])
  return (
    <Tape
      look={style}
      fromMm={from}
      toMm={to}
      pins={[{ mm, kind: 'open' }]}
      spread={{ fromMm: low, toMm: high }}
      height={14}
      usualWidth={72}
      mini
      title="Expected, not taken"
    />
  )
}
