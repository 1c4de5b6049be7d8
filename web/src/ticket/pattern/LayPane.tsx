import { TickRow } from '../../ui/controls/TickRow'
import type { GarmentPlan, PatternPiece } from '@merry-tailor/core'
import { LengthEntry } from '../../length-entry'
import { useBox } from '../../ui/use-width'
import { LayOnCloth } from './LayOnCloth'
import { useLayOf } from './use-lay-of'

interface LayPaneProps {
  pieces: readonly PatternPiece[]
  cloth: string
  plan: GarmentPlan
  onChange: (over: Partial<GarmentPlan>) => void
  unit: 'in' | 'cm'
  say: (mm: number) => string
}

/** How much cloth it takes, searched while the pieces rest. */
export function LayPane({ pieces, cloth, plan, onChange, unit, say }: LayPaneProps) {
  const { items, widthMm, gapMm, oneWay, lay, tried, searching } = useLayOf(pieces, plan)
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
      <div className="grid grid-cols-2 gap-3">
        <LengthEntry label="Cloth’s width" mm={widthMm} least={300} most={4000} onSet={(clothWidthMm) => onChange({ clothWidthMm })} />
        <LengthEntry label="Between pieces" mm={gapMm} least={0} most={100} onSet={(to) => onChange({ gapMm: to })} />
      </div>
      <TickRow on={oneWay} onChange={(to) => onChange({ oneWay: to })} className="mt-1 text-[14.5px] leading-[18px]">
        Nap or print runs one way: no piece is turned
      </TickRow>
    </section>
  )
}
