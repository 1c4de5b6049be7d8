import { openDB, type DBSchema, type IDBPDatabase } from 'idb'

interface Leases extends DBSchema {
  lease: { key: string; value: { holder: string; until: number } }
}

/** How long a lease stands unrenewed: a page that fell asleep or was closed holds nobody up longer, ms. */
export const LEASE_MS = 6000

/** Who this page is: work begun anew in it does not wait for work it has given up. */
const THIS_PAGE = crypto.getRandomValues(new Uint32Array(4)).join('-')

let opened: Promise<IDBPDatabase<Leases>> | null = null

/** A database of its own: it never waits for a page that holds older shelves. */
const leases = (): Promise<IDBPDatabase<Leases>> =>
  (opened ??= openDB<Leases>('merry-tailor-lease', 1, {
    upgrade: (store) => void store.createObjectStore('lease'),
    blocking: (_now, _next, event) => {
      opened = null
      ;(event.target as IDBDatabase).close()
    },
    terminated: () => {
      opened = null
    },
  }).catch((error: unknown) => {
    opened = null
    throw error
  }))

/** Takes or renews the lease in one step. @returns 0 when it is held by `holder`, else how long another still has it, ms */
async function take(name: string, holder: string): Promise<number> {
  const shelf = (await leases()).transaction('lease', 'readwrite').store
  const now = Date.now()
  const held = await shelf.get(name)
  const left = held && held.holder !== holder ? held.until - now : 0
  // A clock that was set back would hold a lease for hours.
  if (left > 0 && left <= LEASE_MS) return left
  await shelf.put({ holder, until: now + LEASE_MS }, name)
  return 0
}

async function giveBack(name: string, holder: string): Promise<void> {
  const shelf = (await leases()).transaction('lease', 'readwrite').store
  if ((await shelf.get(name))?.holder === holder) await shelf.delete(name)
}

/**
 * Does the work while no other page of this device does, where the browser has no locks (an address that is no secure
 * context). It is care, no promise: the ids of writes count a doubled one once. Where nothing can be kept, the work is
 * simply done.
 *
 * @param holder who does it; this page
 */
export async function whileLeased<T>(name: string, work: () => Promise<T>, holder = THIS_PAGE): Promise<T> {
  try {
    for (let left = await take(name, holder); left > 0; left = await take(name, holder)) await new Promise((wait) => setTimeout(wait, Math.min(left, 200)))
  } catch {
    return work()
  }
  const renewing = setInterval(() => void take(name, holder).catch(() => undefined), LEASE_MS / 3)
  try {
    return await work()
  } finally {
    clearInterval(renewing)
    await giveBack(name, holder).catch(() => undefined)
  }
}
