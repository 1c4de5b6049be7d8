import { movedGarment, flatBox, pieceCutLine, sewLine, type Garment, type PatternPiece } from '@merry-tailor/core'
import type { Paper } from '@merry-tailor/core/formats'
import { useMemo, useState } from 'react'
import { useParams } from 'react-router'
import { NoItem, useOpenTicket } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { NumberEntry } from '../../length-entry'
import { longDay, today } from '../../state/today'
import { useKeptDraft } from '../../state/use-kept-draft'
import { fixed } from '../../ui/plates/geometry'
import { saveFile } from '../../ui/save-file'
import { familyName } from '../../words/stages'
import { CLOTH_WORDS, CORD_WORDS, cordsOf, drafts, FASTENING_WORDS, garmentFamily, pieceCount, SEWING, useItemPattern, useCutLook } from '../../garment'
import { GarmentCautions } from './GarmentCautions'
import { useLayOf } from './use-lay-of'
import type { Item, GarmentFamily } from '@merry-tailor/core'

const SQUARE_MM = 50
const NO_PIECES: readonly PatternPiece[] = []
const TRUE_MM = 0.5

/** What a maker needs beside the paper: pieces, counts, cloth, cords, fastenings, the order of sewing; and the files. */
export function CutSheet() {
  const { sheet } = useOpenTicket()
  const { itemId } = useParams()
  const item = sheet.items.find(({ id, removed }) => id === itemId && !removed)
  const family = item && garmentFamily(item.family)
  if (!item || !family) return <NoItem title="No garment here">Choose a coat, rug or suit under Ask; then it can be cut.</NoItem>
  return <OneSheet item={item} family={family} />
}

const isNumberOrNull = (kept: unknown): kept is number | null => kept === null || typeof kept === 'number'

function OneSheet({ item, family }: { item: Item; family: GarmentFamily }) {
  const { sheet, name } = useOpenTicket()
  const { look, say } = useCutLook()
  const { hand, drafted, form } = useItemPattern(item, family)
  const { plan } = hand
  const garment = useMemo(() => drafted && movedGarment(drafted, plan.moves ?? []), [drafted, plan.moves])
  const { widthMm, lay } = useLayOf(garment && garment.plan.cloth !== 'knit' ? garment.pieces : NO_PIECES, plan)
  const [printedMm, setPrinted] = useKeptDraft<number | null>('printed-square', null, isNumberOrNull)
  const off = printedMm === null ? 0 : printedMm - SQUARE_MM
  const cords = garment ? cordsOf(garment, form, plan) : []
  const rule =
    family === 'C3'
      ? 'nine tapes, hood by the larger of neck and head'
      : family === 'C4'
        ? 'suit cut roomy, drawn in by cords'
        : 'back and fronts by the dog’s own tapes'
  const label = {
    dog: name,
    ticket: `ticket ${sheet.ticket.number}`,
    cloth: garment ? CLOTH_WORDS[garment.plan.cloth].toLowerCase() : '',
    on: today(),
    rule,
    firstDraft: garment?.firstDraft ?? false,
  }
  return (
    <PaperRoom title={`Cut sheet, ${name}`} back={`/tickets/${sheet.ticket.id}/pattern/${item.id}`}>
      {!garment ? (
        <p>Drafting.</p>
      ) : (
        <section aria-label="Cut sheet">
          <header className="mb-3 border-b-2 border-black pb-2">
            <h2 className="text-[26px] leading-8">
              {familyName(family)} for {name}
            </h2>
            <p>
              Ticket {sheet.ticket.number}, {longDay(today())}. {CLOTH_WORDS[garment.plan.cloth]}, {FASTENING_WORDS[garment.plan.fastening].toLowerCase()}. Cut
              by {rule}.{garment.firstDraft ? ' First draft: sew a trial first.' : ''}
            </p>
          </header>
          <div className="mb-4 space-y-2 border-2 border-black p-3 print:hidden">
            <p className="font-bold">Paper in true scale</p>
            <Files garment={garment} paper={look.paper} label={label} file={`${name}-${family}`.replace(/\W+/g, '-').toLowerCase()} />
            <div className="flex max-w-[420px] items-end gap-3">
              <NumberEntry
                label={`Side of the ${SQUARE_MM} mm square as this printer printed it, mm`}
                value={printedMm ?? SQUARE_MM}
                least={20}
                most={100}
                problem="From 20 to 100 mm."
                onSet={(mm) => setPrinted(() => mm)}
              />
            </div>
            {printedMm === null ? (
              <p>Print page 1, measure the square, type its side: asked once for this printer.</p>
            ) : Math.abs(off) > TRUE_MM ? (
              <p role="alert" className="border-l-[5px] border-snag bg-snag-bg px-2 py-1 font-bold">
                This printer is {Math.abs(off).toFixed(1)} mm {off > 0 ? 'too large' : 'too small'} on {SQUARE_MM} mm. Do not cut: print again at its true size,
                without fitting to the page.
              </p>
            ) : (
              <p>This printer keeps the scale.</p>
            )}
          </div>
          <table className="mb-4 w-full text-left">
            <thead>
              <tr className="border-b-2 border-black">
                <th className="py-1">Piece</th>
                <th>How many</th>
                <th>Long and wide, as cut</th>
              </tr>
            </thead>
            <tbody>
              {garment.pieces.map((piece) => {
                const { minX, minY, maxX, maxY } = flatBox(pieceCutLine(piece))
                const wide = (maxY - minY) * (piece.fold === null ? 1 : 2)
                return (
                  <tr key={piece.id} className="border-b border-black/40">
                    <td className="py-1 font-bold">{piece.name}</td>
                    <td>{pieceCount(piece)}</td>
                    <td>
                      {say(maxX - minX)} by {say(wide)}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
          <Small garment={garment} />
          <div className="mt-3 grid grid-cols-2 gap-4">
            <div>
              <h3 className="text-[18px]">Wanted</h3>
              <ul className="list-disc pl-5">
                {garment.plan.cloth !== 'knit' && (
                  <li>
                    Cloth {say(widthMm)} wide: {lay ? `${say(lay.lengthMm)} long` : 'length being searched'}
                  </li>
                )}
                {cords.map(({ place, cordMm }) => (
                  <li key={place}>
                    Cord, {family === 'C3' ? 'hood’s face' : CORD_WORDS[place].toLowerCase()}: {say(cordMm)}
                  </li>
                ))}
                {garment.buttonholes.length > 1 && (
                  <li>
                    {garment.buttonholes.length} buttonholes, {garment.buttonholes.map(({ atMm }) => say(atMm)).join(', ')} from the front edge
                  </li>
                )}
                {garment.pieces.flatMap(({ id, name: piece, darts }) =>
                  darts.map((dart) => (
                    <li key={`${id}${dart.id}`}>
                      Dart in the {piece.toLowerCase()}, {say(dart.mouthMm)} at its mouth
                    </li>
                  )),
                )}
              </ul>
            </div>
            <div>
              <h3 className="text-[18px]">Order of sewing</h3>
              <ol className="list-decimal pl-5">
                {(SEWING[family] ?? []).map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
            </div>
          </div>
          <GarmentCautions family={family} paper />
          <p className="mt-4">Predicted from tapes; no piece of this draft was sewn before. Pin it on the dog before the last seams.</p>
        </section>
      )}
    </PaperRoom>
  )
}

const TYPES = { pdf: 'application/pdf', svg: 'image/svg+xml', dxf: 'application/dxf' } as const

/** Files of the pieces: each is offered only after it was read back as it was drawn. */
function Files({ garment, paper, label, file }: { garment: Garment; paper: Paper; label: Record<string, string | boolean>; file: string }) {
  const [says, setSays] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const take = async (kind: 'svg' | 'dxf' | 'pdf'): Promise<void> => {
    setBusy(true)
    setSays(null)
    try {
      const made = await drafts.beside(
        (work) => work.file(kind, garment.pieces, paper, label),
        async () => (await import('../../workers/pattern-file')).patternFile(kind, garment.pieces, paper, label),
      )
      if (!made.ok) {
        setSays('The file did not come back as it was drawn: it is not handed out. Take another kind, and tell whoever keeps this program.')
        return
      }
      saveFile(`${file}.${kind}`, TYPES[kind], made.bytes as BlobPart)
      setSays(kind === 'pdf' ? `${made.pages.length} pages, read back true. Page 1 has the map and the square.` : 'Read back true within 0.1 mm.')
    } catch {
      setSays('The file could not be made. Nothing was lost; try again.')
    } finally {
      setBusy(false)
    }
  }
  return (
    <div>
      <div className="flex flex-wrap gap-2">
        {(
          [
            ['pdf', `Pattern, ${paper} pages (PDF)`],
            ['svg', 'One drawing (SVG)'],
            ['dxf', 'For a cutter (DXF)'],
          ] as const
        ).map(([kind, words]) => (
          <button
            key={kind}
            type="button"
            disabled={busy}
            onClick={() => void take(kind)}
            className="min-h-11 rounded-[2px] border-2 border-black bg-white px-4 font-bold text-black disabled:opacity-50"
          >
            {words}
          </button>
        ))}
      </div>
      <p role="status" className="min-h-6 pt-1">
        {busy ? 'Drawing and reading it back.' : says}
      </p>
    </div>
  )
}

/** All pieces small, side by side. */
function Small({ garment }: { garment: Garment }) {
  const drawn = garment.pieces.map((piece) => {
    const cut = pieceCutLine(piece)
    const { minX, minY, maxX, maxY } = flatBox(cut)
    return { piece, cut, minX, minY, wide: maxX - minX, high: maxY - minY }
  })
  const total = drawn.reduce((sum, { wide }) => sum + wide, 0) + 40 * drawn.length
  const by = 640 / Math.max(1, total)
  const high = Math.max(...drawn.map((each) => each.high)) * by
  const lefts = drawn.map((_, i) => drawn.slice(0, i).reduce((sum, { wide }) => sum + (wide + 40) * by, 0))
  return (
    <svg role="img" aria-label="The pieces, small" width="100%" viewBox={`0 0 640 ${high + 22}`}>
      {drawn.map(({ piece, cut, minX, minY }, i) => {
        const left = lefts[i] ?? 0
        const path = (points: readonly (readonly [number, number])[]): string =>
          `M${points.map(([px, py]) => `${fixed(left + (px - minX) * by)} ${fixed((py - minY) * by + 2)}`).join('L')}Z`
        return (
          <g key={piece.id}>
            <path d={path(cut)} fill="white" stroke="black" strokeWidth={1.2} />
            <path d={path(sewLine(piece))} fill="none" stroke="black" strokeWidth={0.6} strokeDasharray="3 2" />
            <text x={left} y={high + 18} fontSize={11}>
              {piece.name}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
