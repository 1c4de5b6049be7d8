import type { Check, Foretold, ForetoldCheck, Grade, Observation, PullState } from '@merry-tailor/core'
import { VerdictWord } from '../../said/VerdictWord'
import { verdictWord } from '../../words/verdicts'
import { CheckTape } from './CheckTape'
import { useAppSelector } from '../../state/store'
import { answeredWords } from './expected'
import type { TagBox } from '../../ui/plates/tag-box'

interface CheckTagProps {
  n: number
  check: Check
  state: PullState
  expected: ForetoldCheck | null
  answer: Observation | undefined
  now: Pick<Foretold, 'checks'> | null
  current: boolean
  /** It has room for its tape. */
  tape?: boolean
  place?: TagBox
  onOpen: () => void
}

const BORDER: Readonly<Record<Grade, string>> = { holds: 'border-ink', doubt: 'border-chalk border-2', fails: 'border-snag border-2', none: 'border-ink' }
const DISC: Readonly<Record<Grade, string>> = { holds: 'bg-holds', doubt: 'bg-chalk', fails: 'bg-snag', none: 'bg-ink' }

/** A check beside the dog: its number, its tape, hollow what was foretold and solid what was seen. A press opens it. */
export function CheckTag({ n, check, state, expected, answer, now, current, tape = false, place, onOpen }: CheckTagProps) {
  const seen = answer?.grade ?? 'none'
  const unit = useAppSelector((store) => store.settings.unit)
  const said = answer ? answeredWords(answer, unit) : ''
  return (
    <button
      type="button"
      aria-expanded={current}
      aria-label={`${n} ${check.name}: ${expected ? `${verdictWord(expected.grade, 'predicted')}; ` : ''}${answer ? verdictWord(answer.grade, 'seen') : 'Not tried'}${said ? `, ${said}` : ''}`}
      onClick={onOpen}
      style={place ? { position: 'absolute', left: place.x, top: place.y, width: place.width, height: place.height } : undefined}
      className={`flex min-h-11 w-full flex-col overflow-hidden border-[1.5px] bg-panel px-1.5 py-1 text-left hover:bg-bench ${BORDER[seen]} ${current ? 'bg-bench' : ''}`}
    >
      <span className="flex items-start gap-1.5">
        <span
          className={`mt-px inline-flex h-[19px] w-[19px] shrink-0 items-center justify-center rounded-full text-[13.5px] leading-none font-bold text-panel ${DISC[seen]}`}
        >
          {n}
        </span>
        <b className="line-clamp-2 text-[14.5px] leading-[17px]">{check.name}</b>
      </span>
      {tape && <CheckTape check={check} state={state} expected={expected} answer={answer} now={now} mini />}
      <span className="mt-auto flex flex-wrap items-center justify-between gap-x-2 text-[13px] leading-[16px] whitespace-nowrap">
        {expected && <VerdictWord grade={expected.grade} basis="predicted" size={15} />}
        {answer ? <VerdictWord grade={answer.grade} basis="seen" size={15} {...(said ? { word: said } : {})} /> : <span className="text-mute">Not tried</span>}
      </span>
    </button>
  )
}
