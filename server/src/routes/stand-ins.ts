import { z } from 'zod'
import { ProblemError } from '../problems.ts'
import { StandIn } from '../stand-ins/device.ts'
import { lossyLine } from '../stand-ins/lossy-line.ts'
import { typed, type Routes } from './typed-routes.ts'

const params = z.object({ device: z.enum(['tape', 'scale']) })
const Value = z.number().min(0).max(3000)

/** The simulated tape and scale: a stream of bytes, and the hand that rolls and squeezes them. */
export const standInRoutes: Routes = (app) => {
  const api = typed(app)
  const devices = { tape: new StandIn('TAPE7', 'mm'), scale: new StandIn('SCALE2', 'kg', 11) }
  app.addHook('preClose', (done) => {
    for (const end of open) end()
    done()
  })
  const open = new Set<() => void>()

  api.get('/api/stand-ins/:device/stream', { schema: { params, tags: ['stand-ins'] } }, (request, reply) => {
    reply.hijack()
    const { raw } = reply
    raw.writeHead(200, { 'content-type': 'application/octet-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' })
    raw.flushHeaders()
    const stop = devices[request.params.device].listen(lossyLine(raw))
    const end = (): void => {
      stop()
      open.delete(end)
      raw.end()
    }
    open.add(end)
    raw.on('close', end)
  })

  const body = z.object({
    act: z.enum(['roll', 'squeeze', 'set']),
    value: Value.optional(),
    unit: z.enum(['mm', 'cm', 'in', 'kg', 'lb']).optional(),
    jitter: z.number().min(0).max(50).optional(),
    dropOuts: z.number().min(0).max(1).optional(),
    battery: z.int().min(0).max(100).optional(),
  })
  api.post('/api/stand-ins/:device', { schema: { params, body, tags: ['stand-ins'] } }, (request) => {
    const device = devices[request.params.device]
    const { act, value, unit, jitter, dropOuts, battery } = request.body
    device.set({
      ...(unit ? { unit } : {}),
      ...(jitter === undefined ? {} : { jitter }),
      ...(dropOuts === undefined ? {} : { dropOuts }),
      ...(battery === undefined ? {} : { battery }),
    })
    if (act !== 'set' && value === undefined)
      throw new ProblemError('bad-request', 'Say how far it is rolled.', { fields: [{ path: 'value', message: 'a value is needed' }] })
    if (act === 'roll') device.roll(value ?? 0)
    if (act === 'squeeze') device.squeeze(value)
    return { ok: true }
  })
}
