import {
  betweenRule,
  cautionsFor,
  families,
  formatGap,
  leadOn,
  orderBy,
  type LengthStyle,
  type MeasureFit,
  type RankedSize,
  type SizeTable,
} from '@merry-tailor/core'
import { getMonth } from 'date-fns'
import { Fragment, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useAddChoiceMutation } from '../../api/shop-api'
import { valueStyle } from '../../app/settings'
import { useAppSelector } from '../../app/store'
import { dayWords, today } from '../../app/today'
import { useKeys } from '../../app/use-keys'
import { KeyCap } from '../../ui/controls/KeyCap'
import { TextField } from '../../ui/controls/TextField'
import { Mark } from '../../ui/marks/Mark'
import { VerdictWord } from '../../ui/marks/VerdictWord'
import { Snag } from '../../ui/State'
import { activityName } from '../../words/dogs'
import { adviceWords, betweenWords } from '../../words/sizes'
import { familyName, measureName, wayName } from '../../words/stages'
import { titleWords } from '../../words/titles'
import { verdictWord } from '../../words/verdicts'
import { Worded } from '../../ui/length/Worded'
import { NoItem } from '../NoItem'
import { useOpenTicket } from '../TicketFrame'
import { ItemTabs } from './ItemTabs'
import { overlapWords } from './overlap-words'
import { SizeTape } from './SizeTape'
import { useRanked } from './use-ranked'

/** Choose: every size of every serving table, per measure, in prediction words; the fitter decides. */
export function ChooseStage() {
  const { sheet, name, body } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [itemId, setItemId] = useState(items[0]?.id ?? '')
  const item = items.find((each) => each.id === itemId) ?? items[0]
  const { ranked, choice } = useRanked(item)
  const [picked, setPicked] = useState<{ table: string; label: string } | null>(null)
  const [why, setWhy] = useState('')
  const [whyProblem, setWhyProblem] = useState<string | null>(null)
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const [addChoice, { error: saveError }] = useAddChoiceMutation()
  const navigate = useNavigate()

  const advised = ranked[0]
  const table = ranked.find((each) => each.table.id === (picked?.table ?? choice?.tableId)) ?? advised
  const label = picked?.label ?? (choice && table?.table.id === choice.tableId ? choice.labels[0] : undefined)
  const size = table?.sizes.find((each) => each.label === label) ?? table?.best ?? undefined
  const advisedWords = advised ? adviceWords(advised.advice, advised.table) : ''
  const follows = table !== undefined && size !== undefined && (table.advice.labels[0] === size.label || (table.advice.kind === 'no-tape' && advised === table))
  const labels = follows && table.advice.labels.length > 0 ? table.advice.labels : size ? [size.label] : []
  const overrules = !follows && table !== undefined && table.advice.kind !== 'no-tape'

  const choose = async (): Promise<void> => {
    if (!item || !table || labels.length === 0) return
    if (overrules && why.trim() === '') {
      setWhyProblem('Say why in a few words; it is printed on the docket.')
      return
    }
    const saved = await addChoice({
      ticketId: sheet.ticket.id,
      id: uuid(),
      body: {
        itemId: item.id,
        tableId: table.table.id,
        tableVersion: table.table.version,
        labels,
        overruled: overrules ? { advised: adviceWords(table.advice, table.table).slice(0, 120), why: why.trim() } : null,
        at: new Date().toISOString(),
        by: settings.fitter,
      },
    })
    if (saved.error) return
    const rest = items.find((each) => each.id !== item.id && !sheet.choices.some((made) => made.itemId === each.id))
    if (rest) {
      setItemId(rest.id)
      setPicked(null)
    } else await navigate(`/tickets/${sheet.ticket.id}/try-on`)
  }
  const rows = ranked.flatMap((each) => each.sizes.map((one) => ({ table: each.table.id, label: one.label })))
  const move = (by: number) => () => {
    const at = rows.findIndex((row) => row.table === table?.table.id && row.label === size?.label)
    const next = rows[Math.min(rows.length - 1, Math.max(0, at + by))]
    if (!next) return
    setPicked(next)
    document.getElementById(`size-${next.table}-${next.label}`)?.scrollIntoView({ block: 'nearest' })
  }
  useKeys({ Enter: () => void choose(), ArrowDown: move(1), ArrowUp: move(-1) })

  if (!item) return <NoItem title="Nothing to size yet">Choose an item under Ask, then every size of it shows here.</NoItem>
  const shownSizes = table ? (labels.length === 2 ? labels : [size?.label]).flatMap((one) => table.sizes.filter((each) => each.label === one)) : []
  const known = Object.values(body).filter((each) => each.mm !== null).length
  const stops = cautionsFor({ dog: sheet.dog, activities: sheet.ticket.activities, families: [item.family], on: today() }).filter(
    (caution) => caution.level === 'stop',
  )
  return (
    <div className="min-h-0 flex-1 max-md:overflow-y-auto md:grid md:grid-cols-[316px_1fr]">
      <section aria-label="Sizes" className="order-2 flex min-h-0 flex-col bg-panel md:order-1 md:border-r-2 md:border-ink">
        <ItemTabs
          items={items}
          current={item.id}
          onPick={(id) => {
            setItemId(id)
            setPicked(null)
          }}
        />
        <header className="shrink-0 border-b-2 border-ink px-4 py-2">
          <h2 className="text-[19px] leading-6">{familyName(item.family)}</h2>
          <p className="text-mute">{sheet.ticket.activities.map(activityName).join(', ') || 'What it will do: not asked yet'}</p>
          <p className="-mb-1 flex flex-wrap gap-x-5">
            <Link to={`/tickets/${sheet.ticket.id}/kinds`} className="inline-flex min-h-11 items-center font-bold underline">
              Which kind
            </Link>
            <Link to={`/tickets/${sheet.ticket.id}/hitch`} className="inline-flex min-h-11 items-center font-bold underline">
              The hitch
            </Link>
          </p>
        </header>
        <div className="quiet-scroll min-h-0 flex-1">
          {ranked.length === 0 && (
            <p className="px-4 py-4 text-mute">No size table serves this item in this way. Bring one in under Sizes, or change the way under Ask.</p>
          )}
          {ranked.map((each) => (
            <TableBlock
              key={each.table.id}
              table={each.table}
              sizes={each.sizes}
              neededOn={sheet.ticket.neededOn}
              picked={each === table ? size?.label : undefined}
              chosen={choice?.tableId === each.table.id ? choice.labels : []}
              onPick={(one) => setPicked({ table: each.table.id, label: one })}
            />
          ))}
        </div>
        <div className="shrink-0 border-t-2 border-ink p-3">
          {saveError && (
            <p role="alert" className="mb-2 font-semibold text-snag">
              Not saved. The choice stays here; try again.
            </p>
          )}
          {overrules && (
            <TextField
              label={`The bench would say: ${adviceWords(table.advice, table.table)}. Why otherwise?`}
              value={why}
              maxLength={300}
              problem={whyProblem ?? undefined}
              onChange={(event) => {
                setWhy(event.target.value)
                setWhyProblem(null)
              }}
              className="mb-2"
            />
          )}
          <button
            type="button"
            disabled={labels.length === 0}
            onClick={() => void choose()}
            className="flex min-h-14 w-full items-center justify-between gap-3 rounded-[2px] border-2 border-ink bg-tape px-4 py-1.5 text-left text-tape-ink disabled:bg-tape-rest"
          >
            <ChooseWords labels={labels} follows={follows} table={table?.table} known={known} />
            <KeyCap tone="tape">Enter</KeyCap>
          </button>
        </div>
      </section>
      <section aria-label="How it should fit" className="order-1 flex min-h-0 flex-col md:order-2">
        <header className="shrink-0 border-b-2 border-ink bg-bench px-5 py-2.5">
          {table && size ? (
            <div className="flex flex-wrap items-center gap-x-5">
              <h1 className="text-[28px] leading-[34px]">
                {sizeName(table.table, size.label)} on {name}:
              </h1>
              <p className="max-w-[560px] text-[15px] leading-[19px]">
                <b>{titleWords(size)}</b>{' '}
                <span className="block">
                  <Worded text={becauseWords(size, look)} />
                </span>
              </p>
              <p className="ml-auto text-[13.5px] text-mute">Predicted. Nothing seen on the dog yet.</p>
            </div>
          ) : (
            <h1 className="text-[28px] leading-[34px]">No size to show yet</h1>
          )}
        </header>
        <div className="mat quiet-scroll min-h-0 flex-1 p-4">
          {stops.length > 0 && (
            <div className="mb-4 max-w-[880px]">
              <Snag title={`A stop stands on this ticket (${stops.length}).`}>It binds the work, not the size. Read it under Ask.</Snag>
            </div>
          )}
          {table && size && (
            <div className="grid gap-4 xl:grid-cols-2">
              {shownSizes.map((one, i) => (
                <Fragment key={one.label}>
                  {i > 0 && (
                    <h2 className="flex flex-wrap items-baseline gap-x-4 text-[22px] leading-7 xl:col-span-2">
                      Then {one.label}: <span className="font-text text-[15px]">{titleWords(one)}</span>
                    </h2>
                  )}
                  {one.perMeasure.map((fit) => (
                    <MeasureCard key={fit.measure} fit={fit} size={one} table={table.table} first={i === 0} look={look} />
                  ))}
                </Fragment>
              ))}
              {size.perMeasure.length === 1 && (
                <p className="max-w-[420px] self-center">This maker sizes by one measure alone. It is a first filter; the rest shows on the dog.</p>
              )}
              <article className="border-[1.5px] border-ink bg-panel px-4 py-3 xl:col-span-2">
                <h2 className="text-[18px] leading-[22px]">Between two sizes</h2>
                <p className="mt-1">{betweenWords(betweenRule(table.table), table.table.maker)}</p>
                {advised && advised !== table && (
                  <p className="mt-2 text-mute">
                    Nearest over all makers: {advised.table.maker}, {advisedWords.toLowerCase().replace(/^try (.)/, (_, c: string) => `try ${c.toUpperCase()}`)}
                    .
                  </p>
                )}
                {table.table.way !== 'made' && families[item.family].shelf === 'pulling' && (
                  <p className="mt-2">Slack says nothing about a pulling harness: end mid-back and bunched is the normal look. Judge it pulled back by hand.</p>
                )}
              </article>
            </div>
          )}
          {table && known === 0 && (
            <p className="mt-4 font-bold">
              No tape yet. Take one under Measure, or start with two sizes on the rack under{' '}
              <Link className="underline" to={`/tickets/${sheet.ticket.id}/try-on`}>
                Try on
              </Link>
              .
            </p>
          )}
        </div>
      </section>
    </div>
  )
}

/** One measure of one size: where the dog's spread lies on the tape, by how much it misses. */
function MeasureCard({
  fit,
  size,
  table,
  first,
  look,
}: {
  fit: MeasureFit
  size: RankedSize
  table: SizeTable
  first: boolean
  look: LengthStyle & { unit: 'in' | 'cm' }
}) {
  const { name, body } = useOpenTicket()
  return (
    <article className={`border-[1.5px] bg-panel px-4 pt-2.5 pb-3 ${fit.grade === 'fails' ? 'border-2 border-snag' : 'border-ink'}`}>
      <div className="mb-0.5 flex flex-wrap items-center justify-between gap-x-3">
        <h3 className="text-[18px] leading-[22px]">{measureName(fit.measure)}</h3>
        <VerdictWord grade={fit.grade} basis="predicted" size={19} />
      </div>
      <SizeTape table={table} measure={fit.measure} hit={size.label} body={body} look={look} live={first && fit.measure === size.because.measure} height={26} />
      <p className="mt-1">
        <Worded text={overlapWords(fit, table.way === 'made' ? `what ${table.maker} cuts` : size.label, name, look)} />
      </p>
    </article>
  )
}

function ChooseWords({ labels, follows, table, known }: { labels: readonly string[]; follows: boolean; table: SizeTable | undefined; known: number }) {
  if (!table || labels.length === 0) return <span className="font-bold">{known === 0 ? 'Waits for a tape' : 'No size is near'}</span>
  if (table.way === 'made') {
    return (
      <span>
        <span className="block text-[18px] leading-[22px] font-bold">Order it made to measure</span>
        <span className="text-[14px]">from {table.maker}</span>
      </span>
    )
  }
  const [first, second] = labels
  return (
    <span>
      <span className="block text-[19px] leading-[23px] font-bold">{second ? `Try ${first}, then ${second}` : `Try ${first}`}</span>
      <span className="text-[14px] font-semibold">
        {second && families[table.family].shelf === 'pulling' ? 'pulled back by hand' : follows ? table.maker : 'against the bench’s advice'}
      </span>
    </span>
  )
}

interface TableBlockProps {
  table: SizeTable
  sizes: readonly RankedSize[]
  neededOn: string | null
  picked: string | undefined
  chosen: readonly string[]
  onPick: (label: string) => void
}

/** One maker's sizes against the measures it asks for: the size-by-measure matrix, best first. */
function TableBlock({ table, sizes, neededOn, picked, chosen, onPick }: TableBlockProps) {
  const ids = sizes[0]?.perMeasure.map((fit) => fit.measure) ?? []
  return (
    <section aria-label={`${table.maker}, ${table.name}`} className="border-b-2 border-ink">
      <header className="px-4 pt-2 pb-1">
        <h3 className="flex items-baseline justify-between gap-2 text-[17px] leading-[22px]">
          {table.maker}
          <span className="font-text text-[14px] font-semibold">
            {wayName(table.way)}
            {table.school ? `, school ${table.school}` : ''}
          </span>
        </h3>
        <p className="text-[13.5px] leading-[17px] text-mute">
          {table.name}. {leadWords(table, neededOn)}
        </p>
      </header>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-[13px] text-mute">
            <th scope="col" className="pl-4 text-left font-bold">
              Size
            </th>
            {ids.map((id) => (
              <th key={id} scope="col" className="w-[52px] pb-0.5 text-center font-bold" title={measureName(id)}>
                <abbr title={measureName(id)} className="no-underline">
                  {shortName(id)}
                </abbr>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sizes.map((size) => (
            <tr
              key={size.label}
              id={`size-${table.id}-${size.label}`}
              className={`h-11 border-t border-rule ${picked === size.label ? 'border-l-[5px] border-l-ink bg-bench' : 'border-l-[5px] border-l-transparent'}`}
            >
              <th scope="row" className="p-0 text-left">
                <button
                  type="button"
                  aria-pressed={picked === size.label}
                  onClick={() => onPick(size.label)}
                  className="flex min-h-11 w-full items-center gap-2 pl-[11px] text-left text-[16px] leading-[18px] font-bold"
                >
                  {sizeName(table, size.label)}
                  {chosen.includes(size.label) && <span className="text-[13px] font-semibold text-mute">chosen</span>}
                </button>
              </th>
              {size.perMeasure.map((fit) => (
                <td key={fit.measure} className="text-center">
                  <span className="inline-flex" title={`${measureName(fit.measure)}: ${verdictWord(fit.grade, 'predicted').toLowerCase()}`}>
                    <Mark grade={fit.grade} basis="predicted" size={19} />
                    <span className="sr-only">{verdictWord(fit.grade, 'predicted')}</span>
                  </span>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

/** A maker who cuts to the dog has no size to name. */
const sizeName = (table: Pick<SizeTable, 'way'>, label: string): string => (table.way === 'made' ? 'Made to measure' : label)

const SHORT: Readonly<Record<string, string>> = {
  M01: 'Neck',
  M06: 'Sternum',
  M07: 'Girth',
  M10: 'To rib',
  M11: 'To rib',
  M12: 'To tail',
  M13: 'Overall',
  M14: 'Back',
}
const shortName = (id: string): string => SHORT[id] ?? id

/** Weeks, season and the day to order by. */
function leadWords(table: SizeTable, neededOn: string | null): string {
  const lead = leadOn(getMonth(new Date()) + 1, table.lead)
  const weeks = lead.maxWeeks === 0 ? 'At hand' : lead.minWeeks === lead.maxWeeks ? `${lead.maxWeeks} weeks` : `${lead.minWeeks} to ${lead.maxWeeks} weeks`
  const peak = lead.peak ? ', peak season' : ''
  if (lead.maxWeeks === 0) return 'At hand today.'
  if (!neededOn) return `${weeks}${peak}.`
  const by = orderBy(neededOn, table.lead, { marginWeeks: table.way === 'made' ? 2 : 0.5 })
  return by < today() ? `${weeks}${peak}. Too late to order for ${dayWords(neededOn)}; that was ${dayWords(by)}.` : `${weeks}${peak}. Order by ${dayWords(by)}.`
}

function becauseWords(size: RankedSize, look: { unit: 'in' | 'cm'; step: number }): string {
  const { code, measure, mm, other } = size.because
  const name = measure ? measureName(measure) : ''
  switch (code) {
    case 'in-band':
      return 'Every tape taken lies inside the band.'
    case 'edge':
      return `${name} lies near the band’s edge.`
    case 'below':
      return `${name} is ${formatGap(Math.abs(mm ?? 0), look).text.replace('+', '')} under the band.`
    case 'above':
      return `${name} is ${formatGap(Math.abs(mm ?? 0), look).text.replace('+', '')} over the band.`
    case 'between-down':
      return `${name} lies between ${size.label} and ${other ?? ''}: the smaller first.`
    case 'between-up':
      return `${name} lies between ${other ?? ''} and ${size.label}: the larger first.`
    default:
      return 'No tape this maker sizes by was taken yet.'
  }
}
