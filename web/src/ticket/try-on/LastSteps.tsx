import { LAST_STEP_STATE, lastStep, type LastStep, type LoopStep, type TryOn } from '@merry-tailor/core'
import { useState } from 'react'
import { useActs } from '../../bench'
import { Mark } from '../../ui/marks/Mark'
import { problemWords } from '../../words/problems'
import { Problem } from '../../ui/controls/Problem'

const WORDS: Readonly<Record<LastStep, { name: string; how: string }>> = {
  'safe-place': { name: 'Safe place', how: 'every ring and buckle' },
  'tails-secured': { name: 'Tails', how: 'rolled, draft straps stitched, marks kept' },
}

/** What comes last, once every check holds: the test in a safe place and the tails. */
export function LastSteps({ round, steps, holds }: { round: TryOn; steps: readonly LoopStep[]; holds: boolean }) {
  const acts = useActs()
  const [problem, setProblem] = useState<string | null>(null)
  const last = steps.flatMap(({ step }) => (step === 'safe-place' || step === 'tails-secured' ? [step] : []))
  if (last.length === 0) return null
  const say = (step: LastStep, grade: 'holds' | 'fails'): void =>
    void acts
      .observe(round.id, { check: step, state: LAST_STEP_STATE, grade, asTyped: '', mm: null, fingers: null })
      .then(({ error }) => setProblem(error ? `Not saved. ${problemWords(error)}` : null))
  return (
    <section aria-label="Last, when all hold" className="shrink-0 border-t-2 border-ink px-3 py-1.5">
      <h3 className="text-[17px] leading-6">Last, when all hold</h3>
      <ul>
        {last.map((step) => {
          const said = lastStep(round, step)
          return (
            <li key={step} className="flex flex-wrap items-center justify-between gap-x-2 gap-y-1 py-0.5">
              <p className="flex min-w-[110px] flex-1 items-start gap-2 text-[14.5px] leading-[18px]">
                <Mark grade={said ?? 'none'} basis="seen" size={18} />
                <span className={said === null && !holds ? 'text-mute' : ''}>
                  <b>{WORDS[step].name}:</b> {WORDS[step].how}
                </span>
              </p>
              {(holds || said !== null) && (
                <div role="group" aria-label={WORDS[step].name} className={`flex gap-1.5 ${step === 'safe-place' ? 'basis-full' : ''}`}>
                  <LastKey on={said === 'holds'} onPress={() => say(step, 'holds')}>
                    {step === 'safe-place' ? 'It held' : 'Done'}
                  </LastKey>
                  {step === 'safe-place' && (
                    <LastKey on={said === 'fails'} onPress={() => say(step, 'fails')}>
                      It slipped
                    </LastKey>
                  )}
                </div>
              )}
            </li>
          )
        })}
      </ul>
      <Problem>{problem}</Problem>
    </section>
  )
}

function LastKey({ on, onPress, children }: { on: boolean; onPress: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onPress}
      className="min-h-11 flex-1 rounded-[2px] border-2 border-edge bg-panel px-2 text-[14.5px] font-bold hover:bg-bench aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-panel"
    >
      {children}
    </button>
  )
}
