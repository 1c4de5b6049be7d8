import { MM_PER_UNIT, type Garment } from '@merry-tailor/core'
import { letteredSeams, seamSentence } from './CutMat'
import { edgeName, moveOf } from '../../garment'
import type { EdgeDrag } from './use-edge-drag'

/** The edge in hand: how far it was moved on a magnified inch, and what becomes of the edge it is sewn to. */
export function EdgeTag({ garment, drag, unit, say }: { garment: Garment; drag: EdgeDrag; unit: 'in' | 'cm'; say: (mm: number) => string }) {
  const own = drag.inHand
  const piece = own && garment.pieces.find(({ id }) => id === own.piece)
  if (!own || !piece || !piece.edges.some(({ id }) => id === own.edge)) return null
  const mm = moveOf(drag.shown, own)?.mm ?? 0
  const letter = letteredSeams(garment).find(({ seam }) => [...seam.a, ...seam.b].some(([p, e]) => p === own.piece && e === own.edge))?.letter
  const span = unit === 'in' ? MM_PER_UNIT.in : 40
  const parts = 8
  const base = Math.trunc(mm / span) * span
  const at = Math.round((Math.abs(mm - base) / span) * parts)
  const labels = unit === 'in' ? ['0', '1⁄8', '1⁄4', '3⁄8', '1⁄2', '5⁄8', '3⁄4', '7⁄8', '1'] : ['0', '.5', '1', '1.5', '2', '2.5', '3', '3.5', '4']
  return (
    <div role="status" className="pointer-events-none w-[270px] border-2 border-ink bg-panel p-2.5">
      <p className="flex items-center gap-2 text-[15px] font-bold leading-5">
        {letter && <span className="inline-flex size-6 items-center justify-center rounded-full bg-ink text-[13.5px] text-panel">{letter}</span>}
        {edgeName(own.edge)}
        {mm === 0 ? '' : mm > 0 ? ', moved out' : ', moved in'}
        {Math.abs(base) > 0 && <span className="text-mute">{say(Math.abs(mm))}</span>}
      </p>
      <div aria-hidden className="my-2 grid h-11 grid-cols-9 border-y-2 border-tape-ink bg-tape text-center text-[13.5px] font-bold text-tape-ink">
        {labels.map((label, i) => (
          <span key={label} className={`relative flex items-end justify-center pb-1 ${i === at ? 'bg-ink text-tape' : ''}`}>
            <span className={`absolute top-0 w-[2px] ${i % 2 === 0 ? 'h-4' : 'h-2.5'} ${i === at ? 'bg-tape' : 'bg-tape-ink'}`} />
            {i % 2 === 0 || i === at ? label : ''}
          </span>
        ))}
      </div>
      <p className="text-[14px] leading-[18px]">{seamSentence(garment, own.piece, own.edge, mm, say)}</p>
    </div>
  )
}
