import { families } from '../gear/index.ts'
import { strapsOf } from '../lay/index.ts'
import type { FamilyId } from '../model/index.ts'
import { settingOrder } from './setting-order.ts'
import type { StrapSides } from './uneven-sides.ts'

/** One move of one slider. Minus shortens. */
export interface SliderMove {
  strap: string
  /** `null`: one slider sets both. */
  side: 'left' | 'right' | null
  byMm: number
  /** How far the slider goes on its webbing. */
  sliderMm: number
}

/** Less than this is not worth a move. Ours, as the equality of sides (handbook 7.2). */
const LEAST_MM = 5

function ask(strap: string, sides: StrapSides): void {
  if (!Number.isFinite(sides.leftMm) || (sides.rightMm !== null && !Number.isFinite(sides.rightMm))) throw new RangeError(`${strap}: a length is no number`)
}

/**
 * From how straps stand to how they should: slider by slider, in the order of handbook 8.2, left before right. On webbing
 * doubled through its slider the slider goes half as far as the strap changes (8.3, from memory, unverified).
 *
 * @param from straps as they stand, mm; @param to as they should; a strap in only one of them is left alone
 * @throws RangeError for a strap the family has not, or a length that is no number
 */
export function sliderMoves(family: FamilyId, from: Readonly<Record<string, StrapSides>>, to: Readonly<Record<string, StrapSides>>): SliderMove[] {
  const straps = strapsOf(family)
  const order: readonly string[] = settingOrder(family)
  const off: readonly string[] = families[family].rig?.off ?? []
  for (const [id, sides] of [...Object.entries(from), ...Object.entries(to)]) {
    if (straps.length > 0 && !straps.some((strap) => strap.id === id) && !off.includes(id)) throw new RangeError(`${family} has no strap ${id}`)
    ask(id, sides)
  }
  const place = (id: string): number => (order.includes(id) ? order.indexOf(id) : order.length)
  return Object.keys(to)
    .filter((id) => from[id] !== undefined)
    .sort((a, b) => place(a) - place(b))
    .flatMap((strap): SliderMove[] => {
      const [now, then] = [from[strap] as StrapSides, to[strap] as StrapSides]
      const doubled = then.doubled ?? now.doubled ?? straps.find(({ id }) => id === strap)?.doubled ?? false
      const move = (side: SliderMove['side'], byMm: number): SliderMove[] =>
        Math.abs(byMm) < LEAST_MM ? [] : [{ strap, side, byMm, sliderMm: doubled ? byMm / 2 : byMm }]
      const right = then.rightMm ?? then.leftMm
      if (now.rightMm === null) return move(null, then.leftMm - now.leftMm)
      return [...move('left', then.leftMm - now.leftMm), ...move('right', right - now.rightMm)]
    })
}
