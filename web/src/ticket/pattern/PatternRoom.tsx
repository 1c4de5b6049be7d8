import { measures, type Form, type Garment, type GarmentFamily, type GarmentPlan, type Item, type MeasureId } from '@merry-tailor/core'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { NoItem, useOpenTicket } from '../../bench'
import { useKeys } from '../../state/use-keys'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Segmented } from '../../ui/controls/Segmented'
import { useMedia } from '../../ui/use-media'
import { useBox } from '../../ui/use-width'
import { familyName } from '../../words/stages'
import { CordsPane } from './CordsPane'
import { CutMat } from './CutMat'
import { EaseZones } from './EaseZones'
import { EdgeTag } from './EdgeTag'
import { CLOTH_WORDS, countGrades, countWord, garmentFamily, type PlanInHand, planWords, useItemPattern, useMovedGarment, useCutLook } from '../../garment'
import { GarmentCautions } from './GarmentCautions'
import { GarmentChecks } from './GarmentChecks'
import { GrowthPane } from './GrowthPane'
import { KnitLines } from './KnitLines'
import { KnitMat } from './KnitMat'
import { KnitSwatch } from './KnitSwatch'
import { LayPane } from './LayPane'
import { MeasuresUsed } from './MeasuresUsed'
import { OnDog } from './OnDog'
import { PlanChoices } from './PlanChoices'
import { useEdgeDrag } from './use-edge-drag'
import { useKnit } from './use-knit'

export type PatternTab = 'cut' | 'knit' | 'cords' | 'growth'
/** Nothing is cut before these were taken. */
const WAITS: Readonly<Record<GarmentFamily, readonly MeasureId[]>> = { C1: ['M15'], C2: ['M07'], C3: ['M00', 'M16'], C4: ['M14'], C5: ['M15'] }

/** A garment made to measure: its pieces as they are cut, knitted, laid on cloth; what is foretold of them on this dog. */
export function PatternRoom() {
  const { sheet, name } = useOpenTicket()
  const { itemId } = useParams()
  const item = sheet.items.find(({ id, removed }) => id === itemId && !removed)
  const family = item && garmentFamily(item.family)
  if (!item || !family)
    return <NoItem title="What is it made of?">{`Choose a coat, rug or suit for ${name} under Ask; then its pieces can be drafted.`}</NoItem>
  return <OnePattern key={item.id} item={item} family={family} />
}

function tabsOf(family: GarmentFamily, cloth: string): { value: PatternTab; label: string }[] {
  return [
    { value: 'cut', label: 'Cut' },
    ...(cloth === 'knit' ? [{ value: 'knit' as const, label: 'Knit' }] : []),
    ...(family === 'C4' || family === 'C3' ? [{ value: 'cords' as const, label: 'Cords' }] : []),
    ...(family === 'C1' || family === 'C5' ? [{ value: 'growth' as const, label: 'Growth' }] : []),
  ]
}

function OnePattern({ item, family }: { item: Item; family: GarmentFamily }) {
  const { hand, wished, drafted, working, changing, form, solved } = useItemPattern(item, family)
  if (!drafted) return <div className="mat min-h-0 flex-1" aria-busy="true" aria-label="Drafting" />
  return <Bench item={item} family={family} hand={hand} wished={wished} drafted={drafted} form={form} busy={working || !solved} changing={changing} />
}

interface BenchProps {
  item: Item
  family: GarmentFamily
  hand: PlanInHand
  wished: GarmentPlan
  drafted: Garment
  form: Form
  /** The dog or its garment is still being worked out anew. */
  busy: boolean
  /** Edges that will lie elsewhere once it is. */
  changing: ReadonlySet<string> | 'all'
}

function Bench({ item, family, hand, wished, drafted, form, busy, changing }: BenchProps) {
  const { sheet, name } = useOpenTicket()
  const navigate = useNavigate()
  const { plan } = hand
  const { look, style, say } = useCutLook()
  const drag = useEdgeDrag(plan.moves, look.unit, (moves) => hand.change({ moves }))
  const garment = useMovedGarment(drafted, drag.shown)
  const resting = useMovedGarment(drafted, plan.moves)
  const cloth = garment.plan.cloth
  const tabs = tabsOf(family, cloth)
  const [picked, setTab] = useState<PatternTab | null>(null)
  const tab = tabs.some(({ value }) => value === picked) && picked ? picked : cloth === 'knit' ? 'knit' : 'cut'
  const phone = useMedia('(max-width: 767px)')
  const [pickedPiece, setOnly] = useState<string | null>(null)
  const onlyPiece = pickedPiece ?? garment.pieces[0]?.id ?? null
  const [knitPiece, setKnitPiece] = useState('back')
  const knit = useKnit(garment, plan, knitPiece)
  const [ref, box] = useBox<HTMLDivElement>(664, 560)

  const sheetPath = `/tickets/${sheet.ticket.id}/${tab === 'knit' ? 'knitting-sheet' : 'cut-sheet'}/${item.id}`
  const waits = WAITS[family].filter((id) => garment.numbers[id]?.from !== 'taken' && !(id === 'M00' && sheet.dog?.weightKg))
  const ready = garment.pieces.length > 0 && waits.length === 0
  const print = (): void => {
    if (!ready) return
    void hand.keep().then(() => navigate(sheetPath))
  }
  // Alt and a number: that piece, its first edge in hand.
  const byPiece = Object.fromEntries(
    garment.pieces.slice(0, 9).map((piece, i) => [
      `Alt+${i + 1}`,
      () => {
        const edge = piece.edges.find(({ kind }) => kind !== 'fold')
        setOnly(piece.id)
        setKnitPiece(piece.id)
        if (edge) drag.setInHand({ piece: piece.id, edge: edge.id })
      },
    ]),
  )
  useKeys({ Enter: print, '$mod+z': hand.undo, ...byPiece })

  const taken = Object.values(garment.numbers).filter(({ from }) => from === 'taken').length
  const expected = Object.values(garment.numbers).length - taken
  const from =
    taken === 0
      ? 'From no tape yet: all of it expected from the build.'
      : `From your ${countWord(taken)} ${taken === 1 ? 'tape' : 'tapes'}${expected > 0 ? `; ${countWord(expected)} more would narrow it` : ''}.`
  const left = (
    <>
      {tab === 'knit' ? <KnitSwatch plan={plan} knit={knit} say={say} onChange={hand.change} /> : null}
      <MeasuresUsed garment={garment} style={style} say={say} />
      <EaseZones family={family} garment={garment} form={form} say={say} style={style} onEase={(ease) => hand.change({ ease: { ...plan.ease, ...ease } })} />
      <div className="border-t-2 border-ink pt-3">
        <PlanChoices family={family} plan={garment.plan} onChange={hand.change} />
      </div>
    </>
  )
  return (
    <div className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto max-md:pb-24 md:grid md:grid-cols-[316px_minmax(0,1fr)] md:max-bench:grid-rows-[100%_auto] md:max-bench:overflow-y-auto bench:grid-cols-[316px_minmax(0,1fr)_300px]">
      <section aria-label="What it is made from" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink">
        <div className="quiet-scroll min-h-0 flex-1 space-y-3 px-4 py-3" role="group" aria-label="Measures, ease and cloth" tabIndex={0}>
          {phone ? (
            <details>
              <summary className="flex min-h-11 cursor-pointer items-center text-[17px] font-bold">Measures, ease, cloth</summary>
              <div className="space-y-3">{left}</div>
            </details>
          ) : (
            left
          )}
        </div>
        <div className="border-t-2 border-ink bg-panel p-3 max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-10">
          <button
            type="button"
            disabled={!ready}
            onClick={print}
            className="flex min-h-[60px] w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-left text-tape-ink disabled:opacity-50"
          >
            <span>
              <b className="block text-[19px] leading-6">{tab === 'knit' ? 'Knitting sheet' : 'Cut sheet'}</b>
              <span className="text-[14.5px] font-semibold">
                {waits.length > 0
                  ? `waits for ${waits.map((id) => (measures[id]?.name ?? id).toLowerCase()).join(' and ')}`
                  : tab === 'knit'
                    ? 'chart, lines, yarn'
                    : `${countWord(garment.pieces.length)} pieces, paper in true scale`}
              </span>
            </span>
            <KeyCap tone="tape">Enter</KeyCap>
          </button>
        </div>
      </section>
      <section aria-label="The pieces" className="order-1 flex min-h-0 flex-col max-md:shrink-0 md:order-2">
        <header className="flex shrink-0 flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b-2 border-ink bg-bench px-4 py-2">
          <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-4">
            <h1 className="text-[23px] leading-7">
              {familyName(family)} on {name}
            </h1>
            <p className="text-[14.5px] leading-[18px]" aria-live="polite">
              <b>{countGrades(garment.checks)}</b>
              <span className="block">
                {garment.firstDraft ? 'First draft, sew a trial. ' : ''}
                {busy ? 'Drafting. ' : ''}
                {from}
              </span>
            </p>
          </div>
          {tabs.length > 1 && <Segmented label="What to look at" value={tab} options={tabs} onChange={setTab} />}
        </header>
        <GarmentCautions family={family} />
        {hand.refused && (
          <p role="alert" className="border-b-2 border-ink border-l-[5px] border-l-snag bg-snag-bg px-4 py-2 text-[15px]">
            {hand.refused}{' '}
            {hand.kept && (
              <>
                Theirs{hand.kept.by ? `, by ${hand.kept.by}` : ''}: {planWords(hand.kept.plan, say)}. Yours: {planWords(plan, say)}.{' '}
                <button type="button" onClick={hand.takeTheirs} className="min-h-11 font-bold underline">
                  Take theirs
                </button>
              </>
            )}
          </p>
        )}
        {phone && tab === 'cut' && (
          <div className="flex shrink-0 gap-1.5 overflow-x-auto border-b border-ink bg-panel p-1.5" role="group" aria-label="Pieces">
            {garment.pieces.map((piece) => (
              <button
                key={piece.id}
                type="button"
                aria-pressed={piece.id === onlyPiece}
                onClick={() => setOnly(piece.id)}
                className="min-h-11 shrink-0 rounded-[2px] border-2 border-ink bg-panel px-2.5 text-[15px] font-semibold aria-pressed:bg-ink aria-pressed:text-panel"
              >
                {piece.name}
              </button>
            ))}
          </div>
        )}
        <div
          ref={ref}
          className={`mat relative min-h-[420px] flex-1 overflow-hidden max-md:min-h-0 max-md:flex-none ${tab === 'cut' ? 'max-md:h-[300px]' : 'max-md:h-[560px]'}`}
        >
          {tab === 'cut' && (
            <CutMat
              garment={garment}
              changing={changing}
              name={name}
              drag={drag}
              style={style}
              say={say}
              width={box.width}
              height={box.height}
              only={phone ? onlyPiece : null}
            />
          )}
          {tab === 'cut' && !phone && (
            <div className="absolute bottom-3 right-3">
              <EdgeTag garment={garment} drag={drag} unit={look.unit} say={say} />
            </div>
          )}
          {tab === 'knit' && (
            <KnitMat
              garment={garment}
              knit={knit}
              piece={knitPiece}
              onPiece={setKnitPiece}
              plan={plan}
              onChange={hand.change}
              say={say}
              unit={look.unit}
              width={box.width}
              height={box.height}
            />
          )}
          {tab === 'cords' && <CordsPane garment={garment} form={form} plan={plan} onChange={hand.change} say={say} />}
          {tab === 'growth' && <GrowthPane garment={garment} form={form} plan={wished} onChange={hand.change} say={say} unit={look.unit} />}
        </div>
        {tab === 'cut' && phone && (
          <div className="flex shrink-0 justify-center border-t border-ink bg-panel empty:hidden">
            <EdgeTag garment={garment} drag={drag} unit={look.unit} say={say} />
          </div>
        )}
        <footer className="flex min-h-11 shrink-0 flex-wrap items-center justify-between border-t-2 border-ink bg-panel pl-4 text-[14px]">
          <span className="flex flex-wrap items-center gap-x-3 py-1 text-mute max-md:hidden">
            {tab === 'cut' && (
              <>
                <span className="inline-flex items-center gap-1.5 pointer-coarse:hidden!">
                  <KeyCap>Tab</KeyCap> next edge
                </span>
                <span className="inline-flex items-center gap-1.5 pointer-coarse:hidden!">
                  <KeyCap>←</KeyCap>
                  <KeyCap>→</KeyCap> edge by {say(drag.step)}
                </span>
              </>
            )}
            {hand.isKept ? 'Kept with the ticket' : 'On this device; kept with the sheet'}
          </span>
          <span className="flex">
            <button type="button" onClick={hand.undo} disabled={!hand.canUndo} className="min-h-11 border-l border-rule px-4 font-bold disabled:text-mute">
              Undo <KeyCap>Ctrl Z</KeyCap>
            </button>
            <button
              type="button"
              onClick={hand.asDrafted}
              disabled={!(plan.moves ?? []).some(({ round }) => round === undefined)}
              className="min-h-11 border-l border-rule px-4 font-bold disabled:text-mute"
            >
              As drafted
            </button>
          </span>
        </footer>
      </section>
      <section
        aria-label="What it comes to"
        className="order-3 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:max-bench:col-span-2 max-bench:border-t-2 max-bench:border-ink bench:border-l-2 bench:border-ink"
      >
        <div className="quiet-scroll min-h-0 flex-1" tabIndex={0} role="group" aria-label="On the dog, checks and lay">
          {tab === 'knit' && <KnitLines knit={knit} plan={plan} piece={knitPiece} />}
          <OnDog form={form} garment={garment} name={name} />
          <GarmentChecks garment={garment} say={say} />
          {tab === 'cut' && cloth !== 'knit' && (
            <LayPane pieces={resting.pieces} cloth={CLOTH_WORDS[cloth].toLowerCase()} plan={plan} onChange={hand.change} unit={look.unit} say={say} />
          )}
          <p className="px-4 pb-3 pt-1 text-[13.5px] leading-[17px] text-mute">
            Predicted from tapes; only cloth on the dog says it holds.{' '}
            <Link className="underline" to={`/tickets/${sheet.ticket.id}/try-on`}>
              Try on
            </Link>
          </p>
        </div>
      </section>
    </div>
  )
}
