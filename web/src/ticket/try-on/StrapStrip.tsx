import { useState } from 'react'
import { useKeys } from '../../state/use-keys'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { strapName } from '../../words/foretold'
import { holeMm } from './marks'
import { StrapBlock } from './StrapBlock'
import type { StrapPlan, StrapSide } from './use-strap-plan'
import { Problem } from '../../ui/controls/Problem'

interface StrapStripProps {
  plan: StrapPlan
  apart: boolean
  onApart: (apart: boolean) => void
}

/** The straps that can be set, in the order they are set: where each stands, how far it goes, where it is foretold to hold. */
export function StrapStrip({ plan, apart, onApart }: StrapStripProps) {
  const { straps, settings, foretold, next, uneven, problem } = plan
  const look = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(look), unit: look.unit }
  const [picked, setPicked] = useState<string | null>(null)
  const current = picked ?? next?.strap ?? straps[0]?.id ?? null
  const at = Math.max(
    0,
    straps.findIndex(({ id }) => id === current),
  )
  const move = (id: string, side: StrapSide, by: number) => () => {
    const now = settings[id]
    const mm =
      (side === 'right' ? (now?.rightMm ?? now?.leftMm) : now?.leftMm) ?? plan.plan?.straps[id as keyof typeof plan.plan.straps] ?? foretold.straps[id] ?? 0
    void plan.set(id, side, mm + by)
  }
  const step = (way: -1 | 1): void => (current === null ? undefined : move(current, 'both', way * holeMm(look.unit))())
  useKeys({
    ArrowDown: () => setPicked(straps[Math.min(straps.length - 1, at + 1)]?.id ?? null),
    ArrowUp: () => setPicked(straps[Math.max(0, at - 1)]?.id ?? null),
    '-': () => step(-1),
    '+': () => step(1),
    '=': () => onApart(!apart),
  })
  return (
    <section aria-label="Straps" className="min-w-0 flex-1 bg-panel">
      <div className="quiet-scroll flex overflow-x-auto max-phone:flex-col">
        {straps.map(({ id, ring }, i) => (
          <StrapBlock
            key={id}
            id={id}
            n={i + 1}
            ring={ring}
            now={settings[id] ?? null}
            goalMm={plan.plan?.straps[id] ?? null}
            holds={plan.plan?.holds[id] ?? null}
            range={foretold.lengths[id] ?? null}
            look={style}
            apart={apart}
            current={id === current}
            onPick={() => setPicked(id)}
            onMove={(side, by) => move(id, side, by)()}
          />
        ))}
      </div>
      {(uneven[0] || plan.missing > 0 || plan.isBlind) && (
        <p className="flex flex-wrap items-center gap-x-4 px-4 pb-1 text-[14px] leading-[17px]">
          {uneven[0] && (
            <b className="text-chalk">
              {strapName(uneven[0].strap)}: {uneven[0].longer} is longer by <Worded text={lengthText(uneven[0].byMm, style, true)} />
            </b>
          )}
          {plan.missing > 0 && (
            <span className="text-mute">
              Set as well as it goes, it would still miss {plan.missing === 1 ? 'one check' : `${plan.missing} checks`}: another size may do better.
            </span>
          )}
          {plan.isBlind && <span className="text-mute">Nothing is known of how far these straps go: they are set by hand.</span>}
        </p>
      )}
      {problem && <Problem className="px-3">Not saved. {problem}</Problem>}
    </section>
  )
}
