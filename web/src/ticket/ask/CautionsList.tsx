import { cautionKey, cautionsOf, type Caution } from '@merry-tailor/core'
import { useOpenTicket } from '../../bench'
import { today } from '../../state/today'
import { cautionWords } from '../../words/cautions'
import { CautionBlock } from './CautionBlock'

/** The cautions of the open ticket, in their order. */
export function useCautions(): Caution[] {
  const { sheet } = useOpenTicket()
  return cautionsOf(sheet, today())
}

/** Stops, then what is to confirm, each with its act; notes folded behind one line, since they ask for nothing. */
export function CautionsList({ cautions }: { cautions: readonly Caution[] }) {
  const notes = cautions.filter(({ level }) => level === 'note')
  return (
    <>
      {cautions
        .filter(({ level }) => level !== 'note')
        .map((caution) => (
          <CautionBlock key={cautionKey(caution)} caution={caution} all={cautions} />
        ))}
      {notes.length > 0 && (
        <details className="border-b border-rule">
          <summary className="flex min-h-12 cursor-pointer items-center justify-between gap-3 px-[18px] font-bold">
            <span>
              {notes.length} {notes.length === 1 ? 'note' : 'notes'} for the docket
            </span>
            <span className="font-semibold underline">read all</span>
          </summary>
          <ul>
            {notes.map((note) => {
              const { title, text } = cautionWords(note)
              return (
                <li key={cautionKey(note)} className="border-t border-rule px-[18px] py-2">
                  <b>{title}.</b> {text}
                </li>
              )
            })}
          </ul>
        </details>
      )}
    </>
  )
}
