import type { Predicted, Settlement } from '../model/index.ts'
import { adviseOffer } from './advise.ts'
import { offerKey, sizeOf, tableIn, type Offer } from './offer.ts'
import type { RankedSize } from './ranked-size.ts'
import type { SizedBody } from './sized-body.ts'
import { measuresOfTable } from './table-shape.ts'

/** What the fitter pointed at: an offer and one of its sizes. */
export interface Picked {
  offer: string
  label: string
}

/** What would be sent were the button pressed now. */
export interface ProposedChoice {
  offer: Offer
  /** The size shown. */
  size: RankedSize | undefined
  /** `null` while nothing can be chosen: made to measure waits for its tapes, and no size is near. */
  settlement: Settlement | null
  /** Sizes the button names, the first first. */
  labels: string[]
  /** The fitter goes along with the advice. */
  follows: boolean
  /** Another size than advised: it wants a reason. */
  overrules: boolean
}

/** Does a choice speak of this offer? */
export function isOf(settled: Settlement, offer: Offer): boolean {
  switch (settled.kind) {
    case 'size':
    case 'paws':
    case 'made':
      return tableIn(offer)?.id === settled.tableId
    case 'gear':
      return offer.kind === 'gear' && offer.piece.id === settled.pieceId
    case 'series':
      return offer.kind === 'series' && offer.family === settled.family
  }
}

/** The first label a choice names in an offer. */
const firstLabel = (settled: Settlement): string | undefined =>
  settled.kind === 'size' ? settled.labels[0] : settled.kind === 'series' ? settled.label : settled.kind === 'paws' ? settled.labels['front-left'] : undefined

/**
 * What pressing the button would settle on: what the fitter pointed at, else what was chosen before, else the first offer.
 *
 * @param picked what was pointed at on this screen
 * @param known the choice the ticket holds
 * @param body agreed values, mm: a piece made to measure is ordered by them
 * @param unsettled measures not read, read once, or in doubt: made to measure waits for them
 */
export function proposedChoice(
  ranked: readonly Offer[],
  picked: Picked | null,
  known: Settlement | null,
  body: SizedBody,
  unsettled: readonly string[] = [],
): ProposedChoice | null {
  const first = ranked[0]
  const offer = ranked.find((each) => (picked ? offerKey(each) === picked.offer : known !== null && isOf(known, each))) ?? first
  if (!offer) return null
  const size = sizeOf(offer, picked?.label ?? (known && isOf(known, offer) ? firstLabel(known) : undefined)) ?? offer.best ?? undefined
  const advice = adviseOffer(offer)
  // A maker cuts by what was read: nothing is ordered on guesses alone.
  const waits = offer.kind === 'made' && measuresOfTable(offer.judged).some((id) => unsettled.includes(id))
  const unread = waits || (offer.kind === 'made' && (advice.kind === 'guess' || advice.kind === 'no-tape'))
  // Where the advice names no size only the fitter's own finger does: the button never goes against it by itself.
  const pointed = picked !== null || (known !== null && isOf(known, offer))
  const unnamed = !pointed && advice.labels.length === 0 && advice.kind !== 'no-tape'
  if (unread || unnamed || size === undefined) return { offer, size, settlement: null, labels: [], follows: false, overrules: false }
  const follows = advice.labels[0] === size.label || (advice.kind === 'no-tape' && offer === first)
  const labels = follows && advice.labels.length > 0 ? advice.labels : [size.label]
  return { offer, size, settlement: settlementOf(offer, labels, follows, body), labels, follows, overrules: !follows && advice.kind !== 'no-tape' }
}

/** What an offer settles on, by its kind. */
function settlementOf(offer: Offer, labels: readonly string[], follows: boolean, body: SizedBody): Settlement {
  const [first = ''] = labels
  switch (offer.kind) {
    case 'size':
      return { kind: 'size', tableId: offer.table.id, tableVersion: offer.table.version, labels: [...labels] }
    case 'gear':
      return { kind: 'gear', pieceId: offer.piece.id }
    case 'series': {
      const inside = offer.insides.find((each) => each.label === first)
      return { kind: 'series', family: offer.family, label: first, insideMm: [...(inside?.insideMm ?? ([0, 0, 0] as const))] }
    }
    case 'paws': {
      // Each paw its own where the advice is followed and its tapes are in; else the size pointed at.
      const own = offer.paws.map(({ paw, size }) => [paw, (follows ? size?.label : undefined) ?? first] as const)
      return { kind: 'paws', tableId: offer.table.id, tableVersion: offer.table.version, labels: Object.fromEntries(own) }
    }
    case 'made': {
      const measures = measuresOfTable(offer.judged)
      const numbers = measures.flatMap((id) => {
        const known = body[id]
        return known?.mm != null && !known.guess ? [[id, known.mm] as const] : []
      })
      return { kind: 'made', tableId: offer.table.id, tableVersion: offer.table.version, numbers: Object.fromEntries(numbers), options: {} }
    }
  }
}

/** What is kept with a choice of what the rules said, measure by measure. */
export function predictedOf(offer: Offer, settlement: Settlement): Predicted[] {
  const plain = (size: RankedSize | null | undefined, label: string): Predicted[] =>
    size ? [{ label, grade: size.grade, perMeasure: size.perMeasure.map((fit) => ({ ...fit })) }] : []
  switch (settlement.kind) {
    case 'size':
      return settlement.labels.flatMap((label) => plain(sizeOf(offer, label), label))
    case 'series':
      return plain(sizeOf(offer, settlement.label), settlement.label)
    case 'gear':
    case 'made':
      return plain(offer.best, offer.best?.label ?? '')
    case 'paws':
      return offer.kind !== 'paws'
        ? []
        : offer.paws.flatMap(({ paw, size }) => {
            const label = settlement.labels[paw]
            return label === undefined ? [] : plain(size?.label === label ? size : null, label).map((each) => ({ ...each, paw }))
          })
  }
}
