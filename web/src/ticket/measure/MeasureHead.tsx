import { landmarks, measures, type Form, type Landmark, type LandmarkId } from '@merry-tailor/core'
import { memo } from 'react'
import { Popover } from 'radix-ui'
import { pawName } from '../../words/measuring'
import { familyName, measureName } from '../../words/stages'
import { FormPlate } from '../../ui/plates/FormPlate'
import { PathDrawing } from '../../ui/plates/PathDrawing'
import { ordinal } from './ReadingsList'
import { lastTimeWords, useBenchForm, useLastTime, type TapeRow } from '../../bench'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { lowerFirst } from '../../words/first-letter'

/** Name of the tape in hand, which reading it is, how to take it, and what else goes by its name. */
export const MeasureHead = memo(function MeasureHead({ row, kept, oneSide }: { row: TapeRow; kept: number; oneSide: boolean }) {
  const measure = measures[row.tape.measure]
  const settings = useAppSelector((state) => state.settings)
  const last = useLastTime(row.key)
  if (!measure) return null
  const rule = measure.rule === 'largest' ? 'Largest counts.' : measure.rule === 'shortest' ? 'On doubt the shorter counts.' : ''
  return (
    <header className="shrink-0 border-b-2 border-ink bg-bench px-5 pt-1 pb-2">
      <div className="flex items-center justify-between gap-3">
        <div className="flex min-w-0 flex-wrap items-baseline gap-x-3">
          <h1 className="text-[26px] leading-[32px]">{measure.name}</h1>
          <p className="text-[15.5px] text-mute">
            {row.tape.place ? `${pawName(row.tape.place)}. ` : ''}
            {oneSide ? 'One side, then doubled. ' : ''}
            {ordinalWord(kept + 1)} reading. {rule}
            {last && <b className="text-ink"> {lastTimeWords(row.tape.measure, last, { ...valueStyle(settings), unit: settings.unit })}.</b>}
          </p>
        </div>
        <AboutMeasure row={row} />
      </div>
      <dl className="mt-0.5 grid grid-cols-3 gap-4 text-[15px] leading-[19px]">
        {(
          [
            ['Stand', measure.howTo.stand],
            ['How tight', measure.howTo.howTight],
            ['Usual slip', measure.howTo.usualSlip],
          ] as const
        ).map(([name, text]) => (
          <div key={name}>
            <dt className="font-bold">{name}</dt>
            <dd className="text-mute">{text}</dd>
          </div>
        ))}
      </dl>
    </header>
  )
})

/** Bones by feel, other definitions, what is refused and what to take instead, and who wants this tape. */
export const AboutMeasure = memo(function AboutMeasure({ row }: { row: TapeRow }) {
  const measure = measures[row.tape.measure]
  const { form } = useBenchForm()
  if (!measure) return null
  const wanted = [...new Set(row.tape.items.map((item) => familyName(item.family)))].join(', ')
  return (
    <Popover.Root>
      <Popover.Trigger className="inline-flex min-h-11 shrink-0 items-center border border-edge bg-panel px-3 text-[15px] font-semibold hover:bg-bench">
        Bones and names
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          aria-label={`About ${measure.name}`}
          className="quiet-scroll z-40 max-h-[var(--radix-popover-content-available-height)] w-[min(540px,94vw)] border-2 border-ink bg-panel p-4 text-ink"
        >
          <h2 className="text-[19px] leading-6">{measure.name}</h2>
          <p className="text-mute">
            {measure.id}, {lowerFirst(measure.path)}. {wanted ? `Wanted for ${wanted}.` : 'No item needs it; the body sheet has it.'}
            {measure.hold === 2 ? ' Best with a helper at the head; alone it is unreliable.' : ''}
            {measure.school ? ` School ${measure.school} only.` : ''}
          </p>
          {measure.landmarks.length > 0 && <h3 className="mt-3 border-t-2 border-ink pt-2 text-[17px] leading-[22px]">By feel</h3>}
          <dl>
            {measure.landmarks.map((id) => (
              <Bone key={id} id={id} form={form} />
            ))}
          </dl>
          {measure.alternates.length > 0 && <h3 className="mt-3 border-t-2 border-ink pt-2 text-[17px] leading-[22px]">What others mean by it</h3>}
          <ul>
            {measure.alternates.map((alternate) => (
              <li key={alternate.said} className="flex gap-3 border-b border-rule py-2 last:border-0">
                <div className="min-w-0 flex-1">
                  <p className="font-bold">{alternate.said}</p>
                  <p>{alternate.differs}</p>
                  {alternate.converts === 'other' && alternate.is && (
                    <p className="font-semibold text-snag">Not made from {measureName(alternate.is).toLowerCase()}. Take this one as drawn.</p>
                  )}
                </div>
                {alternate.converts === 'other' && alternate.is && (
                  <figure className="mat w-[124px] shrink-0 self-start p-1 text-center">
                    <PathDrawing measure={measure.id} place={measure.places[0] ?? null} form={form} width={116} height={72} />
                    <figcaption className="text-[13px] leading-4 font-bold">take this</figcaption>
                  </figure>
                )}
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
})

/** One bone: how it is felt, what it is taken for, and both on this dog's own plate. */
function Bone({ id, form }: { id: LandmarkId; form: Form }) {
  const { name, feel, not, seenFrom }: Landmark = landmarks[id]
  return (
    <div className="mt-1 flex gap-3">
      <div className="min-w-0 flex-1">
        <dt className="font-bold">{name}</dt>
        <dd>
          {feel} {not && <b>{not}</b>}
        </dd>
      </div>
      {seenFrom && (
        <figure className="mat w-[124px] shrink-0 self-start p-1">
          <FormPlate form={form} view={seenFrom} bone={id} width={116} height={72} plain label={`${name} marked yellow; crossed out what it is taken for.`} />
        </figure>
      )}
    </div>
  )
}

const WORDS = ['First', 'Second', 'Third', 'Fourth', 'Fifth'] as const
const ordinalWord = (n: number): string => WORDS[n - 1] ?? ordinal(n)
