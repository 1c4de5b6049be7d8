import { fingersWide, judgeAnswer, type AtTheDog, type Check, type Observation, type PullState, type TryOn } from '@merry-tailor/core'
import { useState } from 'react'
import { useFittersQuery } from '../../api/queries'
import { useAppSelector } from '../../state/store'
import { Mark } from '../../ui/marks/Mark'
import { VerdictWord } from '../../said/VerdictWord'
import { strapName } from '../../words/foretold'
import { problemWords } from '../../words/problems'
import { verdictWord } from '../../words/verdicts'
import { useActs, useOpenTicket } from '../../bench'

const GRADES = ['holds', 'doubt', 'fails'] as const
const ON: Readonly<Record<(typeof GRADES)[number], string>> = {
  holds: 'aria-pressed:border-holds aria-pressed:bg-holds-bg aria-pressed:text-holds',
  doubt: 'aria-pressed:border-chalk aria-pressed:bg-chalk-bg aria-pressed:text-chalk',
  fails: 'aria-pressed:border-snag aria-pressed:bg-snag-bg aria-pressed:text-snag',
}
const PROBLEMS = {
  empty: '',
  unreadable: 'Can’t read that. Try 2 fingers, 1 1/2 in or 4 cm.',
  'wants-fingers': 'Here fingers count, flat: 1, 2 or 2 1/2.',
  'wants-length': 'Here a length counts: 1/2 in, or 1 cm.',
  'too-many': 'Nobody has that many fingers.',
} as const

/** Whose girth and whose fingers: what “two fingers” comes to here. */
function useAtTheDog(): AtTheDog {
  const { fitter } = useAppSelector((store) => store.settings)
  const { body } = useOpenTicket()
  const { data: fitters = [] } = useFittersQuery(undefined)
  const two = fitters.find((each) => each.name === fitter)?.gauge?.twoMm
  return { girthMm: body.M07?.mm ?? null, fingerMm: two === undefined ? null : two / 2 }
}

/** One check in one state, answered by a verdict or by a number. */
export function CheckRow({
  n,
  check,
  state,
  round,
  answer,
}: {
  /** Its number on the dog. */
  n: number
  check: Check
  state: PullState
  round: TryOn
  answer: Observation | undefined
}) {
  const { unit } = useAppSelector((store) => store.settings)
  const at = useAtTheDog()
  const small = check.gauge?.kind === 'wide' && fingersWide(check.gauge, at).small
  const acts = useActs()
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const keep = async (seen: Pick<Observation, 'grade' | 'asTyped' | 'mm' | 'fingers'>): Promise<void> => {
    const made = await acts.observe(round.id, { check: check.id, state, ...seen })
    if (made.error) {
      setTyped(seen.asTyped)
      setProblem(`Not saved. ${problemWords(made.error)} The answer stays here.`)
    }
  }
  const judge = (): void => {
    const read = judgeAnswer(check, typed, unit, at)
    if (!read.ok) {
      setProblem(PROBLEMS[read.problem] || null)
      return
    }
    setProblem(null)
    setTyped('')
    void keep({ grade: read.grade, asTyped: typed.trim(), mm: read.mm, fingers: read.fingers })
  }
  const what =
    check.gauge?.kind === 'gap' ? `From the mark, minus is below or short` : check.gauge?.kind === 'wide' ? 'Fingers wide, or a length' : 'Fingers, flat'
  return (
    <li className="border-b border-rule px-5 py-2.5">
      <div className="grid gap-x-4 gap-y-1.5 2xl:grid-cols-[1fr_auto]">
        <div className="min-w-0">
          <h3 className="flex items-center gap-2 font-text text-[17px] leading-[21px] font-bold">
            <span className="text-mute">{n}</span> {check.name}
            {answer?.asTyped && (
              <span className="font-normal text-mute">
                {/^\d+$/.test(answer.asTyped) && answer.fingers !== null
                  ? `${answer.asTyped} ${answer.asTyped === '1' ? 'finger' : 'fingers'}`
                  : answer.asTyped}
              </span>
            )}
          </h3>
          <p className="max-w-[560px] text-[14.5px] leading-[19px] text-mute">
            {check.how} <b className="text-ink">{check.pass}</b>
            {small && <b className="text-ink"> So small a dog: 1½ to 2.</b>}
          </p>
          <Expected round={round} check={check.id} state={state} />
        </div>
        <div className="flex flex-wrap items-start gap-2" role="group" aria-label={`${check.name}, ${state}`}>
          <div className="flex gap-1.5 phone:gap-2">
            {GRADES.map((grade) => (
              <button
                key={grade}
                type="button"
                aria-pressed={answer?.grade === grade}
                onClick={() => void keep({ grade, asTyped: '', mm: null, fingers: null })}
                className={`inline-flex min-h-11 items-center gap-1.5 rounded-[2px] border-2 border-edge bg-panel px-2 whitespace-nowrap phone:px-2.5 text-[14.5px] font-bold hover:bg-bench ${ON[grade]}`}
              >
                <Mark grade={grade} basis="seen" size={17} />
                {verdictWord(grade, 'seen')}
              </button>
            ))}
          </div>
          {check.gauge && (
            <form
              className="w-[150px]"
              onSubmit={(event) => {
                event.preventDefault()
                judge()
              }}
            >
              <label>
                <span className="sr-only">{`${check.name}: ${what}`}</span>
                <input
                  value={typed}
                  onChange={(event) => {
                    setTyped(event.target.value)
                    setProblem(null)
                  }}
                  onBlur={() => typed.trim() !== '' && judge()}
                  title={what}
                  aria-invalid={problem ? true : undefined}
                  placeholder={check.gauge.kind === 'flat' ? 'fingers' : check.gauge.kind === 'wide' ? `fingers or ${unit}` : `± ${unit}`}
                  autoComplete="off"
                  className={`h-11 w-full rounded-[2px] border-2 bg-panel px-2.5 text-[16px] font-semibold placeholder:font-normal placeholder:text-mute ${problem ? 'border-snag' : 'border-ink'}`}
                />
              </label>
            </form>
          )}
        </div>
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-[14px] font-semibold text-snag">
          {problem}
        </p>
      )}
    </li>
  )
}

/** What was foretold when the round began, in its own hollow word; it never changes. */
function Expected({ round, check, state }: { round: TryOn; check: string; state: PullState }) {
  const own = round.foretold?.checks.filter((each) => each.check === check && each.state === state && each.grade !== 'none') ?? []
  const worst = own.find(({ grade }) => grade === 'fails') ?? own.find(({ grade }) => grade === 'doubt') ?? own[0]
  if (!worst) return null
  return (
    <p className="mt-0.5 text-[14px]">
      <VerdictWord grade={worst.grade} basis="predicted" size={16} />
      {worst.strap && own.length > 1 && <span className="text-mute">, {strapName(worst.strap).toLowerCase()}</span>}
    </p>
  )
}
