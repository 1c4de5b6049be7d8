import type { Item } from '@merry-tailor/core'
import { familyName, wayName } from '../words/stages'

/** Which item of the ticket is worked on, when there are several. */
export function ItemTabs({ items, current, onPick }: { items: readonly Item[]; current: string; onPick: (id: string) => void }) {
  if (items.length < 2) return null
  return (
    <div role="tablist" aria-label="Items of this ticket" className="flex shrink-0 border-b-2 border-ink">
      {items.map((item) => (
        <button
          key={item.id}
          type="button"
          role="tab"
          aria-selected={item.id === current}
          onClick={() => onPick(item.id)}
          className={`min-h-11 flex-1 px-3 text-left text-[15px] leading-[18px] font-bold not-first:border-l-2 not-first:border-ink ${item.id === current ? 'bg-ink text-panel' : 'bg-panel'}`}
        >
          {familyName(item.family)} <span className="font-normal opacity-80">{wayName(item.way).toLowerCase()}</span>
        </button>
      ))}
    </div>
  )
}
