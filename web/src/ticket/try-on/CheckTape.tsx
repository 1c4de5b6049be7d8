import type { Check, Foretold, ForetoldCheck, Observation, PullState } from '@merry-tailor/core'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { FingerTape } from '../../ui/tape/FingerTape'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange } from '../../ui/tape/scale'
import { rangeOf } from './expected'
import type { AnswerInHand } from './use-answer'

interface CheckTapeProps {
  check: Check
  state: PullState
  expected: ForetoldCheck | null
  now: Pick<Foretold, 'checks'> | null
  answer: Observation | undefined
  /** In the tag that is open: what passes in fingers, and how strap becomes fingers. */
  hand?: Pick<AnswerInHand, 'passes' | 'under'>
  mini?: boolean
}

/** A check on its tape: what passes, where it was expected, what was seen. `null` where it has no scale. */
export function CheckTape({ check, state, expected, now, answer, hand, mini = false }: CheckTapeProps) {
  const settings = useAppSelector((store) => store.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const spread =
    expected !== null && expected.mm !== null && expected.sigmaMm !== null
      ? ([expected.mm - 1.28 * expected.sigmaMm, expected.mm + 1.28 * expected.sigmaMm] as const)
      : null
  if (check.gauge?.kind === 'flat') {
    if (mini) return null
    const under = hand?.under ?? null
    const inFingers = spread && under ? ([under.fingersOf(spread[0]), under.fingersOf(spread[1])] as const) : null
    const passes = hand?.passes ?? check.gauge.passFingers
    return (
      <FingerTape
        live
        passes={passes}
        spread={inFingers}
        pin={answer?.fingers ?? null}
        title={`${passes[0]} to ${passes[1]} fingers pass${inFingers ? `, ${inFingers[0]} to ${inFingers[1]} are expected` : ''}${answer?.fingers != null ? `, ${answer.fingers} went in` : ''}`}
      />
    )
  }
  const range = rangeOf(check, now, state)
  const seen = answer?.mm ?? null
  if (range === null || (spread === null && seen === null && mini)) return null
  const points = [...range.filter((each) => Math.abs(each) < 500), ...(spread ?? []), ...(seen === null ? [] : [seen])]
  const [fromMm, toMm] = tapeRange(settings.unit, points.length > 0 ? points : [0, 50])
  const bracket = { fromMm: Math.max(fromMm, range[0]), toMm: Math.min(toMm, range[1]) }
  return (
    <Tape
      look={look}
      fromMm={fromMm}
      toMm={toMm}
      height={mini ? 13 : 22}
      live={!mini}
      mini={mini}
      pins={seen === null ? [] : [{ mm: seen, kind: 'ink' }]}
      {...(spread ? { spread: { fromMm: spread[0], toMm: spread[1] } } : {})}
      {...(bracket.toMm > bracket.fromMm && !mini ? { bracket } : {})}
      title={`${check.name}${spread ? ', where it was expected' : ''}${seen === null ? '' : ', and what was seen'}`}
      usualWidth={mini ? 170 : 200}
    />
  )
}
