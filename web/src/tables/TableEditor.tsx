import { isMeasureId, type MeasureId, newestTables, sizeFor, whoMoves, type SizeTable } from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { useAddSizeTableMutation, useDayQuery, useSizeTablesQuery } from '../api/queries'
import { valueStyle } from '../state/settings'
import { PlaceFrame } from '../frame/Strip'
import { useAppSelector } from '../state/store'
import { useKeptDraft } from '../state/use-kept-draft'
import { useShop } from '../state/use-shop'
import { useToday } from '../state/use-today'
import { Unrolling } from '../ui/State'
import { problemWords } from '../words/problems'
import { isWeight } from '../words/misses'
import { measureName } from '../words/stages'
import { BandTape } from './BandTape'
import { cellText, draftOf, freshDraft, inUnit, isTableDraft, judgeDraft, stepMm, tableId, type TableDraft } from './table-draft'
import { TableCells } from './TableCells'
import { TableFacts } from './TableFacts'
import { Problem } from '../ui/controls/Problem'

/** A size table being changed or begun: bands on tapes, cells, the shop's dogs as pins, and who would change size. */
export function TableEditor() {
  const { tableId: id = '' } = useParams()
  const { data: tables } = useSizeTablesQuery(undefined)
  const unit = useAppSelector((state) => state.settings.unit)
  if (!tables) return <Unrolling />
  const known = newestTables(tables).find((table) => table.id === id)
  return (
    <PlaceFrame name="Sizes" detail={known ? `${known.maker}, version ${known.version}` : 'A new table'}>
      <Editor key={known ? known.id : 'new'} before={known ?? null} first={known ? draftOf(known, known.version + 1) : freshDraft(unit)} tables={tables} />
    </PlaceFrame>
  )
}

function Editor({ before: known, first, tables }: { before: SizeTable | null; first: TableDraft; tables: readonly SizeTable[] }) {
  // The version it began from: what is published, here or elsewhere, takes nothing typed away.
  const [before] = useState(known)
  const [draft, setDraft, forget, found] = useKeptDraft(`table-${known ? `${known.id}-${known.version}` : 'new'}`, first, isTableDraft)
  // What is wrong is said once somebody tried to publish; until then half a table is just half a table.
  const [tried, setTried] = useState(false)
  const [refused, setRefused] = useState<string | null>(null)
  const [addSizeTable] = useAddSizeTableMutation()
  const navigate = useNavigate()
  const shop = useShop()
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle({ ...settings, unit: draft.unit }), unit: draft.unit }
  const { data: day } = useDayQuery(useToday())
  const dogs = useMemo(
    () =>
      (day?.rows ?? [])
        .flatMap((row) => (row.dog ? [{ id: row.dog.id, name: row.dog.name, body: row.body }] : []))
        .filter((dog, i, all) => all.findIndex((each) => each.id === dog.id) === i),
    [day],
  )
  const judged = useMemo(
    () =>
      judgeDraft({
        ...draft,
        id:
          draft.id ||
          tableId(
            draft,
            tables.map((table) => table.id),
          ),
      }),
    [draft, tables],
  )
  const change = (over: Partial<TableDraft>): void => {
    // A known table keeps its lengths in another unit; in a new one the digits were meant so all along.
    setDraft((now) => (over.unit && before ? inUnit(now, over.unit) : { ...now, ...over }))
    setRefused(null)
  }
  const drag = (measure: string) => (label: string, end: 0 | 1, mm: number) => {
    const key = `measure ${measure}`
    setDraft((now) => ({
      ...now,
      rows: now.rows.map((row, r) => {
        if ((row.label.trim() || `row ${r + 1}`) !== label) return row
        const [from = '', to = ''] = row.cells[key] ?? []
        const text = cellText(mm, now.unit)
        return { ...row, cells: { ...row.cells, [key]: end === 0 ? [text, to] : [from, text] } }
      }),
    }))
  }
  const publish = async (): Promise<void> => {
    setTried(true)
    if (!judged.table) {
      setRefused(`Not published: ${judged.problems.length === 1 ? 'one thing is' : `${judged.problems.length} things are`} to put right. What you typed stays.`)
      return
    }
    const answer = await addSizeTable(judged.table)
    if (answer.error) setRefused(`Not published. ${problemWords(answer.error)} What you typed stays.`)
    else {
      forget()
      await navigate(`/sizes?table=${judged.table.id}`)
    }
  }
  const problems = tried ? judged.problems : judged.problems.filter((each) => each.at.startsWith('row ') && !each.at.endsWith('label') && !each.half)
  const sized = useMemo(() => ({ family: draft.family, between: draft.between || null, sizes: judged.sizes }), [draft.family, draft.between, judged.sizes])
  const measuresShown = draft.columns
    .filter((column) => column.kind === 'measure')
    .map((column) => column.id)
    // A weight is no length: its cells say it, no tape does.
    .filter((id): id is MeasureId => isMeasureId(id) && !isWeight(id))
  return (
    <div className="quiet-scroll min-h-0 flex-1 lg:grid lg:grid-cols-[1fr_300px] lg:overflow-hidden" tabIndex={-1}>
      <section aria-label="Table" className="quiet-scroll min-h-0 space-y-4 bg-panel px-5 py-4">
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <h1 className="text-[26px] leading-[34px]">{before ? `${before.maker}: the next version` : 'A new size table'}</h1>
          <Link to={`/sizes${before ? `?table=${before.id}` : ''}`} onClick={forget} className="inline-flex min-h-11 items-center font-bold underline">
            Leave it as it was
          </Link>
        </div>
        {before && <p className="-mt-3 text-mute">Tickets keep the version they were judged by; this one becomes version {draft.version}.</p>}
        {found && (
          <p className="-mt-3 flex flex-wrap items-center gap-x-4">
            As you left it, not published yet.
            <button type="button" onClick={forget} className="min-h-11 font-bold underline">
              Begin anew
            </button>
          </p>
        )}
        {measuresShown.map((measure) => (
          <section key={measure} aria-label={`${measureName(measure)} on the tape`}>
            <h2 className="text-[18px] leading-6">{measureName(measure)}</h2>
            <BandTape
              measure={measure}
              sizes={judged.sizes}
              dogs={dogs.flatMap((dog) => (dog.body[measure]?.mm != null ? [{ name: dog.name, mm: dog.body[measure].mm }] : []))}
              look={look}
              stepMm={stepMm(draft.unit, shop)}
              onDrag={drag(measure)}
            />
          </section>
        ))}
        <TableCells draft={draft} problems={problems} onChange={change} />
        {draft.unjudged.length > 0 && (
          <p className="text-mute">
            Kept by name, judging nothing: {draft.unjudged.map((title) => `“${title}”`).join(', ')}. Give it a column of its own once the maker says which path
            it is.
          </p>
        )}
        <div className="border-t-2 border-ink pt-3">
          <TableFacts draft={draft} problems={problems} onChange={change} />
        </div>
      </section>
      <aside aria-label="Dogs" className="flex min-h-0 flex-col border-ink bg-panel max-lg:border-t-2 lg:border-l-2">
        <Moves before={before ?? sized} after={sized} dogs={dogs} fresh={before === null} />
        <div className="shrink-0 border-t-2 border-ink p-3">
          <Problem className="mb-2">{refused}</Problem>
          <button
            type="button"
            onClick={() => void publish()}
            className="min-h-14 w-full rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink"
          >
            Publish table
          </button>
        </div>
      </aside>
    </div>
  )
}

type Sized = Pick<SizeTable, 'family' | 'between' | 'sizes'>

/** Who would change size, and where everybody stands. */
function Moves({
  before,
  after,
  dogs,
  fresh,
}: {
  before: Sized
  after: Sized
  dogs: readonly { id: string; name: string; body: Record<string, { mm: number; sigmaMm: number | null }> }[]
  fresh: boolean
}) {
  // Only what the table says now counts, not where the pointer is.
  const moves = useMemo(() => (fresh ? [] : whoMoves(before, after, dogs)), [fresh, before, after, dogs])
  const standing = useMemo(() => dogs.map((dog) => ({ dog, size: sizeFor(after, dog.body) })).filter(({ size }) => size !== null), [after, dogs])
  const say = (size: string | null): string => size ?? 'none near'
  return (
    <div className="quiet-scroll min-h-0 flex-1 px-4 py-3">
      <h2 className="text-[19px] leading-6">Who changes size</h2>
      {moves.length === 0 ? (
        <p className="mt-1 text-mute">{fresh ? 'A new table moves nobody.' : 'Nobody, so far. Drag an end and see.'}</p>
      ) : (
        <ul>
          {moves.map(({ dog, from, to }) => (
            <li key={dog.id} className="border-b border-rule py-1.5">
              <b>{dog.name}</b>: {say(from)} to <b>{say(to)}</b>
            </li>
          ))}
        </ul>
      )}
      <h2 className="mt-4 text-[19px] leading-6">Where they stand</h2>
      {standing.length === 0 ? (
        <p className="mt-1 text-mute">
          {after.sizes.some(({ bands }) => Object.keys(bands).length > 0)
            ? 'No dog with an open ticket has a tape this table sizes by.'
            : 'Type a size and the measure it goes by: then it says who stands where.'}
        </p>
      ) : (
        <ul>
          {standing.map(({ dog, size }) => (
            <li key={dog.id} className="flex justify-between gap-3 border-b border-rule py-1.5">
              {dog.name} <b>{size}</b>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
