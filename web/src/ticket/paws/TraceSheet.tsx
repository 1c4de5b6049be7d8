import {
  inventedPaw,
  pawReading,
  PLAIN_CIRCUMSTANCES,
  type KnownCorners,
  type NewTracing,
  type Picture,
  type TracedPaw,
  type TraceFrame,
} from '@merry-tailor/core'
import { tracingFramePdf } from '@merry-tailor/core/formats'
import { useEffect, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddDogNoteMutation, useAddPhotoMutation, useAddTracingMutation } from '../../api/queries'
import { useActs } from '../../bench'
import { NumberEntry } from '../../length-entry'
import { useAppSelector } from '../../state/store'
import { today } from '../../state/today'
import { useOnce } from '../../state/use-once'
import { useShop } from '../../state/use-shop'
import { Picker } from '../../ui/controls/Picker'
import { Segmented } from '../../ui/controls/Segmented'
import { TickRow } from '../../ui/controls/TickRow'
import { Worded } from '../../ui/length/Worded'
import { saveFile } from '../../ui/save-file'
import { pawName } from '../../words/measuring'
import { problemWords } from '../../words/problems'
import { CornersByHand } from './CornersByHand'
import { Outline } from './Outline'
import { lengthOf, PAWS, widthOf, type PawId } from './paw-data'
import { fileOf, pixelsOf, traceBeside } from './trace-desk'
import { Problem } from '../../ui/controls/Problem'

interface TraceSheetProps {
  dogId: string
  paw: PawId
  /** About so large, mm: where an outline laid on by hand begins. */
  usual: { widthMm: number; lengthMm: number }
  say: (mm: number) => string
  onDone: () => void
}

type Nails = NewTracing['nails']
interface Laid {
  frame: TraceFrame
  paws: readonly TracedPaw[]
  blob: Blob
  url: string
  /** Set by hand, and on what. */
  byHand: KnownCorners | null
}
const TURN = Math.PI / 180
const TOO_LARGE = 60_000_000
const NO_SHEET = 'The sheet’s black squares are not to be seen: all four corners in the picture, in even light, not blurred. Or set its corners by hand.'

/** A paw traced on the printed sheet, from a photograph: found or set by hand, laid flat, set right, and read. */
export function TraceSheet({ dogId, paw: first, usual, say, onDone }: TraceSheetProps) {
  const { paper } = useShop()
  const { fitter, unit } = useAppSelector((state) => state.settings)
  const acts = useActs()
  const once = useOnce()
  const [addPhoto] = useAddPhotoMutation()
  const [addTracing] = useAddTracingMutation()
  const [addNote] = useAddDogNoteMutation()
  const [busy, setBusy] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const [shot, setShot] = useState<{ picture: Picture; url: string } | null>(null)
  const [byHand, setByHand] = useState(false)
  const [laid, setLaid] = useState<Laid | null>(null)
  const [at, setAt] = useState(0)
  const [paw, setPaw] = useState<PawId>(first)
  const [points, setPoints] = useState<[number, number][]>([])
  const [edited, setEdited] = useState(false)
  const [toesRad, setToes] = useState(-Math.PI / 2)
  const [pencilMm, setPencil] = useState<number | null>(null)
  const [lineRead, setLineRead] = useState(false)
  const [nails, setNails] = useState<Nails>(null)
  useEffect(() => () => (laid ? URL.revokeObjectURL(laid.url) : undefined), [laid])
  useEffect(() => () => (shot ? URL.revokeObjectURL(shot.url) : undefined), [shot])

  const trace = async (picture: Picture, frame: TraceFrame | null, what: KnownCorners | null): Promise<void> => {
    setBusy(true)
    try {
      const traced = await traceBeside(picture, frame)
      const blob = traced && (await fileOf(traced.flat))
      if (!traced || !blob) {
        setLaid(null)
        setByHand(true)
        setProblem(NO_SHEET)
        return
      }
      const [found] = traced.paws
      setLaid({ frame: traced.frame, paws: traced.paws, blob, url: URL.createObjectURL(blob), byHand: what })
      setByHand(false)
      setAt(0)
      setPoints(found?.points ?? [])
      setEdited(false)
      setProblem(
        found
          ? null
          : 'No closed outline on the sheet: the line is open over 6 mm somewhere, or too faint. Go over it with a softer pencil, or lay an outline on it by hand.',
      )
    } finally {
      setBusy(false)
    }
  }
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return
    setProblem(null)
    if (file.size === 0 || file.size > TOO_LARGE) {
      setProblem(file.size === 0 ? 'This file is empty.' : 'This picture is over 60 MB: take it smaller.')
      return
    }
    setBusy(true)
    try {
      const picture = await pixelsOf(file)
      setShot({ picture, url: URL.createObjectURL(file) })
      await trace(picture, null, null)
    } catch {
      setProblem('This is no picture that can be opened.')
    } finally {
      setBusy(false)
    }
  }
  // Paper and cards are as large as they are: no print stands between.
  const trueSize = laid !== null && laid.byHand !== null && laid.byHand !== 'frame'
  const own = laid?.paws[at] ?? (laid && points.length > 2 ? { points, gapShare: 0, closedMm: 0 } : undefined)
  const reading = (() => {
    if (!laid || points.length < 3) return null
    try {
      return pawReading({ points, closedMm: own?.closedMm ?? 0 }, laid.frame, { pencilMm, lineRead: lineRead || trueSize, toesRad })
    } catch {
      return null
    }
  })()
  const goOn = (): void => {
    const next = laid?.paws[at + 1]
    if (!next) return onDone()
    setAt(at + 1)
    setPoints(next.points)
    setEdited(false)
  }
  const keep = (): void =>
    void once(async () => {
      if (!laid || !reading || !own) return false
      const [photoId, tracingId] = [uuid(), uuid()]
      const now = new Date().toISOString()
      const refused = (error: unknown): false => {
        setProblem(`Not kept. ${problemWords(error)}`)
        return false
      }
      const body: NewTracing = {
        paw,
        points: points.map(([x, y]): [number, number] => [Math.round(x * 100) / 100, Math.round(y * 100) / 100]),
        toesRad,
        closedMm: own.closedMm,
        pencilMm,
        lineRead: lineRead || trueSize,
        rmsMm: Math.min(100, laid.frame.rmsMm),
        view: { ...laid.frame.view, h: [...laid.frame.view.h] },
        photoId,
        nails,
        edited,
        at: now,
        by: fitter,
      }
      const photo = await addPhoto({ dogId, id: photoId, view: 'paw', at: now, by: fitter, picture: laid.blob })
      if (photo.error) return refused(photo.error)
      const answer = await addTracing({ dogId, id: tracingId, body })
      if (answer.error) return refused(answer.error)
      for (const [measure, { mm }] of [[widthOf(paw), reading.width], [lengthOf(paw), reading.length]] as const) {
        const { error } = await acts.read({ ...PLAIN_CIRCUMSTANCES, measure, mm: Math.round(mm * 10) / 10, side: 'both', place: paw, asTyped: say(mm), unit, method: 'tracing', tracingId, takenAt: now, by: fitter }) // prettier-ignore
        if (error) return refused(error)
      }
      setPaw(PAWS[(PAWS.indexOf(paw) + 1) % 4] ?? paw)
      goOn()
      return true
    }) // prettier-ignore
  const note = (mm: number): void =>
    void once(async () => {
      const text = `${pawName(paw)} about ${say(mm)} across, beside a ruler in a photograph: a note, no reading.`
      const { error } = await addNote({ dogId, id: uuid(), body: { kind: 'other', text, on: today(), at: new Date().toISOString(), by: fitter } })
      setProblem(error ? `Not kept. ${problemWords(error)}` : null)
      if (!error) onDone()
      return !error
    })
  return (
    <section aria-label="Trace a paw" className="quiet-scroll min-h-0 flex-1 overflow-y-auto p-4">
      <div className="grid max-w-[980px] grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[minmax(0,1fr)_320px]">
        <div className="border-2 border-ink bg-panel">
          {byHand && shot ? (
            <CornersByHand picture={shot.picture} url={shot.url} found={laid?.frame ?? null} busy={busy} say={say} onFrame={(frame, what) => void trace(shot.picture, frame, what)} onNote={note} />
          ) : laid ? (
            <Outline
              url={laid.url}
              points={points}
              others={laid.paws.filter((_, i) => i !== at).map((each) => each.points)}
              axisRad={reading?.axisRad ?? toesRad}
              onMove={(next) => {
                setPoints(next)
                setEdited(true)
              }}
            />
          ) : (
            <ol className="list-decimal space-y-2 p-6 pl-10 text-[16px] leading-[22px]">
              <li>Print the sheet at 100 %, and lay a rule on its line of 100 mm.</li>
              <li>Hard floor, paw on the sheet, toes along the arrow; lift the opposite paw so that this one is loaded.</li>
              <li>Pencil upright, close to the paw, once round; claws short. No paw that hurts is traced.</li>
              <li>Photograph it from above with all four corners, in even light.</li>
              <li>No sheet at hand: plain paper, or a bank card beside the paw, and its corners set by hand.</li>
            </ol>
          )}
        </div>
        <div className="space-y-3 self-start border-2 border-ink bg-panel p-4 text-[15px] leading-[19px]">
          <button type="button" onClick={() => void tracingFramePdf(paper).then((bytes) => saveFile('tracing-sheet.pdf', 'application/pdf', bytes as BlobPart))} className="min-h-11 font-bold underline">
            The sheet to print, {paper}
          </button>
          <label className={`flex min-h-14 cursor-pointer items-center justify-center rounded-[2px] border-2 border-ink px-4 text-[17px] font-bold focus-within:outline-2 ${shot ? 'bg-panel' : 'bg-tape text-tape-ink'}`}>
            {busy ? 'Tracing' : shot ? 'Another photograph' : 'Photograph of the sheet'}
            <input type="file" accept="image/*" capture="environment" disabled={busy} className="sr-only" onChange={(event) => void take(event.target.files?.[0])} />
          </label>
          <Problem barred>{problem}</Problem>
          {shot && !byHand && (
            <button type="button" onClick={() => setByHand(true)} className="min-h-11 font-bold underline">
              Set the corners by hand
            </button>
          )}
          {byHand && laid && (
            <button type="button" onClick={() => setByHand(false)} className="min-h-11 font-bold underline">
              Back to the sheet as it was found
            </button>
          )}
          {laid && !byHand && points.length < 3 && (
            <button type="button" onClick={() => { setPoints(inventedPaw(usual.widthMm, usual.lengthMm)); setEdited(true) }} className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold hover:bg-bench">
              Lay an outline on it
            </button>
          )}
          {laid && !byHand && own && reading && (
            <>
              <Picker label="Which paw" value={paw} options={PAWS.map((each) => ({ value: each, label: pawName(each) }))} onChange={setPaw} className="w-full" />
              {!laid.frame.flat && <p className="font-semibold text-snag">Not flat: the paper was bent, press it down and take it again. The reading is widened for it.</p>}
              {laid.byHand && <p>Corners set by hand: about {Math.max(0.1, 2 * laid.frame.rmsMm).toFixed(1)} mm is allowed for the hand.</p>}
              {own.closedMm > 1 && <p className="font-semibold text-chalk">The line is open here and there, {Math.round(own.closedMm)} mm in all: closed straight.</p>}
              {laid.frame.mirrored && <p>The picture is mirrored; it is read the right way round.</p>}
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
              <div className="flex items-center justify-between gap-2">
                <span className="text-[14px] font-semibold text-mute">Nails</span>
                <Segmented label="Nails" value={nails ?? 'unsaid'} options={[{ value: 'unsaid', label: 'Not said' }, { value: 'short', label: 'Short' }, { value: 'long', label: 'Long' }]} onChange={(next) => setNails(next === 'unsaid' ? null : next)} />
              </div>
              {nails === 'long' && <p className="text-chalk">Long nails lengthen the paw and push in a boot: trim them and trace it again before boots are bought.</p>}
              <NumberEntry label="Pencil outside the paw, mm a side" value={pencilMm ?? 1} least={0} most={9} problem="From 0 to 9 mm." onSet={setPencil} />
              {!trueSize && (
                <TickRow on={lineRead} onChange={setLineRead}>
                  The printed line measures 100 mm
                </TickRow>
              )}
              <button type="button" onClick={keep} className="min-h-12 w-full rounded-[2px] border-2 border-ink bg-tape px-4 text-[17px] font-bold text-tape-ink">
                Keep {pawName(paw).toLowerCase()}
              </button>
              {laid.paws.length > 1 && (
                <button type="button" onClick={goOn} className="min-h-11 font-bold underline">
                  {at + 1 < laid.paws.length ? 'This is no paw: the next outline' : 'This is no paw: done'}
                </button>
              )}
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
