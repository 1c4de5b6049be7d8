import type { FastifyReply, FastifyRequest } from 'fastify'
import { ProblemError } from '../problems.ts'
import type { Device, Keeper } from './keeper.ts'

const COOKIE = 'merry-tailor'
const HALF_A_YEAR_S = 180 * 24 * 3600
const OWN_ADDRESSES: ReadonlySet<string> = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1'])
const OWN_NAMES: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]'])
/** What a device may ask before it is let in: how to be let in. */
const OPEN: ReadonlySet<string> = new Set(['/api/access', '/api/access/session', '/api/access/pair'])

declare module 'fastify' {
  interface FastifyRequest {
    /** The paired device that asks; `null` on the server's own computer. */
    device: Device | null
  }
}

const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, '')

/** Is it asked on the server's own computer, by its own name? What comes through another program there is not. */
export const isOwnComputer = (request: FastifyRequest): boolean =>
  OWN_ADDRESSES.has(request.socket.remoteAddress ?? '') && OWN_NAMES.has(nameOf(request.headers.host ?? '')) && request.headers['x-forwarded-for'] === undefined

/** The token a browser carries; `null` for none. */
export function tokenOf(request: FastifyRequest): string | null {
  for (const part of (request.headers.cookie ?? '').split(';')) {
    const [name, value] = part.trim().split('=')
    if (name === COOKIE && value) return value
  }
  return null
}

const isSecure = (request: FastifyRequest): boolean => 'encrypted' in request.raw.socket && request.raw.socket.encrypted === true

/** What a browser carries from now on: no script reads it, no other page's request takes it along. */
export const carry = (request: FastifyRequest, reply: FastifyReply, token: string): void =>
  void reply.header('set-cookie', `${COOKIE}=${token}; Path=/; Max-Age=${HALF_A_YEAR_S}; HttpOnly; SameSite=Strict${isSecure(request) ? '; Secure' : ''}`)
export const drop = (reply: FastifyReply): void => void reply.header('set-cookie', `${COOKIE}=; Path=/; Max-Age=0; HttpOnly; SameSite=Strict`)

/** A write that another page's script sends is no write of ours. */
function isForeignWrite({ method, headers }: FastifyRequest): boolean {
  if (method === 'GET' || method === 'HEAD') return false
  const site = headers['sec-fetch-site']
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true
  const { origin, host } = headers
  if (origin === undefined) return false
  try {
    return new URL(origin).host !== host
  } catch {
    return true
  }
}

/**
 * Refuses writes from other pages, and whoever is not on the server's own computer and carries no session of a device
 * that is let in. The page itself may be fetched: it holds nothing of the shop.
 */
export function guard(keeper: Keeper): (request: FastifyRequest) => ProblemError | null {
  return (request) => {
    request.device = null
    if (isForeignWrite(request)) return new ProblemError('wrong-origin', 'Another page asked for this write; only the shop’s own page may.')
    const path = request.url.split('?')[0] ?? ''
    if (!path.startsWith('/api/')) return null
    const token = tokenOf(request)
    request.device = token === null ? null : keeper.deviceOf(token)
    if (request.device || OPEN.has(path)) return null
    if (isOwnComputer(request) && !(keeper.everywhere && keeper.passphrase !== null)) return null
    return new ProblemError('who-are-you', 'This shop asks for its passphrase, or a code of a device that is in.')
  }
}
