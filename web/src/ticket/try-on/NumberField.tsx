import type { Check } from '@merry-tailor/core'
import { useAppSelector } from '../../state/store'
import type { AnswerInHand } from './use-answer'

/** The number a check is answered by; Enter or leaving the field judges it. */
export function NumberField({ check, hand, wide = false }: { check: Check; hand: AnswerInHand; wide?: boolean }) {
  const { unit } = useAppSelector((store) => store.settings)
  const { gauge } = check
  if (!gauge) return null
  const what = gauge.kind === 'gap' ? 'From the mark, minus is below or short' : gauge.kind === 'wide' ? 'Fingers wide, or a length' : 'Fingers, flat'
  const hint = gauge.kind === 'gap' ? `± ${unit}` : gauge.kind === 'wide' ? `fingers or ${unit}` : hand.by === 'length' ? unit : 'fingers'
  return (
    <form
      className={wide ? 'w-full' : 'w-[108px]'}
      onSubmit={(event) => {
        event.preventDefault()
        hand.judgeNumber()
      }}
    >
      <label>
        <span className="sr-only">{`${check.name}: ${what}`}</span>
        <input
          value={hand.typed}
          onChange={(event) => hand.type(event.target.value)}
          onBlur={() => hand.typed.trim() !== '' && hand.problem === null && hand.judgeNumber()}
          title={what}
          aria-invalid={hand.problem ? true : undefined}
          placeholder={hint}
          autoComplete="off"
          className={`h-11 w-full rounded-[2px] border-2 bg-panel px-2 text-[17px] font-semibold placeholder:text-[15px] placeholder:font-normal placeholder:text-mute ${hand.problem ? 'border-snag' : 'border-ink'}`}
        />
      </label>
    </form>
  )
}
