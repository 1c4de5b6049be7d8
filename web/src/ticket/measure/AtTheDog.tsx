import { landmarks, type LandmarkId, type MeasureId, type TicketSheet } from '@merry-tailor/core'
import { useBench, useOpenTicket } from '../../bench'
import { lowerFirst } from '../../words/first-letter'

/** Felt by hand before any tape lies there (handbook 4.1). */
const FIRST_FELT = ['L01', 'L02', 'L03', 'L12'] as const satisfies readonly LandmarkId[]
/** Rings that read large where a thick coat carries the tape. */
const RINGS: readonly MeasureId[] = ['M01', 'M02', 'M07', 'M08', 'M29', 'M46']
export const NOT_SUNK = 'Tape not sunk to the coat’s base'

interface Prompt {
  id: string
  says: string
  done: string
  /** The bone it is about: the plate turns to it. */
  bone?: LandmarkId
  /** The other answer, and the remark it leaves with the readings. */
  not?: { word: string; remark: string }
}

/** What is done at the dog now, in order: before the first reading its preparation, at a ring of a double coat the coat. Source: handbook 4.1 to 4.4. */
export function promptsOf(sheet: Pick<TicketSheet, 'dog' | 'readings'>, measure: string): Prompt[] {
  const before: Prompt[] = [
    { id: 'bare', says: 'Collar, coat and harness off; mats brushed out.', done: 'Off' },
    ...FIRST_FELT.map((bone): Prompt => ({
      id: `bone-${bone}`,
      bone,
      says: `Feel the ${lowerFirst(landmarks[bone].name)}. ${landmarks[bone].feel} ${landmarks[bone].not}`,
      done: 'Felt',
    })),
    { id: 'treat', says: 'Treat straight before the nose. If it sits, curls or leans: walk one round, start over.', done: 'Stands' },
  ]
  const double = sheet.dog?.coat === 'thick-double' || sheet.dog?.coat === 'short-double'
  return [
    ...(sheet.readings.length === 0 ? before : []),
    ...(double && RINGS.some((id) => id === measure)
      ? [
          {
            id: 'sink',
            says: 'Double coat: let the tape sink to its base, or a ring reads 1 to 3 cm (3/8 to 1 1/4 in) large.',
            done: 'It sinks',
            not: { word: 'It does not', remark: NOT_SUNK },
          },
        ]
      : []),
  ]
}

/** What is asked at the dog just now; `undefined` where nothing is. */
export function usePrompt(measure: string): Prompt | undefined {
  const { sheet } = useOpenTicket()
  const [bench] = useBench()
  return promptsOf(sheet, measure).find((each) => !bench.done.includes(each.id))
}

/** One line at a time of what is done at the dog, gone once done. */
export function AtTheDog({ measure }: { measure: string }) {
  const [bench, change] = useBench()
  const prompt = usePrompt(measure)
  if (!prompt) return null
  const answer = (remark = bench.remark): void => change({ done: [...bench.done, prompt.id], remark })
  const key = 'min-h-11 shrink-0 rounded-[2px] border-2 border-ink bg-panel px-3 font-semibold hover:bg-bench'
  return (
    <section aria-label="At the dog" className="flex shrink-0 items-center gap-2 border-b-2 border-ink bg-chalk-bg px-4 py-1 text-[15px] leading-[18px]">
      <p className="min-w-0 flex-1">{prompt.says}</p>
      {prompt.bone && (
        <button type="button" className={key} onClick={() => change({ done: [...bench.done, ...FIRST_FELT.map((bone) => `bone-${bone}`)] })}>
          I know them
        </button>
      )}
      {prompt.not && (
        <button type="button" className={key} onClick={() => answer(prompt.not?.remark)}>
          {prompt.not.word}
        </button>
      )}
      <button type="button" className={key} onClick={() => answer()}>
        {prompt.done}
      </button>
    </section>
  )
}
