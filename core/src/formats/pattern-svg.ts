import type { PatternPiece, PatternPoint } from '../pattern/index.ts'
import { countWords, sheetOf, type PatternLabel, type ReadPattern, type ReadPiece } from './pattern-sheet.ts'

const escapedXml = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')
const back = (text: string): string => text.replaceAll('&quot;', '"').replaceAll('&gt;', '>').replaceAll('&lt;', '<').replaceAll('&amp;', '&')
const n = (mm: number): string => String(Math.round(mm * 1000) / 1000)

/** What a label says of the draft, one line. */
export const labelLine = ({ dog, ticket, cloth, on, rule, firstDraft }: PatternLabel): string =>
  [dog, ticket, cloth, on, rule, firstDraft ? 'First draft: sew a trial.' : undefined].filter((each) => each !== undefined && each !== '').join(', ')

/**
 * Pieces as one SVG drawing in true scale: a unit is a millimetre, no transformations.
 *
 * @returns the file's text (docs/formats.md)
 */
export function patternSvg(pieces: readonly PatternPiece[], label: PatternLabel = {}): string {
  const sheet = sheetOf(pieces)
  const groups = sheet.pieces.map(({ piece, dx, dy, cut, sew, notches, foot }) => {
    const at = ([x, y]: PatternPoint): string => `${n(x + dx)} ${n(y + dy)}`
    const line = (points: readonly PatternPoint[], closed: boolean): string => `M${points.map(at).join('L')}${closed ? 'Z' : ''}`
    const path = (kind: string, d: string, more = ''): string => `<path class="${kind}" d="${d}" fill="none" stroke="#000" stroke-width="0.5"${more}/>`
    const place = at(foot).split(' ')
    const words = [`${piece.name}, ${countWords(piece)}`, labelLine(label)].filter(Boolean)
    return [
      `<g id="${escapedXml(piece.id)}" data-x="${n(dx)}" data-y="${n(dy)}">`,
      path('cut', line(cut, true)),
      path('sew', line(sew, true), ' stroke-dasharray="3 2"'),
      path('grain', line(piece.grain, false)),
      ...piece.darts.map(({ left, right }) => path('dart', line([...left, ...[...right].reverse()], false), ' stroke-dasharray="3 2"')),
      ...piece.lines.map(({ points }) => path('inner', line(points, false), ' stroke-opacity="0.6"')),
      ...notches.map((stroke) => path('notch', line(stroke, false))),
      ...piece.marks.map(({ at: [x, y] }) => `<circle class="hole" cx="${n(x + dx)}" cy="${n(y + dy)}" r="2" fill="none" stroke="#000" stroke-width="0.5"/>`),
      ...words.map((text, i) => `<text x="${place[0]}" y="${n(Number(place[1]) + 8 * i)}" font-size="6" font-family="sans-serif">${escapedXml(text)}</text>`),
      '</g>',
    ].join('\n')
  })
  const [w, h] = [n(sheet.widthMm), n(sheet.heightMm)]
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}" data-format="merry-tailor/pattern">\n${groups.join('\n')}\n</svg>\n`
}

/** Reads pieces from one of our drawings. Never throws. */
export function readPatternSvg(text: string): ReadPattern {
  if (!text.includes('<svg') || !text.includes('data-format="merry-tailor/pattern"')) return { ok: false, problem: 'not-this-format' }
  if (!text.trimEnd().endsWith('</svg>')) return { ok: false, problem: 'cut-short' }
  const pieces: ReadPiece[] = []
  for (const [, id = '', x = '', y = '', inner = ''] of text.matchAll(/<g id="([^"]*)" data-x="([^"]*)" data-y="([^"]*)">([\s\S]*?)<\/g>/g)) {
    const [dx, dy] = [Number(x), Number(y)]
    const line = (kind: string): PatternPoint[] => {
      const d = new RegExp(`<path class="${kind}" d="M([^"]*)"`).exec(inner)?.[1] ?? ''
      return d.replace('Z', '').split('L').map((pair): PatternPoint => {
        const [px, py] = pair.trim().split(/[ ,]+/).map(Number)
        return [(px ?? NaN) - dx, (py ?? NaN) - dy]
      }) // prettier-ignore
    }
    const [cut, sew] = [line('cut'), line('sew')]
    if ([...cut, ...sew].some((p) => !p.every(Number.isFinite)) || cut.length < 3 || sew.length < 3) return { ok: false, problem: 'cut-short' }
    pieces.push({ id: back(id), cut, sew })
  }
  return pieces.length > 0 ? { ok: true, pieces } : { ok: false, problem: 'no-pieces' }
}
