import type { DogSheet, TicketSheet } from '@merry-tailor/core'
import { newReader, readFrames } from '@merry-tailor/core'
import { bodySheetFromCsv, readKennelList, type BodySheet } from '@merry-tailor/core/formats'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from './app.ts'
import { StandIn } from './stand-ins/device.ts'
import { AT, nextId, openTestShop, openTicket, reading, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

const put = (url: string, body: unknown) => send(app, 'PUT', url, body)
const patch = (url: string, field: string, from: unknown, to: unknown) => send(app, 'PATCH', url, { changes: [{ field, from, to }] })
const sheetOf = async (id: string) => (await send(app, 'GET', `/api/tickets/${id}`)).body as unknown as TicketSheet
const dogOf = async (id: string, at = app) => (await send(at, 'GET', `/api/dogs/${id}`)).body as unknown as DogSheet

async function measuredDog(name: string): Promise<{ dog: string; ticket: string }> {
  const dog = nextId()
  await put(`/api/dogs/${dog}`, { name, at: AT, weightKg: 20 })
  const ticket = await openTicket(app, { dogId: dog, kind: 'real' })
  for (const [measure, mm] of [
    ['M06', 290],
    ['M06', 292],
    ['M07', 690],
  ] as const) {
    await put(`/api/tickets/${ticket}/readings/${nextId()}`, reading({ measure, mm, side: 'both' }))
  }
  return { dog, ticket }
}

describe('a reading keeps its circumstances', () => {
  it('stores place, definition, school, method, coat, doubt, mark, remark and who held', async () => {
    const ticket = await openTicket(app)
    const whole = reading({
      measure: 'M10',
      mm: 430,
      side: 'both',
      place: 'left',
      definition: 1,
      school: 'A',
      method: 'string',
      coat: 'wet',
      postureDoubt: 'Leaned',
      chalkMark: true,
      remark: 'by lamp',
      heldBy: 'Orrin',
    })
    const id = nextId()
    expect((await put(`/api/tickets/${ticket}/readings/${id}`, whole)).status).toBe(200)
    expect((await sheetOf(ticket)).readings).toEqual([{ ...whole, tracingId: null, dewclaw: null, id, on: '2026-10-05' }])
  })

  it('takes weights in kilograms or pounds and a leg without a dewclaw', async () => {
    const ticket = await openTicket(app)
    const take = (over: object) => put(`/api/tickets/${ticket}/readings/${nextId()}`, reading({ side: 'both', ...over }))
    expect((await take({ measure: 'M00', mm: 24.5, unit: 'kg' })).status).toBe(200)
    expect((await take({ measure: 'M37', mm: 0, place: 'rear-left', dewclaw: 'none', asTyped: 'none' })).status).toBe(200)
    for (const [over, status] of [
      [{ measure: 'M00', mm: 24.5 }, 400],
      [{ measure: 'M07', mm: 700, unit: 'kg' }, 400],
      [{ measure: 'M07', mm: 0 }, 400],
      [{ measure: 'M32', mm: 60 }, 422],
      [{ measure: 'M32', mm: 60, place: 'rear-left' }, 422],
      [{ measure: 'M07', mm: 700, place: 'left' }, 422],
      [{ measure: 'M07', mm: 700, chalkMark: true }, 422],
      [{ measure: 'M36', mm: 90, place: 'rear-left', dewclaw: 'single' }, 422],
    ] as const) {
      expect([over, (await take(over)).status]).toEqual([over, status])
    }
  })
})

describe('numbers as written', () => {
  it('wait, become readings or are struck, and are never readings by themselves', async () => {
    const ticket = await openTicket(app)
    const [first, second, readingId] = [nextId(), nextId(), nextId()]
    const written = { letters: 'A–C', asWritten: '34', came: 'mail', wanted: 'M02', remark: '', at: AT, by: 'Test' }
    await put(`/api/tickets/${ticket}/as-written/${first}`, written)
    await put(`/api/tickets/${ticket}/as-written/${second}`, { ...written, letters: 'length' })
    expect((await sheetOf(ticket)).readings).toEqual([])
    const answer = { readingId, at: AT, by: 'Test' }
    expect((await put(`/api/tickets/${ticket}/as-written/${first}/answer`, answer)).body).toMatchObject({ code: 'unknown-reference' })
    await put(`/api/tickets/${ticket}/readings/${readingId}`, reading({ measure: 'M02', mm: 340, side: 'both' }))
    await put(`/api/tickets/${ticket}/as-written/${first}/answer`, answer)
    await put(`/api/tickets/${ticket}/marks/${nextId()}`, { what: 'as-written', about: second, kind: 'struck', why: 'no answer', at: AT, by: 'Test' })
    expect((await sheetOf(ticket)).asWritten).toMatchObject([{ became: { readingId } }, { letters: 'length', struck: { why: 'no answer' } }])
    expect((await put(`/api/tickets/${ticket}/as-written/${nextId()}`, { ...written, letters: ' ' })).status).toBe(400)
  })
})

describe('shop and fitters', () => {
  it('keeps the shop’s agreements, each against the value seen', async () => {
    expect((await send(app, 'GET', '/api/shop')).body).toMatchObject({ repeat: 'twice', toleranceMm: 10 })
    expect((await patch('/api/shop', 'repeat', 'twice', 'three')).body).toMatchObject({ repeat: 'three' })
    expect((await patch('/api/shop', 'repeat', 'twice', 'twice')).body).toMatchObject({ code: 'stale-edit', conflicts: [{ theirs: 'three' }] })
    expect((await patch('/api/shop', 'toleranceMm', 10, -4)).status).toBe(400)
    expect((await patch('/api/shop', 'nothing', 1, 2)).body).toMatchObject({ code: 'unknown-field' })
    await patch('/api/shop', 'repeat', 'three', 'twice')
  })

  it('takes fitters in once by name, with their fingers', async () => {
    const id = nextId()
    await put(`/api/fitters/${id}`, { name: 'Ylva', at: AT })
    expect((await put(`/api/fitters/${nextId()}`, { name: 'ylva', at: AT })).body).toMatchObject({ code: 'name-taken' })
    const gauge = { indexMm: 15, twoMm: 34, fourMm: 70, handMm: 24, at: AT }
    expect((await patch(`/api/fitters/${id}`, 'gauge', null, gauge)).body).toMatchObject({ gauge })
    expect((await patch(`/api/fitters/${id}`, 'gauge', gauge, { ...gauge, twoMm: 900 })).status).toBe(400)
  })
})

describe('a dog’s record', () => {
  it('keeps notes until they are over, and photographs without place, size-limited', async () => {
    const { dog } = await measuredDog('Tern')
    const note = nextId()
    await put(`/api/dogs/${dog}/notes/${note}`, { kind: 'stitches', text: 'fore pad', on: '2026-09-01', at: AT, by: 'Test' })
    await patch(`/api/dogs/${dog}/notes/${note}`, 'over', null, '2026-09-20')
    const photo = Buffer.concat([
      Buffer.from([0xff, 0xd8]),
      Buffer.from([0xff, 0xe1, 0, 14]),
      Buffer.from('Exif\0\0GPS-in'),
      Buffer.from([0xff, 0xda, 0, 4, 1, 2, 7, 7, 7, 7, 7, 0xff, 0xd9]),
    ])
    const url = (id: string) => `/api/dogs/${dog}/photos/${id}?view=side&at=${encodeURIComponent(AT)}&by=Test`
    const post = (id: string, payload: Buffer, type: string) =>
      app.inject({ method: 'PUT', url: url(id), payload, headers: { host: 'localhost', 'content-type': type } })
    const id = nextId()
    expect((await post(id, photo, 'image/jpeg')).statusCode).toBe(200)
    const kept = await app.inject({ method: 'GET', url: `/api/photos/${id}`, headers: { host: 'localhost' } })
    expect([kept.headers['content-type'], kept.rawPayload.includes('GPS'), kept.rawPayload.length]).toEqual(['image/jpeg', false, photo.length - 16])
    expect((await post(nextId(), Buffer.from('this is no picture at all'), 'image/png')).json()).toMatchObject({ code: 'unsupported-type' })
    expect((await post(nextId(), Buffer.alloc(3 * 1024 * 1024), 'image/jpeg')).json()).toMatchObject({ code: 'too-large' })
    expect((await send(app, 'PUT', url(nextId()), { not: 'a picture' })).body).toMatchObject({ code: 'unsupported-type' })
    const sheet = await dogOf(dog)
    expect(sheet.notes).toMatchObject([{ kind: 'stitches', over: '2026-09-20' }])
    expect(sheet.photos).toMatchObject([{ id, view: 'side' }])
    await send(app, 'DELETE', `/api/dogs/${dog}/photos/${id}`)
    expect((await dogOf(dog)).photos).toEqual([])
  })

  it('says who is to be measured again and who is expected back', async () => {
    const { dog, ticket } = await measuredDog('Pup')
    await patch(`/api/dogs/${dog}`, 'born', null, '2026-08-01')
    await patch(`/api/tickets/${ticket}`, 'nextLookOn', null, '2026-11-20')
    const reminders = (await send(app, 'GET', '/api/reminders?on=2026-11-10')).body as unknown as {
      again: { dog: string; reasons: { code: string }[] }[]
      back: { dog: string; on: string }[]
    }
    expect(reminders.again.find((each) => each.dog === 'Pup')?.reasons[0]?.code).toBe('growing')
    expect(reminders.back).toMatchObject([{ dog: 'Pup', on: '2026-11-20' }])
    expect((await send(app, 'GET', '/api/reminders?on=soon')).status).toBe(400)
  })
})

describe('in and out', () => {
  it('a body sheet brought into another shop is the identity, and twice is once', async () => {
    const { dog, ticket } = await measuredDog('Gull')
    const struck = (await sheetOf(ticket)).readings[0]?.id ?? ''
    await put(`/api/tickets/${ticket}/marks/${nextId()}`, { what: 'reading', about: struck, kind: 'struck', why: 'moved', at: AT, by: 'Test' })
    await put(`/api/dogs/${dog}/notes/${nextId()}`, { kind: 'scar', text: 'flank', on: '2026-01-01', at: AT, by: 'Test' })
    const out = (await send(app, 'GET', `/api/dogs/${dog}/body-sheet.json`)).body as unknown as BodySheet
    const other = await openTestShop()
    const url = `/api/body-sheets/${dog}?ownerId=${nextId()}`
    for (let twice = 0; twice < 2; twice++) expect((await send(other.app, 'PUT', url, out)).body).toMatchObject({ dogId: dog, readings: 3 })
    expect((await send(other.app, 'GET', `/api/dogs/${dog}/body-sheet.json`)).body).toEqual(out)
    // One bad reading: nothing of the sheet is kept.
    const bad = structuredClone(out)
    bad.dog.id = nextId()
    bad.visits[0]!.ticketId = nextId()
    bad.visits[0]!.readings[0]!.place = 'index'
    expect((await send(other.app, 'PUT', `/api/body-sheets/${bad.dog.id}?ownerId=${nextId()}`, bad)).status).toBeGreaterThanOrEqual(400)
    expect((await send(other.app, 'GET', `/api/dogs/${bad.dog.id}`)).status).toBe(404)
    const csv = await app.inject({ method: 'GET', url: `/api/dogs/${dog}/body-sheet.csv`, headers: { host: 'localhost' } })
    expect(csv.headers['content-type']).toContain('text/csv')
    expect(bodySheetFromCsv(csv.body)).toEqual({ ok: true, value: out })
    const list = await app.inject({ method: 'GET', url: '/api/kennel-list.csv', headers: { host: 'localhost' } })
    expect(readKennelList(list.body, { unit: 'cm', at: AT, by: '' }).rows.find((row) => row.cells.name === 'Gull')?.cells).toMatchObject({
      'M06 cm': '29.2',
      'M07 cm': '69',
    })
    await other.close()
  })

  it('a kennel list goes in whole or not at all', async () => {
    const row = (name: string, measure = 'M07') => ({
      dog: { name },
      owner: 'Yard',
      id: nextId(),
      ownerId: nextId(),
      ticketId: nextId(),
      readingIds: [nextId()],
      readings: [{ ...reading({ mm: 700, side: 'both' }), measure }],
    })
    const list = { at: AT, by: 'Test', dogs: [row('One'), row('Two'), row('Three')] }
    const before = ((await send(app, 'GET', '/api/dogs')).body as unknown as unknown[]).length
    const bad = { ...list, dogs: [...list.dogs, row('Four', 'M32')] }
    expect((await send(app, 'POST', '/api/kennel-list', bad)).body).toMatchObject({ code: 'not-takeable' })
    expect((await send(app, 'GET', '/api/dogs')).body).toHaveLength(before)
    expect((await send(app, 'POST', '/api/kennel-list', list)).body).toEqual({ dogs: 3, readings: 3 })
    expect((await send(app, 'POST', '/api/kennel-list', list)).status).toBe(200)
    expect((await send(app, 'GET', '/api/dogs')).body).toHaveLength(before + 3)
    // The owner, three dogs, a ticket under each.
    expect((await send(app, 'GET', '/api/find?q=yard')).body).toHaveLength(7)
  })
})

describe('the interface’s own description', () => {
  it('has every route in it, and its schemas', async () => {
    const routes: string[] = []
    // Built anew with a witness: every route that is registered must be described.
    const watched = await buildApp({
      database: ':memory:',
      onRoute: (route) => routes.push(`${route.method.toString().toLowerCase()} ${route.url.replace(/:(\w+)/g, '{$1}')}`),
    })
    const document = (await watched.inject({ url: '/api/openapi.json', headers: { host: 'localhost' } })).json<{
      openapi: string
      paths: Record<string, Record<string, unknown>>
    }>()
    await watched.close()
    const described = Object.entries(document.paths).flatMap(([path, methods]) => Object.keys(methods).map((method) => `${method} ${path}`))
    expect(document.openapi).toBe('3.1.0')
    expect(routes.filter((route) => route.includes('/api/') && !route.startsWith('head ')).filter((route) => !described.includes(route))).toEqual([])
    expect(described.length).toBeGreaterThan(40)
    expect(JSON.stringify(document.paths['/api/tickets/{id}/readings/{partId}'])).toContain('chalkMark')
    expect((await send(app, 'GET', '/api/schemas/body-sheet-1.json')).body).toMatchObject({ properties: { format: { const: 'merry-tailor/body-sheet' } } })
  })
})

describe('the simulated devices', () => {
  it('speak the real protocol, with jitter, drop-outs and a failing battery', () => {
    const tape = new StandIn('TAPE7', 'mm')
    let reader = newReader()
    const frames: { value: number; event: string; battery: number; unit: string }[] = []
    let dropped = 0
    tape.listen((bytes) => {
      const read = readFrames(reader, bytes)
      reader = read.reader
      dropped += read.dropped
      frames.push(...read.frames)
    })
    tape.roll(298.6)
    tape.squeeze()
    expect(frames.map((frame) => [frame.event, frame.value])).toEqual([
      ['live', 298.6],
      ['squeeze', 298.6],
    ])
    tape.set({ jitter: 2, dropOuts: 0.3, battery: 9, unit: 'cm' })
    for (let i = 0; i < 200; i++) tape.squeeze(30)
    const later = frames.slice(2)
    expect(later.length).toBeGreaterThan(150)
    expect(dropped).toBeGreaterThan(10)
    expect(new Set(later.map((frame) => frame.value)).size).toBeGreaterThan(50)
    expect(later.every((frame) => frame.battery === 9 && frame.unit === 'cm' && Math.abs(frame.value - 30) < 6)).toBe(true)
  })

  it('are rolled and squeezed over the interface, and bad wishes are refused', async () => {
    const act = (body: unknown) => send(app, 'POST', '/api/stand-ins/tape', body)
    expect((await act({ act: 'squeeze', value: 300 })).status).toBe(200)
    expect((await act({ act: 'roll' })).status).toBe(400)
    expect((await act({ act: 'roll', value: -1 })).status).toBe(400)
    expect((await send(app, 'POST', '/api/stand-ins/lamp', { act: 'set' })).status).toBe(400)
  })
})

describe('the form of a dog', () => {
  it('comes out as JSON, CSV and a plate in true scale, from the newest tapes', async () => {
    const { dog } = await measuredDog('Fulmar')
    const json = (await send(app, 'GET', `/api/dogs/${dog}/form.json`)).body as unknown as { dog: string; measures: { measure: string; read: number | null }[] }
    expect(json.dog).toBe('Fulmar')
    expect(json.measures.filter(({ read }) => read !== null).map(({ measure, read }) => [measure, read])).toEqual([
      ['M06', 291],
      ['M07', 690],
    ])
    const get = (what: string) => app.inject({ url: `/api/dogs/${dog}/${what}`, headers: { host: 'localhost' } })
    const csv = await get('form.csv')
    expect([csv.statusCode, csv.headers['content-type'], csv.body.split('\r\n').filter(Boolean).length]).toEqual([
      200,
      'text/csv; charset=utf-8',
      json.measures.length + 1,
    ])
    const svg = await get('side-plate.svg')
    expect(svg.headers['content-disposition']).toContain('attachment; filename="Fulmar-form.svg"; filename*=UTF-8')
    expect(svg.body).toContain('Fulmar, side plate in true scale')
  })

  it('is the middle dog of a dog nobody measured, and nothing of a dog nobody knows', async () => {
    const dog = nextId()
    await put(`/api/dogs/${dog}`, { name: 'Dunlin', at: AT })
    expect((await send(app, 'GET', `/api/dogs/${dog}/form.json`)).status).toBe(200)
    expect((await send(app, 'GET', `/api/dogs/${nextId()}/form.json`)).status).toBe(404)
    expect((await send(app, 'GET', '/api/dogs/no-dog/side-plate.svg')).status).toBe(400)
  })
})
