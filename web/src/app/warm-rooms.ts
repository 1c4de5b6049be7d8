import type { RouteObject } from 'react-router'
import { fetchOverDay } from '../api/queries'
import { ticket } from '../ticket'

/** Rooms of a ticket that are gone to next, most often. */
const SOON: readonly string[] = ['measure', 'ask', 'choose']
/** A room's code, fetched through its own door. */
const fetched = async ({ lazy }: RouteObject): Promise<unknown> => (typeof lazy === 'function' ? lazy() : undefined)

/** How long the first screen may keep what comes after it waiting, ms. */
const AT_MOST = 1200

const quiet = (): Promise<void> =>
  new Promise((done) => {
    // A browser without it waits a moment.
    if ('requestIdleCallback' in window) window.requestIdleCallback(() => done(), { timeout: AT_MOST })
    else setTimeout(done, AT_MOST / 4)
  })

/**
 * Once the first screen is drawn: the form's worker, then the rooms a ticket opens with, so that its door opens without a
 * wait. What can't be fetched now is fetched when its door is opened.
 */
export async function warmRooms(): Promise<void> {
  try {
    await quiet()
    const { prepareForms } = await import('../form')
    prepareForms()
    await quiet()
    await Promise.all([...ticket.map(fetched), fetchOverDay()])
    for (const { children = [] } of ticket) {
      for (const room of children) {
        if (!SOON.includes(room.path ?? '')) continue
        await quiet()
        await fetched(room)
      }
    }
  } catch {
    // The server is away.
  }
}
