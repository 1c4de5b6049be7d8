import type { Item, TryOn } from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { NoItem, useItemInHand, useOpenTicket } from '../../bench'
import { useMedia } from '../../ui/use-media'
import { BenchTryOn } from './BenchTryOn'
import { PhoneTryOn, type TryOnPage } from './PhoneTryOn'
import { useTryOn } from './use-try-on'

/** Try on: the only place where "Holds" is said. */
export function TryOnStage() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items)
  const rounds = useMemo(() => sheet.tryOns.filter((round) => round.itemId === item?.id && !round.struck), [sheet.tryOns, item?.id])
  if (!item) return <NoItem title="Which piece is on the rack?">{`Choose the item under Ask, then put a size on ${name}.`}</NoItem>
  return <OneItem key={item.id} items={items} item={item} rounds={rounds} onItem={setItem} />
}

function OneItem({ items, item, rounds, onItem }: { items: readonly Item[]; item: Item; rounds: readonly TryOn[]; onItem: (id: string) => void }) {
  const phone = useMedia('(max-width: 767px)')
  const [roundId, setRoundId] = useState<string | null>(null)
  const [page, setPage] = useState<TryOnPage>('checks')
  const round = rounds.find((each) => each.id === roundId) ?? rounds.at(-1)
  const hand = useTryOn(item, rounds, round, () => setPage('symptoms'))
  return phone ? (
    <PhoneTryOn hand={hand} items={items} page={page} onPage={setPage} onItem={onItem} onRound={setRoundId} />
  ) : (
    <BenchTryOn hand={hand} items={items} onItem={onItem} onRound={setRoundId} />
  )
}
