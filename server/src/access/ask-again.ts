import type { FastifyRequest } from 'fastify'
import { ProblemError } from '../problems.ts'
import type { Keeper } from './keeper.ts'
import { isThePassphrase } from './passphrase.ts'
import type { Tries } from './tries.ts'

/** Hears secrets: a wrong one makes the next try wait. */
export interface Ear {
  /** @throws ProblemError for a try too many, or a wrong one */
  heard: (request: FastifyRequest, path: string, isRight: () => boolean | Promise<boolean>) => Promise<void>
  isThe: (passphrase: string) => Promise<boolean>
  /** Asks for the passphrase once more, in `merry-passphrase` (percent-encoded), where the shop has one. */
  asksAgain: (request: FastifyRequest) => Promise<void>
}

export function earOf(keeper: Keeper, tries: Tries): Ear {
  const isThe = (passphrase: string): Promise<boolean> => (keeper.passphrase ? isThePassphrase(passphrase, keeper.passphrase) : Promise.resolve(false))
  const heard: Ear['heard'] = async (request, path, isRight) => {
    const from = request.socket.remoteAddress ?? ''
    const wait = tries.waitMs(from)
    if (wait > 0) throw new ProblemError('too-many-tries', `Too many wrong tries. Try again in ${Math.ceil(wait / 1000)} s.`)
    // Counted before it is weighed: tries sent at once are as many.
    tries.wrong(from)
    if (await isRight()) return tries.right(from)
    throw new ProblemError('wrong-passphrase', path === 'code' ? 'This code is not good, or no more.' : 'This is not the passphrase.', {
      fields: [{ path, message: 'not right' }],
    })
  }
  return {
    heard,
    isThe,
    asksAgain: async (request) => {
      if (keeper.passphrase === null) return
      const given = request.headers['merry-passphrase']
      if (typeof given !== 'string' || given === '')
        throw new ProblemError('wrong-passphrase', 'Replacing the whole book asks for the passphrase again.', {
          fields: [{ path: 'passphrase', message: 'needed here' }],
        })
      await heard(request, 'passphrase', () => isThe(decoded(given)))
    },
  }
}

const decoded = (text: string): string => {
  try {
    return decodeURIComponent(text)
  } catch {
    return ''
  }
}
