import type { Setting } from '../model/index.ts'
import type { StrapSides } from './uneven-sides.ts'

/**
 * How the straps of one thing stand on one dog: of each part and side the newest that was not taken back. A part set on
 * both sides at once and then on one keeps the other.
 *
 * @param of the item or the piece the settings are of
 */
export function settingsNow(settings: readonly Setting[], of: { itemId: string } | { pieceId: string }, dogId: string | null): Record<string, StrapSides> {
  const out: Record<string, StrapSides> = {}
  for (const each of settings) {
    const same = 'itemId' in of ? 'itemId' in each.of && each.of.itemId === of.itemId : 'pieceId' in each.of && each.of.pieceId === of.pieceId
    if (!same || each.struck || each.mm === null || (dogId !== null && each.dogId !== null && each.dogId !== dogId)) continue
    const before = out[each.part]
    if (each.side === 'both') out[each.part] = { leftMm: each.mm, rightMm: each.mm }
    else {
      const other = before ?? { leftMm: each.mm, rightMm: each.mm }
      out[each.part] = each.side === 'left' ? { ...other, leftMm: each.mm } : { ...other, rightMm: each.mm }
    }
  }
  return out
}
