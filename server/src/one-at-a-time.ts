import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'

/** Beside a book's file, while a server has it open: who and where. */
interface Held {
  pid: number
  address: string
}

const markOf = (file: string): string => `${file}.open`

function heldBy(file: string): Held | null {
  try {
    return JSON.parse(readFileSync(markOf(file), 'utf8')) as Held
  } catch {
    return null
  }
}

const lives = (pid: number): boolean => {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/** Does a Merry Tailor answer there? */
async function answers(address: string): Promise<boolean> {
  try {
    const answer = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(2000) })
    return answer.headers.has('merry-book')
  } catch {
    return false
  }
}

/**
 * The address at which a book is open already, by another server on this computer; `null` when nobody has it. A mark
 * left by a server that was killed counts for nothing.
 */
export async function openElsewhere(file: string): Promise<string | null> {
  if (!existsSync(markOf(file))) return null
  const held = heldBy(file)
  if (!held || held.pid === process.pid || !lives(held.pid)) return null
  return held.address !== '' && (await answers(held.address)) ? held.address : null
}

/** Says that this server has the book open at an address, until it stops. */
export function markOpen(file: string, address: string): () => void {
  writeFileSync(markOf(file), JSON.stringify({ pid: process.pid, address } satisfies Held))
  return () => {
    if (heldBy(file)?.pid === process.pid) rmSync(markOf(file), { force: true })
  }
}
