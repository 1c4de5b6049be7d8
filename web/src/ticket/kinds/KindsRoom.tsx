import {
  adjustersOf,
  chooseStyles,
  measuresOf,
  pullPlaceOf,
  disagreements,
  families,
  DISAGREEMENTS_ON,
  disagreementBears,
  type Form,
  type ShopFields,
  type DisagreementId,
  optionsOf,
  hasSchools,
  loadFrom,
  type Activity,
  type FamilyId,
  type RankedStyle,
} from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { Fragment, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { today } from '../../state/today'
import { useShop } from '../../state/use-shop'
import { GearSketch } from '../../ui/plates/GearSketch'
import { Button } from '../../ui/controls/Button'
import { Toggles } from '../../ui/controls/Toggles'
import { Mark } from '../../ui/marks/Mark'
import { activityName } from '../../words/dogs'
import { dressingWords } from '../../words/dressing'
import { lowerFirst } from '../../words/first-letter'
import { RANK_GRADES, rankWords, reasonWords, stopWords } from '../../words/kinds'
import { PLACE_NAMES } from '../../words/hitch'
import { problemWords } from '../../words/problems'
import { familyName, measureName } from '../../words/stages'
import { useBenchForm, useHitchBand, NoItem, OnTheDog, useOpenTicket, useActs } from '../../bench'

const MARK_COLOUR = { holds: 'text-holds', doubt: 'text-chalk', fails: 'text-snag', none: 'text-mute' } as const

const COLUMNS: Readonly<Record<number, string>> = { 2: 'lg:grid-cols-2', 3: 'lg:grid-cols-3' }

/** Which kind of harness suits this dog and this work: three best with their reasons, the rest with why not; any two beside each other. */
export function KindsRoom() {
  const { sheet, name } = useOpenTicket()
  const { form, solved } = useBenchForm()
  const shop = useShop()
  const acts = useActs()
  const [refused, setRefused] = useState<string | null>(null)
  const { activities } = sheet.ticket
  const [picked, setPicked] = useState<Activity | null>(null)
  const [beside, setBeside] = useState<FamilyId[]>([])
  const purpose = picked ?? activities[0] ?? null
  const { heightMm: hitchMm, band } = useHitchBand()
  const styles = useMemo(() => {
    if (!purpose) return []
    const own = solved ? form : null
    return chooseStyles({
      dog: sheet.dog,
      purpose,
      also: sheet.ticket.oneForAll === true ? sheet.ticket.activities : [],
      hitch: band,
      form: own,
      options: optionsOf(sheet.ticket, today(), shop.views, sheet.dogNotes),
    })
  }, [purpose, sheet.dog, sheet.dogNotes, sheet.ticket, form, solved, band, shop.views])

  if (!purpose)
    return <NoItem title="What for is not said yet">{`Tick what ${name} will do under Ask; then every kind of harness shows here with its reason.`}</NoItem>
  const suiting = styles.filter((style) => style.rank !== 'wrong' && style.rank !== 'pointless').length
  // Where a stop forbids the work itself the nearest kinds still show, each with its stop.
  const shown = suiting === 0 ? 3 : Math.min(3, suiting)
  const [best, rest] = [styles.slice(0, shown), styles.slice(shown)]
  const items = sheet.items.filter((item) => !item.removed)
  const toggle = (family: FamilyId): void => setBeside(beside.includes(family) ? beside.filter((each) => each !== family) : [...beside.slice(-1), family])
  const add = (family: FamilyId): void =>
    void acts.item({ family, way: 'undecided', school: hasSchools(family) && shop.school !== 'both' ? shop.school : null }).then(({ error }) => {
      setRefused(error ? `Not put on the ticket. ${problemWords(error)}` : null)
    })
  const bearing = (id: DisagreementId): boolean => disagreementBears(id, purpose, sheet.ticket)
  // Nothing for this work at all: what may be done with this dog meanwhile is said first.
  const instead =
    suiting > 0
      ? []
      : chooseStyles({
          dog: sheet.dog,
          purpose: 'stroll',
          hitch: null,
          form: solved ? form : null,
          options: optionsOf(sheet.ticket, today(), shop.views, sheet.dogNotes),
        })
          .filter((style) => style.rank === 'first' || style.rank === 'works')
          .slice(0, 2)
  const until = best[0]?.stops.some((stop) => stop.startsWith('growing')) && sheet.dog ? loadFrom(sheet.dog, today()) : null
  const compared = beside.flatMap((family) => styles.filter((style) => style.family === family))
  const row = (style: RankedStyle) => (
    <li key={style.family} className="flex flex-wrap items-center gap-x-4 border-b border-rule px-5 py-1">
      <GearSketch form={form} family={style.family} width={104} height={68} label={`${familyName(style.family)} on ${name}`} />
      <span className="w-[180px] shrink-0 font-bold">{familyName(style.family)}</span>
      <span className="w-[210px] shrink-0">
        <RankWord style={style} />
      </span>
      <span className="min-w-[220px] flex-1 text-[14.5px] leading-[19px] text-mute">
        {whyNotFirst(style, purpose)} {reasonWords(style, whyNotFirst(style, purpose))}
      </span>
      <button
        type="button"
        aria-pressed={beside.includes(style.family)}
        onClick={() => toggle(style.family)}
        className="min-h-11 px-2 font-semibold underline aria-pressed:no-underline"
      >
        {beside.includes(style.family) ? 'comparing' : 'compare'}
      </button>
    </li>
  )
  return (
    <div className="quiet-scroll min-h-0 flex-1">
      {refused !== null && (
        <p role="alert" className="border-b-2 border-snag bg-snag-bg px-5 py-2 font-semibold">
          {refused}
        </p>
      )}
      <header className="border-b-2 border-ink bg-bench px-5 py-2.5">
        <h1 className="text-[26px] leading-[34px]">
          Which kind for {name}: {activityName(purpose).toLowerCase()}
        </h1>
        {activities.length > 1 && (
          <Toggles
            label="Judged for"
            options={activities.map((value) => ({ value, label: activityName(value) }))}
            isOn={(activity) => activity === purpose}
            onToggle={setPicked}
            className="mt-1"
          />
        )}
      </header>
      {suiting === 0 && (
        <section aria-label="What may be done" className="border-b-2 border-snag bg-snag-bg px-5 py-3">
          <p className="font-bold">
            Nothing for {lowerFirst(activityName(purpose))}
            {until ? ` before about ${format(parseISO(until), 'MMMM yyyy')}` : ' with this dog'}. {stopWords(best[0]?.stops ?? [])}
          </p>
          {instead.length > 0 && (
            <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-2">
              <span>For walks meanwhile, and to get used to gear without load:</span>
              {instead.map(({ family }) =>
                items.some((item) => item.family === family) ? (
                  <b key={family}>{familyName(family)} is on this ticket</b>
                ) : (
                  <Button key={family} onClick={() => add(family)}>
                    Put {lowerFirst(familyName(family))} on the ticket
                  </Button>
                ),
              )}
            </div>
          )}
        </section>
      )}
      {compared.length === 2 && <Beside styles={compared} form={form} name={name} hitchMm={hitchMm} />}
      <section aria-label="The best kinds" className={`grid grid-cols-1 border-b-2 border-ink ${COLUMNS[best.length] ?? ''}`}>
        {best.map((style, i) => (
          <article
            key={style.family}
            className="flex min-w-0 flex-col border-ink bg-panel px-5 py-3 not-first:border-t-2 lg:not-first:border-t-0 lg:not-first:border-l-2"
          >
            <div className="flex flex-wrap items-baseline justify-between gap-x-3">
              <h2 className="text-[22px] leading-7">{familyName(style.family)}</h2>
              <RankWord style={style} />
            </div>
            <OnTheDog form={form} family={style.family} name={name} height={sketchHeight} hitchMm={hitchMm} className="mat my-2" />
            <p className="mt-1 flex-1">
              {families[style.family].right} <span className="text-mute">{reasonWords(style, families[style.family].right)}</span>
            </p>
            <OtherView family={style.family} views={shop.views} bearing={bearing} />
            {style.stops.length > 0 && <p className="mt-1 font-semibold text-snag">{stopWords(style.stops)}</p>}
            <Acts
              style={style}
              has={items.some((item) => item.family === style.family)}
              leads={i === 0 && suiting > 0 && style.stops.length === 0}
              beside={beside.includes(style.family)}
              onAdd={add}
              onBeside={toggle}
            />
          </article>
        ))}
      </section>
      <section aria-label="The others" className="bg-panel">
        <h2 className="border-b border-rule px-5 py-2 text-[19px] leading-6">The others, and why not first</h2>
        <ul>{rest.filter(({ rank }) => !isOut(rank)).map(row)}</ul>
        {rest.some(({ rank }) => isOut(rank)) && (
          <details>
            <summary className="flex min-h-11 cursor-pointer items-center border-b border-rule px-5 font-semibold">
              Not for this: {rest.filter(({ rank }) => isOut(rank)).length} more kinds
            </summary>
            <ul>{rest.filter(({ rank }) => isOut(rank)).map(row)}</ul>
          </details>
        )}
        <p className="px-5 py-3 text-[14px] text-mute">
          Predicted from what is on this ticket: purpose, age, face, tapes and a locked{' '}
          <Link className="font-bold underline" to={`/tickets/${sheet.ticket.id}/hitch`}>
            hitch
          </Link>
          . A hand on the dressed dog decides.
        </p>
      </section>
    </div>
  )
}

/** Any kind but the one made for the car fails there for one reason, whatever else it is wrong for. */
function whyNotFirst({ family, rank }: RankedStyle, purpose: Activity): string {
  if (rank === 'first' || rank === 'works') return families[family].right
  return purpose === 'car' ? 'No restraint: it holds no dog in a crash.' : families[family].wrong
}

function RankWord({ style }: { style: RankedStyle }) {
  const grade = RANK_GRADES[style.rank]
  return (
    <span className={`inline-flex items-center gap-1.5 text-[15px] font-bold ${MARK_COLOUR[grade]}`}>
      <Mark grade={grade} basis={style.basis} size={19} /> {rankWords(style)}
    </span>
  )
}

interface ActsProps {
  style: RankedStyle
  has: boolean
  /** The best of all: the yellow action. */
  leads: boolean
  beside: boolean
  onAdd: (family: FamilyId) => void
  onBeside: (family: FamilyId) => void
}

function Acts({ style, has, leads, beside, onAdd, onBeside }: ActsProps) {
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      {has ? (
        <span className="flex min-h-11 items-center font-bold">On this ticket</span>
      ) : (
        <Button tone={leads ? 'primary' : 'plain'} onClick={() => onAdd(style.family)}>
          {leads ? `Put ${lowerFirst(familyName(style.family))} on the ticket` : 'Put it on the ticket'}
        </Button>
      )}
      <button
        type="button"
        aria-pressed={beside}
        onClick={() => onBeside(style.family)}
        className="min-h-11 px-2 font-semibold underline aria-pressed:no-underline"
      >
        {beside ? 'comparing' : 'compare'}
      </button>
    </div>
  )
}

/** Of no use for this work: folded away. */
const isOut = (rank: RankedStyle['rank']): boolean => rank === 'wrong' || rank === 'pointless'

const sketchHeight = (width: number): number => Math.min(210, width * 0.58)

/** Both sides of a question practitioners disagree on, where it bears on a kind. */
function OtherView({ family, views, bearing }: { family: FamilyId; views: ShopFields['views']; bearing: (id: DisagreementId) => boolean }) {
  return (DISAGREEMENTS_ON[family] ?? []).filter(bearing).map((id) => {
    const about = disagreements.find((each) => each.id === id)
    if (!about) return null
    const side = views[id]
    return (
      <p key={id} className="mt-1 text-[14px] leading-[18px] text-mute">
        <b>{about.topic}.</b>{' '}
        {side
          ? `We: ${side === 'A' ? about.a : about.b} Others: ${side === 'A' ? about.b : about.a}`
          : `Some say: ${about.a} Others: ${about.b} We: ${about.ours}`}
      </p>
    )
  })
}

const slidersWords = (n: number): string => (n === 0 ? 'Nothing: sewn fixed, so the tapes must be right.' : `${n} ${n === 1 ? 'slider' : 'sliders'}.`)

/** Two kinds beside each other, the same questions of both. */
function Beside({ styles, form, name, hitchMm }: { styles: readonly RankedStyle[]; form: Form; name: string; hitchMm: number | null }) {
  const rows = [
    ['How it is built', (style: RankedStyle) => families[style.family].build],
    ['Tapes it wants', (style: RankedStyle) => measuresOf({ family: style.family, way: 'undecided' }).map(measureName).join(', ')],
    ['Goes on', (style: RankedStyle) => families[style.family].dressing.on.map(dressingWords).join(' → ')],
    ['Set at the dog', (style: RankedStyle) => slidersWords(adjustersOf(style.family))],
    ['Pull leaves', (style: RankedStyle) => PLACE_NAMES[pullPlaceOf(style.family)]],
    ['Right because', (style: RankedStyle) => families[style.family].right],
    ['Wrong when', (style: RankedStyle) => families[style.family].wrong],
    ['For this dog', (style: RankedStyle) => reasonWords(style) || 'Nothing for or against beside the purpose.'],
    ['Stops', (style: RankedStyle) => stopWords(style.stops) || 'None.'],
  ] as const
  const differs = ([, say]: (typeof rows)[number]): boolean => new Set(styles.map(say)).size > 1
  const alike = rows.filter((row) => !differs(row))
  return (
    <section aria-label="Two kinds beside each other" className="border-b-2 border-ink bg-panel px-5 py-3">
      <table className="w-full table-fixed border-collapse text-left">
        <thead>
          <tr>
            <td className="w-[130px]" />
            {styles.map((style) => (
              <th key={style.family} scope="col" className="pr-4 align-top font-display text-[19px] leading-6">
                {familyName(style.family)}
                <span className="block">
                  <RankWord style={style} />
                </span>
                <OnTheDog form={form} family={style.family} name={name} height={sketchHeight} hitchMm={hitchMm} className="mat my-2" />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.filter(differs).map(([title, say]) => (
            <tr key={title} className="border-t border-rule">
              <th scope="row" className="py-1.5 pr-3 align-top text-[14px] text-mute">
                {title}
              </th>
              {styles.map((style) => (
                <td key={style.family} className="py-1.5 pr-4 align-top">
                  {say(style)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {alike.length > 0 && (
        <details className="mt-1 border-t border-rule">
          <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
            The same in both: {alike.map(([title]) => lowerFirst(title)).join(', ')}
          </summary>
          <dl className="grid grid-cols-[130px_1fr] gap-y-1.5 pb-2">
            {alike.map(([title, say]) => (
              <Fragment key={title}>
                <dt className="text-[14px] font-bold text-mute">{title}</dt>
                <dd>{styles[0] ? say(styles[0]) : ''}</dd>
              </Fragment>
            ))}
          </dl>
        </details>
      )}
    </section>
  )
}
