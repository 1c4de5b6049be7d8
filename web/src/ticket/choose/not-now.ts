import { tableIn, type Offer, type RankedWay, type Supply } from '@merry-tailor/core'
import { dayWords } from '../../state/today'
import { faceOf } from '../../words/offer-face'
import { dueOf } from './order-options'

/** Why what is proposed should not be ordered now, and when it would come; `''` where nothing speaks against it. */
export function notNowWords(ways: readonly RankedWay[], offer: Offer, supply: readonly Supply[], neededOn: string | null): string {
  const face = faceOf(offer)
  const way = ways.find((each) => each.way === face.way)
  if (offer.kind === 'gear' || offer.kind === 'series' || neededOn === null) return ''
  if (way?.verdict !== 'not-now' || !way.reasons.some(({ code }) => code === 'too-late')) return ''
  const { from, to } = dueOf(
    face,
    supply.find((each) => each.tableId === tableIn(offer)?.id),
  )
  return `too late for ${dayWords(neededOn)}; it would come ${dayWords(from)}${from === to ? '' : ` to ${dayWords(to)}`}`
}
