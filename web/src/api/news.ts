import type { News, Tag } from '@merry-tailor/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { deviceBook } from './book-mark'
import { outbox } from './outbox'
import { meant, toldBy } from './post'
import { shopApi } from './shop-api'

/** So often an open page asks what others did. */
const EVERY_MS = 1500
/** A word on somebody's reading stands this long. */
export const STANDS_MS = 20_000

/** The last thing somebody else did on a ticket, as it is said there. */
export interface Heard extends Pick<News, 'ticketId' | 'by' | 'reading'> {
  at: number
}

export const newsSlice = createSlice({
  name: 'news',
  initialState: null as Heard | null,
  reducers: { heard: (_, { payload }: PayloadAction<Heard>) => payload },
})

interface Shop {
  dispatch: (action: never) => unknown
}

/** Asks once what others did since; whatever it touched is asked anew, and a reading is named. */
export async function askNews({ dispatch }: Shop, after: number | null): Promise<number | null> {
  const send = (action: unknown): void => void dispatch(action as never)
  const answer = await fetch(`/api/news?after=${after ?? 0}`, { headers: meant(deviceBook.mark), signal: AbortSignal.timeout(5000) }).catch(() => null)
  const told = answer && toldBy(answer.headers)
  if (!answer?.ok || !told) {
    // A refusal of ours may be another book: it is heard, and the strip asks.
    if (told) deviceBook.hear(told)
    else outbox.reached(false)
    return after
  }
  // A body that breaks off on the way is no answer.
  const heard = (await answer.json().catch(() => null)) as { seq: number; news: News[] | null } | null
  if (!heard) {
    outbox.reached(false)
    return after
  }
  const wasAway = !outbox.isReached
  const ours = deviceBook.hear(told)
  outbox.reached(true)
  if (!ours) return after
  const { seq, news } = heard
  if (after === null) return seq
  const others = news?.filter((each) => !outbox.isOwn(each.id))
  if (others === undefined || wasAway) send(shopApi.util.invalidateTags(ALL))
  else if (others.length > 0) send(shopApi.util.invalidateTags(tagsOf(others)))
  const last = others?.findLast((each) => each.reading !== null)
  if (last) send(newsSlice.actions.heard({ ticketId: last.ticketId, by: last.by, reading: last.reading, at: Date.now() }))
  return seq
}

const ALL: Tag[] = ['Tickets', 'Dogs', 'Owners', 'SizeTables', 'Found', 'Shop', 'Fitters', 'Reminders', 'Pieces']

/** What a ticket's write touches is that ticket, and the lists that show it. */
const tagsOf = (others: readonly News[]): ({ type: Tag; id: string } | Tag)[] => [
  ...new Set(
    others.flatMap(({ ticketId, tags }) =>
      (tags as Tag[]).map((tag): { type: Tag; id: string } | Tag => (tag === 'Tickets' && ticketId !== null ? { type: 'Tickets', id: ticketId } : tag)),
    ),
  ),
]

/** Keeps asking while the page is seen. */
export function startNews(shop: Shop): void {
  let after: number | null = null
  let asking = false
  setInterval(() => {
    if (asking || document.visibilityState !== 'visible') return
    asking = true
    void askNews(shop, after).then((seq) => {
      after = seq
      asking = false
    })
  }, EVERY_MS)
}
