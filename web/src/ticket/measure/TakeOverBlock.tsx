import type { Reading } from '@merry-tailor/core'
import { useState } from 'react'
import { useActs, useBench, useTakeOver } from '../../bench'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { longDay } from '../../state/today'
import { useOnce } from '../../state/use-once'
import { amountText } from '../../ui/length/amount-text'
import { Worded } from '../../ui/length/Worded'
import { lowerFirst } from '../../words/first-letter'
import { measureName } from '../../words/stages'
import { problemWords } from '../../words/problems'

const DONE = 'take-over'

/** A reading of before as it goes on this ticket: its own day and hand, and a word that it was taken over. */
const takenOver = ({ id: _, struck: __, on: ___, ...reading }: Reading, day: string): Omit<Reading, 'id'> => ({
  ...reading,
  remark: [`Taken over from ${longDay(day)}`, reading.remark].filter(Boolean).join('. ').slice(0, 200),
})

/** The tapes of last time that are still in date: one is laid on again, and where it reads the same the rest can be taken over. */
export function TakeOverBlock() {
  const over = useTakeOver()
  const acts = useActs()
  const once = useOnce()
  const [bench, change] = useBench()
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const [refused, setRefused] = useState<string | null>(null)
  if (!over || bench.done.includes(DONE)) return null
  const { check, tapes, on, by, readings } = over
  const many = tapes.length === 1 ? 'one tape' : `${tapes.length} tapes`
  const from = `${longDay(on)}${by ? `, ${by}` : ''}`
  const leave = (): void => change({ done: [...bench.done, DONE] })
  const take = async (): Promise<boolean> => {
    for (const reading of readings) {
      const { error } = await acts.read(takenOver(reading, on))
      if (error) {
        setRefused(`Not all of it was taken over. ${problemWords(error)}`)
        return false
      }
    }
    leave()
    return true
  }
  const key = 'min-h-11 shrink-0 rounded-[2px] border-2 border-ink bg-panel px-3 font-semibold hover:bg-bench'
  return (
    <section
      aria-label="Tapes of last time"
      className="flex shrink-0 flex-wrap items-center gap-x-2 gap-y-1 border-b-2 border-ink bg-panel px-4 py-1 text-[15px] leading-[18px]"
    >
      <p className="min-w-0 flex-1 basis-[220px]">
        {check.state === 'wanted' ? (
          <>
            <b>
              {many} of {from}
            </b>{' '}
            {tapes.length === 1 ? 'is' : 'are'} still in date. Take any one again: if it reads the same, the rest can be taken over.
          </>
        ) : check.state === 'holds' ? (
          <>
            <b>
              {measureName(check.tape)} reads as on {longDay(on)}.
            </b>{' '}
            {many} of that day can stand for today’s.
          </>
        ) : (
          <>
            <b>
              <Worded
                text={`${measureName(check.tape)} read ${amountText(check.tape, check.thenMm, look, true)} on ${longDay(on)}, now ${amountText(check.tape, check.mm, look, true)}.`}
              />
            </b>{' '}
            Take {tapes.length === 1 ? lowerFirst(measureName(tapes[0] ?? '')) : 'them all'} anew.
          </>
        )}
        {refused && (
          <b role="alert" className="block text-snag">
            {refused}
          </b>
        )}
      </p>
      {check.state === 'holds' && (
        <button type="button" className={key} onClick={() => void once(take)}>
          Take over {many}
        </button>
      )}
      <button type="button" className={key} onClick={leave}>
        Take all anew
      </button>
    </section>
  )
}
