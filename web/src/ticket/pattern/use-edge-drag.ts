import { flatAlong, flatArea, MM_PER_UNIT, sewLine, type GarmentPlan, type PatternPiece, type PieceEdge } from '@merry-tailor/core'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { moveOf, withMove } from '../../garment'
import type { MatPiece } from './mat-layout'

type Moves = NonNullable<GarmentPlan['moves']>
type Move = Moves[number]

export interface EdgeInHand {
  piece: string
  edge: string
}

/** An eighth of an inch, or half a centimetre. */
export const edgeStep = (unit: 'in' | 'cm'): number => (unit === 'in' ? MM_PER_UNIT.in / 8 : 5)
const FAR = 8
const MOST_MM = 150

/** The share of an edge's length nearest to a place on the mat. */
function shareAt(edge: PieceEdge, on: MatPiece, x: number, y: number): number {
  let [best, share] = [Infinity, 0.5]
  for (let i = 0; i <= 40; i++) {
    const at = on.to(flatAlong(edge.points, i / 40))
    const far = Math.hypot(at.x - x, at.y - y)
    if (far < best) [best, share] = [far, i / 40]
  }
  return share
}

/** Outward on the mat at a share of an edge, of length 1 in px. */
export function outwardAt(piece: PatternPiece, edge: PieceEdge, on: MatPiece, share: number): { x: number; y: number } {
  const [a, b] = [on.to(flatAlong(edge.points, Math.max(0, share - 0.02))), on.to(flatAlong(edge.points, Math.min(1, share + 0.02)))]
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1
  const turn = flatArea(sewLine(piece).map((p) => [on.to(p).x, on.to(p).y] as const)) > 0 ? 1 : -1
  return { x: (turn * (b.y - a.y)) / long, y: (-turn * (b.x - a.x)) / long }
}

/** Edges moved by hand or by arrow keys: while one is held its move is shown at once, and kept when it is let go. */
export function useEdgeDrag(moves: Moves | undefined, unit: 'in' | 'cm', onMoves: (moves: Moves) => void) {
  const [inHand, setInHand] = useState<EdgeInHand | null>(null)
  const [moving, setMoving] = useState<Move | null>(null)
  const from = useRef<{ x: number; y: number; out: { x: number; y: number }; mm: number; at: number; by: number } | null>(null)
  const step = edgeStep(unit)
  const snap = (mm: number): number => Math.min(MOST_MM, Math.max(-MOST_MM, Math.round(mm / step) * step))

  const down = (event: PointerEvent<SVGElement>, on: MatPiece, edge: PieceEdge, by: number): void => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect()
    if (!box) return
    const own = { piece: on.piece.id, edge: edge.id }
    setInHand(own)
    const at = shareAt(edge, on, event.clientX - box.left, event.clientY - box.top)
    from.current = { x: event.clientX, y: event.clientY, out: outwardAt(on.piece, edge, on, at), mm: moveOf(moves, own)?.mm ?? 0, at, by }
    event.currentTarget.setPointerCapture(event.pointerId)
  }
  const move = (event: PointerEvent<SVGElement>): void => {
    if (!from.current || !inHand) return
    const { x, y, out, mm, at, by } = from.current
    const far = ((event.clientX - x) * out.x + (event.clientY - y) * out.y) / by
    if (moving === null && Math.abs(far) < 1.5) return
    setMoving({ ...inHand, mm: snap(mm + far), at })
  }
  const endDrag = (): void => {
    from.current = null
    if (moving) onMoves(withMove(moves, moving))
    setMoving(null)
  }
  const drop = (): void => {
    from.current = null
    setMoving(null)
  }
  const key = (event: KeyboardEvent, own: EdgeInHand): void => {
    const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key]
    if (event.key === 'Escape' && moving) {
      event.stopPropagation()
      drop()
      return
    }
    if (way === undefined) return
    event.preventDefault()
    event.stopPropagation()
    const now = moveOf(moves, own)
    onMoves(withMove(moves, { ...own, mm: snap((now?.mm ?? 0) + way * step * (event.shiftKey ? FAR : 1)), at: now?.at ?? 0.5 }))
  }
  return { inHand, setInHand, moving, shown: moving ? withMove(moves, moving) : moves, down, move, endDrag, drop, key, step }
}
export type EdgeDrag = ReturnType<typeof useEdgeDrag>
