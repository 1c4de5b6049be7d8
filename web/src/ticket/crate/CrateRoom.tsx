import {
  crateOfChart,
  insideOf,
  predictedOf,
  RULES_VERSION,
  type CrateCheck,
  type CrateCheckId,
  type FamilyId,
  type Item,
  type Settlement,
  type SizedBody,
} from '@merry-tailor/core'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import {
  ItemPanel,
  ItemsInHand,
  ItemTabs,
  NoItem,
  useActs,
  useBenchForm,
  useGrown,
  useInsides,
  useItemInHand,
  useOpenTicket,
  useRanked,
  useSizedBody,
} from '../../bench'
import { useCrates } from '../../form'
import { countGrades } from '../../garment'
import { LengthEntry } from '../../length-entry'
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
import { Tape } from '../../ui/tape/Tape'
import { useMedia } from '../../ui/use-media'
import { CLEARANCE_NAMES } from '../../words/clearances'
import { lowerFirst } from '../../words/first-letter'
import { problemWords } from '../../words/problems'
import { AirPane } from './AirPane'
import { CrateList, inOrderOfClearance } from './CrateList'
import { CrateMat, DISC, type Stance } from './CrateViews'
import { InsideFields } from './InsideFields'
import { LoadPane } from './LoadPane'
import { PuppyPane } from './PuppyPane'
import { useTurning } from './use-turning'

type Tab = 'home' | 'puppy' | 'air' | 'load'
const KINDS: Readonly<Record<string, string>> = { K1: 'Wire', K2: 'Travel', K3: 'Soft' }
const NOTHING_READ: SizedBody = {}
const isCrate = (family: FamilyId): boolean => family in KINDS
/** Walls outside the inside, mm: what a box takes in a car. Ours. */
const OUTSIDE = { lengthMm: 35, widthMm: 20, heightMm: 25 }

/** Crates for a dog: stand, sit, turn and lie by its form; a puppy's divider, the air box, the car. */
export function CrateRoom() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items, items.find(({ family }) => isCrate(family))?.id)
  if (!item || !isCrate(item.family))
    return <NoItem title="Which crate?">{`Choose a wire, travel or soft crate for ${name} under Ask; then its clearances are looked at here.`}</NoItem>
  return (
    <ItemsInHand
      items={items}
      current={item.id}
      onPick={setItem}
      className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto max-md:pb-24 md:grid md:grid-cols-[316px_minmax(0,1fr)]"
    >
      <OneCrate key={item.id} item={item} items={items} />
    </ItemsInHand>
  )
}

function OneCrate({ item, items }: { item: Item; items: readonly Item[] }) {
  const { sheet, name } = useOpenTicket()
  const navigate = useNavigate()
  const acts = useActs()
  const once = useOnce()
  const phone = useMedia('(max-width: 767px)')
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const say = (mm: number): string => lengthText(mm, look, true)
  const on = useToday()
  const grown = useGrown(item)
  const { form: own } = useBenchForm()
  const { body: ownBody } = useSizedBody()
  const { ranked } = useRanked(item)
  const insides = useInsides(item.family)
  const form = grown?.form ?? own
  const body = grown ? (grown.body ?? NOTHING_READ) : ownBody
  const [bedMm, setBed] = useState(0)
  const question = useMemo(() => ({ body, form, bedMm, insides }), [body, form, bedMm, insides])
  const bench = useCrates(question)
  const [picked, setPicked] = useState<string | null>(null)
  const [tab, setTab] = useState<Tab>('home')
  const [stance, setStance] = useState<Stance>('side')
  const [asked, setAsked] = useState<CrateCheckId | null>(null)
  const [measuring, setMeasuring] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const turning = useTurning()
  const kind = KINDS[item.family] ?? 'Crate'
  const known = sheet.choices.findLast((choice) => choice.itemId === item.id && choice.kind === 'series')
  const order = bench ? inOrderOfClearance(bench.found.sizes) : []
  const label =
    picked ??
    (known?.kind === 'series' && bench?.found.sizes.some((size) => size.label === known.label) ? known.label : null) ??
    bench?.found.smallest ??
    bench?.found.perhaps ??
    order[0]?.label ??
    null
  const size = bench?.found.sizes.find((each) => each.label === label)
  const ageWeeks = sheet.dog?.born ? differenceInCalendarDays(parseISO(on), parseISO(sheet.dog.born)) / 7 : null

  const choose = (): void => {
    if (!label || !size) return
    void once(async () => {
      const offer = ranked.find((each) => each.kind === 'series')
      const inside = insideNow(label)
      const settlement: Settlement = { kind: 'series', family: item.family, label, insideMm: [inside.lengthMm, inside.widthMm, inside.heightMm] }
      const { error } = await acts.choose({
        ...settlement,
        itemId: item.id,
        predicted: offer ? predictedOf(offer, settlement) : [],
        rulesVersion: RULES_VERSION,
        overruled: null,
      })
      setProblem(error ? `Not kept. ${problemWords(error)}` : null)
      if (!error) await navigate(`/tickets/${sheet.ticket.id}/try-on`)
      return !error
    })
  }
  const step = (by: 1 | -1): void => {
    const at = order.findIndex((each) => each.label === label)
    const next = order[Math.min(order.length - 1, Math.max(0, at + by))]
    if (next) setPicked(next.label)
  }
  useKeys({
    ...(measuring || tab !== 'home' ? {} : { Enter: choose }),
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    t: turning.play,
    ...Object.fromEntries((size?.checks ?? []).map(({ check }) => [String(DISC[check]), () => setAsked(check)])),
  })
  if (!bench || !label || !size) return <div className="mat min-h-0 flex-1 md:col-span-2" aria-busy="true" aria-label="Working out the crates" />
  function insideNow(of: string) {
    return bench?.insides[of] ?? insides[of] ?? insideOf(of)
  }
  const inside = insideNow(label)
  const worst = size.checks.find(({ grade }) => grade === 'fails') ?? size.checks.find(({ grade }) => grade === 'doubt')
  const open = size.checks.find(({ check }) => check === asked) ?? worst ?? size.checks[0]
  const chart = [sheet.dog?.breed ?? '', sheet.dog?.crossWith ?? ''].flatMap((breed) => crateOfChart(breed) ?? [])[0]
  const named = bench.found.smallest ?? bench.found.perhaps
  const before = named === null ? undefined : bench.found.sizes[bench.found.sizes.findIndex((each) => each.label === named) - 1]
  const kept = before?.checks.find(({ check }) => check === bench.found.decides[0])
  const outer = { lengthMm: inside.lengthMm + OUTSIDE.lengthMm, widthMm: inside.widthMm + OUTSIDE.widthMm, heightMm: inside.heightMm + OUTSIDE.heightMm }
  const tabs: { value: Tab; label: string }[] = [
    { value: 'home', label: 'Home' },
    ...(grown && ageWeeks !== null ? [{ value: 'puppy' as const, label: 'Puppy' }] : []),
    { value: 'air', label: 'Air' },
    { value: 'load', label: 'Load space' },
  ]
  const tags = (
    <ol aria-label="Clearances" className="flex flex-wrap gap-1.5 p-2 max-md:flex-nowrap max-md:overflow-x-auto">
      {size.checks.map((check) => (
        <li key={check.check}>
          <button
            type="button"
            aria-pressed={check.check === open?.check}
            onClick={() => setAsked(check.check)}
            className="min-h-[52px] min-w-[128px] border-2 border-ink bg-panel px-2 py-1 text-left aria-pressed:shadow-[inset_0_-4px_0_var(--ink)]"
          >
            <span className="flex items-baseline justify-between gap-2 text-[15px] leading-5 whitespace-nowrap">
              <span>
                <b>{DISC[check.check]}</b> {CLEARANCE_NAMES[check.check]}
              </span>
              <b>
                <Worded text={check.needMm === null ? '' : say(check.haveMm - check.needMm + roomIn(check))} />
              </b>
            </span>
            <VerdictWord grade={check.grade} basis="predicted" size={15} {...(check.grade === 'none' ? { word: 'Take the tape' } : {})} />
          </button>
        </li>
      ))}
    </ol>
  )
  return (
    <>
      <section aria-label="Crates" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink">
        <ItemTabs items={items} />
        <ItemPanel items={items} current={item.id} className="quiet-scroll min-h-0 flex-1">
          <div className="px-4 py-2">
            <h2 className="text-[19px] leading-6">Crates for {name}</h2>
            <p className="text-[13.5px] text-mute">None missed first, then most held; marks in the order of the numbers.</p>
          </div>
          <CrateList sizes={bench.found.sizes} kind={kind} current={label} measured={(each) => insides[each] !== undefined} onPick={setPicked} />
          <div className="space-y-2 px-4 py-3 text-[15px] leading-[19px]">
            <p>
              {chart && (
                <b>
                  Shops name the {chart.label} for the breed{chart.thoughtTooSmall ? ', thought too small' : ''}.{' '}
                </b>
              )}
              {named === null
                ? `None of the series should hold for ${name}.`
                : `${name}${grown ? ', grown,' : ''} asks ${named === bench.found.smallest ? '' : 'perhaps '}the ${named}`}
              {before && kept && kept.spareMm !== null ? (
                <Worded
                  text={`: the ${before.label} is ${say(Math.abs(kept.spareMm))} ${kept.spareMm < 0 ? 'short' : 'over'} at ${lowerFirst(CLEARANCE_NAMES[kept.check])}.`}
                />
              ) : (
                '.'
              )}
              {named === '54' ? ' The 54 is usually ordered specially.' : ''}
            </p>
            <h3 className="text-[17px] leading-6">
              Inside <Worded text={`${say(inside.lengthMm)} × ${say(inside.widthMm)} × ${say(inside.heightMm)}`} />
            </h3>
            <p className="text-mute">
              <Worded
                text={insides[label] ? 'Measured by the shop.' : `From the label, give or take ${say(inside.sigmaMm)}; its width and height are from memory.`}
              />
            </p>
            {measuring ? (
              <InsideFields key={label} family={item.family} label={label} inside={inside} onDone={() => setMeasuring(false)} />
            ) : (
              <button type="button" onClick={() => setMeasuring(true)} className="min-h-11 rounded-[2px] border border-ink bg-panel px-4 font-bold">
                Measure its inside
              </button>
            )}
            <div className="w-[150px]">
              <LengthEntry label="Bedding" mm={bedMm} least={0} most={200} onSet={setBed} />
            </div>
            <p className="border-l-[5px] border-chalk pl-3">
              <b>Caution.</b> Never as punishment, not all day; no harness, coat or boots left on in it. A wire or soft crate is no restraint in a car.
            </p>
          </div>
        </ItemPanel>
        <div className="border-t-2 border-ink bg-panel p-3 max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-10">
          {problem && (
            <p role="alert" className="pb-1 font-semibold text-snag">
              {problem}
            </p>
          )}
          <button
            type="button"
            onClick={choose}
            className="flex min-h-[56px] w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-left text-tape-ink"
          >
            <span>
              <b className="block text-[19px] leading-6">Choose crate</b>
              <span className="text-[14.5px] font-semibold">
                {kind} {label}
              </span>
            </span>
            <KeyCap tone="tape">Enter</KeyCap>
          </button>
        </div>
      </section>
      <section aria-label="The dog in it" className="order-1 flex min-h-0 min-w-0 flex-col max-md:shrink-0 md:order-2">
        <header className="flex shrink-0 flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b-2 border-ink bg-bench px-4 py-2">
          <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-3 max-md:basis-full">
            <h1 className="text-[23px] leading-7">
              {name} in {kind} {label}
            </h1>
            <p className="text-[14.5px] leading-[18px]" aria-live="polite">
              <b>{countGrades(size.checks)}</b> {grown ? 'Sized for the grown dog. ' : ''}Predicted; only the dog in it says it holds.
            </p>
          </div>
          <Segmented label="What for" value={tab} options={tabs} onChange={setTab} />
        </header>
        <div className="mat min-h-0 flex-1 max-md:min-h-[420px]">
          {tab === 'home' && (
            <div className="flex h-full min-h-0 flex-col">
              {tags}
              <CrateMat
                form={form}
                plan={bench.plan}
                inside={inside}
                bedMm={bedMm}
                checks={size.checks}
                path={bench.turns[label] ?? []}
                share={turning.share}
                stance={stance}
                name={name}
                phone={phone}
              />
              <div className="flex shrink-0 flex-wrap items-center justify-between gap-2 px-4 pb-2">
                <Segmented
                  label="How it stands"
                  value={stance}
                  options={[
                    { value: 'side', label: 'Stand' },
                    { value: 'sitting', label: 'Sit' },
                    { value: 'lying', label: 'Lie' },
                  ]}
                  onChange={setStance}
                />
                <button type="button" onClick={turning.play} className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold">
                  Turn <KeyCap>T</KeyCap>
                </button>
              </div>
              {open && <OpenClearance check={open} say={say} look={look} name={name} />}
            </div>
          )}
          {tab === 'puppy' && grown && ageWeeks !== null && (
            <PuppyPane name={name} label={label} inside={inside} grown={grown} ageWeeks={ageWeeks} on={on} now={ownBody.M42} look={look} say={say} />
          )}
          {tab === 'air' && (
            <AirPane
              name={name}
              body={ownBody}
              flatFace={sheet.dog?.flatFace === true}
              kg={ownBody.M00?.mm ?? sheet.dog?.weightKg ?? null}
              ageWeeks={ageWeeks}
              departs={sheet.ticket.neededOn}
              say={say}
            />
          )}
          {tab === 'load' && <LoadPane label={`${kind} ${label}`} outer={outer} ownerId={sheet.owner?.id ?? null} say={say} />}
        </div>
      </section>
    </>
  )
}

/** Room the home rule asks beyond the dog, where a clearance has it: a tag shows the gap itself. */
const ROOM = 50
const roomIn = ({ check }: CrateCheck): number => (['nose-to-tail', 'head', 'ears', 'sitting'].includes(check) ? ROOM : 0)

/** One clearance on its tape: what is free, how sure that is, and what is asked. */
function OpenClearance({
  check,
  say,
  look,
  name,
}: {
  check: CrateCheck
  say: (mm: number) => string
  look: ReturnType<typeof valueStyle> & { unit: 'in' | 'cm' }
  name: string
}) {
  if (check.needMm === null || check.spareMm === null)
    return (
      <p className="border-t-2 border-ink bg-panel px-4 py-3">
        <b>
          {DISC[check.check]} {CLEARANCE_NAMES[check.check]}:
        </b>{' '}
        not known yet; take its tape under Measure.
      </p>
    )
  const room = roomIn(check)
  const free = check.spareMm + room
  const spread = 2 * (check.sigmaMm ?? 0)
  const [from, to] = [Math.min(0, free - spread) - 25, Math.max(room, free + spread) + 40]
  return (
    <section aria-label={CLEARANCE_NAMES[check.check]} className="shrink-0 border-t-2 border-ink bg-panel px-4 py-2">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4 text-[16px]">
        <b>
          {DISC[check.check]} {CLEARANCE_NAMES[check.check]}: <Worded text={free >= 0 ? `${say(free)} free` : `${say(-free)} too small`} />
        </b>
        <VerdictWord grade={check.grade} basis="predicted" size={18} />
      </p>
      <Tape
        look={look}
        fromMm={from}
        toMm={to}
        live
        height={24}
        pins={[{ mm: free, kind: 'ink' }]}
        spread={{ fromMm: free - spread, toMm: free + spread }}
        {...(room > 0 ? { bracket: { fromMm: room, toMm: to, label: 'asked' } } : {})}
        title={`${say(free)} free, between ${say(free - spread)} and ${say(free + spread)}${room > 0 ? `; ${say(room)} asked` : ''}`}
        usualWidth={800}
      />
      <p className="text-[14.5px] leading-[18px]">
        <Worded
          text={`Needs ${say(check.needMm - room)}${room > 0 ? ` and ${say(room)} of room` : ''}, has ${say(check.haveMm)}. ${check.symptom === 'S70' ? `If it misses, ${name} lowers its head in it.` : check.check === 'turn' ? 'On four feet and level; foretold from its form, unproven on any dog.' : ''}`}
        />
      </p>
    </section>
  )
}
