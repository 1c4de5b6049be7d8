import { X } from 'lucide-react'
import type { Foretold, ForetoldCheck } from '@merry-tailor/core'
import { VerdictWord } from '../../said/VerdictWord'
import { Segmented } from '../../ui/controls/Segmented'
import { HandDrawing } from '../../ui/hands/HandDrawing'
import { handOf } from '../../ui/hands/hand-of'
import { Worded } from '../../ui/length/Worded'
import { CheckTape } from './CheckTape'
import { NumberField } from './NumberField'
import { answeredWords } from './expected'
import { useAnswer, type CheckInHand } from './use-answer'
import { useVerdictKeys } from './grade-keys'
import { VerdictKeys } from './VerdictKeys'
import { useAppSelector } from '../../state/store'
import { smallLengths } from '../../words/small-lengths'
import { Problem } from '../../ui/controls/Problem'

interface OpenCheckProps extends CheckInHand {
  n: number
  expected: ForetoldCheck | null
  now: Pick<Foretold, 'checks'> | null
  onClose: () => void
}

/** The check in hand: how it is made, what passes, what was foretold, and its answer by word or number. */
export function OpenCheck({ n, expected, now, onClose, ...inHand }: OpenCheckProps) {
  const { check, state, answer } = inHand
  const { unit } = useAppSelector((store) => store.settings)
  const hand = useAnswer(inHand)
  useVerdictKeys(hand.judge)
  const said = answer ? answeredWords(answer, unit) : ''
  return (
    <section
      role="group"
      aria-label={`${check.name}, ${state}`}
      className={`flex w-full flex-col border-[3px] bg-panel px-3 pt-1.5 pb-2.5 ${answer?.grade === 'fails' ? 'border-snag' : 'border-ink'}`}
    >
      <header className="flex items-start gap-2">
        <span className="mt-1 inline-flex h-[22px] w-[22px] shrink-0 items-center justify-center rounded-full bg-ink text-[15px] leading-none font-bold text-panel">
          {n}
        </span>
        <h3 className="min-w-0 flex-1 pt-1 text-[17.5px] leading-[21px]">{check.name}</h3>
        <button type="button" onClick={onClose} aria-label="Close this check" className="-mr-2 inline-flex h-11 w-11 shrink-0 items-center justify-center">
          <X size={20} aria-hidden />
        </button>
      </header>
      <div className="flex gap-2.5">
        <HandDrawing pose={handOf(check)} height={84} />
        <p className="min-w-0 flex-1 text-[14.5px] leading-[18px]">
          {check.how} <b>{smallLengths(check.pass, unit)}</b>
          {hand.small && <b> So small a dog: 1½ to 2.</b>}
        </p>
      </div>
      {expected && (
        <div className="text-[14.5px] leading-5">
          <VerdictWord grade={expected.grade} basis="predicted" size={17} />
        </div>
      )}
      {check.gauge && <CheckTape check={check} state={state} expected={expected} now={now} answer={answer} hand={hand} />}
      {check.gauge && (
        <div className="mt-1 flex flex-wrap items-center gap-2">
          <NumberField check={check} hand={hand} />
          {hand.canBy && (
            <Segmented
              label="What a bare number means"
              value={hand.by}
              options={[
                { value: 'fingers', label: 'fingers' },
                { value: 'length', label: unit },
              ]}
              onChange={hand.setBy}
            />
          )}
          <span className="text-[14.5px] leading-[18px] text-mute">
            {said && <b className="text-ink">{said} </b>}
            <Worded text={hand.beside} />
          </span>
        </div>
      )}
      <Problem className="mt-1 text-[14px]">{hand.problem}</Problem>
      <VerdictKeys grade={answer?.grade} onJudge={hand.judge} />
    </section>
  )
}
