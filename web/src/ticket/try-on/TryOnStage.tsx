import type { Item, TryOn } from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { NoItem, useItemInHand, useOpenTicket } from '../../bench'
import { useMedia } from '../../ui/use-media'
import { BenchTryOn } from './BenchTryOn'
import { PhoneTryOn, type TryOnPage } from './PhoneTryOn'
import { useTryOn } from './use-try-on'

/** Try on: the only place where "Holds" is said. */
export function TryOnStage() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  // A round may be opened from elsewhere, by its own address.
  const asked = useSearchParams()[0].get('round')
  const [item, setItem] = useItemInHand(items, sheet.tryOns.find((round) => round.id === asked)?.itemId)
  const rounds = useMemo(() => sheet.tryOns.filter((round) => round.itemId === item?.id && !round.struck), [sheet.tryOns, item?.id])
  if (!item) return <NoItem title="Which piece is on the rack?">{`Choose the item under Ask, then put a size on ${name}.`}</NoItem>
  return <OneItem key={item.id} items={items} item={item} rounds={rounds} asked={asked} onItem={setItem} />
}

interface OneItemProps {
  items: readonly Item[]
  item: Item
  rounds: readonly TryOn[]
  /** The round it is opened at. */
  asked: string | null
  onItem: (id: string) => void
}

function OneItem({ items, item, rounds, asked, onItem }: OneItemProps) {
  const phone = useMedia('(max-width: 767px)')
  const [roundId, setRoundId] = useState<string | null>(asked)
  const [page, setPage] = useState<TryOnPage>('checks')
  const round = rounds.find((each) => each.id === roundId) ?? rounds.at(-1)
  const hand = useTryOn(item, rounds, round, () => setPage('symptoms'))
  return phone ? (
    <PhoneTryOn hand={hand} items={items} page={page} onPage={setPage} onItem={onItem} onRound={setRoundId} />
  ) : (
    <BenchTryOn hand={hand} items={items} onItem={onItem} onRound={setRoundId} />
  )
}
