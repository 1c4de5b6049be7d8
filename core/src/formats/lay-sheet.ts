import { plates, project, type Form, type View } from '../form/index.ts'
import { strapsOf, type GearLay } from '../lay/index.ts'

/** What is said on a drawing of a lay. */
export interface LaySheetHead {
  dog: string
  gear: string
  on: string
}

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
const MARGIN = 20
const WEBBING = 20
type Flat = readonly [number, number]

/** One view, its top at a height of the page; the page's width is shared. */
function drawn(form: Form, lay: GearLay, view: View, left: number, top: number): { lines: string[]; height: number } {
  const { plates: cut, box } = plates(form, view)
  const at = ([x, z]: Flat): string => `${(x - left + MARGIN).toFixed(2)} ${(box.top - z + top).toFixed(2)}`
  const path = (points: readonly Flat[], closed: boolean): string => `M${points.map(at).join('L')}${closed ? 'Z' : ''}`
  const both = strapsOf(lay.family).flatMap(({ id }) => {
    const points = lay.straps[id]?.points ?? []
    if (points.length < 2) return []
    const sides = view === 'side' || points.every(([, y]) => Math.abs(y) < 1) ? [points] : [points, points.map(([x, y, z]) => [x, -y, z] as const)]
    return sides.map(
      (side) =>
        `  <path class="strap" id="${view}-${id}" d="${path(
          side.map((p) => project(p, view)),
          false,
        )}"/>`,
    )
  })
  // A strap drawn on both sides has one name: the second goes without.
  const seen = new Set<string>()
  const named = both.map((line) => {
    const id = / id="([^"]+)"/.exec(line)?.[1] ?? ''
    if (!seen.has(id)) {
      seen.add(id)
      return line
    }
    return line.replace(/ id="[^"]+"/, '')
  })
  return {
    lines: [...cut.map((plate) => `  <path class="${plate.far ? 'far' : 'near'}" d="${path(plate.points, true)}"/>`), ...named],
    height: box.top - box.bottom,
  }
}

/**
 * Gear as it is foretold to lie, from the side and from above in true scale: one unit of the drawing is one millimetre,
 * and width and height say so. A bar of 100 mm checks the print.
 */
export function laySvg(form: Form, lay: GearLay, head: LaySheetHead): string {
  const [side, above] = [plates(form, 'side').box, plates(form, 'above').box]
  const ends = Object.values(lay.nodes).map(({ at }) => at[0])
  const left = Math.min(side.left, above.left, ...ends)
  const width = Math.max(side.right, above.right) - left + 2 * MARGIN
  const first = drawn(form, lay, 'side', left, MARGIN)
  const second = drawn(form, lay, 'above', left, MARGIN + first.height + 30)
  const foot = MARGIN + first.height + 30 + second.height + 20
  const height = foot + 16
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(1)}mm" height="${height.toFixed(1)}mm" viewBox="0 0 ${width.toFixed(1)} ${height.toFixed(1)}">`,
    `  <title>${escaped(head.gear)} on ${escaped(head.dog)}, true scale, foretold ${escaped(head.on)}</title>`,
    `  <style>path{fill:#fff;stroke:#000;stroke-width:1;stroke-linejoin:round}.far{fill:#ddd}.strap{fill:none;stroke-width:${WEBBING};stroke-opacity:.55;stroke-linecap:round}.line{fill:none}text{font:8px sans-serif}</style>`,
    ...first.lines,
    ...second.lines,
    `  <path class="line" d="M${MARGIN} ${foot.toFixed(2)}h100M${MARGIN} ${(foot - 3).toFixed(2)}v6M${MARGIN + 100} ${(foot - 3).toFixed(2)}v6"/>`,
    `  <text x="${MARGIN + 104}" y="${(foot + 3).toFixed(2)}">100 mm. Foretold from tapes; only a hand on the dog says that it holds.</text>`,
    '</svg>',
    '',
  ].join('\n')
}
