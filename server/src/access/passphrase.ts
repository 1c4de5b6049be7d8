import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto'

/** A passphrase as it is kept: never itself. */
export interface KeptPassphrase {
  salt: string
  hash: string
  N: number
  r: number
  p: number
}

/** What one try costs: about 32 MB and a twelfth of a second (RFC 7914 names the parameters; the choice is ours). */
const COST = { N: 2 ** 15, r: 8, p: 1 }
const LENGTH = 32
/** Shorter ones are guessed. */
export const LEAST_LENGTH = 10
const MOST_LENGTH = 200

/** Typed twice alike whatever keyboard wrote its accents. */
const asTypedAnywhere = (passphrase: string): string => passphrase.normalize('NFKC').trim()

export const isPassphrase = (text: string): boolean => asTypedAnywhere(text).length >= LEAST_LENGTH && text.length <= MOST_LENGTH

function stretched(passphrase: string, salt: Buffer, { N, r, p }: Pick<KeptPassphrase, 'N' | 'r' | 'p'>): Promise<Buffer> {
  const options: ScryptOptions = { N, r, p, maxmem: 256 * N * r }
  return new Promise((resolve, reject) => scrypt(asTypedAnywhere(passphrase), salt, LENGTH, options, (error, key) => (error ? reject(error) : resolve(key))))
}

/** @throws RangeError for one that is too short or too long */
export async function keptPassphrase(passphrase: string): Promise<KeptPassphrase> {
  if (!isPassphrase(passphrase)) throw new RangeError(`a passphrase has ${LEAST_LENGTH} to ${MOST_LENGTH} characters`)
  const salt = randomBytes(16)
  return { salt: salt.toString('base64'), hash: (await stretched(passphrase, salt, COST)).toString('base64'), ...COST }
}

/** Is it the one that was kept? It takes as long either way. */
export async function isThePassphrase(passphrase: string, kept: KeptPassphrase): Promise<boolean> {
  if (passphrase.length > MOST_LENGTH) return false
  const hash = Buffer.from(kept.hash, 'base64')
  return timingSafeEqual(await stretched(passphrase, Buffer.from(kept.salt, 'base64'), kept), hash)
}
