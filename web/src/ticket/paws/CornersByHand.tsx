import { besideRuler, frameByHand, KNOWN_CORNERS, pxOf, type KnownCorners, type OutlinePoint, type Picture, type TraceFrame } from '@merry-tailor/core'
import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { LengthEntry } from '../../length-entry'
import { Worded } from '../../ui/length/Worded'
import { Picker } from '../../ui/controls/Picker'

type SetOn = KnownCorners | 'ruler'
const WHAT: readonly { value: SetOn; label: string; note: string }[] = [
  { value: 'frame', label: 'Middles of the sheet’s four squares', note: 'the square without a hole first' },
  { value: 'A4', label: 'Corners of A4 paper', note: '210 by 297 mm' },
  { value: 'Letter', label: 'Corners of Letter paper', note: '8 1/2 by 11 in' },
  { value: 'card', label: 'Corners of a bank card beside the paw', note: '85.6 by 54 mm, its long side across' },
  { value: 'ruler', label: 'Two points of a ruler', note: 'a note, never a reading' },
]
/** A finger sets a point to about so many pixels of the screen. Ours. */
const HAND = 2

interface CornersByHandProps {
  picture: Picture
  url: string
  /** The sheet as it was found, where it was: the points begin on it. */
  found: TraceFrame | null
  busy: boolean
  say: (mm: number) => string
  onFrame: (frame: TraceFrame, what: KnownCorners) => void
  /** A length beside a ruler, kept as words. */
  onNote: (mm: number) => void
}

/** Where the marks are not found: corners set on the picture by hand, each under a glass; or a ruler, for a note. */
export function CornersByHand({ picture: { width, height }, url, found, busy, say, onFrame, onNote }: CornersByHandProps) {
  const [what, setWhat] = useState<SetOn>('frame')
  const [rulerMm, setRuler] = useState(100)
  const [points, setPoints] = useState<readonly OutlinePoint[]>(() => begun(width, height, found))
  const [held, setHeld] = useState<number | null>(null)
  const [wide, setWide] = useState(600)
  const ref = useRef<SVGSVGElement>(null)
  const names =
    what === 'ruler'
      ? ['ruler, one end', 'ruler, other end', 'paw, one side', 'paw, other side']
      : ['top left', 'top right', 'bottom right', 'bottom left', ...(what === 'frame' ? [] : ['middle of the paw'])]
  const corners = points.slice(0, 4)
  const frame = useMemo(
    () =>
      what === 'ruler'
        ? null
        : frameByHand(corners, what, { width, height }, { pawPx: what === 'frame' ? undefined : points[4], handPx: (HAND * width) / wide }),
    // oxlint-disable-next-line react/exhaustive-deps -- corners are the first four points
    [points, what, width, height, wide],
  )
  const beside = ((): number | null => {
    const [a, b, c, d] = points
    if (what !== 'ruler' || !a || !b || !c || !d) return null
    try {
      return besideRuler([a, b], rulerMm, [c, d])
    } catch {
      return null
    }
  })()
  const put = (i: number, [x, y]: OutlinePoint): void =>
    setPoints((was) => was.map((point, k) => (k === i ? [Math.min(width, Math.max(0, x)), Math.min(height, Math.max(0, y))] : point)))
  const move = (i: number, event: PointerEvent): void => {
    const box = ref.current?.getBoundingClientRect()
    if (!box || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    setWide(Math.max(1, box.width))
    put(i, [((event.clientX - box.left) / box.width) * width, ((event.clientY - box.top) / box.height) * height])
  }
  const key = (i: number, event: KeyboardEvent): void => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] as [number, number] | undefined
    const [x, y] = points[i] ?? [0, 0]
    if (!by) return
    event.preventDefault()
    event.stopPropagation()
    const step = (event.shiftKey ? 0.0004 : 0.004) * width
    put(i, [x + by[0] * step, y + by[1] * step])
  }
  const unit = width / wide
  const glass = held === null ? undefined : points[held]
  return (
    <div className="space-y-3">
      <svg
        ref={ref}
        viewBox={`0 0 ${width} ${height}`}
        className="block max-h-[64vh] w-full touch-none bg-plate-far"
        role="group"
        aria-label="The photograph: set each point by dragging it or with arrow keys, Shift for small steps"
      >
        <image href={url} width={width} height={height} />
        <path
          d={
            what === 'ruler'
              ? `M${points.slice(0, 2).map((p) => p.join(' ')).join('L')}M${points.slice(2, 4).map((p) => p.join(' ')).join('L')}`
              : `M${corners.map((p) => p.join(' ')).join('L')}Z`
          }
          fill="none"
          stroke="var(--tape)"
          strokeWidth={2.5 * unit}
        />
        {names.map((name, i) => {
          const [x, y] = points[i] ?? [0, 0]
          return (
            <g
              key={name}
              role="slider"
              tabIndex={0}
              aria-label={name}
              aria-valuemin={0}
              aria-valuemax={Math.round(width)}
              aria-valuenow={Math.round(x)}
              aria-valuetext={`${Math.round(x)} across, ${Math.round(y)} down`}
              className="handle cursor-grab"
              onKeyDown={(event) => key(i, event)}
              onFocus={() => setHeld(i)}
              onBlur={() => setHeld(null)}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId)
                setHeld(i)
              }}
              onPointerMove={(event) => move(i, event)}
            >
              <circle cx={x} cy={y} r={22 * unit} fill="transparent" />
              <circle cx={x} cy={y} r={9 * unit} fill="none" stroke="var(--ink)" strokeWidth={5 * unit} />
              <circle cx={x} cy={y} r={9 * unit} fill="none" stroke={held === i ? 'var(--tape)' : 'var(--panel)'} strokeWidth={2.5 * unit} />
              <circle cx={x} cy={y} r={1.5 * unit} fill="var(--snag)" />
            </g>
          )
        })}
        {glass && <Glass at={glass} url={url} width={width} height={height} unit={unit} />}
      </svg>
      <div className="space-y-3 px-4 pb-4">
        <Picker label="What the points are set on" value={what} options={[...WHAT]} onChange={setWhat} className="w-full" />
        {what === 'ruler' ? (
          <>
            <LengthEntry label="Between the ruler’s two points" mm={rulerMm} least={10} most={1000} onSet={setRuler} />
            <p className="text-[17px] leading-6">
              {beside === null ? 'Set the ruler’s two points apart.' : <Worded text={`About ${say(beside)} across, seen as if from straight above.`} />}
            </p>
            <p className="text-mute">A note, never a reading: one ruler says nothing of how the picture was tipped.</p>
            <button type="button" disabled={beside === null} onClick={() => beside !== null && onNote(beside)} className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold hover:bg-bench disabled:opacity-50">
              Keep it as a note
            </button>
          </>
        ) : (
          <>
            <p className={frame ? '' : 'font-semibold text-snag'}>
              {frame
                ? `A hand that is off by a hair moves the reading by about ${Math.max(0.1, 2 * frame.rmsMm).toFixed(1)} mm${what === 'card' ? '; a sheet is surer than a card' : ''}. It is widened for it.`
                : 'These four are no sheet seen from above: go round it, top left first, without crossing.'}
            </p>
            <button type="button" disabled={!frame || busy} onClick={() => frame && onFrame(frame, what)} className="min-h-12 w-full rounded-[2px] border-2 border-ink bg-tape px-4 text-[17px] font-bold text-tape-ink disabled:opacity-50">
              {busy ? 'Tracing' : 'Lay it flat and trace'}
            </button>
          </>
        )}
      </div>
    </div>
  ) // prettier-ignore
}

/** On the marks as they were found; else a fifth in from the picture's edge. The last is the picture's middle. */
function begun(width: number, height: number, found: TraceFrame | null): OutlinePoint[] {
  const middle: OutlinePoint = [width / 2, height / 2]
  if (found && found.marks > 0) return [...KNOWN_CORNERS.frame.map((mm) => pxOf(found.view, mm)), middle]
  const [x, y] = [0.2 * width, 0.2 * height]
  return [[x, y], [width - x, y], [width - x, height - y], [x, height - y], middle] // prettier-ignore
}

/** The place under the finger, four times as large, in the corner farthest from it. */
function Glass({ at: [x, y], url, width, height, unit }: { at: OutlinePoint; url: string; width: number; height: number; unit: number }) {
  const side = 150 * unit
  const near = side / 4
  const left = x > width / 2 ? 8 * unit : width - side - 8 * unit
  const top = y > height / 2 ? 8 * unit : height - side - 8 * unit
  return (
    <g pointerEvents="none" aria-hidden>
      <svg x={left} y={top} width={side} height={side} viewBox={`${x - near / 2} ${y - near / 2} ${near} ${near}`}>
        <rect x={x - near} y={y - near} width={2 * near} height={2 * near} fill="var(--plate-far)" />
        <image href={url} width={width} height={height} />
        <path d={`M${x - near / 2} ${y}H${x + near / 2}M${x} ${y - near / 2}V${y + near / 2}`} stroke="var(--snag)" strokeWidth={0.4 * unit} fill="none" />
      </svg>
      <rect x={left} y={top} width={side} height={side} fill="none" stroke="var(--ink)" strokeWidth={2 * unit} />
    </g>
  )
}
