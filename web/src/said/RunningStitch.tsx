import { memo } from 'react'
import type { Stage, StageState } from '@merry-tailor/core'
import { Link } from 'react-router'
import { stageName } from '../words/stages'

interface StitchProps {
  stages: readonly { stage: Stage; state: StageState; to: string }[]
  current: Stage
}

const PITCH = 100

/** Progress as a running stitch on cloth. Every stage is a link and open at any time. */
export const RunningStitch = memo(function RunningStitch({ stages, current }: StitchProps) {
  return (
    <nav aria-label="Stages of this ticket" className="relative h-[68px]" style={{ width: PITCH * stages.length }}>
      <svg width={PITCH * stages.length} height={40} className="pointer-events-none absolute top-1.5 left-0" aria-hidden>
        {stages.slice(0, -1).map(({ stage, state }, i) => (
          <Thread key={stage} from={PITCH * i + PITCH / 2} kind={stage === current ? 'now' : state === 'open' ? 'open' : 'done'} />
        ))}
        {stages.map(({ stage, state }, i) => (
          <StagePoint key={stage} x={PITCH * i + PITCH / 2} y={20} kind={stage === current ? 'now' : state} />
        ))}
      </svg>
      <ol className="flex">
        {stages.map(({ stage, to, state }) => (
          <li key={stage} style={{ width: PITCH }}>
            <Link
              to={to}
              aria-current={stage === current ? 'step' : undefined}
              className={`flex h-[68px] items-end justify-center pb-2 text-[15.5px] leading-5 ${stage === current ? 'font-bold text-tape' : state === 'open' ? 'text-cloth-mute' : 'font-bold text-cloth-ink'}`}
            >
              {stageName(stage)}
              {state === 'trouble' && <span className="sr-only">, something doesn’t hold</span>}
              {state === 'done' && <span className="sr-only">, done</span>}
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  )
})

function Thread({ from, kind }: { from: number; kind: 'done' | 'now' | 'open' }) {
  const [a, b] = [from + 15, from + PITCH - 15]
  if (kind === 'done') return <line x1={a} x2={b} y1={20} y2={20} stroke="var(--cloth-ink)" strokeWidth={3} strokeDasharray="10 5" />
  if (kind === 'open') return <line x1={a} x2={b} y1={20} y2={20} stroke="var(--cloth-mute)" strokeWidth={2.4} strokeLinecap="round" strokeDasharray="0.1 6" />
  return (
    <g>
      <line className="sew" x1={a} x2={a + 27} y1={20} y2={20} stroke="var(--tape)" strokeWidth={3} strokeDasharray="11 5" />
      <path d={`M${a + 29} 20.6L${a + 52} 17L${a + 43} 20.6L${a + 52} 24Z`} fill="var(--cloth-ink)" transform={`rotate(-6 ${a + 40} 20)`} />
      <line x1={a + 54} x2={b} y1={20} y2={20} stroke="var(--cloth-mute)" strokeWidth={2.4} strokeLinecap="round" strokeDasharray="0.1 6" />
    </g>
  )
}

function StagePoint({ x, y, kind }: { x: number; y: number; kind: 'now' | StageState }) {
  if (kind === 'now') {
    return (
      <g>
        <circle cx={x} cy={y} r={9} fill="var(--cloth)" stroke="var(--tape)" strokeWidth={3.4} />
        <circle cx={x} cy={y} r={2.8} fill="var(--tape)" />
      </g>
    )
  }
  if (kind === 'trouble') {
    return (
      <g stroke="var(--cloth-ink)" strokeLinecap="round">
        <circle cx={x} cy={y} r={11} fill="var(--cloth)" stroke="none" />
        <path d={`M${x - 11} ${y}h6M${x + 5} ${y}h6`} strokeWidth={3} />
        <path d={`M${x - 4} ${y + 8}l8 -16`} strokeWidth={3.6} />
      </g>
    )
  }
  if (kind === 'done') {
    return (
      <g>
        <circle cx={x} cy={y} r={8} fill="var(--cloth-ink)" />
        <path d={`M${x - 3.6} ${y + 3.4}l4 -6.8M${x + 0.2} ${y + 3.4}l4 -6.8`} stroke="var(--cloth)" strokeWidth={1.9} strokeLinecap="round" />
      </g>
    )
  }
  return (
    <g fill="var(--cloth)" stroke="var(--cloth-mute)" strokeWidth={1.6}>
      <circle cx={x - 4.6} cy={y} r={2.9} />
      <circle cx={x + 4.6} cy={y} r={2.9} />
    </g>
  )
}
