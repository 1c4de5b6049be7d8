import { deviceStore } from './device-store'

/** So many answers stay on the device; a season's dogs and tickets are fewer. */
const MOST = 500

/** Lets the oldest kept answers go, those of another book among them: called once, by the page. */
export async function pruneKept(most = MOST): Promise<void> {
  try {
    const shelf = (await deviceStore()).transaction('kept', 'readwrite')
    if ((await shelf.store.count()) > most) {
      const all: { path: string; at: string }[] = []
      for (let cursor = await shelf.store.openCursor(); cursor; cursor = await cursor.continue()) all.push({ path: cursor.key, at: cursor.value.at })
      all.sort((a, b) => a.at.localeCompare(b.at))
      for (const { path } of all.slice(0, all.length - most)) await shelf.store.delete(path)
    }
    await shelf.done
  } catch {
    // A device that keeps nothing has nothing to let go.
  }
}
