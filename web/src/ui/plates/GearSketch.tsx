import { layStraps, placeOn, STRAP_NODES, whereItShows, type FamilyId, type Flat, type Form, type Grade, type LaidGear } from '@merry-tailor/core'
import { useMemo } from 'react'
import { cutOnce } from './cut'
import { fixed, smoothOpen, type Point } from './geometry'

interface GearSketchProps {
  form: Form
  family: FamilyId
  width: number
  height: number
  /** Where the line's other end is fixed, above the floor, mm; without it no line is drawn. */
  hitchMm?: number | null
  label: string
  /** Measures by the numbers of their cards, with the grade each has. */
  numbers?: readonly { measure: string; n: number; grade: Grade }[]
}

const lineOf = (points: readonly Point[], closed: boolean): string =>
  `M${points.map((point) => `${fixed(point.x)} ${fixed(point.y)}`).join('L')}${closed ? 'Z' : ''}`
const PAWS = ['fore paw', 'hind paw']

/** One kind of gear on this dog, drawn from its strap graph: the dog a silhouette, the gear in ink. */
export function GearSketch({ form, family, width, height, hitchMm = null, label, numbers = [] }: GearSketchProps) {
  const set = cutOnce(form, 'side')
  const gear = useMemo(() => layStraps(form, family), [form, family])
  const crated = gear.around !== null && gear.around !== 'paws'
  const line = hitchMm !== null && gear.pull !== null
  const ahead = set.box.right - set.box.left
  // Room behind for the line or the traces, around for a crate.
  const behind = Math.max(
    line ? ahead * 0.34 : 0,
    crated ? ahead * 0.08 : 0,
    set.box.left - Math.min(set.box.left, ...gear.straps.flatMap(({ points }) => points.map(([x]) => x))),
  )
  // A hitch far above the dog runs out of the picture rather than making the dog small.
  const top = Math.max(set.box.top, line ? Math.min(hitchMm, set.box.top * 1.3) : 0) * (crated ? 1.08 : 1)
  const pad = 4
  const by = Math.min((width - 2 * pad) / (ahead + behind + (crated ? ahead * 0.08 : 0)), (height - pad - 6) / top)
  const floor = height - 5
  const x0 = pad + (width - 2 * pad - by * (ahead + behind)) / 2 - (set.box.left - behind) * by
  const to = ([x, z]: Flat): Point => ({ x: x0 + x * by, y: floor - z * by })
  const size = Math.max(1.6, Math.min(11, by * 26))
  return (
    <svg role="img" aria-label={label} width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block overflow-hidden">
      <line x1={0} x2={width} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={1.3} />
      <g fill="var(--plate-far)" stroke="var(--edge)" strokeWidth={size < 4 ? 0.8 : 1.4} strokeLinejoin="round">
        {set.plates.map((plate, i) => (
          <path
            key={`${plate.name}${i}`}
            d={lineOf(plate.points.map(to), true)}
            fill={gear.around === 'paws' && PAWS.includes(plate.name) ? 'var(--web)' : undefined}
          />
        ))}
      </g>
      {gear.panels.map((panel, i) => (
        <path
          key={i}
          d={smoothClosed(panel.points.map(to))}
          fill="var(--web)"
          fillOpacity={panel.kind === 'plate' ? 1 : 0.82}
          stroke="var(--web)"
          strokeWidth={1.2}
          strokeLinejoin="round"
        />
      ))}
      <Straps gear={gear} to={to} size={size} />
      {numbers.map((each) => {
        const node = whereItShows(each.measure)
        return (
          node && (
            <Numbered
              key={each.measure}
              at={to(placeOn(form, STRAP_NODES[node]))}
              n={each.n}
              grade={each.grade}
              middle={to([set.box.left + ahead * 0.62, set.box.top * 0.56])}
              width={width}
              height={height}
            />
          )
        )
      })}
      {line && gear.pull && <Line from={to(gear.pull)} hitchY={floor - hitchMm * by} floor={floor} />}
      {gear.around !== null && gear.around !== 'paws' && (
        <Crate
          kind={gear.around}
          box={[to([set.box.left - ahead * 0.05, 0]).x, to([set.box.right + ahead * 0.05, 0]).x, floor - set.box.top * 1.06 * by, floor]}
        />
      )}
    </svg>
  )
}

function Straps({ gear, to, size }: { gear: LaidGear; to: (at: Flat) => Point; size: number }) {
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      {gear.straps.map(({ points, padded, hidden, role }, i) => {
        const d = smoothOpen(points.map(to), 1)
        const wide = size * (role === 'bar' || role === 'link' ? 0.6 : padded ? 1 : 0.72)
        return (
          <g key={i}>
            <path d={d} stroke="var(--plate)" strokeWidth={wide + 2.2} strokeDasharray={hidden ? '5 4' : undefined} strokeLinecap="butt" />
            <path d={d} stroke="var(--web)" strokeWidth={wide} strokeDasharray={hidden ? '5 4' : undefined} strokeLinecap={hidden ? 'butt' : 'round'} />
            {size >= 5 && !hidden && <path d={d} stroke="var(--web-stitch)" strokeWidth={1.1} strokeDasharray="4 3" strokeLinecap="butt" />}
          </g>
        )
      })}
      {gear.straps
        .filter((each) => each.adjusts && size >= 5)
        .map(({ points }, i) => (
          <Slider key={i} at={to(middle(points))} size={size} />
        ))}
      {gear.rings.map((ring, i) => (
        <circle key={i} cx={to(ring).x} cy={to(ring).y} r={Math.max(2, size * 0.55)} stroke="var(--ink)" strokeWidth={1.6} fill="var(--panel)" />
      ))}
      {gear.pull && (
        <circle cx={to(gear.pull).x} cy={to(gear.pull).y} r={Math.max(2.6, size * 0.7)} fill="var(--ink)" stroke="var(--plate)" strokeWidth={1.2} />
      )}
    </g>
  )
}

const middle = (points: readonly Flat[]): Flat => {
  const [a, b] = [points[Math.floor((points.length - 1) / 2)], points[Math.ceil((points.length - 1) / 2)]]
  return a && b ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : [0, 0]
}

function Slider({ at, size }: { at: Point; size: number }) {
  return <rect x={at.x - size * 0.6} y={at.y - size * 0.75} width={size * 1.2} height={size * 1.5} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.4} />
}

/** The line to its hitch, a post at the picture's edge. */
function Line({ from, hitchY, floor }: { from: Point; hitchY: number; floor: number }) {
  return (
    <g stroke="var(--ink)">
      <line x1={4} x2={4} y1={floor} y2={hitchY} strokeWidth={3} />
      <line x1={4} x2={from.x} y1={hitchY} y2={from.y} strokeWidth={2.2} />
    </g>
  )
}

/** A crate or pen about the dog. */
function Crate({ kind, box: [left, right, top, floor] }: { kind: 'bars' | 'shell' | 'mesh' | 'pen'; box: readonly [number, number, number, number] }) {
  const [wide, tall] = [right - left, floor - top]
  const bars = Array.from({ length: kind === 'pen' ? 7 : 11 }, (_, i) => left + (wide * (i + 1)) / (kind === 'pen' ? 8 : 12))
  return (
    <g fill="none" stroke="var(--web)" strokeWidth={1.6}>
      {kind !== 'pen' && (
        <rect
          x={left}
          y={top}
          width={wide}
          height={tall}
          rx={kind === 'bars' ? 0 : 2}
          strokeDasharray={kind === 'mesh' ? '3 3' : undefined}
          strokeWidth={2.4}
        />
      )}
      {kind === 'pen' && (
        <path d={`M${left} ${top + tall * 0.2}H${right}M${left} ${floor}V${top + tall * 0.2}M${right} ${floor}V${top + tall * 0.2}`} strokeWidth={2.4} />
      )}
      {(kind === 'bars' || kind === 'pen') &&
        bars.map((x) => <line key={x} x1={x} x2={x} y1={kind === 'pen' ? top + tall * 0.2 : top} y2={floor} strokeWidth={0.9} />)}
      {kind === 'shell' && (
        <path
          d={`M${left} ${top + tall * 0.5}H${right}M${left + wide * 0.1} ${top + tall * 0.2}h${wide * 0.14}M${left + wide * 0.3} ${top + tall * 0.2}h${wide * 0.14}M${left + wide * 0.5} ${top + tall * 0.2}h${wide * 0.14}`}
        />
      )}
    </g>
  )
}

/** A closed smooth outline through points. */
function smoothClosed(points: readonly Point[]): string {
  const n = points.length
  if (n < 3) return ''
  const at = (i: number): Point => points[(i + n) % n] as Point
  const parts = points.map((p, i) => {
    const [prev, next, after] = [at(i - 1), at(i + 1), at(i + 2)]
    const k = 0.14
    return `C${fixed(p.x + (next.x - prev.x) * k)} ${fixed(p.y + (next.y - prev.y) * k)} ${fixed(next.x - (after.x - p.x) * k)} ${fixed(next.y - (after.y - p.y) * k)} ${fixed(next.x)} ${fixed(next.y)}`
  })
  return `M${fixed(at(0).x)} ${fixed(at(0).y)}${parts.join('')}Z`
}

const COLOURS: Readonly<Record<Grade, string>> = { holds: 'var(--holds)', doubt: 'var(--chalk)', fails: 'var(--snag)', none: 'var(--mute)' }

/** A card's number beside the place it speaks of: a ring on the body, a leader away from its middle, the disc at its end. */
function Numbered({ at, n, grade, middle: from, width, height }: { at: Point; n: number; grade: Grade; middle: Point; width: number; height: number }) {
  const away = Math.hypot(at.x - from.x, at.y - from.y) || 1
  const reach = 34
  const x = Math.min(width - 12, Math.max(12, at.x + ((at.x - from.x) / away) * reach))
  const y = Math.min(height - 18, Math.max(12, at.y + ((at.y - from.y) / away) * reach))
  const colour = COLOURS[grade]
  return (
    <g>
      <line x1={at.x} y1={at.y} x2={x} y2={y} stroke={colour} strokeWidth={1.9} />
      <circle cx={at.x} cy={at.y} r={4.5} fill="var(--plate)" stroke={colour} strokeWidth={2} />
      <circle cx={x} cy={y} r={9.5} fill={colour} />
      <text x={x} y={y + 5} textAnchor="middle" fontSize={14} fontWeight={700} fill="var(--panel)">
        {n}
      </text>
    </g>
  )
}
