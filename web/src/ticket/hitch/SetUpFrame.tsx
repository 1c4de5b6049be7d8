import type { Item, Rig } from '@merry-tailor/core'
import type { ReactNode } from 'react'
import { useRigsQuery } from '../../api/queries'
import { ItemPanel, ItemsInHand, ItemTabs, NoItem, useItemInHand, useOpenTicket } from '../../bench'
import { HitchTabs } from './HitchTabs'

interface SetUpFrameProps {
  now: 'draft' | 'pair'
  /** What can be done once there is an item: “a cart can be set up behind it”. */
  then: string
  /** Widths of its columns from a middling screen on. */
  columns: string
  children: (item: Item, rigs: readonly Rig[], tabs: ReactNode) => ReactNode
}

/** A room of the drafting bench: the item in hand, its tabs, and panes that scroll as one on a middling screen. */
export function SetUpFrame({ now, then, columns, children }: SetUpFrameProps) {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items, items.find(({ family }) => family === 'H22' || family === 'H23')?.id)
  const { data: rigs = [] } = useRigsQuery(undefined)
  if (!item) return <NoItem title="What does it draw with?">{`Choose a drafting harness for ${name} under Ask; then ${then}.`}</NoItem>
  return (
    <ItemsInHand
      items={items}
      current={item.id}
      onPick={setItem}
      className={`min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto max-md:pb-24 md:grid md:max-bench:grid-rows-[100%_auto] md:max-bench:overflow-y-auto ${columns}`}
    >
      {children(
        item,
        rigs,
        <>
          <ItemTabs items={items} />
          <ItemPanel items={items} current={item.id} className="px-4 pt-3">
            <HitchTabs family={item.family} now={now} />
          </ItemPanel>
        </>,
      )}
    </ItemsInHand>
  )
}
