import { flatAlong, flatMiddle, walkSeams, type Garment, type LengthStyle, type PatternPoint, type PieceEdge, type Seam } from '@merry-tailor/core'
import { useMemo } from 'react'
import { fixed } from '../../ui/plates/geometry'
import { edgeName, moveOf, pieceCount } from '../../garment'
import { matLayout, type MatPiece } from './mat-layout'
import { outwardAt, type EdgeDrag } from './use-edge-drag'

interface CutMatProps {
  garment: Garment
  /** Edges being drafted anew: dashed until they are there. */
  changing: ReadonlySet<string> | 'all'
  name: string
  drag: EdgeDrag
  style: LengthStyle & { unit: 'in' | 'cm' }
  say: (mm: number) => string
  width: number
  height: number
  /** On a phone one piece is enough. */
  only?: string | null
}

const TOP = 40
const letterOf = (i: number): string => String.fromCharCode(65 + i)

interface Lettered {
  letter: string
  seam: Seam
}

/** Seams that join two different edges, in letters; both edges of one seam bear the same. */
export const letteredSeams = (garment: Garment): Lettered[] =>
  garment.seams
    .filter(({ a, b }) => a.some(([piece, edge]) => !b.some(([p, e]) => p === piece && e === edge)))
    .map((seam, i) => ({ letter: letterOf(i), seam }))

const has = ({ seam }: Lettered, piece: string, edge: string): boolean => [...seam.a, ...seam.b].some(([p, e]) => p === piece && e === edge)

/** Flat pieces on the cutting mat, in true proportion; an edge is dragged, or moved by arrow keys, and its partner follows. */
export function CutMat({ garment, changing, name, drag, style, say, width, height, only = null }: CutMatProps) {
  const shown = useMemo(() => (only === null ? garment.pieces : garment.pieces.filter(({ id }) => id === only)), [garment.pieces, only])
  // Where pieces lie does not jump while an edge is in hand.
  const layout = useMemo(() => matLayout(shown, { width, height, top: TOP + 22, unit: style.unit }), [shown, width, height, style.unit])
  const seams = useMemo(() => letteredSeams(garment), [garment])
  const lit = drag.inHand ? seams.filter((each) => has(each, drag.inHand?.piece ?? '', drag.inHand?.edge ?? '')) : []
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block touch-pan-y" role="group" aria-label="Pieces on the mat">
      <defs>
        <pattern id="strain" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <line x1={0} x2={0} y1={0} y2={7} stroke="var(--edge)" strokeWidth={1.5} />
        </pattern>
      </defs>
      <text x={12} y={26} fontSize={14} fontWeight={600} fill="var(--ink)">
        Neck to the right, as {name} stands. A square is {layout.square}.
      </text>
      {garment.cuts
        .filter(({ kept }) => !kept)
        .map(({ id, mouthMm }, i) => (
          <text key={id} x={12} y={46 + 18 * i} fontSize={14} fill="var(--ink)">
            {mouthMm < 0 ? `The ${id} dart laps ${say(-mouthMm)}: make it a seam.` : `The ${id} dart opens only ${say(mouthMm)}: left out.`}
          </text>
        ))}
      {layout.pieces.map((on) => (
        <PieceOnMat key={on.piece.id} on={on} by={layout.by} garment={garment} changing={changing} seams={seams} lit={lit} drag={drag} say={say} />
      ))}
    </svg>
  )
}

interface PieceOnMatProps {
  on: MatPiece
  by: number
  garment: Garment
  changing: CutMatProps['changing']
  seams: readonly Lettered[]
  lit: readonly Lettered[]
  drag: EdgeDrag
  say: (mm: number) => string
}

const pathOf = (on: MatPiece, points: readonly PatternPoint[], closed = false): string =>
  `M${points
    .map(on.to)
    .map(({ x, y }) => `${fixed(x)} ${fixed(y)}`)
    .join('L')}${closed ? 'Z' : ''}`

function PieceOnMat({ on, by, garment, changing, seams, lit, drag, say }: PieceOnMatProps) {
  const { piece } = on
  const strained = garment.strained.filter(({ piece: id }) => id === piece.id)
  const small = on.wide < 150 || on.high < 76
  const narrow = small && on.wide < 190 && on.high >= 44
  const at = small ? { x: on.x + 12, y: on.high < 30 ? on.y - 6 : on.y + on.high / 2 + 5 } : insideOf(on)
  return (
    <g>
      <path d={pathOf(on, on.cut, true)} fill="var(--plate)" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
      {strained.length > 0 && <path d={strained.map((cell) => pathOf(on, cell.at, true)).join('')} fill="url(#strain)" opacity={0.75} />}
      <PullsHere on={on} garment={garment} />
      {piece.lines.map(({ id, points }) => (
        <path key={id} d={pathOf(on, points)} fill="none" stroke="var(--rule)" strokeWidth={1.4} strokeDasharray={id === 'band' ? '1.5 4' : undefined} />
      ))}
      {piece.darts.map(({ id, left, right, mouthMm }) => {
        const tip = on.to(left.at(-1) as PatternPoint)
        return (
          <g key={id}>
            <path d={pathOf(on, [...left, ...[...right].reverse()])} fill="none" stroke="var(--ink)" strokeWidth={1.3} strokeDasharray="4 3" />
            <circle cx={tip.x} cy={tip.y} r={3} fill="var(--ink)" />
            <text x={tip.x + 8} y={tip.y - 6} fontSize={13.5} fill="var(--ink)" className="map-halo">
              dart, {say(mouthMm)}
            </text>
          </g>
        )
      })}
      {!small && <Grain at={{ x: at.x, y: at.y + 34 }} long={Math.min(120, on.wide * 0.3)} />}
      {piece.notches.flatMap(({ edge, share, count }) => {
        const own = piece.edges.find(({ id }) => id === edge)
        if (!own) return []
        return Array.from({ length: count }, (_, k) => {
          const t = share + (k - (count - 1) / 2) * 0.03
          const [p, out] = [on.to(flatAlong(own.points, t)), outwardAt(piece, own, on, t)]
          return (
            <line key={`${edge}${k}`} x1={p.x - out.x * 5} y1={p.y - out.y * 5} x2={p.x + out.x * 9} y2={p.y + out.y * 9} stroke="var(--ink)" strokeWidth={2} />
          )
        })
      })}
      {piece.marks.map(({ id, at: place }) => {
        const p = on.to(place)
        return <circle key={id} cx={p.x} cy={p.y} r={3.4} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.6} />
      })}
      {piece.edges.map((edge) => (
        <EdgeOnMat key={edge.id} edge={edge} on={on} by={by} seams={seams} lit={lit} drag={drag} say={say} changing={changing} />
      ))}
      <text
        x={at.x}
        y={narrow ? at.y - 8 : at.y}
        fontSize={small ? 13.5 : 19}
        fontWeight={800}
        fill="var(--ink)"
        className="map-halo"
        style={{ pointerEvents: 'none' }}
      >
        {piece.name}
        {small && (
          <tspan fontWeight={400} fill="var(--mute)" {...(narrow ? { x: at.x, dy: 16 } : {})}>
            {narrow ? '' : ' '}
            {pieceCount(piece)}
          </tspan>
        )}
      </text>
      {!small && (
        <text x={at.x} y={at.y + 19} fontSize={13.5} fill="var(--mute)" className="map-halo" style={{ pointerEvents: 'none' }}>
          {pieceCount(piece)}
        </text>
      )}
    </g>
  )
}

/** Where a piece's name stands: about the middle of its cloth. */
function insideOf(on: MatPiece): { x: number; y: number } {
  const { x, y } = on.to(flatMiddle(on.cut))
  return { x: x - 44, y: Math.max(on.y + 24, Math.min(y - 14, on.y + on.high - 46)) }
}

/** Where cloth would pull is named once, on the back, with its check's number. */
function PullsHere({ on, garment }: { on: MatPiece; garment: Garment }) {
  const check = garment.checks.findIndex(({ id, at, grade }) => id === 'over-shoulder' && at?.piece === on.piece.id && grade !== 'holds')
  const cells = garment.strained.filter(({ piece }) => piece === on.piece.id)
  const worst = cells.reduce<(typeof cells)[number] | null>((most, each) => (most && most.strain >= each.strain ? most : each), null)
  const place = worst?.at[0]
  if (check < 0 || !place || on.wide < 260) return null
  const at = on.to(place)
  const x = Math.max(on.x + 30, at.x - 150)
  const y = Math.min(on.y + on.high - 34, Math.max(on.y + 90, at.y - 30))
  return (
    <g style={{ pointerEvents: 'none' }}>
      <line x1={x + 12} y1={y} x2={at.x} y2={at.y} stroke="var(--chalk)" strokeWidth={1.5} />
      <circle cx={at.x} cy={at.y} r={4} fill="var(--panel)" stroke="var(--chalk)" strokeWidth={1.8} />
      <circle cx={x} cy={y} r={10} fill="var(--chalk)" />
      <text x={x} y={y + 4.5} textAnchor="middle" fontSize={13} fontWeight={800} fill="var(--panel)">
        {check + 1}
      </text>
      <text x={x + 15} y={y + 5} fontSize={13.5} fontWeight={700} fill="var(--ink)" className="map-halo">
        would pull here
      </text>
    </g>
  )
}

/** The grain runs along the dog: shown, not measured. */
function Grain({ at: { x, y }, long }: { at: { x: number; y: number }; long: number }) {
  return <path d={`M${x} ${y}h${long}M${x + 7} ${y - 4}l-7 4l7 4M${x + long - 7} ${y - 4}l7 4l-7 4`} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
}

const DASH: Readonly<Record<PieceEdge['kind'], string>> = { seam: '4 3', hem: '7 4', fold: '12 4 2 4', bound: '2 2.5' }

function EdgeOnMat({ edge, on, by, seams, lit, drag, say, changing }: Omit<PieceOnMatProps, 'garment'> & { edge: PieceEdge }) {
  const { piece } = on
  const d = pathOf(on, edge.points)
  const isLit = lit.some((each) => has(each, piece.id, edge.id))
  const own = { piece: piece.id, edge: edge.id }
  const held = drag.inHand?.piece === piece.id && drag.inHand.edge === edge.id
  const move = moveOf(drag.shown, own)
  const letter = seams.find((each) => has(each, piece.id, edge.id))?.letter
  const middle = on.to(flatAlong(edge.points, 0.5))
  const out = outwardAt(piece, edge, on, 0.5)
  const ring = on.to(flatAlong(edge.points, move?.at ?? 0.5))
  return (
    <g>
      {(isLit || held) && (
        <>
          <path d={d} fill="none" stroke="var(--tape-ink)" strokeWidth={12} />
          <path d={d} fill="none" stroke="var(--tape)" strokeWidth={9} />
          <path d={d} fill="none" stroke="var(--tape-ink)" strokeWidth={9} strokeDasharray="1.3 6" />
        </>
      )}
      <path d={d} fill="none" stroke="var(--ink)" strokeWidth={edge.kind === 'fold' ? 3.2 : 1.2} strokeDasharray={DASH[edge.kind]} />
      {(changing === 'all' || changing.has(edge.id)) && edge.kind !== 'fold' && (
        <>
          <path d={d} fill="none" stroke="var(--plate)" strokeWidth={5} />
          <path d={d} fill="none" stroke="var(--ink)" strokeWidth={2} strokeDasharray="8 6" data-changing={edge.id} />
        </>
      )}
      {letter && !isLit && (
        <text
          x={middle.x - out.x * 14}
          y={middle.y - out.y * 14 + 5}
          textAnchor="middle"
          fontSize={13.5}
          fontWeight={700}
          fill="var(--mute)"
          style={{ pointerEvents: 'none' }}
        >
          {letter}
        </text>
      )}
      {edge.kind !== 'fold' && (
        <g
          role="slider"
          tabIndex={0}
          aria-label={`${piece.name}, ${edgeName(edge.id).toLowerCase()}`}
          aria-valuemin={-150}
          aria-valuemax={150}
          aria-valuenow={Math.round(move?.mm ?? 0)}
          aria-valuetext={move ? `moved ${move.mm > 0 ? 'out' : 'in'} ${say(Math.abs(move.mm))}` : 'as drafted'}
          className="cursor-grab outline-none"
          onFocus={() => drag.setInHand(own)}
          onKeyDown={(event) => drag.key(event, own)}
          onPointerDown={(event) => drag.down(event, on, edge, by)}
          onPointerMove={drag.move}
          onPointerUp={drag.endDrag}
          onPointerCancel={drag.drop}
        >
          <path d={d} fill="none" stroke="transparent" strokeWidth={26} />
          {held && (
            <>
              <circle cx={ring.x} cy={ring.y} r={8} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2.4} />
              <circle cx={ring.x} cy={ring.y} r={2} fill="var(--ink)" />
            </>
          )}
        </g>
      )}
    </g>
  )
}

/** What a moved edge comes to, in a sentence: its partner follows, or the gap is said. */
export function seamSentence(garment: Garment, piece: string, edge: string, movedMm: number, say: (mm: number) => string): string {
  const of = (id: string): string => garment.pieces.find((each) => each.id === id)?.name ?? id
  const found = letteredSeams(garment).find((each) => has(each, piece, edge))
  const gains = movedMm === 0 ? 'As drafted' : `${of(piece)} ${movedMm > 0 ? 'gains' : 'gives'} ${say(Math.abs(movedMm))}`
  if (!found) return `${gains}.`
  const walked = walkSeams(garment.pieces, [found.seam])[0]
  if (!walked) return `${gains}.`
  const single = found.seam.a.length === 1 && found.seam.b.length === 1
  const other = [...found.seam.a, ...found.seam.b].find(([id]) => id !== piece)?.[0] ?? piece
  const follows = single && movedMm !== 0 ? `, ${of(other).toLowerCase()} ${movedMm > 0 ? 'gives' : 'gains'} it` : ''
  if (Math.abs(walked.differenceMm) < 1) return `${gains}${follows}: still meet, ${say(walked.aMm)} each.`
  const short = walked.differenceMm > 0 ? found.seam.b[0] : found.seam.a[0]
  return `${gains}: ${of(short?.[0] ?? '').toLowerCase()} ${say(Math.abs(walked.differenceMm))} short.`
}
