import { dragOutline, pawReading, PLAIN_CIRCUMSTANCES, type NewTracing, type Picture, type Traced } from '@merry-tailor/core'
import { tracingFramePdf } from '@merry-tailor/core/formats'
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { TickRow } from '../../ui/controls/TickRow'
import { v7 as uuid } from 'uuid'
import { useAddPhotoMutation, useAddTracingMutation } from '../../api/queries'
import { useActs } from '../../bench'
import { NumberEntry } from '../../length-entry'
import { useAppSelector } from '../../state/store'
import { useOnce } from '../../state/use-once'
import { useShop } from '../../state/use-shop'
import { Picker } from '../../ui/controls/Picker'
import { Worded } from '../../ui/length/Worded'
import { saveFile } from '../../ui/save-file'
import { pawName } from '../../words/measuring'
import { problemWords } from '../../words/problems'
import { lengthOf, PAWS, widthOf, type PawId } from './paw-data'
import { fileOf, pixelsOf, traceBeside } from './trace-desk'

interface TraceSheetProps {
  dogId: string
  paw: PawId
  say: (mm: number) => string
  onDone: () => void
}

type Found = Extract<Traced, { ok: true }>
const REACH = 14
const FIELD = { left: -74, top: -92, wide: 148, high: 196 }
const TURN = Math.PI / 180

/** A paw traced on the printed sheet, from a photograph: found, laid flat, set right by hand, and read. */
export function TraceSheet({ dogId, paw: first, say, onDone }: TraceSheetProps) {
  const { paper } = useShop()
  const { fitter, unit } = useAppSelector((state) => state.settings)
  const acts = useActs()
  const once = useOnce()
  const [addPhoto] = useAddPhotoMutation()
  const [addTracing] = useAddTracingMutation()
  const [busy, setBusy] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const [found, setFound] = useState<Found | null>(null)
  const [flat, setFlat] = useState<{ picture: Picture; url: string; blob: Blob } | null>(null)
  const [at, setAt] = useState(0)
  const [paw, setPaw] = useState<PawId>(first)
  const [points, setPoints] = useState<[number, number][]>([])
  const [edited, setEdited] = useState(false)
  const [toesRad, setToes] = useState(-Math.PI / 2)
  const [pencilMm, setPencil] = useState<number | null>(null)
  const [lineRead, setLineRead] = useState(false)
  useEffect(() => () => (flat ? URL.revokeObjectURL(flat.url) : undefined), [flat])

  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return
    setBusy(true)
    setProblem(null)
    try {
      const picture = await pixelsOf(file)
      const { traced, flat: laid } = await traceBeside(picture)
      if (!traced.ok) {
        setFound(null)
        setProblem(
          traced.problem === 'no-frame'
            ? 'The sheet’s black squares are not to be seen: all four corners in the picture, in even light, not blurred.'
            : 'No closed outline on the sheet: the line is open over 6 mm somewhere, or too faint. Go over it with a softer pencil.',
        )
        return
      }
      const blob = laid && (await fileOf(laid))
      setFound(traced)
      setAt(0)
      setPoints(traced.paws[0]?.points ?? [])
      setEdited(false)
      if (laid && blob) setFlat({ picture: laid, url: URL.createObjectURL(blob), blob })
    } catch {
      setProblem('This is no picture that can be opened.')
    } finally {
      setBusy(false)
    }
  }
  const own = found?.paws[at]
  const reading = (() => {
    if (!found || points.length < 3) return null
    try {
      return pawReading({ points, closedMm: own?.closedMm ?? 0 }, found.frame, { pencilMm, lineRead, toesRad })
    } catch {
      return null
    }
  })()
  const keep = (): void =>
    void once(async () => {
      if (!found || !reading || !own) return false
      const [photoId, tracingId] = [uuid(), uuid()]
      const now = new Date().toISOString()
      const body: NewTracing = {
        paw,
        points: points.map(([x, y]): [number, number] => [Math.round(x * 100) / 100, Math.round(y * 100) / 100]),
        toesRad,
        closedMm: own.closedMm,
        pencilMm,
        lineRead,
        rmsMm: found.frame.rmsMm,
        view: { ...found.frame.view, h: [...found.frame.view.h] },
        photoId: flat ? photoId : null,
        edited,
        at: now,
        by: fitter,
      }
      if (flat) {
        const kept = await addPhoto({ dogId, id: photoId, view: 'paw', at: now, by: fitter, picture: flat.blob })
        if (kept.error) {
          setProblem(`Not kept. ${problemWords(kept.error)}`)
          return false
        }
      }
      const answer = await addTracing({ dogId, id: tracingId, body })
      for (const [measure, { mm }] of [[widthOf(paw), reading.width], [lengthOf(paw), reading.length]] as const) {
        if (answer.error) break
        const { error } = await acts.read({ ...PLAIN_CIRCUMSTANCES, measure, mm: Math.round(mm * 10) / 10, side: 'both', place: paw, asTyped: say(mm), unit, method: 'tracing', tracingId, takenAt: now, by: fitter }) // prettier-ignore
        if (error) {
          setProblem(`Not kept. ${problemWords(error)}`)
          return false
        }
      }
      if (answer.error) {
        setProblem(`Not kept. ${problemWords(answer.error)}`)
        return false
      }
      const next = found.paws[at + 1]
      if (!next) {
        onDone()
        return true
      }
      setAt(at + 1)
      setPoints(next.points)
      setEdited(false)
      setPaw(PAWS[(PAWS.indexOf(paw) + 1) % 4] ?? paw)
      return true
    }) // prettier-ignore
  return (
    <section aria-label="Trace a paw" className="quiet-scroll min-h-0 flex-1 overflow-y-auto p-4">
      <div className="grid max-w-[980px] gap-4 lg:grid-cols-[minmax(0,1fr)_320px]">
        <div className="border-2 border-ink bg-panel">
          {flat && own ? (
            <Outline url={flat.url} points={points} others={found.paws.filter((_, i) => i !== at).map((each) => each.points)} onMove={(next) => { setPoints(next); setEdited(true) }} />
          ) : (
            <ol className="list-decimal space-y-2 p-6 pl-10 text-[16px] leading-[22px]">
              <li>Print the sheet at 100 %, and lay a rule on its line of 100 mm.</li>
              <li>Hard floor, paw on the sheet, toes along the arrow; lift the opposite paw so that this one is loaded.</li>
              <li>Pencil upright, close to the paw, once round; claws short. No paw that hurts is traced.</li>
              <li>Photograph it from above with all four corners, in even light.</li>
            </ol>
          )}
        </div>
        <div className="space-y-3 border-2 border-ink bg-panel p-4 text-[15px] leading-[19px]">
          <button type="button" onClick={() => void tracingFramePdf(paper).then((bytes) => saveFile('tracing-sheet.pdf', 'application/pdf', bytes as BlobPart))} className="min-h-11 font-bold underline">
            The sheet to print, {paper}
          </button>
          <label className="flex min-h-14 cursor-pointer items-center justify-center rounded-[2px] border-2 border-ink bg-tape px-4 text-[17px] font-bold text-tape-ink focus-within:outline-2">
            {busy ? 'Tracing' : found ? 'Another photograph' : 'Photograph of the sheet'}
            <input type="file" accept="image/*" capture="environment" disabled={busy} className="sr-only" onChange={(event) => void take(event.target.files?.[0])} />
          </label>
          {problem && (
            <p role="alert" className="border-l-[5px] border-snag bg-snag-bg px-3 py-2 font-semibold">
              {problem}
            </p>
          )}
          {found && own && reading && (
            <>
              <Picker label="Which paw" value={paw} options={PAWS.map((each) => ({ value: each, label: pawName(each) }))} onChange={setPaw} className="w-full" />
              {!found.frame.flat && <p className="font-semibold text-snag">Not flat: the paper was bent, press it down and take it again. The reading is widened for it.</p>}
              {own.closedMm > 1 && <p className="font-semibold text-chalk">The line is open here and there, {Math.round(own.closedMm)} mm in all: closed straight.</p>}
              {found.frame.mirrored && <p>The picture is mirrored; it is read the right way round.</p>}
              <dl className="grid grid-cols-2 gap-2 text-center">
                {([['Width', reading.width], ['Length', reading.length]] as const).map(([what, { mm, sigmaMm }]) => (
                  <div key={what} className="border-2 border-ink p-1.5">
                    <dt className="text-[14px] text-mute">{what}</dt>
                    <dd className="text-[22px] leading-7 font-bold">
                      <Worded text={say(mm)} />
                    </dd>
                    <dd className="text-[13.5px] text-mute">give or take {(2 * sigmaMm).toFixed(1)} mm</dd>
                  </div>
                ))}
              </dl>
              {reading.atWindowEnd && <p className="text-mute">Read along the arrow: this paw has no axis of its own. Turn it if it lay askew.</p>}
              <div className="flex gap-2">
                {([-1, 1] as const).map((way) => (
                  <button key={way} type="button" onClick={() => setToes(toesRad + way * 2 * TURN)} className="min-h-11 flex-1 rounded-[2px] border-2 border-ink bg-panel font-bold">
                    Axis {way < 0 ? 'left' : 'right'} 2°
                  </button>
                ))}
              </div>
              <NumberEntry label="Pencil outside the paw, mm a side" value={pencilMm ?? 1} least={0} most={9} problem="From 0 to 9 mm." onSet={setPencil} />
              <TickRow on={lineRead} onChange={setLineRead}>
The printed line measures 100 mm
</TickRow>
              <button type="button" onClick={keep} className="min-h-12 w-full rounded-[2px] border-2 border-ink bg-panel px-4 text-[17px] font-bold hover:bg-bench">
                Keep {pawName(paw).toLowerCase()}
              </button>
            </>
          )}
          <button type="button" onClick={onDone} className="min-h-11 font-bold underline">
            Back to the paws
          </button>
        </div>
      </div>
    </section>
  ) // prettier-ignore
}

/** The flattened sheet with the outline over it: a point is dragged, or moved by arrow keys, its neighbours along. */
function Outline({
  url,
  points,
  others,
  onMove,
}: {
  url: string
  points: readonly [number, number][]
  others: readonly (readonly [number, number][])[]
  onMove: (points: [number, number][]) => void
}) {
  const held = useRef<{ i: number; x: number; y: number; from: [number, number][] } | null>(null)
  const ref = useRef<SVGSVGElement>(null)
  const mm = (event: PointerEvent): [number, number] => {
    const box = ref.current?.getBoundingClientRect()
    if (!box) return [0, 0]
    return [FIELD.left + ((event.clientX - box.left) / box.width) * FIELD.wide, FIELD.top + ((event.clientY - box.top) / box.height) * FIELD.high]
  }
  const down = (event: PointerEvent<SVGSVGElement>): void => {
    const [x, y] = mm(event)
    let [best, far] = [-1, 12]
    points.forEach(([px, py], i) => {
      const off = Math.hypot(px - x, py - y)
      if (off < far) [best, far] = [i, off]
    })
    if (best < 0) return
    held.current = { i: best, x, y, from: points.map(([px, py]): [number, number] => [px, py]) }
    event.currentTarget.setPointerCapture(event.pointerId)
  }
  const move = (event: PointerEvent<SVGSVGElement>): void => {
    const now = held.current
    if (!now) return
    const [x, y] = mm(event)
    onMove(dragOutline(now.from, now.i, [x - now.x, y - now.y], REACH))
  }
  const key = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] as [number, number] | undefined
    if (!by) return
    event.preventDefault()
    // The end of the outline the arrow points to.
    const i = points.reduce((most, [x, y], k) => (x * by[0] + y * by[1] > (points[most]?.[0] ?? 0) * by[0] + (points[most]?.[1] ?? 0) * by[1] ? k : most), 0)
    const step = event.shiftKey ? -0.5 : 0.5
    onMove(dragOutline(points, i, [by[0] * step, by[1] * step], REACH))
  }
  const line = (all: readonly (readonly [number, number])[]): string =>
    `M${all.map(([x, y]) => `${(x - FIELD.left).toFixed(2)} ${(y - FIELD.top).toFixed(2)}`).join('L')}Z`
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${FIELD.wide} ${FIELD.high}`}
      className="block max-h-[70vh] w-full touch-none outline-offset-2"
      role="application"
      aria-label="Outline on the sheet: drag it, or arrow keys move the end they point to, Shift back"
      tabIndex={0}
      onKeyDown={key}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => (held.current = null)}
      onPointerCancel={() => (held.current = null)}
    >
      <image href={url} x={0} y={0} width={FIELD.wide} height={FIELD.high} preserveAspectRatio="none" />
      {others.map((each, i) => (
        <path key={i} d={line(each)} fill="none" stroke="var(--mute)" strokeWidth={0.6} strokeDasharray="2 1.5" />
      ))}
      <path d={line(points)} fill="none" stroke="var(--chalk)" strokeWidth={0.9} />
    </svg>
  )
}
