import { type Form, type Garment, type GarmentCheck, type View } from '@merry-tailor/core'
import { DogPlates } from '../../ui/plates/DogPlates'
import { fixed } from '../../ui/plates/geometry'
import { plateScale } from '../../ui/plates/plate-scale'

type Place = readonly [number, number, number]

interface WornProps {
  form: Form
  garment: Garment
  view: View
  width: number
  height: number
  label: string
  title: string
  checks?: readonly GarmentCheck[]
}

/** The edges of a piece as it is worn, one after the other round it. */
const roundOf = (garment: Garment, piece: string): Place[] => garment.worn.filter((each) => each.piece === piece).flatMap(({ points }) => points)
const mirrored = (points: readonly Place[]): Place[] => points.map(([x, y, z]): Place => [x, -y, z])

/** The dog in its garment, cut from its own form: cloth over the plates, stitched round. */
export function WornView({ form, garment, view, width, height, label, title, checks = [] }: WornProps) {
  const scale = plateScale(form, view, { width, height, inset: view === 'side' ? { top: 8 } : { top: -8, bottom: -12, left: 20, right: 20 } })
  const names = [...new Set(garment.worn.map(({ piece }) => piece))]
  // Under the belly first, then the hood, the back over both.
  const order = ['chest', 'belly', 'hood', 'shell', 'back'].filter((id) => names.includes(id))
  const path = (points: readonly Place[]): string =>
    points.length < 3
      ? ''
      : `M${points
          .map(scale.on)
          .map(({ x, y }) => `${fixed(x)} ${fixed(y)}`)
          .join('L')}Z`
  return (
    <svg role="img" aria-label={label} width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block overflow-hidden">
      <DogPlates form={form} view={view} scale={scale} width={width} />
      {order.map((id) => {
        const half = roundOf(garment, id)
        const d = view === 'side' ? path(half) : `${path(half)}${path(mirrored(half))}`
        return (
          <g key={id} strokeLinejoin="round">
            <path d={d} fill="var(--web)" stroke="var(--plate)" strokeWidth={1.4} />
            {width > 200 && <path d={d} fill="none" stroke="var(--web-stitch)" strokeWidth={1.1} strokeDasharray="4 3.5" />}
          </g>
        )
      })}
      {view === 'side' &&
        checks.map((check, i) => {
          const edge =
            garment.worn.find(({ piece, edge: id }) => piece === check.at?.piece && id === check.at.edge) ??
            garment.worn.find(({ piece }) => piece === check.at?.piece)
          const p = edge?.points[Math.floor(edge.points.length / 2)]
          if (!p) return null
          const at = scale.on(p)
          const off = { x: at.x < width / 2 ? -22 : 24, y: i % 2 === 0 ? -20 : 22 }
          const place = { x: Math.min(width - 14, Math.max(14, at.x + off.x)), y: Math.min(height - 14, Math.max(14, at.y + off.y)) }
          const fill = check.grade === 'holds' ? 'var(--ink)' : check.grade === 'fails' ? 'var(--snag)' : 'var(--chalk)'
          return (
            <g key={check.id}>
              <line x1={at.x} y1={at.y} x2={place.x} y2={place.y} stroke={fill} strokeWidth={1.5} />
              <circle cx={at.x} cy={at.y} r={3.2} fill="var(--panel)" stroke={fill} strokeWidth={1.6} />
              <circle cx={place.x} cy={place.y} r={10} fill={fill} />
              <text x={place.x} y={place.y + 4.5} textAnchor="middle" fontSize={13} fontWeight={800} fill="var(--panel)">
                {i + 1}
              </text>
            </g>
          )
        })}
      <text x={10} y={18} fontSize={13} fontWeight={600} fill="var(--ink)" className="map-halo">
        {title}
      </text>
    </svg>
  )
}
