import { checksFor, FITTERS_WORD, type FamilyId, type Observation, type TryOn } from '@merry-tailor/core'
import { useState } from 'react'
import { Mark } from '../../ui/marks/Mark'
import { problemWords } from '../../words/problems'
import { verdictWord } from '../../words/verdicts'
import { useActs } from '../../bench'
import { Problem } from '../../ui/controls/Problem'

const GRADES = ['holds', 'doubt', 'fails'] as const

/** One word on the whole, where this kind has no checks of its own yet: the round ends with it, and it is shown as the fitter's. */
export function FittersWord({ family, round, word }: { family: FamilyId; round: TryOn; word: Observation | null }) {
  const acts = useActs()
  const [problem, setProblem] = useState<string | null>(null)
  const say = (grade: Observation['grade']): void =>
    void acts
      .observe(round.id, { check: FITTERS_WORD, state: 'slack', grade, asTyped: '', mm: null, fingers: null })
      .then(({ error }) => setProblem(error ? `Not saved. ${problemWords(error)}` : null))
  const some = checksFor(family).length > 0
  return (
    <section aria-label="Your word on the whole" className="border-t-2 border-ink bg-bench px-5 py-3">
      <h3 className="text-[18px] leading-[22px]">Your word on the whole</h3>
      <p className="max-w-[560px] text-[14.5px] leading-[19px] text-mute">
        {some ? 'The bench knows only the checks of every harness for this kind, not its own.' : 'The bench knows no checks for this kind yet.'} Look at it on
        the dog, standing and moving, and say what you see. It is kept as your word, not as checks seen.
      </p>
      <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label="Your word">
        {GRADES.map((grade) => (
          <button
            key={grade}
            type="button"
            aria-pressed={word?.grade === grade}
            onClick={() => say(grade)}
            className="inline-flex min-h-11 items-center gap-1.5 rounded-[2px] border-2 border-edge bg-panel px-2.5 text-[14.5px] font-bold hover:bg-bench aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-panel"
          >
            <Mark grade={grade} basis="seen" size={17} />
            {verdictWord(grade, 'seen')}
          </button>
        ))}
      </div>
      <Problem className="mt-1 text-[14px]">{problem}</Problem>
    </section>
  )
}
