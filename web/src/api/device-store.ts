import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb'
import { SHAPE, type KeptAnswer, type RefusedWrite, type WaitingWrite } from './kept'
import { keptOfBefore, writeOfBefore, type WriteBefore } from './of-before'

interface Shelves extends DBSchema {
  outbox: { key: number; value: Omit<WaitingWrite, 'seq'> & { seq?: number } }
  refused: { key: number; value: RefusedWrite }
  kept: { key: string; value: KeptAnswer }
  /** Kept answers of a book as it was before it was brought back: what they have beyond it is offered. */
  aside: { key: string; value: KeptAnswer }
  /** What an earlier page kept and this one cannot read. */
  unread: { key: number; value: unknown }
  /** Small pictures of dogs, by dog: drawn before any form is solved. */
  outlines: { key: string; value: { at: string; drawing: unknown } }
}

let opened: Promise<IDBPDatabase<Shelves>> | null = null

/**
 * This device's own shelves. A connection that was closed (storage cleared, disk full, a newer page open) is opened
 * anew at the next use.
 *
 * @throws where the device keeps nothing
 */
export function deviceStore(): Promise<IDBPDatabase<Shelves>> {
  opened ??= open().catch((error: unknown) => {
    opened = null
    throw error
  })
  return opened
}

async function open(): Promise<IDBPDatabase<Shelves>> {
  const db = await openDB<Shelves>('merry-tailor', SHAPE, {
    upgrade: (store, from, _to, transaction) => {
      if (from < 1) {
        store.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true })
        store.createObjectStore('refused', { keyPath: 'seq' })
        store.createObjectStore('kept')
      }
      if (from < 2) {
        store.createObjectStore('aside')
        store.createObjectStore('unread', { autoIncrement: true })
        store.createObjectStore('outlines')
        if (from === 1) void bringUp(transaction as unknown as IDBPTransaction<Shelves, ('outbox' | 'refused' | 'kept' | 'unread')[], 'versionchange'>)
      }
    },
    // A newer page wants to change the shelves: this connection gives way, and is opened anew when it is needed.
    blocking: () => {
      db.close()
      opened = null
    },
    terminated: () => {
      opened = null
    },
  })
  return db
}

/** What a page of before kept, in today's shape; what cannot be read is set aside. */
async function bringUp(transaction: IDBPTransaction<Shelves, ('outbox' | 'refused' | 'kept' | 'unread')[], 'versionchange'>): Promise<void> {
  const unread = transaction.objectStore('unread')
  for (const name of ['outbox', 'refused'] as const) {
    const shelf = transaction.objectStore(name)
    for (const old of (await shelf.getAll()) as unknown as WriteBefore[]) {
      const write = writeOfBefore(old)
      if (write) await shelf.put(write)
      else {
        await unread.add(old)
        await shelf.delete(old.seq)
      }
    }
  }
  const kept = transaction.objectStore('kept')
  for (const path of await kept.getAllKeys()) {
    const copy = keptOfBefore(path, await kept.get(path))
    if (copy) await kept.put(copy, path)
    else await kept.delete(path)
  }
}
