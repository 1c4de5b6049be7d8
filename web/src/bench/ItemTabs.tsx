import type { Item } from '@merry-tailor/core'
import { Tabs } from 'radix-ui'
import { useEffect, useRef, useState, type ComponentProps } from 'react'
import { familyName, wayName } from '../words/stages'

/**
 * The item a screen works on: the first until another is picked, and again when that one is gone.
 *
 * @param first the one it is opened at
 */
export function useItemInHand(items: readonly Item[], first = ''): [Item | undefined, (id: string) => void] {
  const [picked, pick] = useState(first)
  return [items.find((item) => item.id === picked) ?? items[0], pick]
}

interface ItemsProps extends ComponentProps<'div'> {
  items: readonly Item[]
  current: string
  onPick: (id: string) => void
}

/** Around a screen that works on one item of several: its tabs and the panel they turn stand anywhere inside. */
export function ItemsInHand({ items, current, onPick, dir: _, defaultValue: __, ...rest }: ItemsProps) {
  return items.length < 2 ? <div {...rest} /> : <Tabs.Root value={current} onValueChange={onPick} {...rest} />
}

const byWay = (item: Item): string => wayName(item.way).toLowerCase()

/** Which item of the ticket is worked on, when there are several. @param says what of each stands beside its name */
export function ItemTabs({ items, says = byWay }: { items: readonly Item[]; says?: (item: Item) => string }) {
  const list = useRef<HTMLDivElement>(null)
  // The one in hand is in sight, however far along it stands.
  useEffect(() => {
    list.current?.querySelector('[data-state=active]')?.scrollIntoView({ inline: 'center', block: 'nearest' })
  }, [])
  if (items.length < 2) return null
  return (
    // As many in a row as there is room for; on a phone one row that moves sideways, so that the work stays in sight.
    <Tabs.List
      ref={list}
      aria-label="Items of this ticket"
      className="flex shrink-0 flex-wrap gap-[2px] border-b-2 border-ink bg-ink max-md:flex-nowrap max-md:overflow-x-auto"
    >
      {items.map((item) => (
        <Tabs.Trigger
          key={item.id}
          value={item.id}
          className="min-h-11 grow basis-[132px] bg-panel max-md:shrink-0 max-md:basis-[112px] px-3 py-1 text-left text-[15px] leading-[18px] font-bold data-[state=active]:bg-ink data-[state=active]:text-panel"
        >
          {familyName(item.family)} <span className="font-normal opacity-80">{says(item)}</span>
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  )
}

/** What the tabs turn. */
export function ItemPanel({ items, current, ...rest }: Omit<ItemsProps, 'onPick'>) {
  return items.length < 2 ? <div {...rest} /> : <Tabs.Content value={current} {...rest} />
}
