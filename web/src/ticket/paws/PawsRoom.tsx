import {
  bootsFor,
  families,
  gaugeBlock,
  predictedOf,
  proposedChoice,
  RULES_VERSION,
  type Footing,
  type Item,
  type Offer,
  type PawSize,
} from '@merry-tailor/core'
import { bootOutingsToCsv, tracingsToJson, tracingSvg } from '@merry-tailor/core/formats'
import { useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { ItemsInHand, NoItem, useActs, useBenchForm, useGauge, useItemInHand, useOpenTicket, useRanked } from '../../bench'
import { VerdictWord } from '../../said/VerdictWord'
import { readingStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { KeyCap } from '../../ui/controls/KeyCap'
import { SaveText } from '../../ui/controls/SaveText'
import { Segmented } from '../../ui/controls/Segmented'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { useMedia } from '../../ui/use-media'
import { useBox } from '../../ui/use-width'
import { reasonWords } from '../../words/kinds'
import { pawName } from '../../words/measuring'
import { problemWords } from '../../words/problems'
import { familyName } from '../../words/stages'
import { BackFromOuting } from './BackFromOuting'
import { LegCell } from './LegCell'
import { isHind, lengthOf, pawNow, PAWS, widthOf, type PawId } from './paw-data'
import { PawPlate } from './PawPlate'
import { SeasonPane } from './SeasonPane'
import { TraceSheet } from './TraceSheet'

const FOOTINGS: readonly { value: Footing; label: string }[] = [
  { value: 'snow', label: 'Snow, ice' },
  { value: 'rock', label: 'Rock' },
  { value: 'hot', label: 'Hot ground' },
  { value: 'salt', label: 'Salt' },
  { value: 'indoor', label: 'Indoors' },
]
const NO_SIZES: readonly PawSize[] = []
const RANKS = {
  first: ['holds', 'First'],
  works: ['holds', 'Works'],
  conditions: ['doubt', 'On conditions'],
  wrong: ['fails', 'Wrong here'],
  pointless: ['fails', 'No use here'],
} as const

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
      className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto max-md:pb-24 md:grid md:grid-cols-[minmax(0,1fr)_344px]"
    >
      <OnePair key={item.id} item={item} />
    </ItemsInHand>
  )
}

function OnePair({ item }: { item: Item }) {
  const { sheet, name } = useOpenTicket()
  const navigate = useNavigate()
  const acts = useActs()
  const once = useOnce()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const { ranked, body } = useRanked(item)
  const settings = useAppSelector((state) => state.settings)
  const style = { ...readingStyle(settings), unit: settings.unit }
  const say = (mm: number): string => lengthText(mm, style, true)
  const phone = useMedia('(max-width: 767px)')
  const [footing, setFooting] = useState<Footing>(sheet.ticket.footing[0] ?? 'snow')
  const [live, setLive] = useState<PawId>('front-left')
  const [tracing, setTracing] = useState<PawId | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [ref, box] = useBox<HTMLDivElement>(900, 300)
  const paws = useMemo(() => PAWS.map((paw) => pawNow(paw, sheet.tracings, body, form)), [sheet.tracings, body, form])
  const { offer, labels } = useMemo(() => {
    const found = ranked.find((each) => each.kind === 'paws')
    return { offer: found, labels: labelsOf(found) }
  }, [ranked])
  const sizes = offer?.kind === 'paws' ? offer.paws : NO_SIZES
  const sizeOf = (paw: PawId) => sizes.find((each) => each.paw === paw)?.size ?? null
  const kinds = useMemo(() => bootsFor({ footing }), [footing])
  const proposed = offer ? proposedChoice([offer], null, null, body) : null
  const counted = Object.entries(Object.values(labels).reduce<Record<string, number>>((sum, label) => ({ ...sum, [label]: (sum[label] ?? 0) + 1 }), {}))
    .map(([label, n]) => `${n} ${label}`)
    .join(', ')
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
  useKeys(
    tracing
      ? {}
      : {
          Enter: choose,
          r: () => setTracing(live),
          o: () => setFooting(FOOTINGS[(FOOTINGS.findIndex(({ value }) => value === footing) + 1) % FOOTINGS.length]?.value ?? 'snow'),
          ...Object.fromEntries(PAWS.map((paw, i) => [String(i + 1), () => setLive(paw)])),
        },
  )
  const shown = phone ? paws.filter(({ paw }) => paw === live) : paws
  const cellW = Math.max(150, box.width / shown.length)
  const by = Math.min(
    ...paws.map(({ outline }) =>
      Math.min(
        (cellW - 40) / (Math.max(...outline.map(([x]) => x)) - Math.min(...outline.map(([x]) => x))),
        190 / (Math.max(...outline.map(([, y]) => y)) - Math.min(...outline.map(([, y]) => y))),
      ),
    ),
  )
  const odd = oddPaw(paws.map(({ paw, width }) => ({ paw, mm: width?.from === 'read' ? width.mm : null })))
  const one = gaugeBlock('one', gauge)
  const dewclawOf = (paw: PawId): boolean => {
    const read = sheet.readings.findLast((each) => !each.struck && each.measure === 'M37' && each.place === paw)
    return read ? read.dewclaw !== 'none' : !isHind(paw)
  }
  if (tracing && sheet.dog)
    return (
      <div className="mat flex min-h-0 flex-col md:col-span-2">
        <TraceSheet dogId={sheet.dog.id} paw={tracing} say={say} onDone={() => setTracing(null)} />
      </div>
    )
  return (
    <>
      <section aria-label="Paws" className="flex min-h-0 min-w-0 flex-col max-md:shrink-0">
        <header className="flex shrink-0 flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b-2 border-ink bg-bench px-4 py-2">
          <h1 className="text-[23px] leading-7">Boots for {name}</h1>
          <div className="max-w-full overflow-x-auto">
            <Segmented label="Footing" value={footing} options={[...FOOTINGS]} onChange={setFooting} />
          </div>
        </header>
        <ul className="grid shrink-0 border-b-2 border-ink sm:grid-cols-3" aria-label="Kinds for this footing">
          {kinds.map((kind) => (
            <li key={kind.family} className={`border-r border-rule px-4 py-1.5 text-[14.5px] leading-[18px] ${kind.family === item.family ? 'bg-bench shadow-[inset_0_-4px_0_var(--ink)]' : 'bg-panel'}`}>
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
              {PAWS.map((paw) => (
                <button key={paw} type="button" aria-pressed={paw === live} onClick={() => setLive(paw)} className="min-h-14 border-r border-rule bg-panel px-1 text-[14px] leading-[17px] font-semibold aria-pressed:bg-ink aria-pressed:text-panel">
                  {pawName(paw)}
                  <b className="block text-[17px]">{sizeOf(paw)?.label ?? '?'}</b>
                </button>
              ))}
            </div>
          )}
          <div ref={ref} className="mat grid" style={{ gridTemplateColumns: `repeat(${shown.length}, minmax(0, 1fr))` }}>
            {shown.map((now) => (
              <div key={now.paw} className="border-r border-rule">
                <p className="flex items-baseline justify-between gap-2 px-2.5 pt-1.5 text-[15.5px]">
                  <b>{pawName(now.paw)}</b>
                  <span className="text-[14px]">{now.tracing ? 'traced' : now.width?.from === 'read' ? 'by tape' : 'guessed'}</span>
                </p>
                <button type="button" onClick={() => setLive(now.paw)} aria-pressed={now.paw === live} aria-label={`${pawName(now.paw)}, its tapes`} className="block w-full">
                  <PawPlate now={now} by={by} width={Math.floor(cellW) - 2} height={216} live={now.paw === live} label={`${pawName(now.paw)} from below, ${now.width ? say(now.width.mm) : 'width not read'} wide, ${now.length ? say(now.length.mm) : 'length not read'} long`} />
                </button>
                <p className="flex flex-wrap items-center justify-between gap-x-2 px-2.5 pb-1 text-[15px]">
                  <span>
                    <Worded text={now.width ? `${say(now.width.mm)} wide` : 'width open'} />, <Worded text={now.length ? `${say(now.length.mm)} long` : 'length open'} />
                  </span>
                  {sheet.dog ? (
                  <button type="button" onClick={() => setTracing(now.paw)} className="min-h-11 font-bold underline">
                    {now.tracing ? 'Trace again' : 'Trace it'}
                  </button>
                  ) : (
                    <span className="text-[14px] text-mute">a tracing belongs to a dog: name it under Ask</span>
                  )}
                </p>
              </div>
            ))}
          </div>
          <div className="grid border-y-2 border-ink bg-panel" style={{ gridTemplateColumns: `repeat(${shown.length}, minmax(0, 1fr))` }}>
            {shown.map(({ paw }) => {
              const size = sizeOf(paw)
              const length = size?.perMeasure.find(({ measure }) => measure === lengthOf(paw))
              const width = size?.perMeasure.find(({ measure }) => measure === widthOf(paw))
              return (
                <div key={paw} className={`border-r border-rule px-2.5 py-1.5 text-[14.5px] leading-[18px] ${odd?.paw === paw ? 'bg-chalk-bg' : ''}`}>
                  {size ? (
                    <>
                      <p className="flex flex-wrap items-center justify-between gap-x-2">
                        <b className="text-[25px] leading-8">{size.grade === 'fails' ? `past ${size.label}` : size.label}</b>
                        <VerdictWord grade={size.grade} basis="predicted" size={16} />
                      </p>
                      {width?.mm != null && (
                        <p>
                          <Worded text={`Width ${say(width.fromMm)} to ${say(width.toMm)}`} />
                        </p>
                      )}
                      {length?.mm != null && (
                        <p>
                          <Worded text={`Length ${say(length.mm)}: ${length.grade === 'holds' ? `${size.label} too` : (length.byMm ?? 0) > 0 ? 'long for it' : (length.byMm ?? 0) < 0 ? 'short for it' : 'near its end'}`} />
                        </p>
                      )}
                    </>
                  ) : (
                    <p className="text-mute">
                      No size yet. <Link className="inline-flex min-h-11 items-center font-bold text-ink underline" to={`/tickets/${sheet.ticket.id}/measure?tape=${encodeURIComponent(`${widthOf(paw)}/${paw}`)}`}>Take it</Link>
                    </p>
                  )}
                </div>
              )
            })}
          </div>
          <div className="mat grid" style={{ gridTemplateColumns: `repeat(${shown.length}, minmax(0, 1fr))` }}>
            {shown.map(({ paw }) => (
              <div key={paw} className="border-r border-rule">
                <LegCell paw={paw} body={body} form={form} gauge={one} dewclaw={dewclawOf(paw)} say={say} />
              </div>
            ))}
          </div>
          {odd && (
            <p className="border-t-2 border-ink bg-panel px-4 py-2 text-[15.5px] leading-[20px]">
              <b>{pawName(odd.paw)} is the odd paw:</b> <Worded text={`${say(Math.abs(odd.byMm))} ${odd.byMm > 0 ? 'wider' : 'narrower'} than its pair. One size for both would turn on one or squeeze the other.`} />
            </p>
          )}
          {(paws.some((now) => now.tracing) || sheet.bootOutings.length > 0) && (
          <p className="flex flex-wrap items-center gap-2 bg-panel px-4 py-2 text-[14.5px]">
            <b>Take out:</b>
            {paws.some((now) => now.tracing) && (
              <>
                <SaveText name={`paws-${sheet.ticket.number}.json`} type="application/json" text={() => tracingsToJson(sheet.tracings.filter((each) => !each.removed))}>
                  Outlines
                </SaveText>
                {(() => {
                  const own = paws.find(({ paw }) => paw === live)?.tracing
                  return own ? (
                    <SaveText name={`paw-${live}.svg`} type="image/svg+xml" text={() => tracingSvg(own)}>
                      {`${pawName(live)} 1:1`}
                    </SaveText>
                  ) : null
                })()}
              </>
            )}
            {sheet.bootOutings.length > 0 && (
              <SaveText name={`boots-${name}.csv`} type="text/csv" text={() => bootOutingsToCsv(sheet.bootOutings)}>
                Outings
              </SaveText>
            )}
          </p>
          )}
          <p className="border-l-[5px] border-chalk bg-panel px-4 py-2 text-[14.5px] leading-[18px]">
            <b>Caution.</b> Look at every paw after each outing; straps too tight swell a foot. No boots left on an unattended dog. Sizes are predicted: toes, nails,
            strap and a finger say at Try on whether they hold.
            {sheet.ticket.traits.includes('three-legs') && ' On three legs no boot is set for the leg that is gone; the one beside it carries more, look at it more often.'}
          </p>
        </div>
      </section>
      <section aria-label="Stock and season" className="flex min-h-0 flex-col bg-panel max-md:shrink-0 max-md:border-t-2 max-md:border-ink md:border-l-2 md:border-ink">
        <div className="quiet-scroll min-h-0 flex-1" tabIndex={0} role="group" aria-label="Season and outings">
          {sheet.dog && <SeasonPane name={name} dogId={sheet.dog.id} labels={labels} footing={footing} outings={sheet.bootOutings} />}
          {sheet.dog && <BackFromOuting dogId={sheet.dog.id} footing={footing} outings={sheet.bootOutings} />}
        </div>
        <div className="border-t-2 border-ink bg-panel p-3 max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-10">
          {problem && (
            <p role="alert" className="pb-1 font-semibold text-snag">
              {problem}
            </p>
          )}
          <button type="button" disabled={!proposed?.settlement} onClick={choose} className="flex min-h-[56px] w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-left text-tape-ink disabled:opacity-50">
            <span>
              <b className="block text-[19px] leading-6">Set of 4</b>
              <span className="text-[14.5px] font-semibold">{proposed?.settlement ? `${counted === '' ? proposed.labels.join(', ') : counted}, ${familyName(item.family).toLowerCase()}` : 'waits for paws that are read'}</span>
            </span>
            <KeyCap tone="tape">Enter</KeyCap>
          </button>
        </div>
      </section>
    </>
  ) // prettier-ignore
}

/** The size of each paw that has one. */
const labelsOf = (offer: Offer | undefined): Record<string, string> =>
  offer?.kind === 'paws' ? Object.fromEntries(offer.paws.flatMap(({ paw, size }) => (size && size.grade !== 'fails' ? [[paw, size.label] as const] : []))) : {}

/** Of two paws of a pair that differ by over 3 mm, the one farther from the other pair’s mean. */
function oddPaw(widths: readonly { paw: PawId; mm: number | null }[]): { paw: PawId; byMm: number } | null {
  const of = (paw: PawId): number | null => widths.find((each) => each.paw === paw)?.mm ?? null
  const pairs = [['front-left', 'front-right'], ['rear-left', 'rear-right']] as const
  const found = pairs.flatMap(([a, b]) => {
    const [left, right] = [of(a), of(b)]
    if (left === null || right === null || Math.abs(left - right) < 3) return []
    return [{ paw: right > left ? b : a, byMm: Math.abs(right - left) }]
  })
  return found.sort((a, b) => b.byMm - a.byMm)[0] ?? null
} // prettier-ignore
