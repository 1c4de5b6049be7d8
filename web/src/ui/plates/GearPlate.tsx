import { strapsOf, type Form, type GearLay, type Point3, type StrapId, type View } from '@merry-tailor/core'
import { useMemo } from 'react'
import { along, smoothOpen, type Point } from './geometry'
import { plateScale, type PlateFrame } from './plate-scale'
import { DogPlates } from './DogPlates'
import { TagDisc } from './TagDisc'
import { placed, type PlateTag } from './tag-discs'
import { useMoved, type Courses, type Place } from './use-moved'

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
  /** Kept free at the edges; and a place to look at closely. */
  inset?: PlateFrame['inset']
  focus?: Point3 | null
  label: string
}

/** A dog cut from its own form with gear laid on it: webbing over the plates, under the forelegs where it runs between them. */
export function GearPlate({ form, view, lay, ghost = null, tags = [], riseRad = null, lit = null, width, height, inset, focus = null, label }: GearPlateProps) {
  const courses = useMemo((): Courses => Object.fromEntries(Object.entries(lay.straps).map(([id, strap]) => [id, strap.points])), [lay])
  const shown = useMoved(courses, true)
  const lined = riseRad !== null && view === 'side'
  const scale = plateScale(form, view, { width, height, lined, focus, ...(inset ? { inset } : {}) })
  const { by, on } = scale
  const wide = Math.max(5, Math.min(focus ? 30 : 15, by * 26))
  const tug = lay.nodes.tug ?? (lay.family === 'H21' ? lay.nodes.girthTop : undefined)
  return (
    <svg role="img" aria-label={label} width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block overflow-hidden">
      <DogPlates form={form} view={view} scale={scale} width={width} />
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
      {placed(tags, on, { left: 0, top: 0, right: width, bottom: height }).map((tag) => (
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
