import { bootsFor, families, predictedOf, proposedChoice, RULES_VERSION, type Footing, type Item } from '@merry-tailor/core'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { ItemsInHand, NoItem, useActs, useItemInHand, useOpenTicket, useSizedBody } from '../../bench'
import { BackFromOuting } from '../../boots'
import { VerdictWord } from '../../said/VerdictWord'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { useToday } from '../../state/use-today'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Segmented } from '../../ui/controls/Segmented'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { useMedia } from '../../ui/use-media'
import { useBox } from '../../ui/use-width'
import { reasonWords } from '../../words/kinds'
import { FOOTING_OPTIONS } from '../../words/dogs'
import { pawName } from '../../words/measuring'
import { problemWords } from '../../words/problems'
import { familyName } from '../../words/stages'
import { LegCell } from './LegCell'
import { oddPaw } from './odd-paw'
import { lengthOf, PAWS, widthOf, type PawId, type TapeId } from './paw-data'
import { PawCell } from './PawCell'
import { SeasonPane } from './SeasonPane'
import { ShelfPane, useBootsHere } from './ShelfPane'
import { SizeCell } from './SizeCell'
import { TakeOut } from './TakeOut'
import { TraceSheet } from './TraceSheet'
import { useBoots } from './use-boots'
import { Problem } from '../../ui/controls/Problem'

const RANKS = {
  first: ['holds', 'First'],
  works: ['holds', 'Works'],
  conditions: ['doubt', 'On conditions'],
  wrong: ['fails', 'Wrong here'],
  pointless: ['fails', 'No use here'],
} as const
/** A key moves a tape's end by an eighth of an inch. */
const STEP_MM = 25.4 / 8
/** A season is on while the newest outing is no older, days. Ours. */
const IN_SEASON = 45

/** Boots for a dog: each paw as it was traced, the size it asks, where its strap lies, and what a season uses up. */
export function PawsRoom() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items, items.find(({ family }) => families[family].shelf === 'boot')?.id)
  if (!item || families[item.family].shelf !== 'boot')
    return <NoItem title="Which boots?">{`Choose boots for ${name} under Ask; then each paw is traced and sized here.`}</NoItem>
  return (
    <ItemsInHand
      items={items}
      current={item.id}
      onPick={setItem}
      className="min-h-0 flex-1 max-tablet:flex max-tablet:flex-col max-tablet:overflow-y-auto max-tablet:pb-24 tablet:grid tablet:grid-cols-[minmax(0,1fr)_344px]"
    >
      <OneSet key={item.id} item={item} />
    </ItemsInHand>
  )
}

function OneSet({ item }: { item: Item }) {
  const { sheet, name } = useOpenTicket()
  const navigate = useNavigate()
  const acts = useActs()
  const once = useOnce()
  const { body } = useSizedBody()
  const { offer, labels, paws, rows, counted } = useBoots(item)
  const here = useBootsHere(offer?.table ?? null)
  const on = useToday()
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const say = (mm: number): string => lengthText(mm, look, true)
  const phone = useMedia('(max-width: 767px)')
  const [footing, setFooting] = useState<Footing>(sheet.ticket.footing[0] ?? 'snow')
  const [live, setLive] = useState<PawId>('front-left')
  const [tape, setTape] = useState<TapeId>('W')
  const [tried, setTried] = useState<{ paw: PawId; measure: string; mm: number } | null>(null)
  const [tracing, setTracing] = useState<PawId | null>(null)
  const [back, setBack] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const [ref, box] = useBox<HTMLDivElement>(900, 300)
  const kinds = useMemo(() => bootsFor({ footing }), [footing])
  const proposed = offer ? proposedChoice([offer], null, null, body) : null
  const newest = sheet.bootOutings.find((each) => !each.removed)
  const inSeason = newest !== undefined && differenceInCalendarDays(parseISO(on), parseISO(newest.on)) <= IN_SEASON
  const choose = (): void => {
    const settlement = proposed?.settlement
    if (!settlement || !offer) return
    void once(async () => {
      const { error } = await acts.choose({
        ...settlement,
        itemId: item.id,
        predicted: predictedOf(offer, settlement),
        rulesVersion: RULES_VERSION,
        overruled: null,
      })
      setProblem(error ? `Not kept. ${problemWords(error)}` : null)
      if (!error) await navigate(`/tickets/${sheet.ticket.id}/try-on`)
      return !error
    })
  }
  const pick = (paw: PawId): void => {
    setLive(paw)
    setTried(null)
  }
  const hold = (which: TapeId): void => {
    setTape(which)
    setTried(null)
  }
  /** The live tape's end moved by keys: tried, not read. */
  const nudge = (by: 1 | -1): void => {
    const measure = tape === 'W' ? widthOf(live) : lengthOf(live)
    const own = paws.find(({ now }) => now.paw === live)?.now
    const mm = tried?.measure === measure ? tried.mm : (tape === 'W' ? own?.width : own?.length)?.mm
    if (mm !== undefined) setTried({ paw: live, measure, mm: Math.max(10, mm + by * STEP_MM) })
  }
  useKeys(
    tracing
      ? {}
      : {
          Enter: inSeason ? () => setBack(true) : choose,
          r: () => sheet.dog && setTracing(live),
          o: () => setFooting(FOOTING_OPTIONS[(FOOTING_OPTIONS.findIndex(({ value }) => value === footing) + 1) % FOOTING_OPTIONS.length]?.value ?? 'snow'),
          w: () => hold('W'),
          l: () => hold('L'),
          Escape: () => setTried(null),
          ArrowRight: () => nudge(1),
          ArrowUp: () => nudge(1),
          ArrowLeft: () => nudge(-1),
          ArrowDown: () => nudge(-1),
          ...Object.fromEntries(PAWS.map((paw, i) => [String(i + 1), () => pick(paw)])),
        },
  )
  const shown = phone ? paws.filter(({ now }) => now.paw === live) : paws
  const cellW = Math.max(150, box.width / shown.length)
  const plateH = phone ? 290 : 196
  const span = (points: readonly (readonly [number, number])[], k: 0 | 1): number => Math.max(...points.map((p) => p[k])) - Math.min(...points.map((p) => p[k]))
  const by = Math.min(...paws.map(({ now: { outline } }) => Math.min((cellW - 76) / span(outline, 0), (plateH - 14) / span(outline, 1))))
  const columns = { gridTemplateColumns: `repeat(${shown.length}, minmax(0, 1fr))` }
  const odd = oddPaw(paws.map(({ now: { paw, width } }) => ({ paw, mm: width?.from === 'read' ? width.mm : null })))
  const oddOne = odd && paws.find(({ now }) => now.paw === odd.paw)
  if (tracing && sheet.dog) {
    const own = paws.find(({ now }) => now.paw === tracing)?.now
    return (
      <div className="mat flex min-h-0 flex-col tablet:col-span-2">
        <TraceSheet dogId={sheet.dog.id} paw={tracing} usual={{ widthMm: own?.width?.mm ?? 55, lengthMm: own?.length?.mm ?? 65 }} say={say} onDone={() => setTracing(null)} />
      </div>
    )
  } // prettier-ignore
  const quiet =
    'flex min-h-[52px] w-full items-center justify-between rounded-[2px] border-2 border-ink px-4 text-left disabled:opacity-50 max-tablet:min-w-0 max-tablet:px-2.5'
  const loud = `${quiet} bg-tape text-tape-ink`
  const setOf4 = proposed?.settlement ? `${counted === '' ? proposed.labels.join(', ') : counted}, ${familyName(item.family).toLowerCase()}` : 'waits for paws that are read' // prettier-ignore
  return (
    <>
      <section aria-label="Paws" className="flex min-h-0 min-w-0 flex-col max-tablet:shrink-0">
        <header className="flex shrink-0 flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b-2 border-ink bg-bench px-4 py-2">
          <h1 className="text-[23px] leading-7">Boots for {name}</h1>
          <div className="flex max-w-full items-center gap-3 overflow-x-auto">
            <span className="text-[14.5px] text-mute max-bench:hidden pointer-coarse:hidden!">
              Footing <KeyCap>O</KeyCap>
            </span>
            <Segmented label="Footing" value={footing} options={[...FOOTING_OPTIONS]} onChange={setFooting} />
          </div>
        </header>
        <ul className="grid shrink-0 border-b-2 border-ink sm:grid-cols-3" aria-label="Kinds for this footing">
          {kinds.map((kind) => (
            <li
              key={kind.family}
              className={`border-r border-rule px-4 py-1.5 text-[14.5px] leading-[18px] ${kind.family === item.family ? 'bg-bench shadow-[inset_0_-4px_0_var(--ink)]' : 'bg-panel'}`}
            >
              <span className="flex flex-wrap items-center justify-between gap-x-2">
                <b>{familyName(kind.family)}</b>
                <VerdictWord grade={RANKS[kind.rank][0]} basis="predicted" size={16} word={RANKS[kind.rank][1]} />
              </span>
              <span className="block text-mute">{reasonWords(kind)}</span>
            </li>
          ))}
        </ul>
        <div className="quiet-scroll min-h-0 flex-1 overflow-y-auto" tabIndex={0} role="group" aria-label="Each paw">
          {phone && (
            <div className="grid grid-cols-4 border-b border-ink" role="group" aria-label="Which paw">
              {paws.map(({ now: { paw }, size }) => (
                <button
                  key={paw}
                  type="button"
                  aria-pressed={paw === live}
                  onClick={() => pick(paw)}
                  className="min-h-14 border-r border-rule bg-panel px-1 text-[14px] leading-[17px] font-semibold aria-pressed:bg-ink aria-pressed:text-panel"
                >
                  {pawName(paw)}
                  <b className="block text-[17px]">{size?.label ?? '?'}</b>
                </button>
              ))}
            </div>
          )}
          <div ref={ref} className="mat grid" style={columns}>
            {shown.map(({ now }) => (
              <PawCell
                key={now.paw}
                now={now}
                by={by}
                width={Math.floor(cellW) - 2}
                height={plateH}
                live={now.paw === live}
                tape={tape}
                tried={tried?.paw === now.paw ? tried : null}
                named={sheet.dog !== null}
                look={look}
                say={say}
                onPick={() => pick(now.paw)}
                onTrace={() => setTracing(now.paw)}
              />
            ))}
          </div>
          <div className="grid border-y-2 border-ink bg-panel" style={columns}>
            {shown.map(({ now, size, table }) => (
              <SizeCell
                key={now.paw}
                now={now}
                table={table}
                size={size}
                tried={tried?.paw === now.paw ? tried : null}
                odd={odd?.paw === now.paw}
                live={now.paw === live}
                takeAt={`/tickets/${sheet.ticket.id}/measure?tape=${encodeURIComponent(`${widthOf(now.paw)}/${now.paw}`)}`}
                look={look}
                say={say}
              />
            ))}
          </div>
          <div className="mat grid" style={columns}>
            {shown.map(({ now, leg, dewclaw }) => (
              <div key={now.paw} className="min-w-0 border-r border-rule">
                <LegCell leg={leg} dewclaw={dewclaw} say={say} bare={(mm) => lengthText(mm, look)} />
              </div>
            ))}
          </div>
          {odd && (
            <p className="border-t-2 border-ink bg-panel px-4 py-2 text-[15.5px] leading-[20px]">
              <b>{pawName(odd.paw)} is the odd paw:</b>{' '}
              <Worded
                text={`${say(Math.abs(odd.byMm))} ${odd.byMm > 0 ? 'wider' : 'narrower'} than its pair. One size for both would turn on one or squeeze the other.${oddOne?.size && counted.includes(',') ? ` So ${counted}.` : ''}`}
              />
            </p>
          )}
          <p className="border-t border-rule border-l-[5px] border-l-chalk bg-panel px-4 py-2 text-[14.5px] leading-[18px]">
            <b>Caution.</b> Look at every paw after each outing; straps too tight swell a foot. No boots left on an unattended dog. Sizes are predicted: toes,
            nails, strap and a finger say at Try on whether they hold. Hind dewclaws, where there are any, are said under Measure.
            {sheet.ticket.traits.includes('three-legs') &&
              ' On three legs no boot is set for the leg that is gone; the one beside it carries more, look at it more often.'}
          </p>
          <TakeOut live={paws.find(({ now }) => now.paw === live)?.now.tracing ?? null} itemId={item.id} rows={rows} />
        </div>
      </section>
      <section
        aria-label="Stock and season"
        className="flex min-h-0 flex-col bg-panel max-tablet:shrink-0 max-tablet:border-t-2 max-tablet:border-ink tablet:border-l-2 tablet:border-ink"
      >
        <div className="quiet-scroll min-h-0 flex-1" tabIndex={0} role="group" aria-label="Shelf, season and outings">
          {back && sheet.dog && <BackFromOuting dogId={sheet.dog.id} footing={footing} outings={sheet.bootOutings} open onOpen={setBack} />}
          {offer && <ShelfPane table={offer.table} labels={labels} />}
          {sheet.dog && <SeasonPane name={name} dogId={sheet.dog.id} labels={labels} footing={footing} outings={sheet.bootOutings} here={here} />}
          {!back && sheet.dog && <BackFromOuting dogId={sheet.dog.id} footing={footing} outings={sheet.bootOutings} open={false} onOpen={setBack} />}
        </div>
        <div className="space-y-2 border-t-2 border-ink bg-panel p-3 max-tablet:flex max-tablet:gap-2 max-tablet:space-y-0 max-tablet:fixed max-tablet:inset-x-0 max-tablet:bottom-0 max-tablet:z-10">
          <Problem>{problem}</Problem>
          {inSeason && !back && (
            <button type="button" onClick={() => setBack(true)} className={loud}>
              <span>
                <b className="block text-[19px] leading-6 max-tablet:text-[16px] max-tablet:leading-5">Back from an outing</b>
                <span className="text-[14.5px] font-semibold max-tablet:hidden">four taps, and what was seen</span>
              </span>
              <span className="max-tablet:hidden">
                <KeyCap tone="tape">Enter</KeyCap>
              </span>
            </button>
          )}
          <button type="button" disabled={!proposed?.settlement} onClick={choose} className={inSeason || back ? `${quiet} bg-panel` : loud}>
            <span>
              <b className="block text-[19px] leading-6">Set of 4</b>
              <span className="text-[14.5px] font-semibold max-tablet:block max-tablet:text-[13.5px] max-tablet:leading-4">{setOf4}</span>
            </span>
            {!inSeason && !back && (
              <span className="max-tablet:hidden">
                <KeyCap tone="tape">Enter</KeyCap>
              </span>
            )}
          </button>
        </div>
      </section>
    </>
  )
}
