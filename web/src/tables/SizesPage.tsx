import { newestTables, families, type SizeTable, measuresOfTable } from '@merry-tailor/core'
import { sizeTableFromCsv, sizeTableFromJson, sizeTableToCsv, sizeTableToJson, type DocumentProblem } from '@merry-tailor/core/formats'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useAddSizeTableMutation, useSizeTablesQuery } from '../api/queries'
import { valueStyle } from '../state/settings'
import { PlaceFrame } from '../frame/Strip'
import { useAppSelector } from '../state/store'
import { longDay, today } from '../state/today'
import { useOnce } from '../state/use-once'
import { MakerSays } from '../sizes/MakerSays'
import { SizeTape } from '../sizes/SizeTape'
import { Button } from '../ui/controls/Button'
import { FileButton } from '../ui/controls/FileButton'
import { SaveText } from '../ui/controls/SaveText'
import { Empty, Snag, Unrolling } from '../ui/State'
import { lengthText } from '../ui/length/length-text'
import { Worded } from '../ui/length/Worded'
import { problemWords } from '../words/problems'
import { familyName, measureName, wayName } from '../words/stages'
import { Problem } from '../ui/controls/Problem'

/** As the handbook lists them: harnesses, then coats, boots and crates. */
const ORDER = Object.keys(families)

const PRINTED: Readonly<Record<SizeTable['unit'], string>> = { in: 'inches', cm: 'centimetres', mm: 'millimetres' }

/** Size tables: look at them, bring them in, take them out. */
export function SizesPage() {
  const { data: tables, error } = useSizeTablesQuery(undefined)
  const newest = newestTables(tables ?? []).sort((a, b) => ORDER.indexOf(a.family) - ORDER.indexOf(b.family) || a.maker.localeCompare(b.maker))
  const [search, setSearch] = useSearchParams()
  const picked = search.get('table')
  const setPicked = (id: string): void => setSearch({ table: id }, { replace: true })
  const table = newest.find((each) => each.id === picked) ?? newest[0]
  return (
    <PlaceFrame name="Sizes" detail={`${newest.length} size tables`}>
      <div className="quiet-scroll min-h-0 flex-1 md:grid md:grid-cols-[316px_1fr] md:overflow-hidden" tabIndex={-1}>
        <section aria-label="Tables" className="flex min-h-0 flex-col bg-panel md:border-r-2 md:border-ink">
          <ul className="quiet-scroll min-h-0 flex-1">
            {newest.map((each) => (
              <li key={each.id} className="border-b border-rule">
                <button
                  type="button"
                  aria-pressed={each === table}
                  onClick={() => setPicked(each.id)}
                  className={`block min-h-[62px] w-full border-l-[5px] px-3 py-2 text-left ${each === table ? 'border-ink bg-bench' : 'border-transparent'}`}
                >
                  <span className="block text-[17px] leading-[21px] font-bold">{each.maker}</span>
                  {each.retired && <span className="block text-[14px] font-semibold">no longer offered</span>}
                  <span className="block text-[14px] text-mute">
                    {familyName(each.family)}, {wayName(each.way).toLowerCase()}
                    {each.school ? `, school ${each.school}` : ''}
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <BringIn onKept={setPicked} />
        </section>
        <section aria-label="Table" className="quiet-scroll min-h-0 bg-bench max-md:border-t-2 max-md:border-ink">
          {error ? (
            <div className="p-4">
              <Snag title="The tables can’t be read.">{problemWords(error)}</Snag>
            </div>
          ) : !tables ? (
            <Unrolling />
          ) : table ? (
            <TableView table={table} versions={tables.filter((each) => each.id === table.id).length} />
          ) : (
            <Empty
              action={
                <span className="flex flex-wrap gap-3">
                  <Link className="inline-flex min-h-11 items-center border-2 border-ink bg-tape px-4 font-bold text-tape-ink" to="/sizes/paste">
                    Paste a maker’s table
                  </Link>
                  <Link className="inline-flex min-h-11 items-center border-2 border-ink bg-panel px-4 font-bold" to="/sizes/new">
                    Type the sizes off the labels
                  </Link>
                </span>
              }
            >
              No size table yet. Copy the cells of a maker’s table, from its page or its sheet, and paste them here; or type the sizes off the labels of your
              harnesses, with the ring laid flat. A file comes in above.
            </Empty>
          )}
        </section>
      </div>
    </PlaceFrame>
  )
}

function TableView({ table, versions }: { table: SizeTable; versions: number }) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const ids = measuresOfTable(table)
  return (
    <div>
      <header className="flex flex-wrap items-start justify-between gap-3 border-b-2 border-ink px-5 py-3">
        <div>
          <h1 className="text-[26px] leading-[34px]">{table.maker}</h1>
          <p className="text-mute">
            {table.name}. {familyName(table.family)}, {wayName(table.way).toLowerCase()}
            {table.school ? `, school ${table.school}` : ''}. Kept in {PRINTED[table.unit]}, version {table.version}
            {versions > 1 ? ` of ${versions}` : ''}. Between sizes:{' '}
            {table.between ? `${table.between}, the maker says` : 'the maker says nothing, so the family’s rule'}.
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <Link
            to={`/sizes/${table.id}/edit`}
            className="inline-flex min-h-11 items-center rounded-[2px] border-2 border-ink bg-panel px-4 font-bold hover:bg-bench"
          >
            Change it
          </Link>
          <PutAway table={table} />
          <SaveText name={`${table.id}-v${table.version}.csv`} type="text/csv" text={() => sizeTableToCsv(table)}>
            CSV
          </SaveText>
          <SaveText name={`${table.id}-v${table.version}.json`} type="application/json" text={() => sizeTableToJson(table)}>
            JSON
          </SaveText>
        </div>
      </header>
      <div className="space-y-5 bg-panel px-5 py-4">
        {ids.map((id) => (
          <div key={id}>
            <h2 className="text-[18px] leading-6">{measureName(id)}</h2>
            <SizeTape table={table} measure={id} hit={null} body={{}} look={look} />
          </div>
        ))}
        <MakerSays table={table} size={undefined} weightKg={null} look={look} />
        {table.unjudged && <p className="text-mute">Kept by name, judging nothing: {table.unjudged.map((title) => `“${title}”`).join(', ')}.</p>}
        <table className="w-full border-collapse">
          <thead>
            <tr className="text-[14px] text-mute">
              <th scope="col" className="text-left">
                Size
              </th>
              {ids.map((id) => (
                <th key={id} scope="col" className="text-right">
                  {measureName(id)}, {look.unit}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.sizes.map((size) => (
              <tr key={size.label} className="h-11 border-t border-rule">
                <th scope="row" className="text-left text-[16px]">
                  {size.label}
                </th>
                {ids.map((id) => {
                  const band = size.bands[id]
                  return (
                    <td key={id} className="text-right">
                      {band ? <Worded text={`${lengthText(band[0], look)} to ${lengthText(band[1], look)}`} /> : 'not sized by'}
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}

/** Takes a table from the offer, or back into it, as a version of its own: what was judged by it stays so. */
function PutAway({ table: { retired, ...table } }: { table: SizeTable }) {
  const [addSizeTable] = useAddSizeTableMutation()
  const [refused, setRefused] = useState<string | null>(null)
  const once = useOnce()
  const put = (): void =>
    void once(async () => {
      const { error } = await addSizeTable({ ...table, version: table.version + 1, ...(retired ? {} : { retired: today() }) })
      setRefused(error ? problemWords(error) : null)
    })
  return (
    <>
      {retired && <p className="w-full font-semibold">No longer offered since {longDay(retired)}. Tickets keep the version they were judged by.</p>}
      <Button tone="quiet" onClick={put}>
        {retired ? 'Offer it again' : 'No longer offered'}
      </Button>
      {refused !== null && <Problem className="w-full">Not saved. {refused}</Problem>}
    </>
  )
}

function BringIn({ onKept }: { onKept: (id: string) => void }) {
  const [addSizeTable] = useAddSizeTableMutation()
  const [problems, setProblems] = useState<DocumentProblem[]>([])
  const [done, setDone] = useState('')
  const read = async (file: File): Promise<void> => {
    setDone('')
    const text = await file.text()
    const result = /\.json$/i.test(file.name) || text.trimStart().startsWith('{') ? sizeTableFromJson(text) : sizeTableFromCsv(text)
    if (!result.ok) {
      setProblems(result.problems)
      return
    }
    const answer = await addSizeTable(result.value)
    setProblems(answer.error ? [{ at: file.name, message: problemWords(answer.error) }] : [])
    if (!answer.error) {
      setDone(`${result.value.maker}, ${result.value.name}: kept.`)
      onKept(result.value.id)
    }
  }
  return (
    <div className="shrink-0 border-t-2 border-ink p-3">
      {problems.length > 0 && (
        <div className="mb-2">
          <Snag title="Nothing was brought in.">
            <ul className="max-h-40 overflow-y-auto">
              {problems.slice(0, 12).map((problem) => (
                <li key={`${problem.at}${problem.message}`}>
                  <b>{problem.at}:</b> {problem.message}
                </li>
              ))}
            </ul>
          </Snag>
        </div>
      )}
      <p aria-live="polite" className="mb-1 text-mute">
        {done}
      </p>
      <div className="mb-2 flex gap-2">
        <Link
          to="/sizes/new"
          className="inline-flex min-h-11 flex-1 items-center justify-center rounded-[2px] border-2 border-ink bg-panel px-2 text-[15px] font-bold hover:bg-bench"
        >
          New table
        </Link>
        <Link
          to="/sizes/paste"
          className="inline-flex min-h-11 flex-1 items-center justify-center rounded-[2px] border-2 border-ink bg-panel px-2 text-[15px] font-bold hover:bg-bench"
        >
          Paste cells
        </Link>
      </div>
      <FileButton
        label="Size table file"
        accept=".csv,.json,text/csv,application/json"
        tone="primary"
        className="min-h-14 w-full text-[18px]"
        onFile={(file) => void read(file)}
      >
        Bring in a table
      </FileButton>
    </div>
  )
}
