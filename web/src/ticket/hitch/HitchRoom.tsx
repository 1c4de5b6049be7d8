import {
  type PullPlace,
  elasticLine,
  families,
  FAMILIES_AT,
  formatLength,
  HITCH_DEFAULTS,
  MM_PER_UNIT,
  HITCH_PLACES,
  hitchFor,
  hitchLine,
  lineBandsOf,
  lineForBand,
  pullPlaceOf,
  pullPointOf,
  type FamilyId,
  type Grade,
  type HitchPlace,
  type HitchBand,
  type HitchLine,
} from '@merry-tailor/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { LengthEntry } from '../../length-entry'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useShop } from '../../state/use-shop'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Picker } from '../../ui/controls/Picker'
import { VerdictWord } from '../../said/VerdictWord'
import { Worded } from '../../ui/length/Worded'
import { useBox } from '../../ui/use-width'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { BAND_NAMES, HITCH_NAMES, KIT_NAMES, lineWords, PLACE_NAMES, pressWords, pullWords, riseWords } from '../../words/hitch'
import { problemWords } from '../../words/problems'
import { familyName } from '../../words/stages'
import { ItemPanel, ItemsInHand, ItemTabs, useActs, useBenchForm, useItemInHand, useOpenTicket, useTug } from '../../bench'
import { HitchDrawing } from './HitchDrawing'
import { HitchTabs } from './HitchTabs'
import { LoadBlock } from './LoadBlock'
import { Problem } from '../../ui/controls/Problem'

/** How fast a lunge comes to the line's end, m/s, and how stiff lines are, N/m. Source: from memory, unverified. */
const LUNGE = 3
const STIFF = 20_000
const ELASTIC = 800
/** Lines are looked at in this range. */
const SHORTEST_MM = 200
const LONGEST_MM = 6000

/** Where a hitch is begun with, round in the unit of the house: 36 in and 9 ft, 90 cm and 2.8 m. */
function startOf(hitch: HitchPlace, unit: 'in' | 'cm'): { heightMm: number; lineMm: number } {
  const { heightMm, lineMm } = HITCH_DEFAULTS[hitch]
  if (unit === 'cm') return { heightMm, lineMm }
  const [height, line] = [2 * MM_PER_UNIT.in, 6 * MM_PER_UNIT.in]
  return { heightMm: Math.round(heightMm / height) * height, lineMm: Math.round(lineMm / line) * line }
}

/** Where the pull leaves: the dog's end from its form, the other end by hand, the line between them to scale. */
export function HitchRoom() {
  const { sheet, name, body } = useOpenTicket()
  const { form } = useBenchForm()
  const acts = useActs()
  const once = useOnce()
  const [refused, setRefused] = useState<string | null>(null)
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items)
  const inHand = item?.id ?? ''
  const family = item?.family ?? null
  const locked = sheet.hitches.findLast((each) => !each.struck && (each.family === null || each.family === family))
  const [hitch, setHitch] = useState<HitchPlace>(() => locked?.where ?? hitchFor(sheet.ticket.activities))
  const [hitchMm, setHitchMm] = useState(() => locked?.heightMm ?? startOf(hitch, settings.unit).heightMm)
  const [lineMm, setLineMm] = useState(() => locked?.lineMm ?? startOf(hitch, settings.unit).lineMm)
  const bands = lineBandsOf(useShop().lineBands)
  const [ref, box] = useBox<HTMLDivElement>(900, 420)
  const tug = useTug(item)
  const pull = pullPointOf(form, family, tug)
  const tooShort = lineMm <= Math.abs(hitchMm - pull.heightMm)
  const line = tooShort ? null : hitchLine({ pullPointMm: pull.heightMm, hitchMm, lineMm }, bands)
  const kg = body.M00?.mm ?? sheet.dog?.weightKg ?? form.measures.M00?.mm ?? 20
  // From side rings, a bar or the chest no band of back-pulled harnesses is meant.
  const low = family !== null && LOW_PLACES.includes(pull.place)
  const words = line ? riseWords(line, look) : 'The line is too short'

  const choose = (next: HitchPlace): void => {
    setHitch(next)
    setHitchMm(startOf(next, settings.unit).heightMm)
    setLineMm(startOf(next, settings.unit).lineMm)
  }
  const isLocked = locked !== undefined && locked.where === hitch && locked.heightMm === Math.round(hitchMm) && locked.lineMm === Math.round(lineMm)
  const lock = (): void =>
    void once(async () => {
      const { error } = await acts.hitch({ where: hitch, heightMm: Math.round(hitchMm), lineMm: Math.round(lineMm), family })
      setRefused(error ? `Not kept. ${problemWords(error)}` : null)
    })
  useKeys({ Enter: isLocked || tooShort ? undefined : lock })

  return (
    <ItemsInHand
      items={items}
      current={inHand}
      onPick={setItem}
      className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto md:grid md:grid-cols-[316px_minmax(0,1fr)]"
    >
      <section aria-label="Hitch and line" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink">
        <ItemTabs items={items} />
        <div className="quiet-scroll min-h-0 flex-1 space-y-3 px-4 py-3">
          <HitchTabs family={family} now="hitch" />
          <h2 className="text-[19px] leading-6">The other end of the line</h2>
          <Picker
            label="Hitched to"
            value={hitch}
            options={HITCH_PLACES.map((value) => ({ value, label: HITCH_NAMES[value] }))}
            onChange={choose}
            className="w-full"
          />
          <LengthEntry label="Hitch above the floor" mm={hitchMm} onSet={setHitchMm} least={50} most={1500} />
          <LengthEntry
            label="Taut line, snap to hitch"
            mm={lineMm}
            onSet={setLineMm}
            least={SHORTEST_MM}
            most={LONGEST_MM}
            problem={tooShort ? `Shorter than the heights are apart: at least ${lineWords(Math.abs(hitchMm - pull.heightMm) + 10, look.unit)}.` : undefined}
          />
          <p className="text-[13.5px] leading-[18px] text-mute">
            {name}’s pull leaves {PLACE_NAMES[pull.place]}, {formatLength(pull.heightMm, look).text} above the floor as{' '}
            {tug?.nodes.tug ? 'what was chosen lies on it' : 'the tapes have it'}; loaded it may lie lower.
          </p>
          <Kit hitch={hitch} />
          <LoadBlock key={hitch} hitch={hitch} dogKg={kg} unit={look.unit} />
          <Lunge kg={kg} lineMm={lineMm} unit={look.unit} />
        </div>
        <div className="border-t-2 border-ink p-3">
          <Problem className="mb-2">{refused}</Problem>
          <button
            type="button"
            disabled={tooShort || isLocked}
            onClick={lock}
            className="flex min-h-14 w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink disabled:bg-tape-rest"
          >
            {isLocked ? 'This hitch is on the ticket' : tooShort ? 'Waits for a longer line' : 'Put this hitch on the ticket'}{' '}
            <KeyCap tone="tape">Enter</KeyCap>
          </button>
        </div>
      </section>
      <section aria-label="The line to scale" className="order-1 flex min-h-0 flex-col max-md:shrink-0 md:order-2">
        <ItemPanel items={items} current={inHand} className="flex min-h-0 flex-1 flex-col">
          <header className="shrink-0 border-b-2 border-ink bg-bench px-5 py-2.5">
            <h1 className="font-text text-[28px] leading-[34px] font-bold" aria-live="polite">
              <Worded text={words} />
            </h1>
            <p className="text-[15px] leading-[19px]">
              {line ? (
                <>
                  {low ? null : <b>That is {BAND_NAMES[line.band]}. </b>}
                  <Worded text={pressWords(line, look.unit)} />
                </>
              ) : (
                'No line reaches so: lengthen it or move the hitch.'
              )}
            </p>
          </header>
          <div ref={ref} className="mat min-h-[280px] flex-1 overflow-hidden">
            <HitchDrawing
              {...{ form, pull, line, hitchMm, words }}
              label="Hitch height"
              width={box.width}
              height={Math.max(280, box.height)}
              onHitch={setHitchMm}
              valueText={`${formatLength(hitchMm, look).text} above the floor. ${words}`}
            />
          </div>
          <div className="grid shrink-0 gap-x-8 gap-y-2 border-t-2 border-ink bg-panel px-5 py-3 xl:grid-cols-2">
            <ForItem family={family} line={line} />
            <LineAdvice family={family} line={line} pullMm={pull.heightMm} hitchMm={hitchMm} lineMm={lineMm} onLine={setLineMm} unit={look.unit} />
            <p className="text-[14px] text-mute xl:col-span-2">
              Predicted from tapes and a level floor; judge it loaded. Who may pull, and how hot it may be, stands under{' '}
              <Link className="font-bold underline" to={`/tickets/${sheet.ticket.id}/ask`}>
                Ask
              </Link>
              .
            </p>
          </div>
        </ItemPanel>
      </section>
    </ItemsInHand>
  )
}

const LOW_PLACES: readonly PullPlace[] = ['side-ring', 'bar-eye', 'chest-ring']

function ForItem({ family, line }: { family: FamilyId | null; line: HitchLine | null }) {
  if (!family) return <p>No item on this ticket yet: the line stands for itself.</p>
  const own = families[family].line
  const grade: Grade = !line || !own ? 'none' : line.band === own ? 'holds' : NEIGHBOURS[own].includes(line.band) ? 'doubt' : 'fails'
  return (
    <div>
      <h3 className="flex flex-wrap items-center gap-x-3 text-[18px] leading-[22px]">
        {familyName(family)} <VerdictWord grade={grade} basis="predicted" size={19} />
      </h3>
      <p>
        {!own
          ? LOW_PLACES.includes(pullPlaceOf(family))
            ? `Its pull leaves ${PLACE_NAMES[pullPlaceOf(family)]}; line bands are for harnesses pulled at the back.`
            : 'No line angle is stated for it; for hard pull it is not made.'
          : `Made for a line ${own === 'wheel' ? 'falling steeply, the load right behind' : own === 'full-length' ? 'near level or falling a little' : 'that rises'}; its pull leaves ${PLACE_NAMES[pullPlaceOf(family)]}.`}
      </p>
    </div>
  )
}

const NEIGHBOURS: Readonly<Record<HitchBand, readonly HitchBand[]>> = {
  wheel: ['full-length'],
  'full-length': ['wheel', 'half-back'],
  'half-back': ['full-length'],
  'too-steep': [],
}

interface LineAdviceProps {
  family: FamilyId | null
  line: HitchLine | null
  pullMm: number
  hitchMm: number
  lineMm: number
  onLine: (mm: number) => void
  unit: 'in' | 'cm'
}

/** The line that would bring the hitch into the item's band, offered as one act. */
function LineAdvice({ family, line, pullMm, hitchMm, lineMm, onLine, unit }: LineAdviceProps) {
  const { lineBands } = useShop()
  const own = family && families[family].line
  if (!own) return line && !LOW_PLACES.includes(pullPlaceOf(family)) ? <MadeFor band={line.band} /> : null
  const wanted = own
  if (line?.band === wanted) return <p>This line is in its band.</p>
  const needs = lineForBand({ pullPointMm: pullMm, hitchMm }, wanted, lineBandsOf(lineBands))
  if (needs === null || needs > LONGEST_MM)
    return <p>No line of sensible length brings it {BAND_NAMES[wanted]}: move the hitch, or choose the harness for this line.</p>
  const longer = Math.ceil(needs / 50) * 50
  if (longer <= lineMm) return line ? <MadeFor band={line.band} /> : null
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p>
        A line of <b>{lineWords(longer, unit)}</b> or longer makes it one {BAND_NAMES[wanted]}.
      </p>
      <button type="button" onClick={() => onLine(longer)} className="min-h-11 border-2 border-ink bg-panel px-3 font-bold hover:bg-bench">
        Take {lineWords(longer, unit)}
      </button>
    </div>
  )
}

/** The families made for a line as it runs. */
function MadeFor({ band }: { band: HitchBand }) {
  const ids = FAMILIES_AT[band]
  return <p>{ids.length === 0 ? 'No harness is made for so steep a line.' : `Made for this line: ${ids.map((id) => familyName(id)).join(', ')}.`}</p>
}

function Kit({ hitch }: { hitch: HitchPlace }) {
  return (
    <section aria-label="What belongs between">
      <h3 className="border-t border-rule pt-2 text-[17px] leading-[22px]">What belongs between</h3>
      <ul className="text-[14.5px] leading-[19px]">
        {HITCH_DEFAULTS[hitch].kit.map((part) => (
          <li key={part}>{KIT_NAMES[part]}</li>
        ))}
      </ul>
    </section>
  )
}

/** A lunge into the line's end, stiff and elastic beside each other. */
function Lunge({ kg, lineMm, unit }: { kg: number; lineMm: number; unit: 'in' | 'cm' }) {
  const pull = (stiffnessNpm: number) => elasticLine({ massKg: kg, speedMps: LUNGE, stiffnessNpm, restMm: lineMm })
  const [stiff, soft] = [pull(STIFF), pull(ELASTIC)]
  return (
    <section aria-label="A lunge">
      <h3 className="border-t border-rule pt-2 text-[17px] leading-[22px]">A lunge into its end</h3>
      <table className="w-full text-[14.5px] leading-[20px]">
        <thead>
          <tr className="text-left text-[13.5px] text-mute">
            <th>Line</th>
            <th className="text-right">pulls like</th>
            <th className="text-right">gives</th>
          </tr>
        </thead>
        <tbody>
          {(
            [
              ['Stiff', stiff],
              ['With elastic', soft],
            ] as const
          ).map(([word, each]) => (
            <tr key={word} className="border-t border-rule">
              <th className="py-0.5 text-left font-semibold">{word}</th>
              <td className="text-right font-bold">{pullWords(each.peakN, unit)}</td>
              <td className="text-right">{lineWords(each.stretchMm, unit)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[13.5px] leading-[18px] text-mute">For a moment, when it runs into the line’s end, by weight alone. Elastic spares dog and person.</p>
    </section>
  )
}
