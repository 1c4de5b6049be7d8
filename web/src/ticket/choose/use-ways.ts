import {
  families,
  leadOn,
  orderBy,
  rankWays,
  stillGrows,
  tableIn,
  unusualBody,
  worstGrade,
  type FamilyId,
  type Offer,
  type RankedWay,
  type Supply,
  type WayOption,
} from '@merry-tailor/core'
import { getMonth } from 'date-fns'
import { useBenchForm, useOpenTicket } from '../../bench'
import { today } from '../../state/today'
import { useShop } from '../../state/use-shop'
import { faceOf } from '../../words/offer-face'

/** Each way's best table as an option; second-hand stands for whatever stock size is nearest. */
function wayOptions(ranked: readonly Offer[], supply: readonly Supply[], neededOn: string | null): WayOption[] {
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

/** The ways to get one kind for the open ticket, best first, each with its reasons. */
export function useWays(ranked: readonly Offer[], supply: readonly Supply[], family: FamilyId): RankedWay[] {
  const { sheet } = useOpenTicket()
  const { views } = useShop()
  const { neededOn, budget, pulls } = sheet.ticket
  const { form, solved } = useBenchForm()
  const unusual = unusualBody(sheet.dog, solved ? form : null)
  return rankWays({
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
}
