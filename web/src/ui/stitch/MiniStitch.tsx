import type { Stage, StageState } from '@merry-tailor/core'

interface MiniStitchProps {
  states: readonly { stage: Stage; state: StageState }[]
  current: Stage
  /** On cloth the thread is light and the current ring yellow; on paper it is ink and a yellow disc. */
  on?: 'paper' | 'cloth'
}

const PITCH = 31
const MID = 9

/** The stitch in a row or a phone's header; the word stands beside it. */
export function MiniStitch({ states, current, on = 'paper' }: MiniStitchProps) {
  const thread = on === 'paper' ? 'var(--ink)' : 'var(--cloth-ink)'
  const quiet = on === 'paper' ? 'var(--edge)' : 'var(--cloth-mute)'
  const ground = on === 'paper' ? 'var(--panel)' : 'var(--cloth)'
  const width = PITCH * (states.length - 1) + 18
  return (
    <svg width={width} height={18} aria-hidden style={{ display: 'block', maxWidth: '100%' }}>
      {states.slice(0, -1).map(({ stage, state }, i) => {
        const [a, b] = [9 + PITCH * i + 9, 9 + PITCH * (i + 1) - 8]
        const done = state !== 'open' && stage !== current
        return done ? (
          <line key={stage} x1={a} x2={b} y1={MID} y2={MID} stroke={thread} strokeWidth={2.4} strokeDasharray="6 3" />
        ) : (
          <line key={stage} x1={a + 1} x2={b} y1={MID} y2={MID} stroke={quiet} strokeWidth={2} strokeLinecap="round" strokeDasharray="0.1 5" />
        )
      })}
      {states.map(({ stage, state }, i) => {
        const x = 9 + PITCH * i
        if (stage === current && state !== 'trouble') {
          return on === 'paper' ? (
            <g key={stage}>
              <circle cx={x} cy={MID} r={6} fill="var(--tape)" stroke="var(--ink)" strokeWidth={2.2} />
              <circle cx={x} cy={MID} r={1.7} fill="var(--tape-ink)" />
            </g>
          ) : (
            <g key={stage}>
              <circle cx={x} cy={MID} r={6} fill="var(--cloth)" stroke="var(--tape)" strokeWidth={2.8} />
              <circle cx={x} cy={MID} r={1.8} fill="var(--tape)" />
            </g>
          )
        }
        if (state === 'trouble') {
          return (
            <g key={stage} stroke={on === 'paper' ? 'var(--snag)' : thread} strokeLinecap="round">
              <circle cx={x} cy={MID} r={8} fill={ground} stroke="none" />
              <path d={`M${x - 8} ${MID}h4M${x + 4} ${MID}h4`} strokeWidth={2.4} />
              <path d={`M${x - 3} ${MID + 7}l6 -14`} strokeWidth={2.8} />
            </g>
          )
        }
        if (state === 'done') {
          return (
            <g key={stage}>
              <circle cx={x} cy={MID} r={6} fill={thread} />
              <path d={`M${x - 2.8} ${MID + 2.6}l3 -5.2M${x} ${MID + 2.6}l3 -5.2`} stroke={ground} strokeWidth={1.5} strokeLinecap="round" />
            </g>
          )
        }
        return (
          <g key={stage} fill={ground} stroke={quiet} strokeWidth={1.4}>
            <circle cx={x - 3.3} cy={MID} r={2.2} />
            <circle cx={x + 3.3} cy={MID} r={2.2} />
          </g>
        )
      })}
    </svg>
  )
}
