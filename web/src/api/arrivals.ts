import { USUAL_SHOP, type Day, type ShopFields, type Tag, type TicketSheet } from '@merry-tailor/core'
import { isIn, tellLate } from './base-query'
import type { Writes } from './named-writes'
import { outbox, type Arrived } from './outbox'
import { fetchOverDay } from './queries'
import { withWrites } from './recipes'
import { pathOf, RENEWS, shopApi, type QueryName } from './shop-api'

interface Shop {
  dispatch: (action: never) => unknown
  getState: () => unknown
}

interface CachedQuery {
  endpointName: string
  originalArgs: unknown
  status: string
  data?: unknown
}

const cachedIn = (state: unknown): CachedQuery[] =>
  Object.values((state as { api: { queries: Record<string, CachedQuery | undefined> } }).api.queries).flatMap((query) =>
    query?.status === 'fulfilled' ? [query] : [],
  )

/**
 * Keeps the answers on screen true: a write that arrived is done over every answer that has it not in it yet, and a late
 * answer takes the place of the kept one.
 *
 * @returns stops it
 */
export function watchArrivals({ dispatch, getState }: Shop): () => void {
  const send = (action: unknown): void => void dispatch(action as never)
  tellLate((endpoint, arg, data) => send(shopApi.util.upsertQueryData(endpoint as 'shop', arg as undefined, data as ShopFields)))
  const sheetOf = (id: string): TicketSheet | undefined => shopApi.endpoints.ticket.select(id)(getState() as never).data
  const rules = (): ShopFields => shopApi.endpoints.shop.select(undefined)(getState() as never).data ?? USUAL_SHOP

  const doOver = (write: Arrived): void => {
    for (const { endpointName, originalArgs, data } of cachedIn(getState())) {
      if (endpointName === 'day') continue
      const path = pathOf(endpointName as QueryName, originalArgs)
      if (isIn(path, write)) continue
      const after = withWrites(path, data, [write])
      if (after !== data) send(shopApi.util.updateQueryData(endpointName as 'ticket', originalArgs as string, () => after as TicketSheet))
    }
    if (write.endpoint === 'act') void rowAnew((write.arg as Writes['act']).ticketId).catch(() => undefined)
  }
  /** The ticket's row in every list of a day. */
  const rowAnew = async (ticketId: string): Promise<void> => {
    const { dayRow } = await fetchOverDay()
    const sheet = sheetOf(ticketId)
    if (!sheet) return
    for (const { endpointName, originalArgs } of cachedIn(getState())) {
      if (endpointName !== 'day') continue
      send(
        shopApi.util.updateQueryData('day', originalArgs as string, (day: Day) => {
          const at = day.rows.findIndex((row) => row.ticketId === ticketId)
          if (sheet.ticket.state === 'closed' && at >= 0) day.rows.splice(at, 1)
          else if (at >= 0) day.rows[at] = dayRow(sheet, day.on, rules())
        }),
      )
    }
  }
  return outbox.onArrived((arrived, late) => {
    for (const write of arrived) doOver(write)
    // Nobody waited for it any more: its questions are asked anew by whoever still shows them.
    const renewed = arrived.filter(namesAnother)
    if (renewed.length > 0) send(shopApi.util.invalidateTags(tagsOf(renewed)))
    if (late) send(shopApi.util.invalidateTags(tagsOf(arrived)))
  })
}

/** A ticket that was given another dog or owner: only the server has all of them. */
const namesAnother = ({ endpoint, arg }: Arrived): boolean => {
  if (endpoint !== 'act') return false
  const { act } = arg as Writes['act']
  return act.act === 'change' && act.changes.some(({ field }) => field === 'dogId' || field === 'ownerId')
}

/** What is asked anew for writes that came in late: not everything for each. */
const tagsOf = (arrived: readonly Arrived[]): ({ type: Tag; id: string } | Tag)[] => [
  ...new Set(
    arrived.flatMap(({ endpoint, arg }): ({ type: Tag; id: string } | Tag)[] =>
      endpoint === 'act' ? [{ type: 'Tickets', id: (arg as Writes['act']).ticketId }, 'Reminders'] : [...RENEWS[endpoint as keyof Writes]],
    ),
  ),
]
