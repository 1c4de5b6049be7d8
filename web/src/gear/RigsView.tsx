import { formatWeight } from '@merry-tailor/core'
import { useSearchParams } from 'react-router'
import { useRigsQuery } from '../api/queries'
import { NewRig, RIG_NAMES, RigDrawing, RigInOut, RigNumbers } from '../rigs'
import { useAppSelector } from '../state/store'
import { Empty } from '../ui/State'
import { useBox } from '../ui/use-width'
import { ListPane } from './ListPane'

/** Carts, wagons, runners and drags, to scale. */
export function RigsView() {
  const { data: rigs = [] } = useRigsQuery(undefined)
  const { unit } = useAppSelector((state) => state.settings)
  const [search, setSearch] = useSearchParams()
  const pick = (rig: string): void => setSearch({ view: 'carts', rig }, { replace: true })
  const rig = rigs.find(({ id }) => id === search.get('rig')) ?? rigs[0]
  const [ref, box] = useBox<HTMLDivElement>(760, 460)
  return (
    <ListPane
      label="Carts"
      pickedLabel="Cart"
      rows={rigs.map((each) => ({ id: each.id, title: each.name, note: `${RIG_NAMES[each.kind]}, ${formatWeight(each.massKg, unit === 'in' ? 'lb' : 'kg')}` }))}
      current={rig?.id ?? null}
      onPick={pick}
      foot={
        <div className="shrink-0 space-y-2 border-t-2 border-ink p-3">
          <NewRig known={rigs.length} onMade={pick} />
          <RigInOut rig={rig} onMade={pick} />
        </div>
      }
    >
      {rig ? (
        <div className="flex h-full min-h-0 flex-col">
          <h2 className="border-b-2 border-ink bg-panel px-4 py-2 text-[22px] leading-7">{rig.name}</h2>
          <div ref={ref} className="mat min-h-[380px] flex-1 overflow-hidden">
            <RigDrawing rig={rig} width={box.width} height={box.height} />
          </div>
          <div className="border-t-2 border-ink bg-panel px-4">
            {rig.notes && <p className="py-1">{rig.notes}</p>}
            <RigNumbers key={rig.id} rig={rig} />
          </div>
        </div>
      ) : (
        <Empty>No cart yet. Take one in with usual numbers, then set them to yours; it is drawn as you type.</Empty>
      )}
    </ListPane>
  )
}
