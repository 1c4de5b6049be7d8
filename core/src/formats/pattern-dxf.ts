import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf'
import type { PatternPiece, PatternPoint } from '../pattern/index.ts'
import { countWords, sheetOf, type PatternLabel, type ReadPattern, type ReadPiece } from './pattern-sheet.ts'
import { labelLine } from './pattern-svg.ts'

/** Layers of ASTM D6673 (value from memory). */
const LAYER = { cut: '1', notch: '4', fold: '6', grain: '7', inner: '8', hole: '13', sew: '14', text: '15' } as const
const PIECE = 'PIECE '

const ascii = (text: string): string => text.normalize('NFD').replace(/[^\x20-\x7e]/g, '')

/**
 * Pieces as DXF in millimetres, flat, layers as sewn-product patterns name them.
 *
 * @returns the file's text (docs/formats.md)
 */
export function patternDxf(pieces: readonly PatternPiece[], label: PatternLabel = {}): string {
  const sheet = sheetOf(pieces)
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const layer of Object.values(LAYER)) dxf.addLayer(layer, Colors.White, 'CONTINUOUS')
  // Paper counts up from below, the sheet down from above.
  const at = (dx: number, dy: number) => ([x, y]: PatternPoint) => ({ point: point2d(x + dx, sheet.heightMm - (y + dy)) }) // prettier-ignore
  dxf.addText(point3d(0, sheet.heightMm + 10), 5, 'UNITS: METRIC', { layerName: LAYER.text })
  for (const { piece, dx, dy, cut, sew, notches, foot } of sheet.pieces) {
    const on = at(dx, dy)
    const line = (layerName: string, points: readonly PatternPoint[], closed: boolean): void => {
      dxf.addLWPolyline(points.map(on), { layerName, flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None })
    }
    // The piece's own place is told by where its name stands: what is added to every corner.
    dxf.addText(point3d(dx, sheet.heightMm - dy), 5, `${PIECE}${ascii(piece.id)}`, { layerName: LAYER.text })
    line(LAYER.cut, cut, true)
    line(LAYER.sew, sew, true)
    line(LAYER.grain, piece.grain, false)
    const fold = piece.edges.find(({ id }) => id === piece.fold)
    if (fold) line(LAYER.fold, fold.points, false)
    for (const { left, right } of piece.darts) line(LAYER.inner, [...left, ...[...right].reverse()], false)
    for (const { points } of piece.lines) line(LAYER.inner, points, false)
    for (const stroke of notches) line(LAYER.notch, stroke, false)
    for (const { at: [x, y] } of piece.marks) dxf.addCircle(point3d(x + dx, sheet.heightMm - (y + dy)), 2, { layerName: LAYER.hole }) // prettier-ignore
    const place = on(foot).point
    dxf.addText(point3d(place.x, place.y), 6, ascii(`${piece.name}, ${countWords(piece)}. ${labelLine(label)}`), { layerName: LAYER.text })
  }
  return dxf.stringify()
}

/** Reads pieces from one of our DXF files: pairs of code and value. Never throws. */
export function readPatternDxf(text: string): ReadPattern {
  const lines = text.split(/\r?\n/)
  if (!lines.some((line) => line.trim() === 'SECTION') || !text.includes(PIECE)) return { ok: false, problem: 'not-this-format' }
  if (!/(^|\n)\s*0\r?\n\s*EOF\s*$/.test(text)) return { ok: false, problem: 'cut-short' }
  const pieces: (ReadPiece & { x: number; y: number })[] = []
  let entity: { type: string; layer: string; text: string; xs: number[]; ys: number[] } | null = null
  const close = (): void => {
    if (!entity) return
    const { type, layer, text: words, xs, ys } = entity
    if (type === 'TEXT' && layer === LAYER.text && words.startsWith(PIECE))
      pieces.push({ id: words.slice(PIECE.length), cut: [], sew: [], x: xs[0] ?? 0, y: ys[0] ?? 0 })
    const piece = pieces.at(-1)
    if (type !== 'LWPOLYLINE' || !piece) return
    const points = xs.map((x, i): PatternPoint => [x - piece.x, piece.y - (ys[i] ?? NaN)])
    if (layer === LAYER.cut) piece.cut = points
    if (layer === LAYER.sew) piece.sew = points
  }
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const [code, value] = [lines[i]?.trim() ?? '', lines[i + 1]?.trim() ?? '']
    if (code === '0') {
      close()
      entity = { type: value, layer: '', text: '', xs: [], ys: [] }
    } else if (entity) {
      if (code === '8') entity.layer = value
      if (code === '1') entity.text = value
      if (code === '10') entity.xs.push(Number(value))
      if (code === '20') entity.ys.push(Number(value))
    }
  }
  close()
  if (pieces.length === 0) return { ok: false, problem: 'no-pieces' }
  if (pieces.some(({ cut, sew }) => cut.length < 3 || sew.length < 3 || [...cut, ...sew].some((p) => !p.every(Number.isFinite))))
    return { ok: false, problem: 'cut-short' }
  return { ok: true, pieces: pieces.map(({ id, cut, sew }) => ({ id, cut, sew })) }
}
