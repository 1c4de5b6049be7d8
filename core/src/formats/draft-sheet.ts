import type { DraftPlaces } from '../draft/index.ts'
import { plates, type Form } from '../form/index.ts'
import type { Rig, SetUpLoad } from '../model/index.ts'

/** What is drawn of a set-up: the dog's places lie so far ahead of the axle; the cart is tipped by so much. */
export interface DraftDrawing {
  form: Form
  rig: Rig
  places: DraftPlaces
  loads: readonly SetUpLoad[]
  offsetMm: number
  pitchRad: number
  hitchMm: number
}

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
const MARGIN = 40
type Flat = readonly [x: number, z: number]

/**
 * A rig and its dog from the side in true scale: one unit of the drawing is one millimetre, and width and height say so. A
 * bar of 100 mm checks the print.
 */
export function draftSvg({ form, rig, places, loads, offsetMm, pitchRad, hitchMm }: DraftDrawing, head: { dog: string; on: string }): string {
  const { plates: cut, box } = plates(form, 'side')
  const wheels = rig.kind === 'cart' ? [0] : rig.kind === 'wagon' ? [0, -(rig.wheelbaseMm ?? 0)] : []
  const left = Math.min(rig.bed.fromMm, ...wheels.map((x) => x - rig.axleMm)) - MARGIN
  const right = box.right + offsetMm + MARGIN
  const top = Math.max(box.top, ...loads.map(({ heightMm }) => 2 * heightMm - rig.bed.heightMm), rig.bed.heightMm) + MARGIN
  const at = ([x, z]: Flat): string => `${(x - left).toFixed(1)} ${(top - z).toFixed(1)}`
  const path = (kind: string, points: readonly Flat[], closed = false): string =>
    `  <path class="${kind}" d="M${points.map(at).join('L')}${closed ? 'Z' : ''}"/>`
  const onDog = ([x, z]: Flat): Flat => [x + offsetMm, z]
  const on = (x: number, z: number): Flat => {
    const up = z - rig.axleMm
    return [x * Math.cos(pitchRad) - up * Math.sin(pitchRad), rig.axleMm + x * Math.sin(pitchRad) + up * Math.cos(pitchRad)]
  }
  const { upper, lower, ring, cinch, band, withers } = places
  const low: Flat = [cinch.xMm, cinch.underMm]
  const straps: Flat[][] = [
    [[withers.xMm, withers.zMm], [lower[0], lower[2]]],
    [[lower[0], lower[2]], low, [ring[0], ring[2]]],
    [[cinch.xMm, cinch.topMm], low],
    [[upper[0], upper[2]], [ring[0], ring[2]]],
    ...(rig.shafts ? [[[band.xMm, band.topMm], [band.xMm, band.underMm]] as Flat[]] : []),
  ] // prettier-ignore
  const box4 = (x0: number, x1: number, z0: number, z1: number): Flat[] => [on(x0, z0), on(x1, z0), on(x1, z1), on(x0, z1)]
  const { shafts, bed } = rig
  const foot = top + 24
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${(right - left).toFixed(1)}mm" height="${(foot + 20).toFixed(1)}mm" viewBox="0 0 ${(right - left).toFixed(1)} ${(foot + 20).toFixed(1)}">`,
    `  <title>${escaped(rig.name)} behind ${escaped(head.dog)}, true scale, predicted ${escaped(head.on)}</title>`,
    '  <style>path,circle{fill:#fff;stroke:#000;stroke-width:2;stroke-linejoin:round}.far{fill:#ddd}.strap{fill:none;stroke-width:20;stroke-opacity:.5;stroke-linecap:round}.line{fill:none}text{font:16px sans-serif}</style>',
    ...cut.map((plate) => path(plate.far ? 'far' : 'near', plate.points.map((p) => onDog([p[0], p[1]])), true)),
    ...straps.map((points) => path('strap', points.map(onDog))),
    path('strap', [onDog([ring[0], ring[2]]), on(rig.hitch.aheadMm, hitchMm)]),
    ...loads.map(({ aheadMm, heightMm, massKg }) => {
      const half = 90 + 5 * Math.cbrt(massKg * 60)
      return path('near', box4(aheadMm - half, aheadMm + half, bed.heightMm, Math.max(bed.heightMm + 120, 2 * heightMm - bed.heightMm)), true)
    }),
    path('near', box4(bed.fromMm, bed.toMm, bed.heightMm - 28, bed.heightMm), true),
    ...(shafts ? [path('line', [on(bed.toMm, bed.heightMm - 10), on(shafts.aheadMm + 70, shafts.levelMm)])] : []),
    ...wheels.map((x) => `  <circle class="line" cx="${(x - left).toFixed(1)}" cy="${(top - rig.axleMm).toFixed(1)}" r="${rig.axleMm.toFixed(1)}"/>`),
    path('line', [[left, 0], [right, 0]]),
    `  <path class="line" d="M${MARGIN} ${foot.toFixed(1)}h100M${MARGIN} ${(foot - 5).toFixed(1)}v10M${MARGIN + 100} ${(foot - 5).toFixed(1)}v10"/>`,
    `  <text x="${MARGIN + 110}" y="${(foot + 5).toFixed(1)}">100 mm. Predicted; only a hand on the dog says that it holds.</text>`,
    '</svg>',
    '',
  ].join('\n') // prettier-ignore
}
