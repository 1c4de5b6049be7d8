import { formatLength, formatWeight, GRAVITY, KG_PER_POUND, PULL_SHARES, SURFACES, type Item, type Rig, type Surface } from '@merry-tailor/core'
import { useMemo, useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { useRigsQuery } from '../../api/queries'
import { ItemPanel, ItemsInHand, ItemTabs, NoItem, useActs, useBenchForm, useItemInHand, useOpenTicket } from '../../bench'
import { LengthEntry } from '../../length-entry'
import { VerdictWord } from '../../said/VerdictWord'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Picker } from '../../ui/controls/Picker'
import { Segmented } from '../../ui/controls/Segmented'
import { useBox } from '../../ui/use-width'
import { SURFACE_NAMES } from '../../words/hitch'
import { problemWords } from '../../words/problems'
import { draftNow, isDraft, type DraftNow, type DraftState, type Load } from './draft-now'
import { headline, rigWords, secondLine } from './draft-words'
import { asDraft, FRESH, inOrder } from './kept-draft'
import { DraftPlan } from './DraftPlan'
import { DraftSide } from './DraftSide'
import { DraftStraps } from './DraftStraps'
import { RIG_NAMES } from './first-cart'
import { GradeField } from './GradeField'
import { HitchTabs } from './HitchTabs'
import { Loads } from './Loads'
import { NewRig } from './NewRig'
import { PullTape } from './PullTape'
import { RigNumbers } from './RigNumbers'
import { Shares } from './Shares'

/** Height of the plan under the side. */
const PLAN_PX = 176

/** What a drafting harness draws: a rig to scale behind this dog, its loads, its way, and what comes of them. */
export function DraftRoom() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items, items.find(({ family }) => family === 'H22' || family === 'H23')?.id)
  const { data: rigs = [] } = useRigsQuery(undefined)
  if (!item) return <NoItem title="What does it draw with?">{`Choose a drafting harness for ${name} under Ask; then a cart can be set up behind it.`}</NoItem>
  return (
    <ItemsInHand
      items={items}
      current={item.id}
      onPick={setItem}
      className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto md:grid md:grid-cols-[264px_minmax(0,1fr)] bench:grid-cols-[264px_minmax(0,1fr)_288px]"
    >
      <SetUp key={`${item.id} ${rigs.length === 0 ? 'none' : 'some'}`} item={item} rigs={rigs}>
        <ItemTabs items={items} />
        <ItemPanel items={items} current={item.id} className="px-4 pt-3">
          <HitchTabs family={item.family} now="draft" />
        </ItemPanel>
      </SetUp>
    </ItemsInHand>
  )
}

function SetUp({ item, rigs, children }: { item: Item; rigs: readonly Rig[]; children: ReactNode }) {
  const itemId = item.id
  const { sheet, name, body } = useOpenTicket()
  const { form } = useBenchForm()
  const look = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(look), unit: look.unit }
  const locked = sheet.setUps.findLast((each) => !each.struck && each.itemId === itemId)
  const first = locked ? asDraft(locked) : { ...FRESH, rigId: rigs[0]?.id ?? '' }
  const [draft, setDraft] = useKeptDraft<DraftState>(`draft-${itemId}`, first, isDraft)
  const [inHand, setInHand] = useState(0)
  const [ref, box] = useBox<HTMLDivElement>(760, 380)
  const rig = rigs.find(({ id }) => id === draft.rigId) ?? rigs[0]
  const dogKg = body.M00?.mm ?? sheet.dog?.weightKg ?? form.measures.M00?.mm ?? 25
  const found = useMemo(() => (rig ? outcomeOf(() => draftNow(form, dogKg, rig, draft)) : null), [form, dogKg, rig, draft])
  const acts = useActs()
  const once = useOnce()
  const [refused, setRefused] = useState<string | null>(null)
  const isLocked = locked !== undefined && JSON.stringify(asDraft(locked)) === JSON.stringify(inOrder(draft))
  const lock = (): void =>
    void once(async () => {
      if (!rig) return false
      const { rearLeftMm, rearRightMm, ...said } = inOrder({ ...draft, rigId: rig.id })
      const { error } = await acts.setUp({
        itemId,
        pieceId: null,
        ...said,
        rearMm: { left: rearLeftMm, right: rearRightMm },
        route: [],
        pair: null,
        minutes: {},
      })
      setRefused(error ? `Not kept. ${problemWords(error)} It stays here.` : null)
      return !error
    })
  useKeys({ Enter: rig && !isLocked ? lock : undefined })
  const set = (over: Partial<DraftState>): void => setDraft((was) => ({ ...was, ...over }))
  const move = (i: number, to: { aheadMm: number; heightMm: number }): void =>
    set({ loads: draft.loads.map((load, k) => (k === i ? { ...load, ...to } : load)) })
  const weightUnit = look.unit === 'in' ? 'lb' : 'kg'
  const kg = (newton: number): string => formatWeight(Math.abs(newton) / GRAVITY, weightUnit)
  const placeWords = (load: Load): string => {
    const gap = formatLength(Math.abs(load.aheadMm), style)
    return `${gap.text} ${load.aheadMm < 0 ? 'behind' : 'ahead of'} the axle, ${formatLength(load.heightMm, style).text} up`
  }
  const now = found?.ok ? found.now : null
  const sideHeight = Math.max(240, box.height - PLAN_PX)
  return (
    <>
      <section aria-label="What is drawn" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink">
        {children}
        <div className="quiet-scroll min-h-0 flex-1 space-y-3 px-4 py-3">
          {rig ? (
            <>
              <Picker
                label="Rig"
                value={rig.id}
                options={rigs.map(({ id, name: label, kind }) => ({ value: id, label, note: RIG_NAMES[kind] }))}
                onChange={(rigId) => set({ rigId })}
                className="w-full"
              />
              <p className="text-[14px] leading-[18px] text-mute">{rigWords(rig, (mm) => formatLength(mm, style).text, weightUnit)}</p>
              <Loads draft={draft} rig={rig} inHand={inHand} onPick={setInHand} onSet={(loads) => set({ loads })} words={placeWords} weightUnit={weightUnit} />
              <Picker
                label="It runs on"
                value={draft.surface}
                options={(Object.keys(SURFACES) as Surface[]).map((value) => ({ value, label: SURFACE_NAMES[value] }))}
                onChange={(surface) => set({ surface })}
                className="w-full"
              />
              <GradeField value={draft.gradePercent} onSet={(gradePercent) => set({ gradePercent })} />
              <Segmented
                label="It lasts"
                value={draft.lasts}
                options={[
                  { value: 'long', label: 'Long' },
                  { value: 'short', label: 'Short' },
                ]}
                onChange={(lasts) => set({ lasts })}
              />
              {rig.shafts && now && (
                <LengthEntry label={`Loops on ${name}, above the floor`} mm={now.loopMm} onSet={(loopMm) => set({ loopMm })} least={100} most={1200} />
              )}
              {now && (
                <>
                  <LengthEntry
                    label="Left rear trace"
                    mm={now.startMm.rear + draft.rearLeftMm}
                    onSet={(mm) => set({ rearLeftMm: mm - now.startMm.rear })}
                    least={50}
                    most={3000}
                  />
                  <LengthEntry
                    label="Right rear trace"
                    mm={now.startMm.rear + draft.rearRightMm}
                    onSet={(mm) => set({ rearRightMm: mm - now.startMm.rear })}
                    least={50}
                    most={3000}
                  />
                </>
              )}
            </>
          ) : (
            <p>No cart, wagon, runners or drag in the book yet. Take one in with usual numbers, then set them to yours.</p>
          )}
          {rig && <RigNumbers key={rig.id} rig={rig} />}
          <NewRig onMade={(rigId) => set({ rigId })} known={rigs.length} />
        </div>
        {rig && (
          <div className="border-t-2 border-ink p-3">
            {refused && (
              <p role="alert" className="mb-2 font-semibold text-snag">
                {refused}
              </p>
            )}
            <button
              type="button"
              disabled={isLocked || !now}
              onClick={lock}
              className="flex min-h-14 w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink disabled:bg-tape-rest"
            >
              {isLocked ? 'This set-up is on the ticket' : 'Lock this set-up'} <KeyCap tone="tape">Enter</KeyCap>
            </button>
          </div>
        )}
      </section>
      <section aria-label="To scale" className="order-1 flex min-h-0 flex-col max-md:shrink-0 md:order-2">
        <header className="shrink-0 border-b-2 border-ink bg-bench px-5 py-2.5">
          <h1 className="text-[26px] leading-[32px]" aria-live="polite">
            {now && rig ? headline(now, rig, name, kg) : found && !found.ok ? found.says : 'Nothing to draw yet'}
          </h1>
          <p className="flex flex-wrap items-center gap-x-3 text-[15px] leading-[19px]">
            {now?.balance && <span>{secondLine(now, kg, name)}</span>}
            <VerdictWord grade="none" basis="predicted" word="Predicted, nothing seen yet" size={17} />
          </p>
        </header>
        <div ref={ref} className="mat min-h-[400px] flex-1 overflow-hidden">
          {now && rig && (
            <DraftSide
              form={form}
              rig={rig}
              now={now}
              loads={draft.loads}
              inHand={Math.min(inHand, draft.loads.length - 1)}
              onPick={setInHand}
              onMove={move}
              words={placeWords}
              width={box.width}
              height={sideHeight}
              label={`${rig.name} behind ${name}, from the side, to scale`}
            />
          )}
          {now && rig && (
            <DraftPlan
              form={form}
              rig={rig}
              now={now}
              loads={draft.loads}
              width={box.width}
              sideHeight={sideHeight}
              height={PLAN_PX}
              label={`${rig.name} behind ${name}, from above, to the same scale`}
            />
          )}
        </div>
        {now && rig && (
          <div className="grid shrink-0 gap-x-8 gap-y-3 border-t-2 border-ink bg-panel px-5 py-3 2xl:grid-cols-2">
            <div>
              <h2 className="flex flex-wrap items-center justify-between gap-x-3 text-[18px] leading-[22px]">
                Pull{draft.gradePercent > 0 ? ' uphill' : draft.gradePercent < 0 ? ' downhill' : ''}, {weightUnit}{' '}
                <VerdictWord grade={now.verdict.grade} basis="predicted" size={18} />
              </h2>
              <PullTape
                pull={[asWeight(Math.max(0, now.pullN[0]), weightUnit), asWeight(Math.max(0, now.pullN[1]), weightUnit)]}
                holds={asWeight(PULL_SHARES[draft.lasts][0] * dogKg * GRAVITY, weightUnit)}
                doubt={asWeight(PULL_SHARES[draft.lasts][1] * dogKg * GRAVITY, weightUnit)}
                unit={weightUnit}
                title={`Pull ${kg(now.pullN[0])} to ${kg(now.pullN[1])}`}
              />
              <p className="text-[14.5px] leading-[18px]">
                {kg(now.pullN[0]) === kg(now.pullN[1]) ? kg(now.pullN[0]) : `${kg(now.pullN[0])} to ${kg(now.pullN[1])}`}; {Math.round(100 * now.verdict.share)}{' '}
                of 100 of {name}’s weight. No study fixes a safe limit.
              </p>
            </div>
            <Shares now={now} rig={rig} kg={kg} apartMm={draft.rearLeftMm - draft.rearRightMm} say={(mm) => formatLength(mm, style).text} />
            <p className="text-[14px] leading-[18px] text-mute 2xl:col-span-2">
              {now.turn && <>Turns in a lane of {formatLength(now.turn.laneMm, style).text}. </>}
              Statics of a stiff cart; drag, give and reach are from memory, unverified. Judge it on the level, empty, first. Who may draw, and how hot it may
              be, stands under{' '}
              <Link className="font-bold underline" to={`/tickets/${sheet.ticket.id}/ask`}>
                Ask
              </Link>
              .
            </p>
          </div>
        )}
      </section>
      {rig && (item.family === 'H22' || item.family === 'H23') && <DraftStraps family={item.family} rig={rig} />}
    </>
  )
}

type Outcome = { ok: true; now: DraftNow } | { ok: false; says: string }

/** A set-up that no cart is says so, and what was typed stays. */
function outcomeOf(work: () => DraftNow): Outcome {
  try {
    return { ok: true, now: work() }
  } catch (problem) {
    if (!(problem instanceof RangeError)) throw problem
    return { ok: false, says: problem.message.includes('reach') ? 'The shafts do not reach so high or low' : 'These numbers make no cart' }
  }
}

const asWeight = (newton: number, unit: 'kg' | 'lb'): number => newton / GRAVITY / (unit === 'lb' ? KG_PER_POUND : 1)
