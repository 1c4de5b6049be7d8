import { measures } from '@merry-tailor/core'
import { longDay, today } from '../state/today'
import { PaperRoom } from '../frame/PaperRoom'
import { PathDrawing } from '../ui/plates/PathDrawing'
import { tapeName } from '../words/measuring'
import { useYard } from './use-yard'

/** The yard sheet of a round: dogs down, tapes across, two boxes each, the paths drawn on top. */
export function YardSheet() {
  const { line, tapes, search } = useYard()
  return (
    <div className="flex h-dvh flex-col print:block print:h-auto">
      <PaperRoom title="Yard sheet" back={`/round?${search}`}>
        <header className="mb-3 flex items-end justify-between border-b-2 border-black pb-2">
          <h2 className="text-[22px] leading-7">Yard sheet, {longDay(today())}</h2>
          <p>Measured by ____________ held by ____________ unit ______</p>
        </header>
        <div className="keep mb-3 flex flex-wrap gap-3">
          {tapes.slice(0, 6).map((tape) => (
            <figure key={tape.key} className="w-[170px] border border-black p-1">
              <PathDrawing measure={tape.measure} place={tape.place} width={158} height={92} />
              <figcaption className="text-[13px] leading-4">
                <b>{tapeName(tape.measure, tape.place)}</b>: {measures[tape.measure]?.path}
                {measures[tape.measure]?.doubling ? ' □ one side □ whole' : ''}
              </figcaption>
            </figure>
          ))}
        </div>
        <table>
          <thead>
            <tr>
              <th>Dog</th>
              {tapes.map((tape) => (
                <th key={tape.key} colSpan={2}>
                  {tapeName(tape.measure, tape.place)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {line.map(({ dog }, i) => (
              <tr key={dog.id}>
                <td className="font-bold">
                  {i + 1}. {dog.name}
                </td>
                {tapes.flatMap((tape) => [<td key={`${tape.key}1`} className="write" />, <td key={`${tape.key}2`} className="write" />])}
              </tr>
            ))}
          </tbody>
        </table>
        {line.length === 0 && <p>No dog in the line yet. Choose them on the round’s plan.</p>}
      </PaperRoom>
    </div>
  )
}
