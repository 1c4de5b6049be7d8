import type { Band, Piece } from '@merry-tailor/core'
import { piecesFromCsv, piecesToCsv, type PieceFlat } from '@merry-tailor/core/formats'
import { useRef, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddPieceMutation, useChangePieceMutation } from '../api/queries'
import { useOnce } from '../state/use-once'
import { useAppSelector } from '../state/store'
import { FileButton } from '../ui/controls/FileButton'
import { SaveText } from '../ui/controls/SaveText'
import { problemWords } from '../words/problems'
import { FRESH } from './fresh-piece'
import { Problem } from '../ui/controls/Problem'

type Came = { name: string; list: PieceFlat[] } | { name: string; problems: { at: string; message: string }[] }

/** What a line of a list would do: a piece by its tag gets its flat measures, an unknown tag is a new piece. */
const knownAs = (pieces: readonly Piece[], { tag }: PieceFlat): Piece | undefined => pieces.find((piece) => piece.tag.toLowerCase() === tag.toLowerCase())
function isChange(piece: Piece | undefined, { flat }: PieceFlat): boolean {
  const here: Readonly<Record<string, Band>> = piece?.flat ?? {}
  return !piece || Object.entries(flat).some(([id, band]) => band.some((mm, end) => Math.abs(mm - (here[id]?.[end] ?? Number.NEGATIVE_INFINITY)) > 0.05))
}

/** Every piece’s flat measures out as CSV, and a list of them in: shown before anything is kept. */
export function FlatsInOut({ pieces }: { pieces: readonly Piece[] }) {
  const { unit } = useAppSelector((state) => state.settings)
  const [came, setCame] = useState<Came | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [taken, setTaken] = useState<number | null>(null)
  const [addPiece] = useAddPieceMutation()
  const [changePiece] = useChangePieceMutation()
  const once = useOnce()
  /** Ids of new pieces, made once: sent twice they are stored once. */
  const ids = useRef(new Map<string, string>())
  const read = async (file: File): Promise<void> => {
    const found = piecesFromCsv(await file.text())
    setTaken(null)
    setProblem(null)
    setCame(found.ok ? { name: file.name, list: found.value } : { name: file.name, problems: found.problems })
  }
  const changes = came && 'list' in came ? came.list.filter((line) => isChange(knownAs(pieces, line), line)) : []
  const take = async (): Promise<void> => {
    for (const line of changes) {
      const piece = knownAs(pieces, line)
      const id = ids.current.get(line.tag) ?? uuid()
      ids.current.set(line.tag, id)
      const { error } = piece
        ? await changePiece({ id: piece.id, changes: [{ field: 'flat', from: piece.flat, to: { ...piece.flat, ...line.flat } }] })
        : await addPiece({ id, body: { ...FRESH, ...line, at: new Date().toISOString() } })
      if (error) {
        setProblem(`${line.tag} was not kept. ${problemWords(error)} The list stays here.`)
        return
      }
    }
    setTaken(changes.length)
    setCame(null)
  }
  const fresh = changes.filter((line) => !knownAs(pieces, line)).length
  return (
    <section aria-label="Flat measures as a list" className="shrink-0 border-t-2 border-ink px-3 py-2">
      <div className="flex flex-wrap items-center gap-2">
        <SaveText name="pieces-laid-flat.csv" type="text/csv" text={() => piecesToCsv(pieces, unit)}>
          CSV
        </SaveText>
        <FileButton label="List of pieces laid flat" accept=".csv,text/csv" onFile={(file) => void read(file)}>
          Bring a list in
        </FileButton>
      </div>
      {came && 'problems' in came && (
        <div role="alert" className="mt-1 text-[14px]">
          <b className="text-snag">{came.name} was not taken in.</b>
          <ul className="max-h-[140px] overflow-y-auto" tabIndex={0} role="group" aria-label="What is wrong with it">
            {came.problems.slice(0, 40).map(({ at, message }) => (
              <li key={`${at} ${message}`}>
                {at}: {message}
              </li>
            ))}
          </ul>
        </div>
      )}
      {came && 'list' in came && (
        <div className="mt-1 text-[14.5px]">
          <p>
            <b>{came.name}:</b>{' '}
            {changes.length === 0
              ? 'says nothing new.'
              : `${changes.length - fresh === 1 ? 'one piece changes' : `${changes.length - fresh} pieces change`}, ${fresh === 1 ? 'one is new' : `${fresh} are new`}.`}
          </p>
          {changes.length > 0 && (
            <button
              type="button"
              onClick={() => void once(take)}
              className="mt-1 min-h-11 w-full rounded-[2px] border-2 border-ink bg-panel px-3 text-left font-bold hover:bg-bench"
            >
              Keep them:{' '}
              {changes
                .slice(0, 4)
                .map(({ tag }) => tag)
                .join(', ')}
              {changes.length > 4 ? ' …' : ''}
            </button>
          )}
        </div>
      )}
      {taken !== null && <p className="mt-1 text-[14.5px]">{taken === 1 ? 'One piece' : `${taken} pieces`} kept.</p>}
      <Problem className="mt-1">{problem}</Problem>
    </section>
  )
}
