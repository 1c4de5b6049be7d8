import type { PatternPiece } from '@merry-tailor/core'
import { LengthEntry } from '../../length-entry'
import { useBox } from '../../ui/use-width'
import { LayOnCloth } from './LayOnCloth'
import { useLayOf } from './use-lay-of'

interface LayPaneProps {
  pieces: readonly PatternPiece[]
  cloth: string
  /** Of the plan; left out, the usual. */
  widthMm: number | undefined
  onWidth: (mm: number) => void
  unit: 'in' | 'cm'
  say: (mm: number) => string
}

/** How much cloth it takes, searched while the pieces rest. */
export function LayPane({ pieces, cloth, widthMm: wanted, onWidth, unit, say }: LayPaneProps) {
  const { items, widthMm, lay, tried, searching } = useLayOf(pieces, wanted)
  const [ref, { width }] = useBox<HTMLDivElement>(266, 200)
  return (
    <section aria-label="Lay on cloth" className="border-t-2 border-ink px-4 py-2">
      <h2 className="pb-1 text-[20px] leading-6">Lay on {cloth}</h2>
      <div ref={ref} className="pt-2">
        <LayOnCloth
          items={items}
          lay={lay}
          tried={tried}
          searching={searching}
          widthMm={widthMm}
          unit={unit}
          say={say}
          width={Math.max(200, width)}
          cloth={cloth}
        />
      </div>
      <LengthEntry label="Cloth’s width" mm={widthMm} least={300} most={4000} onSet={onWidth} />
    </section>
  )
}
