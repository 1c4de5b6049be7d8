import {
  families,
  leadOn,
  orderBy,
  rankWays,
  stillGrows,
  unusualBody,
  worstGrade,
  tableIn,
  type FamilyId,
  type Offer,
  type RankedWay,
  type Supply,
  type WayOption,
} from '@merry-tailor/core'
import { getMonth } from 'date-fns'
import { dayWords, today } from '../../state/today'
import { useShop } from '../../state/use-shop'
import { Mark } from '../../ui/marks/Mark'
import { WAY_REASONS, WAY_VERDICTS } from '../../words/ways'
import { faceOf } from '../../words/offer-face'
import { wayName } from '../../words/stages'
import { useBenchForm, useOpenTicket } from '../../bench'

const MARKS = { first: 'holds', works: 'doubt', 'not-now': 'fails' } as const

/** Each way's best table as an option; second-hand stands for whatever stock size is nearest. */
export function wayOptions(ranked: readonly Offer[], supply: readonly Supply[], neededOn: string | null): WayOption[] {
  const month = getMonth(new Date()) + 1
  const best = (way: 'stock' | 'quick-ship' | 'made') => ranked.find((offer) => offer.kind !== 'gear' && faceOf(offer).way === way)
  const options = (['stock', 'quick-ship', 'made'] as const).flatMap((way): WayOption[] => {
    const found = best(way)
    if (!found) return []
    const face = faceOf(found)
    const heard = supply.find((each) => each.tableId === tableIn(found)?.id)
    const lead = heard?.lead ?? face.lead
    return [
      {
        way,
        grade: found.grade,
        misses: found.best?.perMeasure.filter((fit) => fit.grade === 'fails').length ?? 0,
        // What hangs on our rack needs no ordering.
        orderBy: neededOn && face.lead.maxWeeks > 0 ? orderBy(neededOn, lead, { marginWeeks: way === 'made' ? 2 : 0.5 }) : null,
        peak: leadOn(month, lead).peak,
        onShelf: heard && way !== 'made' ? (heard.count[found.best?.label ?? ''] ?? null) : null,
        price: face.price?.[0] ?? null,
      },
    ]
  })
  const stock = options.find((option) => option.way === 'stock')
  return stock
    ? [...options, { ...stock, way: 'second-hand', onShelf: null, price: null, orderBy: null, peak: false, grade: worstGrade([stock.grade, 'doubt']) }]
    : options
}

/** Stock, quick-ship, made and second-hand in one table, with the reason in a few words. */
export function WaysBlock({ ranked, supply, family }: { ranked: readonly Offer[]; supply: readonly Supply[]; family: FamilyId }) {
  const { sheet } = useOpenTicket()
  const { views } = useShop()
  const { neededOn, budget, pulls } = sheet.ticket
  const { form, solved } = useBenchForm()
  const unusual = unusualBody(sheet.dog, solved ? form : null)
  const ways = rankWays({
    options: wayOptions(ranked, supply, neededOn),
    today: today(),
    neededOn,
    growing: stillGrows(sheet.dog, today()),
    oddBody: unusual.narrow || unusual.shortForNeck || unusual.giant,
    // Does it pull yet: true fit shows only under load (6.1). A dog that pulls on the lead is another question.
    beginner: pulls === false,
    budget,
    views,
    forCar: family === 'H24',
    isCrate: families[family].shelf === 'crate',
  })
  if (ways.length < 2) return null
  return (
    <section aria-label="Ways to get it" className="border-b-2 border-ink">
      <h3 className="px-4 pt-2 text-[17px] leading-[22px]">Ways to get it</h3>
      <ul>
        {ways.map((way) => (
          <Way key={way.way} way={way} />
        ))}
      </ul>
    </section>
  )
}

function Way({ way }: { way: RankedWay }) {
  const grade = MARKS[way.verdict]
  const colour = { holds: 'text-holds', doubt: 'text-mute', fails: 'text-snag' }[grade]
  const reasons = way.reasons.map(({ code, for: speaks }) => WAY_REASONS[code][speaks ? 0 : 1]).filter(Boolean)
  const order = way.orderBy && way.verdict !== 'not-now' && way.way !== 'stock' ? `order by ${dayWords(way.orderBy)}` : ''
  const words = [order, ...reasons].filter(Boolean).join('; ')
  return (
    <li className="border-b border-rule px-4 py-1.5 last:border-b-0">
      <p className="flex items-center justify-between gap-2 leading-[20px] font-bold">
        {way.way === 'second-hand' ? 'Second-hand' : wayName(way.way)}
        <span className={`inline-flex items-center gap-1.5 text-[14px] ${colour}`}>
          {way.verdict !== 'works' && <Mark grade={grade} basis="predicted" size={18} />}
          {WAY_VERDICTS[way.verdict]}
        </span>
      </p>
      {words && <p className="text-[13.5px] leading-[17px] text-mute first-letter:uppercase">{words}.</p>}
    </li>
  )
}
