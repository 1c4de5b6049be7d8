import { plates, type Form } from '../form/index.ts'
import { measures } from '../measures/index.ts'
import { writeCsv } from './csv.ts'

/** What is said of the dog on an exported form. */
export interface FormSheetHead {
  dog: string
  breed: string
  on: string
}

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits))

interface Line {
  measure: string
  name: string
  value: number
  sigma: number
  unit: 'mm' | 'kg'
  taken: boolean
  /** The reading itself, where there is one. */
  read: number | null
}

const linesOf = (form: Form): Line[] =>
  Object.entries(form.measures).map(([measure, { mm, sigmaMm, taken, readMm }]) => {
    const kg = measures[measure]?.quantity === 'mass'
    return {
      measure,
      name: measures[measure]?.name ?? measure,
      value: rounded(mm, kg ? 2 : 1),
      sigma: rounded(sigmaMm, kg ? 2 : 1),
      unit: kg ? 'kg' : 'mm',
      taken,
      read: readMm === undefined ? null : rounded(readMm, kg ? 2 : 1),
    }
  })

/** Every measure of a form, read or expected, with its standard deviation (docs/formats.md). */
export const formSheetToJson = (form: Form, head: FormSheetHead): string =>
  JSON.stringify(
    {
      format: 'merry-tailor/form-sheet',
      version: 1,
      ...head,
      agrees: { chi2: rounded(form.chi2, 2), readings: form.dof },
      kinds: form.kinds.filter(({ weight }) => weight > 0.01).map(({ name, weight }) => ({ name, weight: rounded(weight, 3) })),
      measures: linesOf(form),
    },
    null,
    2,
  )

/** The same measures as CSV (RFC 4180): one line each. */
export const formSheetToCsv = (form: Form, head: FormSheetHead): string =>
  writeCsv([
    ['dog', 'on', 'measure', 'name', 'value', 'sigma', 'unit', 'basis', 'read'],
    ...linesOf(form).map((line) => [
      head.dog,
      head.on,
      line.measure,
      line.name,
      String(line.value),
      String(line.sigma),
      line.unit,
      line.taken ? 'read' : 'expected',
      line.read === null ? '' : String(line.read),
    ]),
  ])

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')

/**
 * The side plate in true scale: one unit of the drawing is one millimetre, and width and height say so. Outlines only,
 * black on white, with a bar of 100 mm to check the print by.
 */
export function sidePlateSvg(form: Form, head: FormSheetHead): string {
  const { plates: cut, box, nose, eyes, button } = plates(form, 'side')
  const margin = 20
  const [width, height] = [box.right - box.left + 2 * margin, box.top + 2 * margin + 16]
  const at = ([x, z]: readonly [number, number]): string => `${(x - box.left + margin).toFixed(2)} ${(box.top - z + margin).toFixed(2)}`
  const path = (points: readonly (readonly [number, number])[]): string => `M${points.map(at).join('L')}Z`
  const floor = box.top + margin
  const lines = cut.map((plate) => `  <path class="${plate.far ? 'far' : 'near'}" id="${plate.name.replace(/ /g, '-')}" d="${path(plate.points)}"/>`)
  const eye = eyes[0] ?? [0, 0]
  const [ex, ey] = at(eye).split(' ')
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(1)}mm" height="${height.toFixed(1)}mm" viewBox="0 0 ${width.toFixed(1)} ${height.toFixed(1)}">`,
    `  <title>${escaped(head.dog)}, side plate in true scale, ${escaped(head.on)}</title>`,
    '  <style>path{fill:#fff;stroke:#000;stroke-width:1;stroke-linejoin:round}.far{fill:#ddd}.line{fill:none}text{font:8px sans-serif}</style>',
    ...lines,
    `  <path d="${path(nose)}" style="fill:#000"/>`,
    `  <circle cx="${ex ?? 0}" cy="${ey ?? 0}" r="${button.toFixed(2)}"/>`,
    `  <path class="line" d="M0 ${floor.toFixed(2)}H${width.toFixed(2)}"/>`,
    `  <path class="line" d="M${margin} ${(floor + 12).toFixed(2)}h100M${margin} ${(floor + 9).toFixed(2)}v6M${margin + 100} ${(floor + 9).toFixed(2)}v6"/>`,
    `  <text x="${margin + 104}" y="${(floor + 15).toFixed(2)}">100 mm. ${escaped(head.dog)}: a shape from tapes, no substitute for a hand on the dog.</text>`,
    '</svg>',
    '',
  ].join('\n')
}
