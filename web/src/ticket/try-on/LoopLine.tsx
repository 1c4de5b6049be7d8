import type { LoopStep, LoopStepId } from '@merry-tailor/core'

const WORDS: Readonly<Record<LoopStepId, string>> = {
  'let-out': 'Let out',
  'put-on': 'Put on',
  look: 'Look, feel',
  set: 'Set in order',
  again: 'Again',
  'safe-place': 'Safe place',
  'tails-secured': 'Tails',
}
const STATE: Readonly<Record<LoopStep['state'], string>> = { done: 'done', now: 'now', open: 'to come', fails: 'did not hold' }

/** The loop of a fitting as one stitch: a knot for what is done, the disc where it stands, needle holes for what comes. */
export function LoopLine({ steps }: { steps: readonly LoopStep[] }) {
  if (steps.length === 0) return null
  return (
    <ol
      tabIndex={0}
      aria-label="Where the fitting stands"
      className="quiet-scroll flex shrink-0 items-center overflow-x-auto border-b-2 border-ink bg-bench px-4 py-1.5"
    >
      {steps.map(({ step, state }, i) => (
        <li key={step} aria-current={state === 'now' ? 'step' : undefined} className="flex shrink-0 items-center text-[14.5px] leading-5">
          {i > 0 && (
            <svg aria-hidden width={34} height={18} className="mx-1.5 shrink-0">
              {state === 'open' ? (
                <line x1={4} x2={32} y1={9} y2={9} stroke="var(--edge)" strokeWidth={2} strokeLinecap="round" strokeDasharray="0.1 8" />
              ) : (
                <line x1={2} x2={34} y1={9} y2={9} stroke="var(--ink)" strokeWidth={2.4} strokeDasharray="7 4" />
              )}
            </svg>
          )}
          <svg aria-hidden width={18} height={18} className="shrink-0">
            <StepMark state={state} />
          </svg>
          <span className={`ml-1.5 ${state === 'open' ? 'text-mute' : state === 'fails' ? 'font-bold text-snag' : 'font-bold'}`}>
            {WORDS[step]}
            <span className="sr-only">, {STATE[state]}</span>
          </span>
        </li>
      ))}
    </ol>
  )
}

function StepMark({ state }: { state: LoopStep['state'] }) {
  if (state === 'done')
    return (
      <g>
        <circle cx={9} cy={9} r={6.5} fill="var(--ink)" />
        <path d="M6 11.8l3-5.6M9.2 11.8l3-5.6" stroke="var(--bench)" strokeWidth={1.5} strokeLinecap="round" />
      </g>
    )
  if (state === 'now')
    return (
      <g>
        <circle cx={9} cy={9} r={6.5} fill="var(--tape)" stroke="var(--ink)" strokeWidth={2.2} />
      </g>
    )
  if (state === 'fails')
    return (
      <g stroke="var(--snag)" strokeLinecap="round">
        <path d="M1 9h4M13 9h4" strokeWidth={2.4} />
        <path d="M6 16l6-14" strokeWidth={2.8} />
      </g>
    )
  return (
    <g fill="none" stroke="var(--edge)" strokeWidth={1.5}>
      <circle cx={5.5} cy={9} r={2.4} />
      <circle cx={12.5} cy={9} r={2.4} />
    </g>
  )
}
