import { isMeasureId, measures } from '@merry-tailor/core'
import { pathsOf } from '@merry-tailor/core/formats'
import { longDay, today } from '../../state/today'
import { isOpen, useTapes, useOpenTicket, useBenchForm } from '../../bench'
import { PathDrawing } from '../../ui/plates/PathDrawing'
import { PaperRoom } from '../../frame/PaperRoom'
import { useShop } from '../../state/use-shop'
import { askBackText } from './ask-back-text'
import { CopyText } from './CopyText'

/** The page that goes back to whoever sent letters: what came, and the drawn path of each measure wanted. */
export function AskBack() {
  const { sheet, name } = useOpenTicket()
  const { rows } = useTapes()
  const { form } = useBenchForm()
  const open = sheet.asWritten.filter((written) => isOpen(written, sheet.readings))
  const missing = rows.filter((row) => !row.agreed && row.tape.need === 'must').map((row) => row.tape.measure)
  // Every path their word may mean is drawn, whatever somebody guessed: the drawing is to be chosen, not confirmed.
  const likely = open.flatMap((written) => [...pathsOf(written.letters), ...(written.wanted ? [written.wanted] : [])]).filter(isMeasureId)
  const wanted = [...new Set([...likely, ...missing])]
  const once = rows.filter((row) => row.agreed?.state === 'once')
  const shop = useShop()
  return (
    <PaperRoom title={`Ask-back page, ${name}`} back={`/tickets/${sheet.ticket.id}/letters`}>
      <CopyText
        text={() =>
          askBackText({
            name,
            number: sheet.ticket.number,
            shop: shop.name,
            greeting: shop.greeting,
            open,
            wanted,
            once: once.map((row) => ({ measure: row.tape.measure, sent: row.readings.findLast((reading) => !reading.struck)?.asTyped ?? '' })),
          })
        }
      />
      <header className="mb-3 border-b-2 border-black pb-2">
        <h2 className="text-[22px] leading-7">About {name}’s measures</h2>
        <p>
          Ticket {sheet.ticket.number || 'new'}, {longDay(today())}. {sheet.owner ? `To ${sheet.owner.name}.` : ''}
        </p>
      </header>
      {open.length > 0 && (
        <>
          <p className="mb-2">
            Thank you for these numbers. The same word means different paths from one maker to the next, so we don’t order by them yet. Please say beside each
            which of the numbered drawings below it follows, or measure again as drawn.
          </p>
          <table className="mb-4">
            <thead>
              <tr>
                <th>You wrote</th>
                <th>Number</th>
                <th>It follows drawing number</th>
                <th>None of them: from where to where?</th>
              </tr>
            </thead>
            <tbody>
              {open.map((written) => (
                <tr key={written.id}>
                  <td>“{written.letters}”</td>
                  <td>{written.asWritten}</td>
                  <td className="write" />
                  <td className="write" />
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <table>
        <thead>
          <tr>
            <th className="w-[216px]">Drawing</th>
            <th>What we need</th>
            <th>1st</th>
            <th>2nd</th>
          </tr>
        </thead>
        <tbody>
          {wanted.map((id, i) => (
            <tr key={id}>
              <td>
                <PathDrawing measure={id} form={form} width={200} height={116} />
              </td>
              <td>
                <b>
                  {i + 1}. {measures[id]?.name}
                </b>
                <br />
                {measures[id]?.path}.
                <br />
                {measures[id]?.howTo.stand} {measures[id]?.howTo.howTight}
                <br />
                Usual slip: {measures[id]?.howTo.usualSlip}
                {measures[id]?.doubling && (
                  <>
                    <br />□ one side □ whole
                  </>
                )}
              </td>
              <td className="write" />
              <td className="write" />
            </tr>
          ))}
        </tbody>
      </table>
      {wanted.length === 0 && (
        <p>
          {rows.length > 0
            ? `Nothing to ask: all ${rows.length} tapes are here${once.length > 0 ? '; those below were read once' : ''}.`
            : 'Nothing is asked yet: what is made decides which tapes. Choose an item under Ask.'}
        </p>
      )}
      {once.length > 0 && (
        <>
          <p className="mt-3 mb-2">Each of these came once. Please measure each once more, without looking at the first:</p>
          <table className="mb-2">
            <thead>
              <tr>
                <th>Measure</th>
                <th>You sent</th>
                <th>Again</th>
              </tr>
            </thead>
            <tbody>
              {once.map((row) => (
                <tr key={row.key}>
                  <td>
                    <b>{measures[row.tape.measure]?.name}</b>, {measures[row.tape.measure]?.path}
                  </td>
                  <td>{row.readings.findLast((reading) => !reading.struck)?.asTyped}</td>
                  <td className="write" />
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <p className="mt-3">Please write each number with its unit, inches or centimetres, and whether it is one side or the whole ring.</p>
    </PaperRoom>
  )
}
