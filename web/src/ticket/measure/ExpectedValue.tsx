import { measures, type FormMeasure } from '@merry-tailor/core'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { Worded } from '../../ui/length/Worded'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange } from '../../ui/tape/scale'
import { expectedRange, rangeWords } from '../../words/expected'

/** An untaken tape: an open pin where it is expected to land, with its spread. */
export function ExpectedValue({ measure, expected }: { measure: string; expected: FormMeasure }) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const words = rangeWords(measure, expected, look)
  if (measures[measure]?.quantity === 'mass') return <span className="text-right text-[14px] text-mute">{words}</span>
  const { fromMm, toMm } = expectedRange(expected)
  const [from, to] = tapeRange(settings.unit, [fromMm, toMm])
  return (
    <span className="block w-[86px] max-bench:w-[64px]">
      <Tape
        look={look}
        fromMm={from}
        toMm={to}
        height={13}
        mini
        pins={[{ mm: expected.mm, kind: 'open' }]}
        spread={{ fromMm, toMm }}
        title={`Expected ${words}`}
        usualWidth={86}
      />
      <span className="block text-right text-[14px] leading-[16px] text-mute" aria-hidden>
        <Worded text={words} />
      </span>
    </span>
  )
}
