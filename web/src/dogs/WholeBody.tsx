import { measures, stationOrder, type Form } from '@merry-tailor/core'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { RowNumber } from '../length-entry'
import { Worded } from '../ui/length/Worded'
import { rangeWords } from '../words/expected'

/** Every measure of the body sheet: read on this dog, or expected from what was read and from dogs of its kind. */
export function WholeBody({ form, name, dogId }: { form: Form; name: string; dogId: string }) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const ids = Object.keys(form.measures).sort(stationOrder)
  const taken = ids.filter((id) => form.measures[id]?.taken).length
  const link = 'inline-flex min-h-11 min-w-11 items-center font-bold underline'
  return (
    <section aria-label="The whole body">
      <h2 className="border-y-2 border-ink bg-panel px-4 py-2 text-[19px] leading-6">The whole body</h2>
      <p className="px-4 pt-2 text-mute">
        {taken === 0
          ? `No tape yet: what dogs of ${name}’s kind measure, as far as the breed tells.`
          : `${taken} read; the rest is what the form expects, four times in five between the two numbers. To order by, take the tape.`}
      </p>
      <ul className="grid gap-x-6 px-4 py-2 md:grid-cols-2">
        {ids.map((id) => {
          const measure = form.measures[id]
          return measure ? (
            <li key={id} className="flex min-h-9 items-center justify-between gap-3 border-b border-rule">
              <span className={measure.taken ? 'font-bold' : ''}>{measures[id]?.name}</span>
              {measure.taken ? (
                <span className="font-bold whitespace-nowrap">
                  <RowNumber measure={id} mm={measure.readMm ?? measure.mm} />
                </span>
              ) : (
                <span className="whitespace-nowrap text-mute">
                  <Worded text={rangeWords(id, measure, look)} />
                </span>
              )}
            </li>
          ) : null
        })}
      </ul>
      <p className="flex flex-wrap gap-x-4 px-4 pb-3">
        <span className="flex min-h-11 items-center">Take the form out:</span>
        <a className={link} href={`/api/dogs/${dogId}/form.json`} download>
          JSON
        </a>
        <a className={link} href={`/api/dogs/${dogId}/form.csv`} download>
          CSV
        </a>
        <a className={link} href={`/api/dogs/${dogId}/side-plate.svg`} download>
          Side plate, true scale
        </a>
      </p>
    </section>
  )
}
