import { formatWeight, lockedSetUp, type Item, type TicketSheet } from '@merry-tailor/core'
import { useRigsQuery } from '../../api/queries'
import { useAppSelector } from '../../state/store'
import { SURFACE_NAMES } from '../../words/hitch'

/** What the item draws, as it was locked. */
export function SetUpLine({ item, sheet }: { item: Item; sheet: TicketSheet }) {
  const { data: rigs = [] } = useRigsQuery(undefined)
  const settings = useAppSelector((state) => state.settings)
  const setUp = lockedSetUp(sheet, item.id)
  if (!setUp) return null
  const rig = rigs.find(({ id }) => id === setUp.rigId)
  const unit = settings.unit === 'in' ? 'lb' : 'kg'
  const loads = setUp.loads.map((load) => `${load.name} ${formatWeight(load.massKg, unit)}`).join(', ')
  return (
    <p>
      <b>Draws:</b> {rig?.name ?? 'a rig'}
      {loads ? `, with ${loads}` : ', empty'};{' '}
      {setUp.surface in SURFACE_NAMES ? SURFACE_NAMES[setUp.surface as keyof typeof SURFACE_NAMES].toLowerCase() : setUp.surface}, {setUp.gradePercent} cm per
      m. Judged on the level, empty, first; a prediction, not a promise.
    </p>
  )
}
