import { crateOfChart, predictedOf, RULES_VERSION, type CrateCheckId, type Item, type Settlement, type SizedBody } from '@merry-tailor/core'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import {
  ItemPanel,
  ItemsInHand,
  ItemTabs,
  NoItem,
  useActs,
  useBenchForm,
  useGrown,
  useItemInHand,
  useOpenTicket,
  useRanked,
  useSizedBody,
  YellowFoot,
} from '../../bench'
import { countGrades } from '../../garment'
import { LengthEntry } from '../../length-entry'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { useToday } from '../../state/use-today'
import { Segmented } from '../../ui/controls/Segmented'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { useMedia } from '../../ui/use-media'
import { CLEARANCE_NAMES } from '../../words/clearances'
import { lowerFirst } from '../../words/first-letter'
import { problemWords } from '../../words/problems'
import { AirPane } from './AirPane'
import { isCrate, KINDS, outerOf } from './crate-kinds'
import { CrateList } from './CrateList'
import { DISC } from './CrateViews'
import { HomePane } from './HomePane'
import { TakenBack } from './TakenBack'
import { InsideFields } from './InsideFields'
import { LoadPane } from './LoadPane'
import { PenPane } from './PenPane'
import { PuppyPane } from './PuppyPane'
import { useCrateChoices } from './use-crate-choices'
import { useTurning } from './use-turning'

type Tab = 'home' | 'puppy' | 'air' | 'load'
const NOTHING_READ: SizedBody = {}

/** Crates for a dog: stand, sit, turn and lie by its form; a puppy's divider, the air box, the car. */
export function CrateRoom() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items, items.find(({ family }) => isCrate(family) || family === 'K4')?.id)
  if (!item || (!isCrate(item.family) && item.family !== 'K4'))
    return <NoItem title="Which crate?">{`Choose a crate or a pen for ${name} under Ask; then its clearances are looked at here.`}</NoItem>
  return (
    <ItemsInHand
      items={items}
      current={item.id}
      onPick={setItem}
      className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto max-md:pb-24 md:grid md:grid-cols-[316px_minmax(0,1fr)]"
    >
      {item.family === 'K4' ? <PenPane key={item.id} item={item} items={items} /> : <OneCrate key={item.id} item={item} items={items} />}
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
  const { ranked, out } = useRanked(item)
  const form = grown?.form ?? own
  const body = grown ? (grown.body ?? NOTHING_READ) : ownBody
  const [bedMm, setBed] = useState(0)
  const family = isCrate(item.family) ? item.family : 'K1'
  const { bench, choices, car } = useCrateChoices(family, { body, form, bedMm, ownerId: sheet.owner?.id ?? null })
  const [picked, setPicked] = useState<string | null>(null)
  const [tab, setTab] = useState<Tab>('home')
  const [asked, setAsked] = useState<CrateCheckId | null>(null)
  const [measuring, setMeasuring] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const turning = useTurning()
  const known = sheet.choices.findLast((choice) => choice.itemId === item.id && choice.kind === 'series')
  const keyOf = (of: string | null | undefined): string | undefined => choices.find((each) => each.family === family && each.label === of)?.key
  const crate =
    choices.find(({ key }) => key === picked) ??
    choices.find(({ key }) => known?.kind === 'series' && key === `${known.family} ${known.label}`) ??
    choices.find(({ key }) => key === (keyOf(bench?.found.smallest) ?? keyOf(bench?.found.perhaps))) ??
    choices[0]
  const ageWeeks = sheet.dog?.born ? differenceInCalendarDays(parseISO(on), parseISO(sheet.dog.born)) / 7 : null

  const choose = (): void => {
    // A first answer of a dog in the middle of its build is nothing to buy by.
    if (!crate || out) return
    void once(async () => {
      const offer = ranked.find((each) => each.kind === 'series')
      const { inside, label } = crate
      const settlement: Settlement = { kind: 'series', family: crate.family, label, insideMm: [inside.lengthMm, inside.widthMm, inside.heightMm] }
      // Another kind is chosen: the item becomes one of that kind.
      if (crate.family !== item.family) await acts.change([{ field: 'family', from: item.family, to: crate.family }], item.id)
      const { error } = await acts.choose({
        ...settlement,
        itemId: item.id,
        predicted: offer && crate.family === item.family ? predictedOf(offer, settlement) : [],
        rulesVersion: RULES_VERSION,
        overruled: null,
      })
      setProblem(error ? `Not kept. ${problemWords(error)}` : null)
      if (!error) await navigate(`/tickets/${sheet.ticket.id}/try-on`)
      return !error
    })
  }
  const step = (by: 1 | -1): void => {
    const at = choices.findIndex(({ key }) => key === crate?.key)
    const next = choices[Math.min(choices.length - 1, Math.max(0, at + by))]
    if (next) setPicked(next.key)
  }
  useKeys({
    ...(measuring || tab !== 'home' ? {} : { Enter: choose }),
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    t: turning.play,
    ...Object.fromEntries((crate?.checks ?? []).map(({ check }) => [String(DISC[check] % 10), () => setAsked(check)])),
  })
  if (!bench || !crate) return <div className="mat min-h-0 flex-1 md:col-span-2" aria-busy="true" aria-label="Working out the crates" />
  const { inside, label, measured } = crate
  const kind = KINDS[crate.family]
  const chart = [sheet.dog?.breed ?? '', sheet.dog?.crossWith ?? ''].flatMap((breed) => crateOfChart(breed) ?? [])[0]
  const named = bench.found.smallest ?? bench.found.perhaps
  const before = named === null ? undefined : bench.found.sizes[bench.found.sizes.findIndex((each) => each.label === named) - 1]
  const kept = before?.checks.find(({ check }) => check === bench.found.decides[0])
  const tabs: { value: Tab; label: string }[] = [
    { value: 'home', label: 'Home' },
    ...(grown && ageWeeks !== null ? [{ value: 'puppy' as const, label: 'Puppy' }] : []),
    { value: 'air', label: 'Air' },
    { value: 'load', label: 'Load space' },
  ]
  const says = (
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
  )
  const facts = (
    <>
      {known && <TakenBack name={name} label={known.kind === 'series' ? known.label : ''} chosenOn={known.on ?? known.at.slice(0, 10)} />}
      <h3 className="text-[17px] leading-6">
        Inside <Worded text={`${say(inside.lengthMm)} × ${say(inside.widthMm)} × ${say(inside.heightMm)}`} />
      </h3>
      <p className="text-mute">
        <Worded text={measured ? 'Measured by the shop.' : `From the label, give or take ${say(inside.sigmaMm)}; its width and height are from memory.`} />
      </p>
      {measuring ? (
        <InsideFields key={crate.key} family={crate.family} label={label} inside={inside} onDone={() => setMeasuring(false)} />
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
    </>
  )
  return (
    <>
      <section aria-label="Crates" className="flex min-h-0 flex-col bg-panel max-md:shrink-0 max-md:border-b-2 max-md:border-ink md:border-r-2 md:border-ink">
        <ItemTabs items={items} />
        <ItemPanel items={items} current={item.id} className="quiet-scroll min-h-0 flex-1">
          <div className="px-4 py-2">
            <h2 className="text-[19px] leading-6">Crates for {name}</h2>
            <p className="text-[13.5px] text-mute">None missed first, then most held; marks in the order of the numbers.</p>
          </div>
          <CrateList choices={choices} current={crate.key} first={phone ? 3 : 8} onPick={setPicked} />
          <div className="space-y-2 px-4 py-3 text-[15px] leading-[19px]">
            {says}
            {!phone && facts}
          </div>
        </ItemPanel>
        <YellowFoot
          title={out ? 'A moment' : 'Choose crate'}
          detail={out ? `${name} is worked out` : `${kind} ${label}`}
          problem={problem}
          rests={out}
          onPress={choose}
        />
      </section>
      <section aria-label="The dog in it" className="flex min-h-0 min-w-0 flex-col max-md:shrink-0">
        <header className="flex shrink-0 flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b-2 border-ink bg-bench px-4 py-2">
          <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-3 max-md:basis-full">
            <h1 className="text-[23px] leading-7">
              {name} in {kind} {label}
            </h1>
            <p className="text-[14.5px] leading-[18px]" aria-live="polite">
              <b>{countGrades(crate.checks)}</b> {grown ? 'Sized for the grown dog. ' : ''}Predicted; only the dog in it says it holds.
            </p>
          </div>
          <Segmented label="What for" value={tab} options={tabs} onChange={setTab} />
        </header>
        <div className="mat min-h-0 flex-1">
          {tab === 'home' && (
            <HomePane
              crate={crate}
              crates={choices}
              form={form}
              plan={bench.plan}
              path={crate.path}
              bedMm={bedMm}
              turning={turning}
              asked={asked}
              onAsk={setAsked}
              car={car}
              look={look}
              say={say}
              name={name}
              phone={phone}
            />
          )}
          {tab === 'puppy' && grown && ageWeeks !== null && (
            <PuppyPane
              name={name}
              label={label}
              inside={inside}
              grown={grown}
              ageWeeks={ageWeeks}
              on={on}
              itemId={item.id}
              ticketId={sheet.ticket.id}
              now={ownBody.M42}
              look={look}
              say={say}
            />
          )}
          {tab === 'air' && (
            <AirPane
              name={name}
              ticketId={sheet.ticket.id}
              body={ownBody}
              flatFace={sheet.dog?.flatFace === true}
              kg={ownBody.M00?.mm ?? sheet.dog?.weightKg ?? null}
              ageWeeks={ageWeeks}
              departs={sheet.ticket.neededOn}
              say={say}
            />
          )}
          {tab === 'load' && (
            <LoadPane
              label={`${kind} ${label}`}
              outer={outerOf(inside)}
              ownerId={sheet.owner?.id ?? null}
              ticketId={sheet.ticket.id}
              others={choices
                .filter(({ key }) => key !== crate.key)
                .map((each) => ({ name: `${KINDS[each.family]} ${each.label}`, outer: outerOf(each.inside) }))}
              say={say}
            />
          )}
        </div>
        {phone && <div className="space-y-2 border-t-2 border-ink bg-panel px-4 py-3 text-[15px] leading-[19px]">{facts}</div>}
      </section>
    </>
  )
}
