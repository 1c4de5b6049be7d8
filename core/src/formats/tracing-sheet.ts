import type { BootOuting, Tracing } from '../model/index.ts'
import { writeCsv } from './csv.ts'

type Traced = Pick<Tracing, 'paw' | 'points' | 'toesRad' | 'at' | 'by'>

const num = (value: number): string => String(Math.round(value * 1000) / 1000)

/** A traced outline in true scale: millimetres are the drawing's own units. */
export function tracingSvg({ paw, points, at }: Traced): string {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const [x, y] = [Math.min(...xs) - 5, Math.min(...ys) - 5]
  const [w, h] = [Math.max(...xs) - x + 5, Math.max(...ys) - y + 5]
  const line = points.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${num(px)} ${num(py)}`).join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${num(w)}mm" height="${num(h)}mm" viewBox="${num(x)} ${num(y)} ${num(w)} ${num(h)}"><title>${paw}, ${at.slice(0, 10)}</title><path d="${line}Z" fill="none" stroke="#000" stroke-width="0.4"/></svg>\n`
}

/** Traced outlines as data, millimetres, y down, toes up. */
export const tracingsToJson = (tracings: readonly Traced[]): string =>
  `${JSON.stringify({ format: 'merry-tailor/tracings', version: 1, tracings: tracings.map(({ paw, points, toesRad, at, by }) => ({ paw, points, toesRad, at, by })) }, null, 1)}\n`

/** Outings in boots, one row a paw. */
export const bootOutingsToCsv = (outings: readonly BootOuting[]): string =>
  writeCsv([
    ['day', 'km', 'footing', 'minutes', 'paw', 'worn', 'lost', 'seen', 'by'],
    ...outings
      .filter(({ removed }) => !removed)
      .flatMap(({ on, km, footing, minutes, paws, by }) =>
        Object.entries(paws).map(([paw, { worn, lost, seen }]) => [
          on,
          String(km),
          footing,
          minutes === null ? '' : String(minutes),
          paw,
          worn ? 'yes' : '',
          lost ? 'yes' : '',
          seen.join(' '),
          by,
        ]),
      ),
  ])

/** A boot as it is ordered: whose paw, what it measures, which size. Lengths mm. */
export interface BootRow {
  paw: string
  widthMm: number | null
  lengthMm: number | null
  label: string
  /** Where the strap lies above the ground, and how long it is. */
  strap: { at: string; fromMm: number; toMm: number; lengthMm: number | null } | null
  nails: string
}

const mm = (value: number | null | undefined): string => (value == null ? '' : num(Math.round(value * 10) / 10))

/** Boots of a dog, one row a paw (docs/formats.md). */
export const bootsToCsv = (rows: readonly BootRow[]): string =>
  writeCsv([
    ['paw', 'width mm', 'length mm', 'size', 'strap', 'strap from mm', 'strap to mm', 'strap long mm', 'nails'],
    ...rows.map(({ paw, widthMm, lengthMm, label, strap, nails }) => [
      paw, mm(widthMm), mm(lengthMm), label, strap?.at ?? '', mm(strap?.fromMm), mm(strap?.toMm), mm(strap?.lengthMm), nails,
    ]),
  ]) // prettier-ignore
