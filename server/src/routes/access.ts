import type { FastifyInstance } from 'fastify'
import { z } from 'zod'
import type { Ear } from '../access/ask-again.ts'
import { carry, drop, isOwnComputer } from '../access/guard.ts'
import type { Keeper } from '../access/keeper.ts'
import { isPassphrase, keptPassphrase, LEAST_LENGTH } from '../access/passphrase.ts'
import { ProblemError } from '../problems.ts'
import { typed } from './typed-routes.ts'

const Name = z.string().trim().min(1).max(60)
const Word = z.string().max(400)

interface Door {
  keeper: Keeper
  ear: Ear
  /** Where other devices find this server, and where they learn to trust its certificate; `null` while it listens on its own computer alone. */
  lan: { addresses: readonly { url: string; secure: boolean }[]; trustAt: string; fingerprint: string } | null
  /** Simulated devices answer here. */
  standIns: boolean
}

const tooShort = (path: string): ProblemError =>
  new ProblemError('bad-request', `A passphrase has ${LEAST_LENGTH} characters or more.`, { fields: [{ path, message: `${LEAST_LENGTH} characters or more` }] })

/** Who gets in: the passphrase, pairing a device, and the devices that are in. */
export function accessRoutes(app: FastifyInstance, { keeper, ear, lan, standIns }: Door): void {
  const api = typed(app)
  const { heard, isThe } = ear
  const schema = { tags: ['access'] }
  api.get('/api/access', { schema }, (request) => ({
    set: keeper.passphrase !== null,
    everywhere: keeper.everywhere,
    in: request.device !== null || (isOwnComputer(request) && !(keeper.everywhere && keeper.passphrase !== null)),
    own: isOwnComputer(request),
    device: request.device,
    standIns,
    // Who is not in learns no address of ours.
    lan: request.device || isOwnComputer(request) ? lan : null,
  }))

  api.post('/api/access/session', { schema: { ...schema, body: z.object({ passphrase: Word, name: Name }) } }, async (request, reply) => {
    await heard(request, 'passphrase', () => isThe(request.body.passphrase))
    const { device, token } = keeper.admit(request.body.name)
    carry(request, reply, token)
    return device
  })
  api.post('/api/access/pair', { schema: { ...schema, body: z.object({ code: Word, name: Name }) } }, async (request, reply) => {
    await heard(request, 'code', () => keeper.takePairing(request.body.code))
    const { device, token } = keeper.admit(request.body.name)
    carry(request, reply, token)
    return device
  })
  api.delete('/api/access/session', { schema }, (request, reply) => {
    if (request.device) keeper.forget(request.device.id)
    drop(reply)
    return { ok: true }
  })

  api.put('/api/access/passphrase', { schema: { ...schema, body: z.object({ old: Word.nullable(), passphrase: Word }) } }, async (request) => {
    const { old, passphrase } = request.body
    if (!isPassphrase(passphrase)) throw tooShort('passphrase')
    if (keeper.passphrase) await heard(request, 'old', () => isThe(old ?? ''))
    keeper.setPassphrase(await keptPassphrase(passphrase))
    return { ok: true }
  })
  api.put('/api/access/everywhere', { schema: { ...schema, body: z.object({ on: z.boolean(), passphrase: Word }) } }, async (request) => {
    await heard(request, 'passphrase', () => isThe(request.body.passphrase))
    keeper.setEverywhere(request.body.on)
    return { ok: true }
  })
  api.post('/api/access/pairings', { schema }, () => {
    if (!keeper.passphrase) throw new ProblemError('no-passphrase', 'Give the shop a passphrase first; then devices can be let in.')
    return keeper.pairing()
  })
  api.get('/api/access/devices', { schema }, (request) => keeper.devices.map((device) => ({ ...device, this: device.id === request.device?.id })))
  api.patch(
    '/api/access/devices/:id',
    { schema: { ...schema, params: z.object({ id: z.string().max(60) }), body: z.object({ locked: z.boolean() }) } },
    (request) => {
      if (!keeper.setLocked(request.params.id, request.body.locked)) throw new ProblemError('not-found', 'There is no such device.')
      return { ok: true }
    },
  )
}
