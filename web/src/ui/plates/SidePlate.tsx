import { figure as figureOf, landmarks, measures, type Body, type FigureAbout, type LandmarkId } from '@merry-tailor/core'
import { useMemo } from 'react'
import { cutPlates, tapeLine, type DogPlates } from './dog-plates'
import { along, fixed, sample, smoothClosed, smoothOpen, type Point } from './geometry'

interface SidePlateProps {
  body: Body
  about: FigureAbout | null
  /** The measure being taken; its path is the yellow tape. */
  active: string | null
  /** Other measures with a reading, and the number of their row. */
  others: readonly { measure: string; row: number; doubt: boolean }[]
  width: number
  height: number
  /** Room kept free at the top for the small plates. */
  top?: number
  stand?: boolean
  phone?: boolean
  /** The same dog at another date: its outline stays as a ghost behind this one. */
  ghost?: Body | null
  /** For paper: the path alone, no names. */
  plain?: boolean
}

/** Where each landmark of a tape lies on the plate. */
const PLACE: Partial<Record<LandmarkId, keyof DogPlates['marks']>> = {
  L01: 'breastbone',
  L02: 'sternumEnd',
  L03: 'withers',
  L07: 'girthBottom',
  L12: 'lastRib',
  L14: 'tailBase',
  L05: 'shoulder',
  L06: 'elbow',
  L08: 'wrist',
  L16: 'waistTop',
  L17: 'sheath',
  L18: 'collarTop',
  L19: 'neckBaseTop',
  L20: 'earBase',
}

/** The jointed paper dog of these readings, with the active tape laid on it. Flat plates, no shading. */
export function SidePlate({ body, about, active, others, width, height, top = 0, stand = true, phone = false, plain = false, ghost = null }: SidePlateProps) {
  const form = useMemo(() => figureOf(body, about), [body, about])
  const dog = useMemo(() => cutPlates(form), [form])
  const before = useMemo(() => (ghost ? cutPlates(figureOf(ghost, about)) : null), [ghost, about])
  const pad = plain ? 4 : phone ? 14 : 26
  const floorGap = plain ? 6 : 18
  const widest = Math.max(dog.box.width, before?.box.width ?? 0)
  const tallest = Math.max(dog.box.height, before?.box.height ?? 0)
  const scale = Math.min((width - 2 * pad - (phone ? 0 : 40)) / widest, (height - top - floorGap - pad) / tallest)
  const floor = height - floorGap
  const x0 = (width - dog.box.width * scale) / 2 - dog.box.x * scale - (phone ? 4 : 14)
  const y0 = floor - dog.floorY * scale
  const to = (point: Point): Point => ({ x: x0 + point.x * scale, y: y0 + point.y * scale })
  const path = (points: readonly Point[]): string => smoothClosed(points.map(to), 0.85)
  const vouched = new Set(form.vouched)
  const activeName = active ? measures[active]?.name : undefined
  const label = `Side view, facing right. ${activeName ? `The tape for ${activeName.toLowerCase()} is drawn on it.` : ''} ${vouched.size === 0 ? 'Shape guessed from the build; no tape yet.' : 'Solid parts follow the tapes, dashed parts are guessed.'}`

  return (
    <svg role="img" aria-label={label} width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block">
      <line x1={0} x2={width} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={1.8} />
      {stand && <Stand x={to({ x: -form.backMm * 0.42, y: 0 }).x} from={to({ x: 0, y: form.depthMm * 0.9 }).y} floor={floor} />}
      <g stroke="var(--ink)" strokeWidth={plain ? 1 : phone ? 1.6 : 1.8} strokeLinejoin="round">
        {dog.plates.map((plate) => (
          <path
            key={plate.name}
            d={path(plate.points)}
            fill={plate.far ? 'var(--plate-far)' : 'var(--plate)'}
            strokeDasharray={plate.part && !plain && !vouched.has(plate.part) ? '5 4' : undefined}
          />
        ))}
      </g>
      <path d={path(dog.nose)} fill="var(--ink)" />
      <path d={smoothOpen(dog.smile.map(to), 0.85)} fill="none" stroke="var(--ink)" strokeWidth={1.6} strokeLinecap="round" />
      {!plain && <Eye at={to(dog.eye)} />}
      {(plain ? [] : dog.rivets).map((rivet, i) => (
        <Rivet key={i} at={to(rivet)} />
      ))}
      {before && (
        <g fill="none" stroke="var(--chalk)" strokeWidth={1.5} strokeDasharray="5 4" strokeLinejoin="round">
          {before.plates.map((plate) => (
            // Both stand on the floor, withers over withers.
            <path
              key={plate.name}
              d={smoothClosed(
                plate.points.map((point) => ({ x: x0 + point.x * scale, y: floor + (point.y - before.floorY) * scale })),
                0.85,
              )}
            />
          ))}
        </g>
      )}
      {others.map((other) => {
        const line = tapeLine(other.measure, dog)
        return line && other.measure !== active ? (
          <OtherPath
            key={other.measure}
            points={line.points.map(to)}
            row={other.row}
            doubt={other.doubt}
            offset={other.measure === 'M13' ? 5 : other.measure === 'M14' ? -7 : 0}
            dashed={other.measure === 'M13'}
          />
        ) : null
      })}
      {active && <ActiveTape measure={active} dog={dog} to={to} width={width} phone={phone} plain={plain} top={top} />}
    </svg>
  )
}

function Stand({ x, from, floor }: { x: number; from: number; floor: number }) {
  return (
    <g fill="var(--ink)">
      <rect x={x - 2} y={from} width={4} height={floor - from} />
      <path d={`M${x - 30} ${floor}q6 -8 30 -8q24 0 30 8z`} />
    </g>
  )
}

function Eye({ at }: { at: Point }) {
  return (
    <g>
      <circle cx={at.x} cy={at.y} r={4} fill="var(--ink)" />
      <circle cx={at.x - 1.2} cy={at.y} r={0.8} fill="var(--plate)" />
      <circle cx={at.x + 1.2} cy={at.y} r={0.8} fill="var(--plate)" />
    </g>
  )
}

function Rivet({ at }: { at: Point }) {
  return (
    <g>
      <circle cx={at.x} cy={at.y} r={3.6} fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.4} />
      <circle cx={at.x} cy={at.y} r={1} fill="var(--ink)" />
    </g>
  )
}

function OtherPath({ points, row, doubt, offset, dashed }: { points: Point[]; row: number; doubt: boolean; offset: number; dashed: boolean }) {
  const line = points.map((point) => ({ x: point.x, y: point.y + offset }))
  const mid = along(sample(line), 0.56)
  const colour = doubt ? 'var(--snag)' : 'var(--ink)'
  return (
    <g>
      <path d={smoothOpen(line, 1)} fill="none" stroke={colour} strokeWidth={doubt ? 3.8 : 1.6} strokeDasharray={doubt ? '9 5' : dashed ? '7 4' : undefined} />
      <circle cx={mid.x} cy={mid.y} r={9.5} fill={doubt ? 'var(--snag)' : 'var(--plate)'} stroke={colour} strokeWidth={1.4} />
      <text x={mid.x} y={mid.y + 5} textAnchor="middle" fontSize={14} fontWeight={700} fill={doubt ? 'var(--panel)' : 'var(--ink)'}>
        {row}
      </text>
    </g>
  )
}

function ActiveTape({
  measure,
  dog,
  to,
  width,
  phone,
  plain,
  top,
}: {
  measure: string
  dog: DogPlates
  to: (point: Point) => Point
  width: number
  phone: boolean
  plain: boolean
  top: number
}) {
  const line = tapeLine(measure, dog)
  if (!line) return null
  const points = sample(line.points.map(to))
  const d = `M${points.map((point) => `${fixed(point.x)} ${fixed(point.y)}`).join('L')}`
  const length = points.slice(1).reduce((sum, point, i) => sum + Math.hypot(point.x - (points[i]?.x ?? 0), point.y - (points[i]?.y ?? 0)), 0)
  const wide = plain ? 5 : phone ? 10 : 14.5
  const ticks = Math.max(4, Math.round(length / 9))
  const ends = measures[measure]?.landmarks ?? []
  return (
    <g>
      <path d={d} fill="none" stroke="var(--ink)" strokeWidth={wide + 3.5} strokeLinejoin="round" />
      <path d={d} fill="none" stroke="var(--tape)" strokeWidth={wide} strokeLinejoin="round" />
      {Array.from({ length: ticks - 1 }, (_, i) => {
        const at = along(points, (i + 1) / ticks)
        const deep = wide * ((i + 1) % 4 === 0 ? 0.62 : 0.34)
        const [nx, ny] = [-Math.sin(at.angle), Math.cos(at.angle)]
        const [sx, sy] = [at.x + nx * (wide / 2), at.y + ny * (wide / 2)]
        return <line key={i} x1={sx} y1={sy} x2={sx - nx * deep} y2={sy - ny * deep} stroke="var(--tape-ink)" strokeWidth={(i + 1) % 4 === 0 ? 1.7 : 1.05} />
      })}
      {(plain ? [] : ends).map((id) => {
        const place = PLACE[id]
        return place && near(to(dog.marks[place]), points) ? (
          <LandmarkLabel key={id} at={to(dog.marks[place])} name={landmarks[id].name} place={place} width={width} phone={phone} top={top} />
        ) : null
      })}
    </g>
  )
}

/** Is a landmark on this tape? A ring names its bone even where the bone lies beside it. */
const near = (at: Point, points: readonly Point[]): boolean => points.some((point) => Math.hypot(point.x - at.x, point.y - at.y) < 40)

/** How a landmark's name stands off its point: dx, dy and which end of the text is at the line. */
const OFFSET: Record<string, readonly [number, number, 'start' | 'middle' | 'end']> = {
  withers: [-30, -30, 'end'],
  breastbone: [24, -24, 'start'],
  sternumEnd: [-26, 44, 'end'],
  girthBottom: [-20, 40, 'end'],
  lastRib: [-26, -44, 'end'],
  tailBase: [-4, -42, 'middle'],
  shoulder: [26, -14, 'start'],
  elbow: [-30, 34, 'end'],
  wrist: [26, 10, 'start'],
  waistTop: [-10, -34, 'middle'],
  sheath: [-24, 44, 'end'],
  collarTop: [-34, -16, 'end'],
  neckBaseTop: [-40, -22, 'end'],
  earBase: [-34, -26, 'end'],
}

function LandmarkLabel({ at, name, place, width, phone, top }: { at: Point; name: string; place: string; width: number; phone: boolean; top: number }) {
  const [dx, dy, anchor] = OFFSET[place] ?? [20, -20, 'start']
  const size = phone ? 14 : 14.5
  const long = name.length * size * 0.52
  const wrap = phone && name.length > 10 && name.includes(' ')
  const words = wrap ? [name.slice(0, name.lastIndexOf(' ')), name.slice(name.lastIndexOf(' ') + 1)] : [name]
  const reach = wrap ? long * 0.62 : long
  let tx = at.x + dx
  if (anchor === 'start') tx = Math.min(tx, width - reach - 6)
  if (anchor === 'end') tx = Math.max(tx, reach + 6)
  if (anchor === 'middle') tx = Math.min(Math.max(tx, long / 2 + 6), width - long / 2 - 6)
  const ty = Math.max(at.y + dy, top + 14)
  return (
    <g>
      <line
        x1={at.x}
        y1={at.y}
        x2={tx + (anchor === 'start' ? -4 : anchor === 'end' ? 4 : 0)}
        y2={ty + (dy < 0 ? 5 : -12)}
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <circle cx={at.x} cy={at.y} r={4.4} fill="var(--tape)" stroke="var(--ink)" strokeWidth={1.6} />
      {words.map((word, i) => (
        <text
          key={word}
          x={tx}
          y={ty + i * 16}
          textAnchor={anchor}
          fontSize={size}
          fontWeight={700}
          fill="var(--ink)"
          stroke="var(--mat)"
          strokeWidth={4}
          paintOrder="stroke"
          strokeLinejoin="round"
        >
          {word}
        </text>
      ))}
    </g>
  )
}
