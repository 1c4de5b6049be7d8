import type { PDFDocument, PDFPage } from 'pdf-lib'
import type { PatternPiece, PatternPoint } from '../pattern/index.ts'
import { countWords, sheetOf, type PatternLabel, type ReadPattern, type ReadPiece, type Sheet } from './pattern-sheet.ts'
import { labelLine } from './pattern-svg.ts'

/** ISO 216; ASME Y14.1. */
const PAPER = { A4: [210, 297], Letter: [215.9, 279.4] } as const
export type Paper = keyof typeof PAPER

/** Printer’s points to a millimetre. */
const PT = 72 / 25.4
/** What printers leave white at the edges. */
const MARGIN_MM = 10
/** The square whose side tells whether the printer kept the scale. */
export const TEST_SQUARE_MM = 50
const MARK_MM = 5
/** How high the head of the first page is, and how many pieces it lists. */
const HEAD_MM = 150
const LISTED = 12

interface Tile {
  name: string
  /** The sheet's place at the page's upper left inner corner. */
  x: number
  y: number
}

const letters = (i: number): string => (i < 26 ? String.fromCharCode(65 + i) : letters(Math.floor(i / 26) - 1) + letters(i % 26))

/** Pages the sheet is cut into: columns A, B, C, rows 1, 2, 3; pages no piece lies on are left out. */
function tilesOf(sheet: Sheet, paper: Paper, overlapMm: number) {
  const [inW, inH] = [PAPER[paper][0] - 2 * MARGIN_MM, PAPER[paper][1] - 2 * MARGIN_MM]
  const lap = Math.min(Math.max(0, overlapMm), inW / 3)
  const [stepX, stepY] = [inW - lap, inH - lap]
  const [columns, rows] = [Math.max(1, Math.ceil((sheet.widthMm - lap) / stepX)), Math.max(1, Math.ceil((sheet.heightMm - lap) / stepY))]
  const tiles: Tile[] = []
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [x, y] = [column * stepX, row * stepY]
      const used = sheet.pieces.some(({ dx, dy, minX, maxX, minY, maxY }) => minX + dx < x + inW && maxX + dx > x && minY + dy < y + inH && maxY + dy > y)
      // The first page has the square and the map, whatever lies on it.
      if (used || (row === 0 && column === 0)) tiles.push({ name: `${letters(column)}${row + 1}`, x, y })
    }
  return { tiles, inW, inH, lap, stepX, stepY, columns, rows }
}

const num = (value: number): string => {
  const text = value.toFixed(5)
  return text.includes('.') ? text.replace(/\.?0+$/, '') || '0' : text
}

/** Text the built-in font can show. */
const inPageLetters = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[̀-ͯ]/g, '')
    .replace(/[^\x20-\x7e]/g, '?')
const escaped = (text: string): string => inPageLetters(text).replace(/[\\()]/g, (c) => `\\${c}`)

/** A page being drawn: plain operators, points in the page's own units. */
class Ink {
  readonly #ops: string[] = []
  readonly #high: number
  constructor(paper: Paper) {
    this.#high = PAPER[paper][1]
  }
  raw(op: string): void {
    this.#ops.push(op)
  }
  /** mm from the upper left to points from the lower left. */
  at(x: number, y: number): string {
    return `${num(x * PT)} ${num((this.#high - y) * PT)}`
  }
  path(points: readonly PatternPoint[], { closed = false, widthMm = 0.4, dash = '' } = {}): void {
    this.raw(`${num(widthMm * PT)} w [${dash}] 0 d`)
    points.forEach(([x, y], i) => this.raw(`${this.at(x, y)} ${i === 0 ? 'm' : 'l'}`))
    this.raw(closed ? 's' : 'S')
  }
  text(x: number, y: number, size: number, words: string): void {
    this.raw(`BT /F1 ${num(size)} Tf ${this.at(x, y)} Td (${escaped(words)}) Tj ET`)
  }
  get stream(): string {
    return this.#ops.join('\n')
  }
}

const DASH = '6 4'

/**
 * Pieces on paper in true scale: pages A1, B1, A2 that lap over and carry the same marks where they meet; on the first the
 * test square, the page map and the list of pieces. Points only, nothing scaled; the same bytes twice.
 *
 * @param options paper, how far pages lap, mm, and what the labels say
 * @returns the file and the names of its pages
 */
export async function patternPdf(
  pieces: readonly PatternPiece[],
  { paper: wanted, overlapMm, label = {} }: { paper: Paper | Lowercase<Paper>; overlapMm: number; label?: PatternLabel },
): Promise<{ bytes: Uint8Array; pages: string[] }> {
  const paper: Paper = wanted.toLowerCase() === 'letter' ? 'Letter' : 'A4'
  const { PDFDocument: Document, StandardFonts, PDFName } = await import('pdf-lib')
  const doc = await Document.create()
  const then = new Date(Date.UTC(2000, 0, 1))
  doc.setTitle('Pattern')
  doc.setProducer('Merry Tailor')
  doc.setCreator('Merry Tailor')
  doc.setCreationDate(then)
  doc.setModificationDate(then)
  const font = await doc.embedFont(StandardFonts.Helvetica)
  const sheet = sheetOf(pieces, { wideMm: PAPER[paper][0] - 2 * MARGIN_MM, highMm: HEAD_MM })
  const tiling = tilesOf(sheet, paper, overlapMm)
  const size: [number, number] = [PAPER[paper][0] * PT, PAPER[paper][1] * PT]
  const add = (ink: Ink): void => {
    const page = doc.addPage(size)
    page.node.setFontDictionary(PDFName.of('F1'), font.ref)
    putStream(doc, page, ink.stream)
  }
  tiling.tiles.forEach((tile, i) => {
    const ink = tilePage(sheet, paper, tile, tiling, label)
    if (i === 0) drawHead(ink, sheet, tiling, label)
    add(ink)
  })
  return { bytes: await doc.save({ useObjectStreams: false, updateFieldAppearances: false }), pages: tiling.tiles.map(({ name }) => name) }
}

function putStream(doc: PDFDocument, page: PDFPage, text: string): void {
  page.node.addContentStream(doc.context.register(doc.context.flateStream(text)))
}

/** What stands on the first page beside the pieces: the square, what is cut, and how pages are glued. */
function drawHead(ink: Ink, sheet: Sheet, { tiles, inW, inH, stepX, stepY }: ReturnType<typeof tilesOf>, label: PatternLabel): void {
  const left = MARGIN_MM + 4
  ink.text(left, MARGIN_MM + 8, 16, label.dog ? `Pattern for ${label.dog}` : 'Pattern')
  ink.text(left, MARGIN_MM + 15, 9, labelLine({ ...label, dog: '' }))
  const top = MARGIN_MM + 21
  const side = TEST_SQUARE_MM
  ink.path([[left, top], [left + side, top], [left + side, top + side], [left, top + side]], { closed: true }) // prettier-ignore
  ink.text(left + 4, top + 24, 9, `${side} mm a side.`)
  ink.text(left + 4, top + 30, 9, 'Measure it before cutting.')
  const list = sheet.pieces.slice(0, LISTED)
  list.forEach(({ piece }, i) => ink.text(left + side + 8, top + 4 + 5 * i, 9, `${piece.name}: ${countWords(piece)}`))
  if (sheet.pieces.length > LISTED) ink.text(left + side + 8, top + 4 + 5 * LISTED, 9, `and ${sheet.pieces.length - LISTED} more`)
  const [mapLeft, mapTop] = [left, top + side + 8]
  ink.text(mapLeft, mapTop - 2, 9, 'Pages as they are glued:')
  const by = Math.min((inW - 8) / (sheet.widthMm + inW), (HEAD_MM - (mapTop - MARGIN_MM) - 4) / (sheet.heightMm + inH))
  const at = (x: number, y: number): PatternPoint => [mapLeft + x * by, mapTop + y * by]
  for (const { name, x, y } of tiles) {
    ink.path([at(x, y), at(x + Math.min(inW, stepX), y), at(x + Math.min(inW, stepX), y + Math.min(inH, stepY)), at(x, y + Math.min(inH, stepY))], { closed: true, widthMm: 0.2 }) // prettier-ignore
    ink.text(at(x, y)[0] + 1.5, at(x, y)[1] + 4, 7, name)
  }
  for (const { cut, dx, dy } of sheet.pieces) ink.path(cut.map(([x, y]): PatternPoint => at(x + dx, y + dy)), { closed: true, widthMm: 0.3 }) // prettier-ignore
}

function tilePage(sheet: Sheet, paper: Paper, tile: Tile, { inW, inH, stepX, stepY }: ReturnType<typeof tilesOf>, label: PatternLabel): Ink {
  const ink = new Ink(paper)
  const [ox, oy] = [MARGIN_MM - tile.x, MARGIN_MM - tile.y]
  ink.raw('q')
  ink.raw(`${ink.at(MARGIN_MM, MARGIN_MM + inH)} ${num(inW * PT)} ${num(inH * PT)} re W n`)
  for (const { piece, dx, dy, cut, sew, notches, foot, minX, minY, maxX, maxY } of sheet.pieces) {
    const [x, y] = [ox + dx, oy + dy]
    if (minX + x > MARGIN_MM + inW || maxX + x < MARGIN_MM || minY + y > MARGIN_MM + inH || maxY + y < MARGIN_MM) continue
    const on = (points: readonly PatternPoint[]): PatternPoint[] => points.map(([px, py]): PatternPoint => [px + x, py + y])
    const named = (kind: string, draw: () => void): void => {
      ink.raw(`/Piece <</Id (${escaped(piece.id)}) /Kind (${kind}) /X ${num(x)} /Y ${num(y)}>> BDC`)
      draw()
      ink.raw('EMC')
    }
    named('cut', () => ink.path(on(cut), { closed: true, widthMm: 0.6 }))
    named('sew', () => ink.path(on(sew), { closed: true, widthMm: 0.3, dash: DASH }))
    ink.path(on(piece.grain), { widthMm: 0.4 })
    for (const { left, right } of piece.darts) ink.path(on([...left, ...[...right].reverse()]), { widthMm: 0.3, dash: DASH })
    for (const { points } of piece.lines) ink.path(on(points), { widthMm: 0.2 })
    for (const stroke of notches) ink.path(on(stroke), { widthMm: 0.6 })
    for (const { at } of piece.marks) {
      const [cx, cy] = on([at])[0] as PatternPoint
      ink.path([[cx - 3, cy], [cx + 3, cy]], { widthMm: 0.4 }) // prettier-ignore
      ink.path([[cx, cy - 3], [cx, cy + 3]], { widthMm: 0.4 }) // prettier-ignore
    }
    const [lx, ly] = on([foot])[0] as PatternPoint
    ink.text(lx, ly, 11, `${piece.name}, ${countWords(piece)}`)
    ink.text(lx, ly + 6, 8, labelLine(label))
  }
  ink.raw('Q')
  // Crosses where pages lap: both pages draw the same place of the sheet.
  for (let i = -1; i <= 1; i++)
    for (let k = -1; k <= 1; k++) {
      const [cx, cy] = [(Math.round(tile.x / stepX) + i) * stepX + (inW - stepX) / 2 + ox, (Math.round(tile.y / stepY) + k) * stepY + (inH - stepY) / 2 + oy]
      for (const [mx, my] of [
        [cx, cy],
        [cx + stepX / 2, cy],
        [cx, cy + stepY / 2],
      ] as const) {
        if (mx < MARGIN_MM || mx > MARGIN_MM + inW || my < MARGIN_MM || my > MARGIN_MM + inH) continue
        ink.path([[mx - MARK_MM / 2, my], [mx + MARK_MM / 2, my]], { widthMm: 0.2 }) // prettier-ignore
        ink.path([[mx, my - MARK_MM / 2], [mx, my + MARK_MM / 2]], { widthMm: 0.2 }) // prettier-ignore
      }
    }
  ink.text(
    MARGIN_MM + 2,
    PAPER[paper][1] - MARGIN_MM + 4,
    9,
    `Page ${tile.name}${label.dog ? `, ${label.dog}` : ''}${label.firstDraft ? ', first draft: sew a trial' : ''}`,
  )
  return ink
}

/** Reads pieces from one of our PDF files; joins what lies on several pages by the pieces' names. Never throws. */
export async function readPatternPdf(bytes: Uint8Array): Promise<ReadPattern> {
  try {
    const { PDFDocument: Document, PDFArray, PDFRawStream, decodePDFRawStream } = await import('pdf-lib')
    const head = String.fromCharCode(...bytes.subarray(0, 5))
    if (head !== '%PDF-') return { ok: false, problem: 'not-this-format' }
    const tail = String.fromCharCode(...bytes.subarray(Math.max(0, bytes.length - 64)))
    if (!tail.includes('%%EOF')) return { ok: false, problem: 'cut-short' }
    const doc = await Document.load(bytes, { updateMetadata: false, throwOnInvalidObject: false })
    const pieces = new Map<string, ReadPiece>()
    for (const page of doc.getPages()) {
      const contents = page.node.Contents()
      const streams = contents instanceof PDFArray ? contents.asArray().map((ref) => doc.context.lookup(ref)) : [contents]
      for (const stream of streams) {
        if (!(stream instanceof PDFRawStream)) continue
        const text = new TextDecoder('latin1').decode(decodePDFRawStream(stream).decode())
        readStream(text, page.getHeight(), pieces)
      }
    }
    if (pieces.size === 0) return { ok: false, problem: 'no-pieces' }
    const all = [...pieces.values()]
    return all.some(({ cut, sew }) => cut.length < 3 || sew.length < 3) ? { ok: false, problem: 'cut-short' } : { ok: true, pieces: all }
  } catch {
    return { ok: false, problem: 'cut-short' }
  }
}

function readStream(text: string, highPt: number, pieces: Map<string, ReadPiece>): void {
  const named = /\/Piece <<\/Id \(((?:\\.|[^\\)])*)\) \/Kind \((cut|sew)\) \/X (-?[\d.]+) \/Y (-?[\d.]+)>> BDC([\s\S]*?)EMC/g
  for (const [, raw = '', kind, x = '0', y = '0', ops = ''] of text.matchAll(named)) {
    const id = raw.replace(/\\(.)/g, '$1')
    const piece = pieces.get(id) ?? { id, cut: [], sew: [] }
    const points = [...ops.matchAll(/(-?[\d.]+) (-?[\d.]+) [ml]\b/g)].map(([, px = '', py = '']): PatternPoint => [
      Number(px) / PT - Number(x), (highPt - Number(py)) / PT - Number(y),
    ]) // prettier-ignore
    if (kind === 'cut' && piece.cut.length === 0) piece.cut = points
    if (kind === 'sew' && piece.sew.length === 0) piece.sew = points
    pieces.set(id, piece)
  }
}
