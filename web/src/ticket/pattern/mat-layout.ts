import { flatBox, MM_PER_UNIT, pieceCutLine, type PatternPiece, type PatternPoint } from '@merry-tailor/core'

/** A square of the mat, px. */
const SQUARE = 20
const GAP = 26
const LABEL = 22

export interface MatPiece {
  piece: PatternPiece
  cut: PatternPoint[]
  /** The piece's own place to px on the mat. */
  to: (p: PatternPoint) => { x: number; y: number }
  /** px of the piece's upper left corner, and its size. */
  x: number
  y: number
  wide: number
  high: number
}

export interface MatLayout {
  pieces: MatPiece[]
  /** px per mm, and what a square is. */
  by: number
  square: string
}

const SQUARES = {
  in: [0.5, 0.75, 1, 1.25, 1.5, 2, 2.5, 3, 4, 6, 8, 12].map((n) => ({
    mm: n * MM_PER_UNIT.in,
    words: `${Math.floor(n) === 0 ? '' : Math.floor(n)}${{ 0.25: '¼', 0.5: '½', 0.75: '¾' }[n % 1] ?? ''} in`,
  })),
  cm: [1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 8, 10, 15, 20, 30].map((n) => ({ mm: n * 10, words: `${n} cm` })),
}

/** Does a piece's fold lie below, so that its front seam faces the back's? */
const foldBelow = ({ fold }: PatternPiece): boolean => fold === 'centre-front'

/** Pieces in rows on the mat, as large as whole inches or centimetres a square allow. */
export function matLayout(
  pieces: readonly PatternPiece[],
  { width, height, top, unit }: { width: number; height: number; top: number; unit: 'in' | 'cm' },
): MatLayout {
  const drawn = pieces
    .map((piece) => {
      const cut = pieceCutLine(piece)
      const { minX, minY, maxX, maxY } = flatBox(cut)
      return { piece, cut, minX, minY, wide: maxX - minX, high: maxY - minY }
    })
    .sort((a, b) => b.wide * b.high - a.wide * a.high)
  const rows = (by: number): MatPiece[] | null => {
    const out: MatPiece[] = []
    let [x, y, tall] = [GAP / 2, top, 0]
    for (const { piece, cut, minX, minY, wide, high } of drawn) {
      const [w, h] = [wide * by, high * by]
      if (x > GAP && x + w > width - GAP / 2) [x, y, tall] = [GAP / 2, y + tall + LABEL, 0]
      if (x + w > width - GAP / 4 || y + h > height - 6) return null
      const [px, py, flip] = [x, y, foldBelow(piece)]
      out.push({
        piece,
        cut,
        x: px,
        y: py,
        wide: w,
        high: h,
        to: ([ax, ay]) => ({ x: px + (ax - minX) * by, y: flip ? py + h - (ay - minY) * by : py + (ay - minY) * by }),
      })
      x += w + GAP
      tall = Math.max(tall, h)
    }
    return out
  }
  for (const { mm, words } of SQUARES[unit]) {
    const placed = rows(SQUARE / mm)
    if (placed) return { pieces: placed, by: SQUARE / mm, square: words }
  }
  const last = SQUARES[unit].at(-1) as (typeof SQUARES)['in'][number]
  return { pieces: rows(SQUARE / last.mm / 2) ?? [], by: SQUARE / last.mm / 2, square: `two of ${last.words}` }
}
