import { ventilation, type VentRule } from '@merry-tailor/core'
import { LengthEntry } from '../../length-entry'
import { VerdictWord } from '../../said/VerdictWord'
import { TickRow } from '../../ui/controls/TickRow'
import { AIR_SIDES, ventedWalls, type AirWall } from './air-state'

const SIDE_NAMES = { front: 'Front, its door', right: 'Right', back: 'Back', left: 'Left' } as const
const EMPTY: readonly AirWall[] = AIR_SIDES.map(() => ({ wideMm: 0, highMm: 0, upper: true }))

interface VentPaneProps {
  /** Inner sizes of the box, mm. */
  box: { length: number; width: number; height: number }
  walls: readonly AirWall[]
  onWalls: (walls: readonly AirWall[]) => void
}

/** Openings of the four sides against both rules. */
export function VentPane({ box, walls, onWalls }: VentPaneProps) {
  const now = walls.length === 4 ? walls : EMPTY
  const set = (i: number, over: Partial<AirWall>): void => onWalls(now.map((wall, k) => (k === i ? { ...wall, ...over } : wall)))
  const rules = walls.length === 4 ? ventilation(ventedWalls(walls, box)) : null
  return (
    <section aria-label="Openings" className="space-y-2 border-2 border-ink bg-panel p-4">
      <h2 className="text-[19px] leading-6">Openings for air</h2>
      <p className="text-[14px] leading-[18px] text-mute">The field of holes or bars on each side, measured across it; solid strips between are taken off by eye.</p>
      <div className="space-y-2">
        {AIR_SIDES.map((side, i) => (
          <div key={side} className="border-b border-rule pb-2">
            <b className="text-[15px]">{SIDE_NAMES[side]}</b>
            <div className="grid grid-cols-2 items-end gap-2">
              <LengthEntry label={`${side}, open across`} mm={now[i]?.wideMm ?? 0} least={0} most={2000} onSet={(wideMm) => set(i, { wideMm })} />
              <LengthEntry label={`${side}, open up and down`} mm={now[i]?.highMm ?? 0} least={0} most={2000} onSet={(highMm) => set(i, { highMm })} />
            </div>
            <TickRow on={now[i]?.upper ?? true} onChange={(upper) => set(i, { upper })} className="text-[14.5px]">
              Half of it in the upper half
            </TickRow>
          </div>
        ))}
      </div>
      {rules ? (
        <ul className="space-y-1.5 text-[15px] leading-[19px]">
          <Rule name="Carriers’ common rule" rule={rules.common} asks="all four sides open, 16 cm² of every 100 of the four sides" />
          <Rule name="The law of one country, 9 CFR 3.14" rule={rules.cfr} asks="14 of every 100, 8 on each of three sides or 16 on two facing ones, a third of it above the middle" />
        </ul>
      ) : (
        <p className="text-mute">Not measured yet. The carrier decides which rule counts.</p>
      )}
      <p className="text-[14px] leading-[18px] text-mute">From memory, unverified. Where a flight begins and ends its own law holds; the carrier decides.</p>
    </section>
  ) // prettier-ignore
}

function Rule({ name, rule: { holds, share, short }, asks }: { name: string; rule: VentRule; asks: string }) {
  const sides = short.map((i) => AIR_SIDES[i]).join(', ')
  return (
    <li>
      <span className="flex flex-wrap items-center justify-between gap-x-3">
        <b>{name}</b>
        <VerdictWord grade={holds ? 'holds' : 'fails'} basis="predicted" size={17} />
      </span>
      <span className="block">
        {(share * 100).toFixed(1)} of 100 open{sides === '' ? '' : `; too little: ${sides}`}. Asked: {asks}.
      </span>
    </li>
  )
}
