import { draftStart, formatLength, type DraftPart, type DraftStart, type FamilyId, type Form, type Rig } from '@merry-tailor/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useBenchForm, useGauge, useOpenTicket } from '../../bench'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'

const NAMES: Readonly<Record<DraftPart, string>> = {
  neck: 'Neck',
  keel: 'Keel',
  back: 'Back',
  upper: 'Upper trace',
  lower: 'Lower trace',
  cinch: 'Cinch',
  loopDrop: 'Loop drop',
  loop: 'Shaft loop',
  belly: 'Belly band',
  rear: 'Rear trace',
}
const MISSES: Readonly<Record<DraftStart['misses'][number]['code'], string>> = {
  'no-loop': 'No loop passes these shafts and not their stops',
  'no-bone-for-band': 'Little bone is left behind the cinch for a belly band',
  'keel-past-sternum': 'The keel strap would end past the breastbone',
}

/** Where every strap starts, in the order they are set; a guess from the form until its tape is read. */
export function DraftStraps({ family, rig }: { family: FamilyId; rig: Rig }) {
  const { sheet, name, body } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const look = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(look), unit: look.unit }
  const say = (mm: number): string => formatLength(mm, style).text
  const start = useMemo(() => startOf(form, body, family, gauge, rig), [form, body, family, gauge, rig])
  if (!start) return null
  return (
    <section
      aria-label="Straps, in order"
      className="quiet-scroll min-h-0 bg-panel max-bench:order-3 max-bench:col-span-2 max-bench:border-t-2 max-bench:border-ink bench:order-3 bench:border-l-2 bench:border-ink"
    >
      <h2 className="border-b-2 border-ink px-4 py-2 text-[19px] leading-6">Straps, in order</h2>
      <ol>
        {Object.entries(start.straps).map(([part, strap], i) => (
          <li key={part} className="grid grid-cols-[24px_1fr_auto] items-baseline gap-x-2 border-b border-rule px-4 py-1.5">
            <span className="text-mute">{i + 1}</span>
            <b className="text-[16px] leading-5">{NAMES[part as DraftPart]}</b>
            <b className="text-right text-[17px] whitespace-nowrap">{say(strap.startMm)}</b>
            <span className="col-start-2 text-[13.5px] whitespace-nowrap text-mute">{strap.from === 'read' ? 'by its tape' : 'from the form'}</span>
            <span className="text-right text-[13.5px] whitespace-nowrap text-mute">
              {say(strap.leastMm)} to {say(strap.mostMm)}
            </span>
          </li>
        ))}
      </ol>
      <div className="space-y-1 px-4 py-2 text-[14px] leading-[18px]">
        {start.misses.map(({ code, byMm }) => (
          <p key={code} className="font-bold text-chalk">
            {MISSES[code]}: {say(byMm)}.
          </p>
        ))}
        <p>
          Shafts {say(start.shaftMm)} up, {say(start.betweenShaftsMm)} apart; bar {say(start.barMm)} wide, {say(start.barBehindTailMm)} behind the tail.
        </p>
        <p className="text-mute">
          {name}’s hind paw is expected {say(start.reach.pawMm)} behind its tail: a guess until it was seen in stride, so start long. Set and look at it under{' '}
          <Link className="font-bold text-ink underline" to={`/tickets/${sheet.ticket.id}/try-on`}>
            Try on
          </Link>
          .
        </p>
      </div>
    </section>
  )
}

function startOf(
  form: Form,
  body: ReturnType<typeof useOpenTicket>['body'],
  family: FamilyId,
  gauge: Parameters<typeof draftStart>[0]['gauge'],
  rig: Rig,
): DraftStart | null {
  if (!rig.shafts && family === 'H23') return null
  try {
    return draftStart({ form, body, family, gauge, rig: { shaftMm: rig.shafts?.thickMm ?? 25, stopMm: rig.shafts?.stopMm ?? 45, hitchMm: rig.hitch.heightMm } })
  } catch (problem) {
    if (problem instanceof RangeError) return null
    throw problem
  }
}
