import { project, strapsOf, type Flat, type Form, type GearLay, type Grade, type Point3, type StrapId, type View } from '@merry-tailor/core'
import { useMemo } from 'react'
import { cutOnce } from './cut'
import { along, fixed, smoothOpen, type Point } from './geometry'
import { useMoved, type Courses, type Place } from './use-moved'

/** A numbered place on the dog: a check, and how it stands. */
export interface PlateTag {
  n: number
  at: Point3
  grade: Grade
  /** Seen on the dog: the disc is solid; foretold alone: hollow. */
  seen?: boolean
}

interface GearPlateProps {
  form: Form
  view: View
  lay: GearLay
  /** How it lies in the other state, drawn as a dotted ghost. */
  ghost?: GearLay | null
  tags?: readonly PlateTag[]
  /** The line’s rise, radians, while it pulls. */
  riseRad?: number | null
  /** The strap in hand is drawn as the yellow tape. */
  lit?: StrapId | null
  width: number
  height: number
  label: string
}

const lineOf = (points: readonly Point[], closed: boolean): string => `M${points.map((p) => `${fixed(p.x)} ${fixed(p.y)}`).join('L')}${closed ? 'Z' : ''}`
const upright = (view: View): boolean => view === 'side' || view === 'front'
const onFloorOf = upright

/** A dog cut from its own form with gear laid on it: webbing over the plates, under the forelegs where it runs between them. */
export function GearPlate({ form, view, lay, ghost = null, tags = [], riseRad = null, lit = null, width, height, label }: GearPlateProps) {
  const set = cutOnce(form, view)
  const courses = useMemo((): Courses => Object.fromEntries(Object.entries(lay.straps).map(([id, strap]) => [id, strap.points])), [lay])
  const shown = useMoved(courses, true)
  const lined = riseRad !== null && view === 'side'
  const behind = lined ? 0.2 * (set.box.right - set.box.left) : 0
  const [left, right] = [set.box.left - behind, set.box.right]
  const onFloor = onFloorOf(view)
  const pad = 20
  const tall = onFloor ? set.box.top : set.box.top - set.box.bottom
  const by = Math.min((width - 2 * pad) / (right - left), (height - (onFloor ? 28 : 2 * pad)) / tall)
  const floor = onFloor ? height - 14 : height / 2 + ((set.box.top + set.box.bottom) / 2) * by
  const x0 = width / 2 - ((left + right) / 2) * by
  const to = (flat: Flat): Point => ({ x: x0 + flat[0] * by, y: floor - flat[1] * by })
  const on = (p: Place): Point => to(project(p, view))
  const wide = Math.max(5, Math.min(15, by * 26))
  const tug = lay.nodes.tug ?? (lay.family === 'H21' ? lay.nodes.girthTop : undefined)
  return (
    <svg role="img" aria-label={label} width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block overflow-hidden">
      {onFloor && <line x1={0} x2={width} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={1.8} />}
      <g stroke="var(--ink)" strokeWidth={1.6} strokeLinejoin="round">
        {set.plates.map((plate, i) => (
          <path key={`${plate.name}${i}`} d={lineOf(plate.points.map(to), true)} fill={plate.far ? 'var(--plate-far)' : 'var(--plate)'} />
        ))}
      </g>
      {set.nose.length > 0 && <path d={lineOf(set.nose.map(to), true)} fill="var(--ink)" />}
      {set.eyes.map((at, i) => (
        <circle key={i} cx={to(at).x} cy={to(at).y} r={Math.max(2, set.button * by)} fill="var(--ink)" />
      ))}
      {ghost &&
        strapsOf(lay.family).flatMap(({ id }) =>
          sides(ghost.straps[id]?.points ?? [], view).map((points, i) => (
            <path
              key={`ghost ${id} ${i}`}
              d={smoothOpen(points.map(on), 1)}
              fill="none"
              stroke="var(--mute)"
              strokeWidth={2.4}
              strokeDasharray="1 6"
              strokeLinecap="round"
            />
          )),
        )}
      {lined && tug && <PullLine from={on(tug.at)} riseRad={riseRad} />}
      {strapsOf(lay.family).map(({ id }) => (
        <Webbing key={id} courses={sides(shown[id] ?? [], view)} form={form} view={view} on={on} wide={wide} lit={id === lit} />
      ))}
      {strapsOf(lay.family).map(({ id, adjusts }) => {
        const points = (shown[id] ?? []).map(on)
        if (!adjusts || points.length < 2) return null
        const at = along(points, id === 'keel' ? 0.75 : 0.62)
        return <rect key={id} x={at.x - 5} y={at.y - 6} width={10} height={12} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.5} />
      })}
      {tug && <circle cx={on(tug.at).x} cy={on(tug.at).y} r={wide * 0.55} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2.2} />}
      {placed(tags, on, width, height).map((tag) => (
        <TagDisc key={tag.n} {...tag} />
      ))}
    </svg>
  )
}

/** A strap on both sides where a view shows both; from the side the near one is enough. */
function sides(points: readonly Place[], view: View): Place[][] {
  if (points.length < 2) return []
  if (view === 'side' || points.every(([, y]) => Math.abs(y) < 1)) return [[...points]]
  return [[...points], points.map(([x, y, z]): Place => [x, -y, z])]
}

/** Runs a point between the forelegs, where the blade and the leg lie over it? */
function isUnderLeg(form: Form, [x, y, z]: Place): boolean {
  const elbow = form.landmarks.L06
  const lump = form.landmarks.L01
  return (
    elbow !== undefined &&
    lump !== undefined &&
    x < lump[0] - 0.25 * (lump[0] - elbow[0]) &&
    x > elbow[0] - 18 &&
    z < lump[2] + 5 &&
    Math.abs(y) < elbow[1] * 0.72
  )
}

/** What is away from the viewer: the underline from above, the topline from below, the rear of a ring from the front. */
const isHidden = (form: Form, view: View, p: Place, before: Place | undefined): boolean => {
  if (view === 'side') return isUnderLeg(form, p) && (before === undefined || isUnderLeg(form, before))
  const middle = (form.sections.girth.tz + form.sections.girth.uz) / 2
  if (view === 'above') return p[2] < middle
  if (view === 'below') return p[2] > middle
  return p[0] < (form.landmarks.L06?.[0] ?? 0) - 10
}

function Webbing({
  courses,
  form,
  view,
  on,
  wide,
  lit,
}: {
  courses: readonly Place[][]
  form: Form
  view: View
  on: (p: Place) => Point
  wide: number
  lit: boolean
}) {
  return (
    <g fill="none" strokeLinejoin="round">
      {courses.flatMap((points, side) =>
        runs(points, (p, i) => isHidden(form, view, p, points[i - 1])).map(({ hidden, points: run }, i) => {
          const d = smoothOpen(run.map(on), 1)
          const key = `${side} ${i}`
          if (hidden) return <path key={key} d={d} stroke="var(--web)" strokeWidth={2} strokeDasharray="4 4" />
          return (
            <g key={key}>
              <path d={d} stroke="var(--plate)" strokeWidth={wide + 3} strokeLinecap="butt" />
              <path d={d} stroke={lit ? 'var(--tape)' : 'var(--web)'} strokeWidth={wide} strokeLinecap="round" />
              {wide >= 7 && <path d={d} stroke={lit ? 'var(--tape-ink)' : 'var(--web-stitch)'} strokeWidth={1.2} strokeDasharray="5 4" />}
            </g>
          )
        }),
      )}
    </g>
  )
}

/** A course in stretches that are seen and stretches that are not; neighbours share their corner. */
function runs(points: readonly Place[], hidden: (p: Place, i: number) => boolean): { hidden: boolean; points: Place[] }[] {
  const out: { hidden: boolean; points: Place[] }[] = []
  points.forEach((p, i) => {
    const is = hidden(p, i)
    const last = out.at(-1)
    if (last && last.hidden === is) last.points.push(p)
    else {
      if (last) last.points.push(p)
      out.push({ hidden: is, points: [p] })
    }
  })
  return out.filter((run) => run.points.length > 1)
}

/** The line from the end of the harness to the picture’s edge, by its rise. */
function PullLine({ from, riseRad }: { from: Point; riseRad: number }) {
  const y = from.y - Math.tan(riseRad) * from.x
  return (
    <g stroke="var(--ink)">
      <line x1={from.x} y1={from.y} x2={0} y2={from.y} strokeWidth={1} strokeDasharray="5 4" />
      <line x1={from.x} y1={from.y} x2={0} y2={y} strokeWidth={3.6} strokeLinecap="round" />
    </g>
  )
}

const COLOURS: Readonly<Record<Grade, string>> = { holds: 'var(--holds)', doubt: 'var(--chalk)', fails: 'var(--snag)', none: 'var(--mute)' }

interface PlacedTag extends PlateTag {
  from: Point
  disc: Point
}

/** Discs stand off their places, and off each other. */
function placed(tags: readonly PlateTag[], on: (p: Place) => Point, width: number, height: number): PlacedTag[] {
  const middle = { x: width / 2, y: height * 0.52 }
  const out: PlacedTag[] = []
  for (const tag of tags) {
    const from = on(tag.at)
    const away = Math.atan2(from.y - middle.y, from.x - middle.x)
    let disc = { x: from.x, y: from.y }
    for (let step = 0; step < 24; step++) {
      const turn = away + (step % 2 === 0 ? 1 : -1) * Math.ceil(step / 2) * 0.35
      const reach = 34 + 6 * Math.floor(step / 6)
      disc = { x: Math.min(width - 14, Math.max(14, from.x + Math.cos(turn) * reach)), y: Math.min(height - 14, Math.max(14, from.y + Math.sin(turn) * reach)) }
      if (out.every((other) => Math.hypot(other.disc.x - disc.x, other.disc.y - disc.y) > 25)) break
    }
    out.push({ ...tag, from, disc })
  }
  return out
}

/** A check’s number beside the place it speaks of: hollow while it is only foretold. */
function TagDisc({ n, grade, seen = false, from, disc }: PlacedTag) {
  const colour = COLOURS[grade]
  return (
    <g>
      <line x1={from.x} y1={from.y} x2={disc.x} y2={disc.y} stroke={colour} strokeWidth={1.9} />
      <circle cx={from.x} cy={from.y} r={4.6} fill="var(--plate)" stroke={colour} strokeWidth={2.2} />
      <circle
        cx={disc.x}
        cy={disc.y}
        r={11}
        fill={seen ? colour : 'var(--panel)'}
        stroke={colour}
        strokeWidth={2}
        strokeDasharray={seen ? undefined : '3.5 2.5'}
      />
      <text x={disc.x} y={disc.y + 5} textAnchor="middle" fontSize={14.5} fontWeight={700} fill={seen ? 'var(--panel)' : colour}>
        {n}
      </text>
    </g>
  )
}
