import { measures } from '@merry-tailor/core'
import { longDay, today } from '../../state/today'
import { useAppSelector } from '../../state/store'
import { dogLine } from '../../words/dogs'
import { METHODS, PLACES } from '../../words/measuring'
import { familyName } from '../../words/stages'
import { useTapes, type TapeRow, useOpenTicket, useBenchForm } from '../../bench'
import { PathDrawing } from '../../ui/plates/PathDrawing'
import { PaperRoom } from '../../frame/PaperRoom'

const METHOD_BOXES = ['tape', 'string', 'loop', 'garment'] as const

/** The measuring form of this wish list: a drawn path, the name, the path in words, three readings and the method. */
export function MeasuringSheet() {
  const { sheet, name } = useOpenTicket()
  const { rows } = useTapes()
  const { unit } = useAppSelector((state) => state.settings)
  const items = [...new Set(sheet.items.filter((item) => !item.removed).map((item) => familyName(item.family)))].join(', ')
  return (
    <PaperRoom title={`Measuring form, ${name}`} back={`/tickets/${sheet.ticket.id}/measure`}>
      <header className="mb-3 flex items-end justify-between gap-6 border-b-2 border-black pb-2">
        <div>
          <h2 className="text-[22px] leading-7">{name}</h2>
          <p>
            {sheet.dog ? dogLine(sheet.dog, today(), unit) : 'No dog record yet'}
            {items ? `. For: ${items}.` : '. The whole body sheet.'}
          </p>
        </div>
        <p className="text-right">
          Ticket {sheet.ticket.number || 'new'}, printed {longDay(today())}
          <br />
          Measured by ____________ held by ____________
        </p>
      </header>
      <p className="mb-2">
        Square stand, four feet under the body, head up. Feel the bones first. Write each number down at once, with its unit; empty boxes are{' '}
        {unit === 'in' ? 'inches, in eighths' : 'centimetres, in halves'} unless you say otherwise. Coat: dry / wet / clipped / winter. Stop when the dog has
        had enough.
      </p>
      <table>
        <thead>
          <tr>
            <th className="w-[164px] max-phone:hidden">Path</th>
            <th>Measure</th>
            <th>1st</th>
            <th>2nd</th>
            <th>3rd</th>
            <th className="w-[104px] max-phone:hidden">Method</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <FormRow key={row.key} row={row} number={i + 1} />
          ))}
        </tbody>
      </table>
      <p className="mt-3">Lumps, scars, stitches, pregnancy, a missing limb: ______________________________________________________________</p>
      <svg width="2in" height="26" className="mt-3 block" aria-hidden>
        <path d="M1 4V14H191V4M96 8V14" fill="none" stroke="#000" strokeWidth={1.2} />
      </svg>
      <p className="text-[13px]">This line is 2 in. A number is only as good as its path: if unsure, write “not sure” beside it.</p>
    </PaperRoom>
  )
}

function FormRow({ row, number }: { row: TapeRow; number: number }) {
  const measure = measures[row.tape.measure]
  const { form } = useBenchForm()
  return (
    <tr>
      <td className="max-phone:hidden">
        <PathDrawing measure={row.tape.measure} place={row.tape.place} form={form} />
      </td>
      <td>
        <b>
          {number}. {measure?.name}
          {row.tape.place ? `, ${PLACES[row.tape.place]}` : ''}
        </b>{' '}
        <span className="text-[13px]">{row.tape.measure}</span>
        <br />
        {measure?.path}.
        {measure?.doubling && (
          <>
            <br />□ one side □ whole
          </>
        )}
        {['M10', 'M12'].includes(row.tape.measure) && (
          <>
            <br />□ one straight tape through one chalk mark
          </>
        )}
        {measure?.sided && !measure.doubling && (
          <>
            <br />□ left □ right
          </>
        )}
        <br />
        <span className="text-[13px]">{measure?.howTo.howTight}</span>
      </td>
      <td className="write" />
      <td className="write" />
      <td className="write" />
      <td className="text-[13px] leading-[17px] max-phone:hidden">
        {METHOD_BOXES.map((method) => (
          <span key={method} className="block">
            □ {METHODS[method].toLowerCase().replace('by a garment that fits', 'by a garment').replace('one-person ', '').replace(' and ruler', '')}
          </span>
        ))}
      </td>
    </tr>
  )
}
