import type { Copies } from './copies.ts'
import type { Db } from '../db/open.ts'
import { dayIn } from '@merry-tailor/core'
import { readShop } from '../db/shop.ts'

/** Looked at so often; a machine that slept through the night makes its copy when it wakes. */
const EVERY_MS = 10 * 60_000
/** After so long without a write the plain file is made whole. */
const IDLE_MS = 5000
/** The copy is of the day that ended: made in the first hour it can be, from two o'clock on. */
const FROM_HOUR = 2

/** Is a copy due? The newest is of no later day than yesterday, and the night has come. */
export function isDue(newestAt: string | undefined, now: Date, zone: string): boolean {
  if (newestAt === undefined) return true
  const today = dayIn(zone, now)
  if (dayIn(zone, newestAt) >= today) return false
  const hour = Number(new Intl.DateTimeFormat('en-GB', { hour: '2-digit', hourCycle: 'h23', ...(zone === '' ? {} : { timeZone: zone }) }).format(now))
  return hour >= FROM_HOUR || now.getTime() - new Date(newestAt).getTime() > 26 * 3_600_000
}

/**
 * Makes the nightly copy by itself, and makes the plain file whole when nobody writes.
 *
 * @param seqOf how many writes the book has taken
 * @returns stops it
 */
export function keepCopies(db: Db, copies: Copies, seqOf: () => number): () => void {
  if (!copies.canCopy) return () => undefined
  const look = (): void => {
    const written = db.prepare('SELECT 1 FROM writes LIMIT 1').get() !== undefined
    if (!written || !isDue(copies.list()[0]?.at, new Date(), readShop(db).timeZone)) return
    try {
      copies.make('night')
    } catch {
      // Kept in `failure`: Shop and strip say so, and the next look tries again.
    }
  }
  let [seen, whole] = [seqOf(), seqOf()]
  const idle = setInterval(() => {
    const seq = seqOf()
    if (seq === seen && seq !== whole) {
      db.pragma('wal_checkpoint(TRUNCATE)')
      whole = seq
    }
    seen = seq
  }, IDLE_MS)
  const first = setTimeout(look, 60_000)
  const nightly = setInterval(look, EVERY_MS)
  for (const timer of [idle, first, nightly]) timer.unref()
  return () => {
    clearInterval(idle)
    clearTimeout(first)
    clearInterval(nightly)
  }
}
