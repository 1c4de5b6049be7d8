import {
  formatLength,
  formatWeight,
  GRAVITY,
  KG_PER_POUND,
  parseWeight,
  PULL_SHARES,
  SURFACES,
  type Item,
  type Rig,
  type SetUp as KeptSetUp,
  type Surface,
} from '@merry-tailor/core'
import { useMemo, useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useAddRigMutation, useRigsQuery } from '../../api/queries'
import { ItemPanel, ItemsInHand, ItemTabs, NoItem, useActs, useBenchForm, useItemInHand, useOpenTicket } from '../../bench'
import { VerdictWord } from '../../said/VerdictWord'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { Button } from '../../ui/controls/Button'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Picker } from '../../ui/controls/Picker'
import { Segmented } from '../../ui/controls/Segmented'
import { TextField } from '../../ui/controls/TextField'
import { useBox } from '../../ui/use-width'
import { SURFACE_NAMES } from '../../words/hitch'
import { problemWords } from '../../words/problems'
import { draftNow, isDraft, type DraftNow, type DraftState, type Load } from './draft-now'
import { DraftPlan } from './DraftPlan'
import { DraftSide } from './DraftSide'
import { DraftStraps } from './DraftStraps'
import { FIRST_CART, RIG_NAMES } from './first-cart'
import { HitchTabs } from './HitchTabs'
import { LengthEntry } from './LengthEntry'
import { PullTape } from './PullTape'
import { RigNumbers } from './RigNumbers'

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
      const { error } = await acts.setUp({ itemId, pieceId: null, ...said, rearMm: { left: rearLeftMm, right: rearRightMm }, minutes: {} })
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

const FRESH: DraftState = { rigId: '', loads: [], surface: 'gravel', gradePercent: 0, lasts: 'long', loopMm: null, rearLeftMm: 0, rearRightMm: 0 }

/** The same fields in the same order: two set-ups alike read alike. */
const inOrder = ({ rigId, loads, surface, gradePercent, lasts, loopMm, rearLeftMm, rearRightMm }: DraftState): DraftState => ({
  rigId,
  loads: loads.map(({ name, massKg, aheadMm, heightMm }) => ({ name, massKg, aheadMm, heightMm })),
  surface,
  gradePercent,
  lasts,
  loopMm,
  rearLeftMm,
  rearRightMm,
})

const asDraft = ({ rigId, loads, surface, gradePercent, lasts, loopMm, rearMm }: KeptSetUp): DraftState =>
  inOrder({
    rigId,
    loads,
    surface: surface in SURFACES ? (surface as Surface) : 'gravel',
    gradePercent,
    lasts,
    loopMm,
    rearLeftMm: rearMm.left,
    rearRightMm: rearMm.right,
  })

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

function headline(now: DraftNow, rig: Rig, name: string, kg: (newton: number) => string): string {
  if (!now.balance) return `${rig.name} pulls like ${kg(now.pullN[1])}`
  const [, { shaftN, bellyBandN }] = now.balance
  const up = now.tips?.upPercent
  const lifts = up === null || up === undefined ? '' : up === 0 ? '' : `; ${Math.round(up)} cm per m up they lift`
  return shaftN < 0 ? `Shafts lift: the belly band holds ${kg(bellyBandN)}` : `Shafts rest ${kg(shaftN)} on ${name}${lifts}`
}

function secondLine(now: DraftNow, kg: (newton: number) => string, name: string): string {
  const found = now.balance?.[1]
  if (!found) return ''
  if (found.holdBackN > 0) return `${name} holds back ${kg(found.holdBackN)}: brake it, or lead it down.`
  return `All that presses on ${name}: ${kg(found.onDogN)}.${!now.tips?.downPercent ? '' : ` ${Math.round(now.tips.downPercent)} cm per m down the shafts lift too.`}`
}

function rigWords(rig: Rig, say: (mm: number) => string, unit: 'kg' | 'lb'): string {
  const shafts = rig.shafts ? ` Shafts ${say(rig.shafts.thickMm)} thick, stops ${say(rig.shafts.stopMm)}.` : ''
  return `${RIG_NAMES[rig.kind]}, ${formatWeight(rig.massKg, unit)}, track ${say(rig.trackMm)}.${shafts} Bar ${say(rig.bar.widthMm)}, ${rig.bar.swings ? 'swings' : 'fixed'}.${rig.brake ? ' It has a brake.' : ''}`
}

function Shares({ now, rig, kg, apartMm, say }: { now: DraftNow; rig: Rig; kg: (newton: number) => string; apartMm: number; say: (mm: number) => string }) {
  const uneven = Math.abs(apartMm) > 5
  return (
    <div>
      <h2 className="flex flex-wrap items-baseline gap-x-3 text-[18px] leading-[22px]">
        Left and right pull
        {Math.abs(apartMm) >= 1 && (
          <span className={`font-text text-[14px] ${uneven ? 'font-bold text-chalk' : 'text-mute'}`}>
            {apartMm > 0 ? 'left' : 'right'} {say(Math.abs(apartMm))} longer
          </span>
        )}
      </h2>
      <ul>
        {now.shares.map(({ label, traces }) => {
          const whole = traces.tensionN.rearLeft + traces.tensionN.rearRight
          return (
            <li key={label} className="grid grid-cols-[52px_1fr] items-center gap-2 text-[14.5px]">
              <span className="text-mute">{label}</span>
              <span
                className="flex h-6 border-[1.5px] border-ink"
                role="img"
                aria-label={`${label}: left ${kg(whole * traces.leftShare)}, right ${kg(whole * (1 - traces.leftShare))}`}
              >
                <span className="flex items-center overflow-hidden bg-panel px-1 font-bold whitespace-nowrap" style={{ width: `${100 * traces.leftShare}%` }}>
                  {traces.leftShare > 0.18 ? kg(whole * traces.leftShare) : ''}
                </span>
                <span className="flex flex-1 items-center justify-end overflow-hidden bg-ink px-1 font-bold whitespace-nowrap text-panel">
                  {traces.leftShare < 0.82 ? kg(whole * (1 - traces.leftShare)) : ''}
                </span>
              </span>
            </li>
          )
        })}
      </ul>
      <p className="text-[14px] leading-[18px] text-mute">
        {rig.bar.swings
          ? `The bar swings and levels it${Math.abs(now.shares[1]?.traces.skewRad ?? 0) > 0.01 ? `, skewed ${Math.round((Math.abs(now.shares[1]?.traces.skewRad ?? 0) * 180) / Math.PI)} degrees` : ''}.`
          : 'The bar is fixed: which side takes more hangs on what coat, flesh and harness give, and nobody knows that.'}
        {uneven ? ' Over 5 mm apart: make them equal.' : ''}
      </p>
    </div>
  )
}

interface LoadsProps {
  draft: DraftState
  rig: Rig
  inHand: number
  onPick: (i: number) => void
  onSet: (loads: Load[]) => void
  words: (load: Load) => string
  weightUnit: 'kg' | 'lb'
}

function Loads({ draft, rig, inHand, onPick, onSet, words, weightUnit }: LoadsProps) {
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const add = (): void => {
    const read = parseWeight(/[a-z]/i.test(typed) ? typed : `${typed} ${weightUnit}`)
    if (!read.ok || read.kg <= 0 || read.kg > 500) {
      setProblem(`A weight, such as 12 ${weightUnit}.`)
      return
    }
    onSet([
      ...draft.loads,
      { name: `Load ${draft.loads.length + 1}`, massKg: read.kg, aheadMm: Math.round((rig.bed.fromMm + rig.bed.toMm) / 2), heightMm: rig.bed.heightMm + 150 },
    ])
    onPick(draft.loads.length)
    setTyped('')
    setProblem(null)
  }
  return (
    <section aria-label="Loads">
      <h2 className="text-[16px] leading-5">Loads</h2>
      <ul>
        {draft.loads.map((load, i) => (
          <li key={i} className={`flex items-center border-b border-rule border-l-[5px] ${i === inHand ? 'border-l-ink bg-bench' : 'border-l-transparent'}`}>
            <button
              type="button"
              aria-pressed={i === inHand}
              onClick={() => onPick(i)}
              className="min-h-11 min-w-0 flex-1 px-2 py-1 text-left text-[14.5px] leading-[18px]"
            >
              <b>
                {load.name}, {formatWeight(load.massKg, weightUnit)}
              </b>
              <span className="block text-mute">{words(load)}</span>
            </button>
            <button
              type="button"
              onClick={() => onSet(draft.loads.filter((_, k) => k !== i))}
              className="min-h-11 px-2 font-semibold underline"
              aria-label={`Take ${load.name} off`}
            >
              off
            </button>
          </li>
        ))}
      </ul>
      <form
        noValidate
        className="mt-2 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          add()
        }}
      >
        <TextField
          label={`A load (${weightUnit})`}
          inputMode="decimal"
          value={typed}
          problem={problem ?? undefined}
          onChange={(event) => {
            setTyped(event.target.value)
            setProblem(null)
          }}
        />
        <Button type="submit">Add</Button>
      </form>
    </section>
  )
}

function GradeField({ value, onSet }: { value: number; onSet: (percent: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? String(value)
  const read = Number(text.replace(',', '.').replace('−', '-'))
  const wrong = text.trim() === '' || !Number.isFinite(read) || Math.abs(read) > 30
  return (
    <TextField
      label="Grade, cm per m, up; minus is down"
      inputMode="text"
      value={text}
      problem={wrong ? 'From -30 to 30: steeper no cart is drawn.' : undefined}
      onChange={(event) => {
        setTyped(event.target.value)
        const next = Number(event.target.value.replace(',', '.').replace('−', '-'))
        if (event.target.value.trim() !== '' && Number.isFinite(next) && Math.abs(next) <= 30) onSet(next)
      }}
    />
  )
}

function NewRig({ onMade, known }: { onMade: (id: string) => void; known: number }) {
  const [addRig] = useAddRigMutation()
  const [problem, setProblem] = useState<string | null>(null)
  const make = async (): Promise<void> => {
    const id = uuid()
    const { error } = await addRig({ id, body: { ...FIRST_CART, name: `Cart ${known + 1}`, at: new Date().toISOString() } })
    if (error) setProblem(`Not saved. ${problemWords(error)}`)
    else onMade(id)
  }
  return (
    <div>
      <Button onClick={() => void make()}>Take in a cart</Button>
      {problem && (
        <p role="alert" className="font-semibold text-snag">
          {problem}
        </p>
      )}
    </div>
  )
}
