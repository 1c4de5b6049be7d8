import { useOpenTicket } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { longDay } from '../../state/today'
import { Empty } from '../../ui/State'
import { pawName } from '../../words/measuring'
import { centred, PAWS } from './paw-data'

const ROOM = 6

/** The newest outline of each paw in true scale, with a line of 100 mm to lay a rule on. */
export function OutlineSheet() {
  const { sheet, name } = useOpenTicket()
  const own = PAWS.flatMap((paw) => sheet.tracings.find((each) => each.paw === paw && !each.removed) ?? [])
  return (
    <PaperRoom title={`Outlines, ${name}`} back={`/tickets/${sheet.ticket.id}/paws`}>
      {own.length === 0 ? (
        <Empty title="No paw is traced yet">Trace one on the paw bench.</Empty>
      ) : (
        <section aria-label="Outlines in true scale">
          <header className="mb-2 border-b-2 border-black pb-1">
            <h2 className="text-[22px] leading-7">{name}: paws as they were traced, 1:1</h2>
            <p>Print at 100 %. The pencil ran round outside the paw; boots are sized by the readings, not by this line.</p>
          </header>
          <svg width="104mm" height="9mm" viewBox="0 0 104 9" aria-label="A line of 100 mm">
            <path d="M2 2V8M102 2V8M2 5H102" stroke="#000" strokeWidth={0.4} fill="none" />
            <text x={52} y={4} fontSize={3.4} textAnchor="middle">
              100 mm
            </text>
          </svg>
          <div className="flex flex-wrap gap-[6mm]">
            {own.map(({ id, paw, points, at, nails }) => {
              const line = centred(points)
              const [w, h] = ([0, 1] as const).map((k) => Math.max(...line.map((p) => p[k])) * 2 + ROOM) as [number, number]
              return (
                <figure key={id} className="keep">
                  <svg width={`${w}mm`} height={`${h}mm`} viewBox={`${-w / 2} ${-h / 2} ${w} ${h}`} role="img" aria-label={`${pawName(paw)} in true scale`}>
                    <path d={`M${line.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`} fill="none" stroke="#000" strokeWidth={0.5} />
                    <path d={`M0 -6V6M-6 0H6`} stroke="#000" strokeWidth={0.2} />
                  </svg>
                  <figcaption>
                    <b>{pawName(paw)}</b>, {longDay(at.slice(0, 10))}
                    {nails ? `, nails ${nails}` : ''}
                  </figcaption>
                </figure>
              )
            })}
          </div>
        </section>
      )}
    </PaperRoom>
  )
}
