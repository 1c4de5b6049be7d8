import { hitchLine, lineBandsOf, pullPointOf, type HitchBand } from '@merry-tailor/core'
import { useShop } from '../state/use-shop'
import { useBenchForm } from './OpenBench'
import { useOpenTicket } from './open-ticket'

/** Height and line of the ticket's locked hitch, and the band its line's angle falls in; `null` where none is locked. */
export function useHitchBand(): { heightMm: number | null; band: HitchBand | null } {
  const { sheet } = useOpenTicket()
  const { form } = useBenchForm()
  const shop = useShop()
  const locked = sheet.hitches.findLast((each) => !each.struck)
  if (!locked) return { heightMm: null, band: null }
  const { heightMm: hitchMm, lineMm } = locked
  const pullPointMm = pullPointOf(form, 'H11').heightMm
  const reaches = lineMm > Math.abs(hitchMm - pullPointMm)
  return { heightMm: hitchMm, band: reaches ? hitchLine({ pullPointMm, hitchMm, lineMm }, lineBandsOf(shop.lineBands)).band : null }
}
