import type { Observation } from '@merry-tailor/core'
import { Mark } from '../../ui/marks/Mark'
import { verdictWord } from '../../words/verdicts'
import { GRADE_KEYS, GRADES } from './grade-keys'

type Graded = Observation['grade']

const ON: Readonly<Record<Graded, string>> = {
  holds: 'aria-pressed:border-holds aria-pressed:bg-holds-bg aria-pressed:text-holds',
  doubt: 'aria-pressed:border-chalk aria-pressed:bg-chalk-bg aria-pressed:text-chalk',
  fails: 'aria-pressed:border-snag aria-pressed:bg-snag-bg aria-pressed:text-snag',
}

interface VerdictKeysProps {
  grade: Graded | undefined
  onJudge: (grade: Graded) => void
  /** For a gloved thumb. */
  big?: boolean
}

/** Holds, look again, doesn’t hold: a press keeps it. */
export function VerdictKeys({ grade, onJudge, big = false }: VerdictKeysProps) {
  return (
    <div className={`grid gap-1.5 ${big ? 'grid-cols-3' : 'mt-auto grid-cols-[auto_auto_auto] pt-2'}`}>
      {GRADES.map((each) => (
        <button
          key={each}
          type="button"
          aria-pressed={grade === each}
          aria-keyshortcuts={GRADE_KEYS[each]}
          onClick={() => onJudge(each)}
          className={`inline-flex items-center justify-center gap-1 rounded-[2px] border-2 border-edge bg-panel px-1 text-[14.5px] leading-[17px] font-bold whitespace-nowrap hover:bg-bench ${big ? 'min-h-[92px] flex-col text-[16px]' : 'min-h-11'} ${ON[each]}`}
        >
          <Mark grade={each} basis="seen" size={big ? 26 : 17} />
          {verdictWord(each, 'seen')}
        </button>
      ))}
    </div>
  )
}
