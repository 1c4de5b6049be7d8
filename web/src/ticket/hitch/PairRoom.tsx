import { formatLength, formatWeight, GRAVITY, pairPull, pinFor, pullVerdict, type Item, type PairPull, type PairSetUp, type Rig } from '@merry-tailor/core'
import { useMemo, type ReactNode } from 'react'
import { useDogsQuery } from '../../api/queries'
import { useOpenTicket } from '../../bench'
import { LengthEntry, WeightEntry } from '../../length-entry'
import { VerdictWord } from '../../said/VerdictWord'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useKeys } from '../../state/use-keys'
import { Named } from '../../ui/controls/Named'
import { Picker } from '../../ui/controls/Picker'
import { Segmented } from '../../ui/controls/Segmented'
import { useBox } from '../../ui/use-width'
import { LockButton } from './LockButton'
import { PairPlan } from './PairPlan'
import { SetUpFrame } from './SetUpFrame'
import { StopsAbove } from './StopsAbove'
import { useOtherDog } from './use-other-dog'
import { useSetUp } from './use-set-up'

/** An evener and a yoke to begin with; every number is then set to the shop’s own. Invented. */
const FRESH: Omit<PairSetUp, 'dogId'> & { dogId: string | null } = {
  dogId: null,
  side: 'left',
  armsMm: { left: 220, right: 220 },
  pinMm: 40,
  leadMm: 0,
  yokeMm: { left: 260, right: 260 },
  poleKg: 3,
}
type Pair = typeof FRESH
const isPair = (kept: unknown): kept is Pair => typeof kept === 'object' && kept !== null && 'armsMm' in kept && 'yokeMm' in kept

/** Two dogs before one rig: how an evener shares the pull, and a yoke its pole. */
export const PairRoom = () => (
  <SetUpFrame now="pair" then="a second dog can be put beside it" columns="md:grid-cols-[264px_minmax(0,1fr)] bench:grid-cols-[264px_minmax(0,1fr)_300px]">
    {(item, rigs, tabs) => (
      <Two key={item.id} item={item} rigs={rigs}>
        {tabs}
      </Two>
    )}
  </SetUpFrame>
)

function Two({ item, rigs, children }: { item: Item; rigs: readonly Rig[]; children: ReactNode }) {
  const { sheet, name } = useOpenTicket()
  const hand = useSetUp(item, rigs)
  const { data: dogs = [] } = useDogsQuery(undefined)
  const look = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(look), unit: look.unit }
  const say = (mm: number): string => formatLength(mm, style).text
  const weightUnit = look.unit === 'in' ? 'lb' : 'kg'
  const kg = (newton: number): string => formatWeight(Math.abs(newton) / GRAVITY, weightUnit)
  const [pair, setPair] = useKeptDraft<Pair>(`pair-${item.id}`, hand.pair ?? FRESH, isPair)
  const set = (over: Partial<Pair>): void => setPair((was) => ({ ...was, ...over }))
  const other = useOtherDog(pair.dogId)
  const [ref, box] = useBox<HTMLDivElement>(720, 520)
  const { now, rig, form, dogKg } = hand
  const ownMm = now?.places.loop.zMm ?? form.measures.M46?.mm ?? 450
  const mine = pair.side
  const theirs = mine === 'left' ? 'right' : 'left'
  const pullN = Math.max(0, now?.pullN[1] ?? 0)
  const heightsMm = useMemo(
    () => ({ left: mine === 'left' ? ownMm : (other?.carriesMm ?? ownMm), right: mine === 'right' ? ownMm : (other?.carriesMm ?? ownMm) }),
    [mine, ownMm, other?.carriesMm],
  )
  const found = useMemo(() => outcomeOf({ ...pair, pullN, heightsMm }), [pair, pullN, heightsMm])
  const kgs = { [mine]: dogKg, [theirs]: other?.kg ?? dogKg } as Record<'left' | 'right', number>
  const names = { [mine]: name, [theirs]: other?.name ?? 'the other' } as Record<'left' | 'right', string>
  const across = pair.armsMm.left + pair.armsMm.right
  // Shares by the dogs' weights: the heavier pulls more, on the shorter arm.
  const wanted = other ? pinFor({ acrossMm: across, leftShare: kgs.left / (kgs.left + kgs.right) }) : null
  const byMm = wanted === null ? 0 : wanted - pair.armsMm.left
  const before = hand.locked?.pair ?? null
  const isLocked = hand.isLocked && before !== null && pair.dogId === before.dogId && JSON.stringify(inOrder(pair)) === JSON.stringify(inOrder(before))
  const can = now !== null && found.ok && pair.dogId !== null
  const lock = (): void => {
    const { dogId } = pair
    if (dogId !== null) void hand.lock({ ...inOrder(pair), dogId })
  }
  useKeys({ Enter: can && !isLocked ? lock : undefined })
  const pull = found.ok ? found.pull : null
  return (
    <>
      <section aria-label="The pair" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink">
        {children}
        <div className="quiet-scroll min-h-0 flex-1 space-y-3 px-4 py-3">
          <Named label={`Beside ${name}`}>
            <Picker
              label={`Beside ${name}`}
              value={pair.dogId ?? ''}
              placeholder="Pick a dog"
              options={dogs.filter(({ id }) => id !== sheet.dog?.id).map(({ id, name: label }) => ({ value: id, label }))}
              onChange={(dogId) => set({ dogId })}
              className="w-full"
            />
          </Named>
          <Named label={`${name} goes`}>
            <Segmented
              label={`${name} goes`}
              value={mine}
              options={[
                { value: 'left', label: 'Left' },
                { value: 'right', label: 'Right' },
              ]}
              onChange={(side) => set({ side })}
            />
          </Named>
          <h2 className="pt-1 text-[16px] leading-5">Evener</h2>
          <LengthEntry label="Left arm, pin to eye" mm={pair.armsMm.left} least={50} most={2000} onSet={(left) => set({ armsMm: { ...pair.armsMm, left } })} />
          <LengthEntry
            label="Right arm, pin to eye"
            mm={pair.armsMm.right}
            least={50}
            most={2000}
            onSet={(right) => set({ armsMm: { ...pair.armsMm, right } })}
          />
          <LengthEntry label="Eyes ahead of the pin" mm={pair.pinMm} least={0} most={200} onSet={(pinMm) => set({ pinMm })} />
          <LengthEntry
            label="One dog ahead of the other"
            mm={Math.abs(pair.leadMm)}
            least={0}
            most={1000}
            onSet={(mm) => set({ leadMm: pair.leadMm < 0 ? -mm : mm })}
          />
          {Math.abs(pair.leadMm) > 0 && (
            <Named label="Ahead is">
              <Segmented
                label="Ahead is"
                value={pair.leadMm > 0 ? 'left' : 'right'}
                options={[
                  { value: 'left', label: 'Left' },
                  { value: 'right', label: 'Right' },
                ]}
                onChange={(side) => set({ leadMm: (side === 'left' ? 1 : -1) * Math.abs(pair.leadMm) })}
              />
            </Named>
          )}
          <h2 className="pt-1 text-[16px] leading-5">Yoke and pole</h2>
          <LengthEntry label="Left arm of the yoke" mm={pair.yokeMm.left} least={50} most={2000} onSet={(left) => set({ yokeMm: { ...pair.yokeMm, left } })} />
          <LengthEntry
            label="Right arm of the yoke"
            mm={pair.yokeMm.right}
            least={50}
            most={2000}
            onSet={(right) => set({ yokeMm: { ...pair.yokeMm, right } })}
          />
          <WeightEntry label="The pole’s end weighs" kg={pair.poleKg} unit={weightUnit} mostKg={100} onSet={(poleKg) => set({ poleKg })} />
        </div>
        {sheet.ticket.state !== 'closed' && <LockButton isLocked={isLocked} can={can} refused={hand.refused} onLock={lock} />}
      </section>
      <section aria-label="From above" className="order-1 flex min-h-0 flex-col max-md:shrink-0 md:order-2">
        <StopsAbove family={item.family} />
        <header className="shrink-0 border-b-2 border-ink bg-bench px-5 py-2">
          <h1 className="text-[25px] leading-[30px]" aria-live="polite">
            {!other
              ? `Who goes beside ${name}?`
              : pull
                ? `${names.left} pulls ${kg(pull.leftN)}, ${names.right} ${kg(pull.rightN)}`
                : found.ok
                  ? ''
                  : found.says}
          </h1>
          <p className="flex flex-wrap items-center justify-between gap-x-3 text-[15px] leading-[19px]">
            <span>
              {rig ? `Of ${kg(pullN)} that ${rig.name} asks for, as it stands under Draft.` : 'Take a rig in under Draft first.'}
              {pull && Math.abs(pull.tiltRad) > 0.02
                ? ` The yoke tilts: ${heightsMm.left > heightsMm.right ? names.left : names.right} carries it ${say(Math.abs(heightsMm.left - heightsMm.right))} higher.`
                : ''}
            </span>
            <VerdictWord grade="none" basis="predicted" word="Predicted, nothing seen yet" size={17} />
          </p>
        </header>
        <div ref={ref} className="mat min-h-[400px] flex-1 overflow-hidden">
          <PairPlan pair={pair} pull={pull} own={form} other={other?.form ?? null} names={names} say={say} kg={kg} width={box.width} height={box.height} />
        </div>
      </section>
      <section
        aria-label="What each pulls"
        tabIndex={0}
        className="quiet-scroll bg-panel max-bench:order-3 max-bench:col-span-2 max-bench:border-t-2 max-bench:border-ink bench:order-3 bench:border-l-2 bench:border-ink"
      >
        <h2 className="border-b-2 border-ink px-4 py-2 text-[19px] leading-6">What each pulls</h2>
        {pull && other ? (
          <>
            {(['left', 'right'] as const).map((side) => {
              const newton = side === 'left' ? pull.leftN : pull.rightN
              const verdict = pullVerdict({ pullN: newton, dogKg: kgs[side], lasts: hand.draft.lasts })
              return (
                <div key={side} className="border-b border-rule px-4 py-2.5">
                  <p className="flex items-baseline justify-between gap-2">
                    <b className="text-[18px]">{names[side]}</b> <span className="text-mute">{side}</span>
                  </p>
                  <p className="flex items-baseline justify-between gap-2 text-[22px] leading-7 font-bold">
                    {kg(newton)} <VerdictWord grade={verdict.grade} basis="predicted" size={18} />
                  </p>
                  <p className="text-[14.5px] text-mute">
                    {Math.round(100 * verdict.share)} of 100 of its {formatWeight(kgs[side], weightUnit)}
                    {side === theirs && !other.weighed ? ', a guess: it was never weighed' : ''}; bears {kg(side === 'left' ? pull.yokeLeftN : pull.yokeRightN)}{' '}
                    of the pole.
                  </p>
                </div>
              )
            })}
            <div className="space-y-2 px-4 py-2.5 text-[15px] leading-[19px]">
              <p>
                {Math.abs(byMm) < 5
                  ? 'The pin stands where each pulls by its weight.'
                  : `By their weights the pin goes ${say(Math.abs(byMm))} to the ${byMm > 0 ? 'right' : 'left'}: left arm ${say(wanted ?? 0)}, right ${say(across - (wanted ?? 0))}.`}
              </p>
              {Math.abs(pull.skewRad) > 0.01 && (
                <p>
                  {names[pull.skewRad > 0 ? 'left' : 'right']} is ahead: the evener stands {Math.round((Math.abs(pull.skewRad) * 180) / Math.PI)} degrees skew,
                  and the dog behind pulls {(pull.skewRad > 0 ? pull.rightN > pull.leftN : pull.leftN > pull.rightN) ? 'more' : 'less'}.
                </p>
              )}
              <p className="text-mute">
                Levers alone: who leans into it, tires or fears the other dog, no lever knows. {other.name}’s straps are set on its own ticket.
              </p>
            </div>
          </>
        ) : (
          <p className="px-4 py-3 text-mute">Pick the dog that goes beside: its weight and height come from its own record.</p>
        )}
      </section>
    </>
  )
}

const inOrder = ({ dogId, side, armsMm, pinMm, leadMm, yokeMm, poleKg }: Pair | PairSetUp) => ({
  dogId,
  side,
  armsMm: { left: armsMm.left, right: armsMm.right },
  pinMm,
  leadMm,
  yokeMm: { left: yokeMm.left, right: yokeMm.right },
  poleKg,
})

type Outcome = { ok: true; pull: PairPull } | { ok: false; says: string }

function outcomeOf({ pullN, armsMm, pinMm, leadMm, poleKg, yokeMm, heightsMm }: Pair & { pullN: number; heightsMm: { left: number; right: number } }): Outcome {
  try {
    return { ok: true, pull: pairPull({ pullN, armsMm, pinMm, leadMm, poleN: poleKg * GRAVITY, yokeMm, heightsMm }) }
  } catch (problem) {
    if (!(problem instanceof RangeError)) throw problem
    return { ok: false, says: problem.message.includes('yoke') ? 'The yoke does not reach both dogs' : 'One dog is further ahead than the evener reaches' }
  }
}
