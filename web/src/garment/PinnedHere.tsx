import { flatAlong, flatBox, sewLine, type Garment, type PatternPiece, type TryOn } from '@merry-tailor/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useOpenTicket } from '../bench'
import { LengthEntry } from '../length-entry'
import { useOnce } from '../state/use-once'
import { Picker } from '../ui/controls/Picker'
import { Segmented } from '../ui/controls/Segmented'
import { edgeName } from './garment-words'
import { withPin, type Move } from './moves'
import { useCutLook } from './use-cut-look'
import type { PlanInHand } from './use-plan'
import { Problem } from '../ui/controls/Problem'

interface PinnedHereProps {
  hand: PlanInHand
  drafted: Garment | null
  round: TryOn
  rounds: readonly TryOn[]
}

/** What is pinned farther than this is another plan, not a pin, mm. Ours. */
const MOST_MM = 150
/** Where along an edge a pin sits: near the edge before, in the middle, near the edge after. */
const PLACES = [0.2, 0.5, 0.8] as const

const pinnable = (piece: PatternPiece) => piece.edges.filter(({ kind }) => kind !== 'fold')

/** Where a pin sits, by the edges its own runs between. */
function placeName(piece: PatternPiece, edge: string, at: number): string {
  const i = piece.edges.findIndex(({ id }) => id === edge)
  const n = piece.edges.length
  const beside = piece.edges[(i + (at < 0.5 ? n - 1 : 1)) % n]
  return Math.abs(at - 0.5) < 0.11 || !beside ? 'in the middle' : `near the ${edgeName(beside.id).toLowerCase()}`
}

/** Cloth taken in or let out at a place with the garment on the dog: kept in the plan, the next cut has it. */
export function PinnedHere({ hand, drafted, round, rounds }: PinnedHereProps) {
  const { sheet } = useOpenTicket()
  const { say } = useCutLook()
  const once = useOnce()
  const onceOut = useOnce()
  const [pieceId, setPiece] = useState<string | null>(null)
  const [edgeId, setEdge] = useState<string | null>(null)
  const [at, setAt] = useState<number>(0.5)
  const [way, setWay] = useState<'in' | 'out'>('in')
  const [mm, setMm] = useState(0)
  const [good, setGood] = useState(true)
  if (!drafted) return <p className="min-h-16 flex-1 px-5 py-2 text-mute">Drafting its pieces.</p>
  const pieces = drafted.pieces.filter((each) => pinnable(each).length > 0)
  const piece = pieces.find(({ id }) => id === pieceId) ?? pieces[0]
  if (!piece) return <p className="flex-1 px-5 py-2 text-mute">No pieces to pin yet: their tapes are not taken.</p>
  const edges = pinnable(piece)
  const edge = edges.find(({ id }) => id === edgeId) ?? edges[0]
  if (!edge) return null
  const pins = (hand.plan.moves ?? []).filter((move): move is Move & { round: string } => move.round !== undefined)
  const isOpen = sheet.ticket.state !== 'closed'
  const keep = (move: Move & { round: string }): Promise<boolean> => hand.keep({ ...hand.plan, moves: withPin(hand.plan.moves, move) })
  const pin = (move: Move & { round: string }): void =>
    void once(async () => {
      const kept = await keep(move)
      if (kept) setMm(0)
      return kept
    })
  return (
    <section aria-label="Pinned here" className="min-w-0 flex-1 bg-panel px-4 py-2">
      {isOpen && (
        <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
          <PinPlace piece={piece} edge={edge.id} at={at} />
          <Labelled name="Piece">
            <Picker
              label="Piece"
              value={piece.id}
              options={pieces.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={(id) => {
                setPiece(id)
                setEdge(null)
              }}
            />
          </Labelled>
          <Labelled name="Edge">
            <Picker label="Edge" value={edge.id} options={edges.map(({ id }) => ({ value: id, label: edgeName(id) }))} onChange={setEdge} />
          </Labelled>
          <Labelled name="Where">
            <Picker
              label="Where on the edge"
              value={String(at)}
              options={PLACES.map((each) => ({ value: String(each), label: placeName(piece, edge.id, each) }))}
              onChange={(next) => setAt(Number(next))}
            />
          </Labelled>
          <Segmented
            label="Which way"
            value={way}
            options={[
              { value: 'in', label: 'Taken in' },
              { value: 'out', label: 'Let out' },
            ]}
            onChange={setWay}
          />
          <div className="w-[124px]">
            <LengthEntry label="By" mm={mm} least={0} most={MOST_MM} onSet={setMm} onRead={setGood} />
          </div>
          <button
            type="button"
            disabled={!good || mm <= 0}
            onClick={() => pin({ piece: piece.id, edge: edge.id, mm: way === 'in' ? -mm : mm, at, round: round.id })}
            className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 text-[16px] font-bold hover:bg-bench disabled:border-edge disabled:text-mute"
          >
            Keep this pin
          </button>
        </div>
      )}
      {hand.refused && (
        <Problem className="mt-1">
          {hand.refused}{' '}
          <button type="button" onClick={hand.takeTheirs} className="min-h-11 font-bold underline">
            Take theirs
          </button>
        </Problem>
      )}
      <ul aria-label="Pins" className="mt-1">
        {pins.map((move) => {
          const own = drafted.pieces.find(({ id }) => id === move.piece)
          const where = own ? `${own.name}, ${edgeName(move.edge).toLowerCase()}, ${placeName(own, move.edge, move.at ?? 0.5)}` : move.piece
          const nth = rounds.findIndex(({ id }) => id === move.round)
          return (
            <li key={`${move.piece}/${move.edge}/${move.round}`} className="flex flex-wrap items-center gap-x-3 border-t border-rule text-[15px]">
              <span className="min-w-0 flex-1">
                {nth < 0 ? 'An earlier round' : `Round ${nth + 1}`}: {where},{' '}
                <b>
                  {move.mm < 0 ? 'taken in' : 'let out'} {say(Math.abs(move.mm))}
                </b>
              </span>
              {isOpen && (
                <button
                  type="button"
                  aria-label={`Remove the pin: ${where}`}
                  onClick={() => void onceOut(() => keep({ ...move, mm: 0 }))}
                  className="min-h-11 px-2 font-semibold underline"
                >
                  Remove
                </button>
              )}
            </li>
          )
        })}
      </ul>
      <p className="text-[14px] leading-[18px] text-mute">
        {pins.length === 0 ? 'Pin cloth on the dog, measure what the pin takes, and keep it: the next cut has it. ' : 'The pieces have it already. '}
        <Link className="inline-flex min-h-11 items-center font-bold text-ink underline" to={`/tickets/${sheet.ticket.id}/pattern/${hand.itemId}`}>
          Its pieces
        </Link>
      </p>
    </section>
  )
}

function Labelled({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div>
      <span aria-hidden className="mb-1 block text-[13.5px] font-semibold text-mute">
        {name}
      </span>
      {children}
    </div>
  )
}

const WIDE = 132
const HIGH = 78

/** The piece, the edge and the place in small. */
function PinPlace({ piece, edge: id, at }: { piece: PatternPiece; edge: string; at: number }) {
  const line = sewLine(piece)
  const box = flatBox(line)
  const by = Math.min((WIDE - 16) / Math.max(1, box.maxX - box.minX), (HIGH - 16) / Math.max(1, box.maxY - box.minY))
  const to = ([x, y]: readonly [number, number]): string => `${(8 + (x - box.minX) * by).toFixed(1)} ${(8 + (y - box.minY) * by).toFixed(1)}`
  const edge = piece.edges.find((each) => each.id === id)
  const [x, y] = edge ? to(flatAlong(edge.points, at)).split(' ') : ['0', '0']
  return (
    <svg aria-hidden width={WIDE} height={HIGH} className="shrink-0 border border-rule">
      <path d={`M${line.map(to).join('L')}Z`} fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.4} />
      {edge && <path d={`M${edge.points.map(to).join('L')}`} fill="none" stroke="var(--ink)" strokeWidth={4} />}
      <circle cx={x} cy={y} r={6} fill="var(--panel)" stroke="var(--chalk)" strokeWidth={3} />
    </svg>
  )
}
