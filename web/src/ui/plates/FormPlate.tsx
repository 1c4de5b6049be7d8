import { landmarks, measures, vouchedParts, type Flat, type LandmarkId, type Form, type PlateSet, type View } from '@merry-tailor/core'
import { useMemo, type ReactNode } from 'react'
import { cutOnce, layOnce } from './cut'
import { along, fixed, sample, smoothOpen, type Point } from './geometry'
import { BoneMarks } from './BoneMarks'
import { LandmarkLabel } from './LandmarkLabel'
import { boxOfWords, placeLabels } from './place-labels'

/** A part of the side plate drawn large. */
export type Crop = 'head' | 'foreleg' | 'hind leg'

export interface OtherTape {
  measure: string
  row: number
  doubt: boolean
  /** In doubt by the other tapes: as read to as expected, for the drawing; 1 where both agree. */
  share?: number
}

interface FormPlateProps {
  form: Form
  view: View
  crop?: Crop | null
  /** The measure being taken; its path is the yellow tape. */
  active?: string | null
  /** One side is taken and doubled: the other stays thin. */
  doubled?: boolean
  /** Other measures with a reading, and the number of their row. */
  others?: readonly OtherTape[]
  width: number
  height: number
  /** Room kept free at the top for the small plates. */
  top?: number
  stand?: boolean
  /** Standing on a scale. */
  scale?: boolean
  phone?: boolean
  /** The same dog at another date: its outline stays as a ghost behind this one. */
  ghost?: Form | null
  /** For paper and small plates: the path alone, no names. */
  plain?: boolean
  /** The bone to feel: marked where it is, with the places it is taken for. */
  bone?: LandmarkId | null
  label?: string
}

const CROPS: Readonly<Record<Crop, readonly string[]>> = {
  head: ['neck', 'head', 'ear'],
  foreleg: ['forearm', 'pastern', 'fore paw', 'arm'],
  'hind leg': ['haunch', 'shin', 'hock', 'hind paw'],
}

interface Box {
  left: number
  right: number
  bottom: number
  top: number
}

/** @param neckFrom height from which the neck belongs to the head's picture */
function boxOf(set: PlateSet, crop: Crop | null, neckFrom: number): Box {
  if (!crop) return set.box
  const points = set.plates
    .filter((plate) => CROPS[crop].includes(plate.name))
    .flatMap((plate) => (plate.name === 'neck' ? plate.points.filter(([, z]) => z > neckFrom) : plate.points))
  const [xs, zs] = [points.map(([x]) => x), points.map(([, z]) => z)]
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: crop === 'head' ? Math.min(...zs) : 0, top: Math.max(...zs) }
}

/** How wide a view of a form is to its height. */
export function ratioOfView(form: Form, view: View): number {
  const { left, right, bottom, top } = cutOnce(form, view).box
  return (right - left) / Math.max(1, top - bottom)
}

const upright = (view: View): boolean => view === 'side' || view === 'front' || view === 'sitting'

const lineOf = (points: readonly Point[], closed: boolean): string =>
  `M${points.map((point) => `${fixed(point.x)} ${fixed(point.y)}`).join('L')}${closed ? 'Z' : ''}`

/** One view of a dog's own form as a jointed paper pattern, with tapes laid on it. Flat plates, no shading. */
export function FormPlate(props: FormPlateProps) {
  const {
    form,
    view,
    crop = null,
    active = null,
    others = [],
    width,
    height,
    top = 0,
    stand = false,
    scale = false,
    phone = false,
    plain = false,
    ghost = null,
  } = props
  const set = cutOnce(form, view)
  const before = ghost ? cutOnce(ghost, view) : null
  const vouched = useMemo(() => new Set(vouchedParts(form)), [form])
  const box = boxOf(set, crop, form.sections.neckBase.uz)
  const onFloor = upright(view) && crop !== 'head'
  const pad = plain ? 4 : phone ? 12 : 24
  const floorGap = onFloor ? (scale ? 44 : plain ? 5 : 18) : pad
  const widest = Math.max(box.right - box.left, before ? before.box.right - before.box.left : 0)
  const tallest = Math.max(box.top - box.bottom, before ? before.box.top : 0)
  const by = Math.min((width - 2 * pad) / widest, (height - top - floorGap - pad * (plain ? 0.8 : 1)) / tallest)
  const floor = onFloor ? height - floorGap : top + (height - top) / 2 + ((box.top + box.bottom) / 2) * by
  const x0 = width / 2 - ((box.left + box.right) / 2) * by
  const to = ([x, z]: Flat): Point => ({ x: x0 + x * by, y: floor - z * by })
  const drawn = set.plates.filter((plate) => !crop || crop === 'head' || CROPS[crop].includes(plate.name))
  const stroke = plain ? (width < 120 ? 1.3 : 1.5) : phone ? 1.6 : 1.8
  const eye = Math.max(plain ? 1.6 : 2.6, Math.min(4.6, set.button * by))
  const label = props.label ?? labelOf(view, active, vouched.size)

  return (
    <svg role="img" aria-label={label} width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block overflow-hidden">
      {onFloor && !scale && <line x1={0} x2={width} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={plain ? 1.2 : 1.8} />}
      {scale && <Scale x={x0 + ((box.left + box.right) / 2) * by} floor={floor} wide={widest * by * 0.86} />}
      {stand && <Stand x={to([(form.landmarks.L16?.[0] ?? 0) * 0.62, 0]).x} from={to([0, form.sections.sternumEnd.uz]).y} floor={floor} />}
      <g stroke="var(--ink)" strokeWidth={stroke} strokeLinejoin="round">
        {drawn.map((plate, i) => (
          <path
            key={`${plate.name}${i}`}
            d={lineOf(plate.points.map(to), true)}
            fill={plate.far ? 'var(--plate-far)' : 'var(--plate)'}
            strokeDasharray={plate.part && !plain && !vouched.has(plate.part) ? '5 4' : undefined}
          />
        ))}
        {!crop && set.seams.map((seam, i) => <path key={i} d={lineOf(seam.map(to), false)} fill="none" strokeWidth={1.2} strokeDasharray="4 4" />)}
      </g>
      {(!crop || crop === 'head') && (
        <>
          <path d={lineOf(set.nose.map(to), true)} fill="var(--ink)" />
          {set.smile.length > 0 && (
            <path d={lineOf(set.smile.map(to), false)} fill="none" stroke="var(--ink)" strokeWidth={plain ? 1.2 : 1.6} strokeLinecap="round" />
          )}
          {set.eyes.map((at, i) => (
            <Eye key={i} at={to(at)} r={eye} />
          ))}
        </>
      )}
      {!plain && !crop && set.rivets.map((rivet, i) => <Rivet key={i} at={to(rivet)} small={phone} />)}
      {before && (
        <g fill="none" stroke="var(--chalk)" strokeWidth={1.5} strokeDasharray="5 4" strokeLinejoin="round">
          {before.plates.map((plate, i) => (
            // Both stand on the floor, withers over withers.
            <path key={`${plate.name}${i}`} d={lineOf(plate.points.map(to), true)} />
          ))}
        </g>
      )}
      {inDoubtLast(others).map((other) =>
        other.measure === active ? null : <OtherPath key={other.measure} other={other} parts={linesOf(form, other.measure, view, to)} />,
      )}
      {props.bone && <BoneMarks id={props.bone} places={set.landmarks} to={to} plain={plain} />}
      {active && <ActiveTape {...props} active={active} set={set} to={to} thick={plain ? Math.max(4, Math.min(9, width / 26)) : phone ? 10 : 14.5} />}
    </svg>
  )
}

function labelOf(view: View, active: string | null, vouched: number): string {
  const from = { side: 'Side view, facing right', above: 'From above', below: 'From below', front: 'From the front', sitting: 'Sitting', lying: 'Lying' }[view]
  const name = active ? measures[active]?.name : undefined
  return `${from}. ${name ? `The tape for ${name.toLowerCase()} is drawn on it. ` : ''}${vouched === 0 ? 'Shape guessed from the build; no tape yet.' : 'Solid parts follow the tapes, dashed parts are guessed.'}`
}

/** What is in doubt is drawn over what agrees. */
const inDoubtLast = (others: readonly OtherTape[]): OtherTape[] => [...others].sort((a, b) => Number(a.doubt) - Number(b.doubt))

interface Line {
  points: Point[]
  hidden: boolean
  near: boolean
}

const linesOf = (form: Form, measure: string, view: View, to: (point: Flat) => Point): Line[] =>
  layOnce(form, measure, view).map((part) => ({ ...part, points: part.points.map(to) }))

function Stand({ x, from, floor }: { x: number; from: number; floor: number }) {
  return (
    <g fill="var(--ink)">
      <rect x={x - 2} y={from} width={4} height={Math.max(0, floor - from)} />
      <path d={`M${x - 30} ${floor}q6 -8 30 -8q24 0 30 8z`} />
    </g>
  )
}

function Scale({ x, floor, wide }: { x: number; floor: number; wide: number }) {
  return (
    <g stroke="var(--ink)" strokeWidth={1.8} fill="var(--plate)">
      <rect x={x - wide / 2} y={floor} width={wide} height={18} />
      <path d={`M${x - wide / 2 + 14} ${floor + 18}v10M${x + wide / 2 - 14} ${floor + 18}v10`} fill="none" />
      <rect x={x - 32} y={floor + 4} width={64} height={10} fill="var(--tape)" />
    </g>
  )
}

function Eye({ at, r }: { at: Point; r: number }) {
  return (
    <g>
      <circle cx={at.x} cy={at.y} r={r} fill="var(--ink)" />
      {r > 2.4 && (
        <>
          <circle cx={at.x - r * 0.3} cy={at.y} r={r * 0.2} fill="var(--plate)" />
          <circle cx={at.x + r * 0.3} cy={at.y} r={r * 0.2} fill="var(--plate)" />
        </>
      )}
    </g>
  )
}

function Rivet({ at, small }: { at: Point; small: boolean }) {
  return (
    <g>
      <circle cx={at.x} cy={at.y} r={small ? 2.6 : 3.4} fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.4} />
      <circle cx={at.x} cy={at.y} r={small ? 0.7 : 1} fill="var(--ink)" />
    </g>
  )
}

/** Tapes that share a line stand off it a little. */
const OFFSET: Readonly<Record<string, number>> = { M13: 6, M14: -7, M15: -13, M16: -10, M23: 6, M24: 9 }
/** Where a tape's row number stands along it. */
const NUMBER_AT: Readonly<Record<string, number>> = { M01: 0.36, M03: 0.5, M06: 0.86, M07: 0.32, M08: 0.5, M10: 0.82, M12: 0.5, M13: 0.72, M14: 0.45, M11: 0.6 }

function OtherPath({ other, parts }: { other: OtherTape; parts: readonly Line[] }) {
  const by = OFFSET[other.measure] ?? 0
  const seen = parts.filter((part) => !part.hidden).flatMap((part) => part.points)
  if (seen.length < 2) return null
  const line = seen.map((point) => ({ x: point.x, y: point.y + by }))
  if (other.doubt) return <DoubtedPath line={line} row={other.row} share={other.share} measure={other.measure} />
  const mid = along(line, NUMBER_AT[other.measure] ?? 0.56)
  const [first, last] = [line[0] as Point, line.at(-1) as Point]
  return (
    <g>
      <path d={smoothOpen(line, 1)} fill="none" stroke="var(--ink)" strokeWidth={1.6} strokeDasharray={other.measure === 'M13' ? '7 4' : undefined} />
      {by !== 0 && (
        <path d={`M${fixed(first.x)} ${fixed(first.y)}v${-by}M${fixed(last.x)} ${fixed(last.y)}v${-by}`} stroke="var(--ink)" strokeWidth={1.2} fill="none" />
      )}
      <NumberDisc at={mid} row={other.row} />
    </g>
  )
}

function NumberDisc({ at, row, doubt = false }: { at: Point; row: number; doubt?: boolean }) {
  const colour = doubt ? 'var(--snag)' : 'var(--ink)'
  return (
    <g>
      <circle cx={at.x} cy={at.y} r={9.5} fill={doubt ? 'var(--snag)' : 'var(--plate)'} stroke={colour} strokeWidth={1.4} />
      <text x={at.x} y={at.y + 5} textAnchor="middle" fontSize={14} fontWeight={700} fill={doubt ? 'var(--panel)' : 'var(--ink)'}>
        {row}
      </text>
    </g>
  )
}

/** A line in shares of itself, from one place to another. */
function stretch(line: readonly Point[], from: number, to: number): Point[] {
  const steps = 24
  return Array.from({ length: steps + 1 }, (_, i) => along(line, Math.min(1, Math.max(0, from + ((to - from) * i) / steps))))
}

/** Both ends of these begin or end at a bone that is easily missed; the others begin at the breastbone or the withers. */
const EITHER_END = new Set(['M12', 'M27', 'M30'])

/** In doubt: as long as read, dotted on to where the others say it ends; open rings at the ends that may be wrong. */
function DoubtedPath({ line, row, share: asRead, measure }: { line: readonly Point[]; row: number; share: number | undefined; measure: string }) {
  const share = asRead ?? 1
  const short = share < 0.985
  const either = EITHER_END.has(measure)
  const end = along(line, 1)
  const [from, to] = short ? (either ? [(1 - share) / 2, (1 + share) / 2] : [0, share]) : [0, 1]
  const read = stretch(line, from, to)
  // Read longer than expected: the line runs on past its landmark.
  const past = share > 1.015 ? Math.min(60, (share - 1) * 160) : 0
  const mid = along(line, (from + to) / 2)
  return (
    <g>
      <path d={lineOf(line, false)} fill="none" stroke="var(--snag)" strokeWidth={2.4} strokeDasharray="1 5" strokeLinecap="round" />
      <path d={lineOf(read, false)} fill="none" stroke="var(--snag)" strokeWidth={3.8} strokeLinecap="round" />
      {past > 0 && (
        <path
          d={`M${fixed(end.x)} ${fixed(end.y)}l${fixed(Math.cos(end.angle) * past)} ${fixed(Math.sin(end.angle) * past)}`}
          stroke="var(--snag)"
          strokeWidth={3.8}
          strokeDasharray="1 6"
          strokeLinecap="round"
        />
      )}
      {doubtedEnds(line, asRead, measure).map((end) => (
        <DoubtedEnd key={end.word} {...end} />
      ))}
      <NumberDisc at={mid} row={row} doubt />
    </g>
  )
}

interface EndInDoubt {
  at: Point
  word: string
  /** The first of two: its question stands elsewhere than the second's. */
  first: boolean
  /** So much higher, px: the questions of two ends close by stand over each other. */
  lift: number
}

/** Room between two words, px. */
const APART = 8

/** The ends of a doubted path that may be wrong. */
function doubtedEnds(line: readonly Point[], asRead: number | undefined, measure: string): EndInDoubt[] {
  if (asRead === undefined) return []
  const end = { at: along(line, 1), word: 'ended here?', first: false, lift: 0 }
  if (!EITHER_END.has(measure)) return [end]
  const begin = { at: along(line, 0), word: 'began here?', first: true, lift: 0 }
  const [a, b] = [questionBox(begin), questionBox(end)]
  const close = a.left < b.right + APART && b.left < a.right + APART && a.top < b.bottom && b.top < a.bottom
  return [close ? { ...begin, lift: a.bottom - b.top + 2 } : begin, end]
}

const QUESTION_PX = 14.5

/** Where the question of a doubted end stands. */
function questionAt({ at, first, lift }: EndInDoubt): { x: number; y: number; anchor: 'middle' | 'end'; dx: number; dy: number } {
  const [dx, dy] = first ? [-26, -44 - lift] : [-16, -20]
  return { x: first ? Math.max(at.x + dx, 46) : Math.max(at.x + dx, 92), y: at.y + dy, anchor: first ? 'middle' : 'end', dx, dy }
}

function questionBox(end: EndInDoubt) {
  const { x, y, anchor } = questionAt(end)
  return boxOfWords([end.word], QUESTION_PX, anchor, x, y)
}

/** What the questions at a doubted tape's ends take up. */
function questionBoxes(other: OtherTape, parts: readonly Line[]) {
  const line = parts.filter((part) => !part.hidden).flatMap((part) => part.points)
  if (line.length < 2) return []
  return doubtedEnds(line, other.share, other.measure).map(questionBox)
}

/** An end that may be wrong, with the question beside it. */
function DoubtedEnd(end: EndInDoubt) {
  const { at, word } = end
  const { x, y, anchor, dx, dy } = questionAt(end)
  return (
    <g>
      <path d={`M${fixed(at.x)} ${fixed(at.y)}l${dx * 0.8} ${dy * 0.76}`} stroke="var(--snag)" strokeWidth={1.5} />
      <circle cx={at.x} cy={at.y} r={5} fill="var(--plate)" stroke="var(--snag)" strokeWidth={2.2} />
      <text
        x={x}
        y={y}
        textAnchor={anchor}
        fontSize={QUESTION_PX}
        fontWeight={700}
        fill="var(--snag)"
        stroke="var(--mat)"
        strokeWidth={4}
        paintOrder="stroke"
        strokeLinejoin="round"
      >
        {word}
      </text>
    </g>
  )
}

function ActiveTape({
  form,
  view,
  active,
  doubled = false,
  phone = false,
  plain = false,
  others = [],
  width,
  height,
  top = 0,
  set,
  to,
  thick,
}: FormPlateProps & { active: string; set: PlateSet; to: (point: Flat) => Point; thick: number }): ReactNode {
  const lines = linesOf(form, active, view, to)
  if (lines.length === 0) return null
  // Doubled: the near side is the tape, the other stays a thin line.
  const oneSide = doubled && measures[active]?.doubling === true
  const seen = lines.filter((line) => !line.hidden && (line.near || !oneSide))
  // From the side the far half of a ring lies under the near one; what runs between the forelegs is worth a line.
  const thin = lines.filter((line) => !seen.includes(line) && (view !== 'side' || measures[active]?.station === 3))
  const ends = measures[active]?.landmarks ?? []
  const all = seen.flatMap((line) => line.points)
  const named = (plain ? [] : ends).flatMap((id) => {
    const at = set.landmarks[id]
    return at && nearBy(to(at), all) ? [{ id, at: to(at), name: landmarks[id].name }] : []
  })
  // The questions at doubted ends stand there already.
  const words = others
    .filter((other) => other.doubt && other.measure !== active)
    .flatMap((other) => questionBoxes(other, linesOf(form, other.measure, view, to)))
  const labels = placeLabels(named, words, { width, height, top, phone })
  return (
    <g className="path-tape">
      {thin.map((line, i) => (
        <path key={`thin${i}`} d={lineOf(line.points, false)} fill="none" stroke="var(--ink)" strokeWidth={1.3} strokeDasharray="4 4" />
      ))}
      {seen.map((line, i) => (
        <TapeStrip key={i} points={sample(line.points, 4)} thick={thick} />
      ))}
      {labels.map((label) => (
        <LandmarkLabel key={label.id} label={label} phone={phone} />
      ))}
    </g>
  )
}

/** Is a landmark on this tape? A ring names its bone even where the bone lies beside it. */
const nearBy = (at: Point, points: readonly Point[]): boolean => points.some((point) => Math.hypot(point.x - at.x, point.y - at.y) < 44)

/** A length of yellow tape with its ticks. */
function TapeStrip({ points, thick }: { points: readonly Point[]; thick: number }) {
  const d = lineOf(points, false)
  const length = points.slice(1).reduce((sum, point, i) => sum + Math.hypot(point.x - (points[i]?.x ?? 0), point.y - (points[i]?.y ?? 0)), 0)
  const ticks = Math.max(3, Math.round(length / Math.max(6, thick * 0.62)))
  return (
    <g>
      <path d={d} fill="none" stroke="var(--ink)" strokeWidth={thick + (thick < 10 ? 2.6 : 3.5)} strokeLinejoin="round" />
      <path d={d} fill="none" stroke="var(--tape)" strokeWidth={thick} strokeLinejoin="round" />
      {Array.from({ length: ticks - 1 }, (_, i) => {
        const at = along(points, (i + 1) / ticks)
        const whole = (i + 1) % 4 === 0
        const deep = thick * (whole ? 0.62 : 0.34)
        const [nx, ny] = [-Math.sin(at.angle), Math.cos(at.angle)]
        const [sx, sy] = [at.x + nx * (thick / 2), at.y + ny * (thick / 2)]
        return <line key={i} x1={sx} y1={sy} x2={sx - nx * deep} y2={sy - ny * deep} stroke="var(--tape-ink)" strokeWidth={whole ? 1.7 : 1.05} />
      })}
    </g>
  )
}
