import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readFileSync, renameSync, writeSync } from 'node:fs'
import { dirname } from 'node:path'
import { z } from 'zod'
import type { KeptPassphrase } from './passphrase.ts'

const Passphrase = z.object({ salt: z.string(), hash: z.string(), N: z.int().positive(), r: z.int().positive(), p: z.int().positive() })
const KeptDevice = z.object({
  id: z.string(),
  name: z.string(),
  /** SHA-256 of the cookie: whoever reads the file has no way in. */
  token: z.string(),
  pairedAt: z.string(),
  seenAt: z.string(),
  lockedAt: z.string().nullable(),
})
const Kept = z.object({ version: z.literal(1), passphrase: Passphrase.nullable(), everywhere: z.boolean(), devices: z.array(KeptDevice) })
type Kept = z.infer<typeof Kept>

export type Device = Omit<z.infer<typeof KeptDevice>, 'token'>

/** A pairing code is good so long, and once. */
const PAIRING_MS = 5 * 60_000
/** A device's last visit is written down no oftener. */
const SEEN_MS = 10 * 60_000
const MOST_DEVICES = 200
/** Letters and digits nobody takes for another when reading them aloud. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789'

const digest = (token: string): string => createHash('sha256').update(token).digest('base64url')

/** Who is let in: the passphrase's hash and the paired devices, in a file of its own beside the book, never in a copy of it. */
export class Keeper {
  readonly #file: string | null
  readonly #now: () => string
  #kept: Kept = { version: 1, passphrase: null, everywhere: false, devices: [] }
  readonly #pairings = new Map<string, number>()

  /** @param file `null`: kept in memory alone */
  constructor(file: string | null, now: () => string) {
    this.#file = file
    this.#now = now
    if (file !== null && existsSync(file)) this.#kept = Kept.parse(JSON.parse(readFileSync(file, 'utf8')))
  }

  get passphrase(): KeptPassphrase | null {
    return this.#kept.passphrase
  }

  /** The passphrase is asked on the server's own computer too. */
  get everywhere(): boolean {
    return this.#kept.everywhere
  }

  get devices(): Device[] {
    return this.#kept.devices.map(({ token: _token, ...device }) => device)
  }

  setPassphrase(passphrase: KeptPassphrase): void {
    this.#save({ ...this.#kept, passphrase })
  }

  setEverywhere(everywhere: boolean): void {
    this.#save({ ...this.#kept, everywhere })
  }

  /** A code for one device more, good for five minutes. */
  pairing(): { code: string; until: string } {
    const now = Date.parse(this.#now())
    for (const [code, until] of this.#pairings) if (until < now) this.#pairings.delete(code)
    const code = Array.from(randomBytes(12), (byte) => LETTERS[byte % LETTERS.length]).join('')
    this.#pairings.set(digest(code), now + PAIRING_MS)
    return { code, until: new Date(now + PAIRING_MS).toISOString() }
  }

  /** Is it a code that was given out? It is used up by asking. */
  takePairing(code: string): boolean {
    const key = digest(code.toUpperCase().replaceAll(/[^A-Z0-9]/g, ''))
    const until = this.#pairings.get(key)
    this.#pairings.delete(key)
    return until !== undefined && until >= Date.parse(this.#now())
  }

  /** Lets a device in. @returns what it carries from now on */
  admit(name: string): { device: Device; token: string } {
    const token = randomBytes(32).toString('base64url')
    const now = this.#now()
    const device = { id: randomUUID(), name, token: digest(token), pairedAt: now, seenAt: now, lockedAt: null }
    // The longest unseen make room.
    const others = [...this.#kept.devices].sort((a, b) => b.seenAt.localeCompare(a.seenAt)).slice(0, MOST_DEVICES - 1)
    this.#save({ ...this.#kept, devices: [...others, device] })
    const { token: _token, ...told } = device
    return { device: told, token }
  }

  /** The device that carries this token; `null` for none, or one that was locked out. */
  deviceOf(token: string): Device | null {
    const hash = digest(token)
    const found = this.#kept.devices.find((each) => each.token === hash)
    if (!found || found.lockedAt !== null) return null
    if (Date.parse(this.#now()) - Date.parse(found.seenAt) > SEEN_MS) this.#change(found.id, { seenAt: this.#now() })
    const { token: _token, ...device } = found
    return device
  }

  /** Locks a device out, or lets it in again. @returns `false` where there is none of that id */
  setLocked(id: string, locked: boolean): boolean {
    return this.#change(id, { lockedAt: locked ? this.#now() : null })
  }

  forget(id: string): void {
    this.#save({ ...this.#kept, devices: this.#kept.devices.filter((each) => each.id !== id) })
  }

  #change(id: string, over: Partial<Kept['devices'][number]>): boolean {
    if (!this.#kept.devices.some((each) => each.id === id)) return false
    this.#save({ ...this.#kept, devices: this.#kept.devices.map((each) => (each.id === id ? { ...each, ...over } : each)) })
    return true
  }

  /** The whole file anew, or the old one stays. */
  #save(next: Kept): void {
    this.#kept = next
    if (this.#file === null) return
    mkdirSync(dirname(this.#file), { recursive: true, mode: 0o700 })
    const fresh = `${this.#file}.new`
    const at = openSync(fresh, 'w', 0o600)
    try {
      writeSync(at, JSON.stringify(next))
      fsyncSync(at)
    } finally {
      closeSync(at)
    }
    renameSync(fresh, this.#file)
  }
}
