import {
  families,
  formatLength,
  formatWeight,
  GRAVITY,
  KG_PER_POUND,
  PULL_SHARES,
  SURFACES,
  type Item,
  type Rig,
  type SetUp as KeptSetUp,
  type Surface,
} from '@merry-tailor/core'
import { draftSvg, setUpToCsv } from '@merry-tailor/core/formats'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useOpenTicket } from '../../bench'
import { DRAFT_NAMES, StrapTable } from '../../drafting'
import { LengthEntry } from '../../length-entry'
import { VerdictWord } from '../../said/VerdictWord'
import { readingStyle, valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { today } from '../../state/today'
import { useKeys } from '../../state/use-keys'
import { Named } from '../../ui/controls/Named'
import { Picker } from '../../ui/controls/Picker'
import { SaveText } from '../../ui/controls/SaveText'
import { Segmented } from '../../ui/controls/Segmented'
import { useBox } from '../../ui/use-width'
import { SURFACE_NAMES } from '../../words/hitch'
import { familyName } from '../../words/stages'
import type { DraftState, Load } from './draft-now'
import { headline, rigWords, secondLine } from './draft-words'
import { DraftPlan } from './DraftPlan'
import { DraftSide } from './DraftSide'
import { NewRig, RIG_NAMES, RigNumbers } from '../../rigs'
import { GradeField } from './GradeField'
import { Loads } from './Loads'
import { LockButton } from './LockButton'
import { OwnGive } from './OwnGive'
import { PullTape } from './PullTape'
import { RouteBlock } from './RouteBlock'
import { Shares } from './Shares'
import { SetUpFrame } from './SetUpFrame'
import { StopsAbove } from './StopsAbove'
import { useHandles, type HandleId } from './use-handles'
import { useSetUp } from './use-set-up'

/** Height of the plan under the side. */
const PLAN_PX = 190

/** What a drafting harness draws: a rig to scale behind this dog, its loads, its way, and what comes of them. */
export const DraftRoom = () => (
  <SetUpFrame now="draft" then="a cart can be set up behind it" columns="md:grid-cols-[248px_minmax(0,1fr)] bench:grid-cols-[232px_minmax(0,1fr)_340px]">
    {(item, rigs, tabs) => (
      <Drawn key={item.id} item={item} rigs={rigs}>
        {tabs}
      </Drawn>
    )}
  </SetUpFrame>
)

const held = (mm: number, [least, most]: readonly [number, number]): number => Math.min(most, Math.max(least, mm))

function Drawn({ item, rigs, children }: { item: Item; rigs: readonly Rig[]; children: ReactNode }) {
  const { sheet, name } = useOpenTicket()
  const hand = useSetUp(item, rigs)
  const { draft, setDraft, rig, now, dogKg, isLocked, lock, form } = hand
  const look = useAppSelector((state) => state.settings)
  const say = (mm: number): string => formatLength(mm, { ...valueStyle(look), unit: look.unit }).text
  // What a tape finds on a strap is said as finely as it is typed.
  const fine = (mm: number): string => formatLength(mm, readingStyle(look)).text
  const [ref, box] = useBox<HTMLDivElement>(708, 510)
  const moved = (from: DraftState, id: HandleId, along: number, up: number): DraftState => {
    if (!rig || !now) return from
    const i = Number(id.slice(5))
    if (id === 'loop') return { ...from, loopMm: held((from.loopMm ?? now.places.loop.zMm) + up, [100, 1200]) }
    if (id === 'hitch') return { ...from, hitchMm: held((from.hitchMm ?? rig.hitch.heightMm) + up, [20, 1200]) }
    // A rear trace grows as its end goes back.
    const longer = (mm: number): number => held(mm - along, [50 - now.startMm.rear, 3000 - now.startMm.rear])
    if (id === 'left') return { ...from, rearLeftMm: longer(from.rearLeftMm) }
    if (id === 'right') return { ...from, rearRightMm: longer(from.rearRightMm) }
    return {
      ...from,
      loads: from.loads.map((load, k) =>
        k === i
          ? { ...load, aheadMm: held(load.aheadMm + along, [rig.bed.fromMm, rig.bed.toMm]), heightMm: held(load.heightMm + up, [rig.bed.heightMm, 1500]) }
          : load,
      ),
    }
  }
  const handles = useHandles(draft, (next) => setDraft(() => next), moved)
  useKeys({ Enter: now && !isLocked ? () => void lock() : undefined })
  const set = (over: Partial<DraftState>): void => setDraft((was) => ({ ...was, ...over }))
  const weightUnit = look.unit === 'in' ? 'lb' : 'kg'
  const kg = (newton: number): string => formatWeight(Math.abs(newton) / GRAVITY, weightUnit)
  const placeLines = (load: Load): string[] => [
    `${say(Math.abs(load.aheadMm))} ${load.aheadMm < 0 ? 'behind' : 'ahead of'} the axle,`,
    `${say(load.heightMm)} up`,
  ]
  const placeWords = (load: Load): string => placeLines(load).join(' ')
  const loadInHand = handles.inHand?.startsWith('load') ? Number(handles.inHand.slice(5)) : -1
  const ghostLoad = handles.from?.loads[loadInHand]
  const ghost = ghostLoad ? { load: ghostLoad, words: `was ${say(Math.abs(ghostLoad.aheadMm))} ${ghostLoad.aheadMm < 0 ? 'behind' : 'ahead'}` } : null
  const drawing = (): string =>
    now && rig
      ? draftSvg(
          { form, rig, places: now.places, loads: draft.loads, offsetMm: now.offsetMm, pitchRad: now.balance?.[1].pitchRad ?? 0, hitchMm: now.hitch.heightMm },
          { dog: name, on: today() },
        )
      : ''
  const draws = families[item.family].shelf === 'drafting'
  const clearSeenMm =
    sheet.tryOns
      .filter((round) => round.itemId === item.id && !round.struck)
      .flatMap(({ observations }) => observations)
      .findLast((each) => each.check === 'bar-off-the-hocks' && !each.struck && each.mm !== null)?.mm ?? null
  const sideHeight = Math.max(250, box.height - PLAN_PX)
  const rearMm = now ? { left: now.startMm.rear + draft.rearLeftMm, right: now.startMm.rear + draft.rearRightMm } : null
  return (
    <>
      <section aria-label="What is drawn" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink">
        {children}
        <div className="quiet-scroll min-h-0 flex-1 space-y-3 px-4 py-3">
          {rig ? (
            <>
              <Named label="Rig">
                <Picker
                  label="Rig"
                  value={rig.id}
                  options={rigs.map(({ id, name: label, kind }) => ({ value: id, label, note: RIG_NAMES[kind] }))}
                  onChange={(rigId) => set({ rigId, hitchMm: null })}
                  className="w-full"
                />
              </Named>
              <p className="text-[14px] leading-[18px] text-mute">{rigWords(rig, say, weightUnit)}</p>
              <Loads
                draft={draft}
                rig={rig}
                inHand={loadInHand}
                onPick={(i) => handles.take(`load ${i}`)}
                onSet={(loads) => set({ loads })}
                words={placeWords}
                weightUnit={weightUnit}
              />
              <Named label="It runs on">
                <Picker
                  label="It runs on"
                  value={draft.surface}
                  options={(Object.keys(SURFACES) as Surface[]).map((value) => ({ value, label: SURFACE_NAMES[value] }))}
                  onChange={(surface) => set({ surface })}
                  className="w-full"
                />
              </Named>
              <GradeField value={draft.gradePercent} onSet={(gradePercent) => set({ gradePercent })} />
              <Named label="It lasts">
                <Segmented
                  label="It lasts"
                  value={draft.lasts}
                  options={[
                    { value: 'long', label: 'Long' },
                    { value: 'short', label: 'Short' },
                  ]}
                  onChange={(lasts) => set({ lasts })}
                />
              </Named>
              <RouteBlock route={draft.route} now={now} name={name} kg={kg} onSet={(route) => set({ route })} />
              <OwnGive giveNpm={draft.giveNpm} unit={look.unit} weightUnit={weightUnit} onSet={(giveNpm) => set({ giveNpm })} />
              {now && rearMm && (
                <details className="border-t border-rule">
                  <summary className="flex min-h-11 cursor-pointer items-center font-bold">Heights and traces as numbers</summary>
                  <div className="space-y-2 pb-2">
                    {rig.shafts && (
                      <LengthEntry label={`Loops on ${name}, above the floor`} mm={now.loopMm} onSet={(loopMm) => set({ loopMm })} least={100} most={1200} />
                    )}
                    <LengthEntry label="Bar’s height" mm={now.hitch.heightMm} onSet={(hitchMm) => set({ hitchMm })} least={20} most={1200} />
                    <LengthEntry label="Left rear trace" mm={rearMm.left} onSet={(mm) => set({ rearLeftMm: mm - now.startMm.rear })} least={50} most={3000} />
                    <LengthEntry
                      label="Right rear trace"
                      mm={rearMm.right}
                      onSet={(mm) => set({ rearRightMm: mm - now.startMm.rear })}
                      least={50}
                      most={3000}
                    />
                  </div>
                </details>
              )}
            </>
          ) : (
            <p>No cart, wagon, runners or drag in the book yet. Take one in with usual numbers, then set them to yours.</p>
          )}
          {rig && <RigNumbers key={rig.id} rig={rig} />}
          <NewRig onMade={(rigId) => set({ rigId })} known={rigs.length} />
        </div>
        {rig && sheet.ticket.state !== 'closed' && <LockButton isLocked={isLocked} can={now !== null} refused={hand.refused} onLock={() => void lock()} />}
      </section>
      <section aria-label="To scale" className="order-1 flex min-h-0 flex-col max-md:shrink-0 md:order-2">
        <StopsAbove family={item.family} />
        <header className="shrink-0 border-b-2 border-ink bg-bench px-5 py-2">
          <h1 className="text-[25px] leading-[30px]" aria-live="polite">
            {now && rig ? headline(now, rig, name, kg) : (hand.says ?? 'Nothing to draw yet')}
          </h1>
          <p className="flex flex-wrap items-center justify-between gap-x-3 text-[15px] leading-[19px]">
            <span>{now?.balance ? secondLine(now, kg, name) : ''}</span>
            <VerdictWord grade="none" basis="predicted" word="Predicted, nothing seen yet" size={17} />
          </p>
        </header>
        <div ref={ref} className="mat min-h-[440px] flex-1 overflow-hidden">
          {now && rig && rearMm && (
            <>
              <DraftSide
                form={form}
                rig={rig}
                now={now}
                loads={draft.loads}
                handles={handles}
                ghost={ghost}
                clearSeenMm={clearSeenMm}
                words={placeLines}
                say={say}
                width={box.width}
                height={sideHeight}
                label={`${rig.name} behind ${name}, from the side, to scale`}
              />
              <DraftPlan
                form={form}
                rig={rig}
                now={now}
                loads={draft.loads}
                handles={handles}
                say={fine}
                rearMm={rearMm}
                width={box.width}
                sideHeight={sideHeight}
                height={PLAN_PX}
                label={`${rig.name} behind ${name}, from above, to the same scale`}
              />
            </>
          )}
        </div>
        {now && rig && (
          <div className="grid shrink-0 gap-x-6 gap-y-2 border-t-2 border-ink bg-panel px-5 py-2.5 2xl:grid-cols-2 bench:grid-cols-2">
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
              <p className="text-[14px] leading-[18px]">
                {kg(now.pullN[0]) === kg(now.pullN[1]) ? kg(now.pullN[0]) : `${kg(now.pullN[0])} to ${kg(now.pullN[1])}`}; {Math.round(100 * now.verdict.share)}{' '}
                of 100 of {name}’s weight. No study fixes a safe limit.
              </p>
            </div>
            <Shares now={now} rig={rig} kg={kg} apartMm={draft.rearLeftMm - draft.rearRightMm} say={fine} />
          </div>
        )}
      </section>
      {rig && draws && (
        <StrapTable
          item={item}
          rig={rig}
          className="max-bench:order-3 max-bench:col-span-2 max-bench:border-t-2 max-bench:border-ink bench:order-3 bench:border-l-2 bench:border-ink"
        >
          {({ start }) => (
            <div className="space-y-1.5 border-t border-rule px-4 py-2 text-[14px] leading-[18px]">
              <p>
                Shafts {say(start.shaftMm)} up, {say(start.betweenShaftsMm)} apart; bar {say(start.barMm)} wide, {say(start.barBehindTailMm)} behind the tail.
                {now?.turn ? ` Turns in a lane of ${say(now.turn.laneMm)}.` : ''}
                {now?.over
                  ? ` It goes over on a side slope of ${Math.round(now.over.sidePercent)} in a hundred, or at ${(now.over.speedMps * 3.6).toFixed(0)} km/h in that turn.`
                  : ''}
              </p>
              <p className="text-mute">
                {name}’s hind paw is expected {say(start.reach.pawMm)} behind its tail, give or take {say(start.reach.sigmaMm)}: a guess until it was seen in
                stride under{' '}
                <Link className="font-bold text-ink underline" to={`/tickets/${sheet.ticket.id}/try-on`}>
                  Try on
                </Link>
                . Statics of a stiff cart; drag, give and reach are from memory, unverified. Judge it on the level, empty, first.
              </p>
              <p className="flex flex-wrap items-center gap-2">
                <Link className="inline-flex min-h-11 items-center font-bold underline" to={`/tickets/${sheet.ticket.id}/set-up-card`}>
                  Set-up card
                </Link>
                {hand.locked && (
                  <SaveText name={`set-up-${sheet.ticket.number}.csv`} type="text/csv" text={() => setUpToCsv(hand.locked as KeptSetUp, rig, strapLines(hand))}>
                    Set-up, CSV
                  </SaveText>
                )}
                <SaveText name={`draft-${sheet.ticket.number}.svg`} type="image/svg+xml" text={drawing}>
                  Drawing, SVG
                </SaveText>
              </p>
            </div>
          )}
        </StrapTable>
      )}
      {!draws && (
        <section
          aria-label="Straps, in order"
          className="bg-panel px-4 py-3 max-bench:order-3 max-bench:col-span-2 max-bench:border-t-2 max-bench:border-ink bench:order-3 bench:border-l-2 bench:border-ink"
        >
          <h2 className="text-[19px] leading-6">No drafting harness in hand</h2>
          <p className="py-1">
            {familyName(item.family)} is not made to draw a cart: what is drawn here is how a drafting harness would lie. Choose one under{' '}
            <Link className="font-bold underline" to={`/tickets/${sheet.ticket.id}/ask`}>
              Ask
            </Link>
            ; then its straps stand here, each with where to start.
          </p>
        </section>
      )}
    </>
  )
}

const strapLines = ({ straps }: ReturnType<typeof useSetUp>) =>
  (straps?.rows ?? []).map(({ part, start, now }) => ({
    strap: DRAFT_NAMES[part],
    startMm: start.startMm,
    leastMm: start.leastMm,
    mostMm: start.mostMm,
    leftMm: now?.leftMm ?? null,
    rightMm: now ? (now.rightMm ?? now.leftMm) : null,
  }))

const asWeight = (newton: number, unit: 'kg' | 'lb'): number => newton / GRAVITY / (unit === 'lb' ? KG_PER_POUND : 1)
