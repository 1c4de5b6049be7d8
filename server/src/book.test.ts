import Database from 'better-sqlite3'
import type { FastifyInstance } from 'fastify'
import { createHash } from 'node:crypto'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from './app.ts'
import { whichStay } from './copies/which-stay.ts'
import { isDue } from './copies/nightly.ts'
import { openDatabase } from './db/open.ts'
import { markOpen, openElsewhere } from './one-at-a-time.ts'
import { AT, nextId, openTestShop, openTicket, piece, reading, round, send, sizeChoice, sizeTable } from './test/shop.ts'

const LINES = { 'content-type': 'application/x-ndjson' }
/** As little of a JPEG as makes one. */
const JPEG = Buffer.from([0xff, 0xd8, 0xff, 0xda, 0, 4, 1, 2, ...Array.from({ length: 24 }, () => 7), 0xff, 0xd9])

let app: FastifyInstance
let close: () => Promise<void>
let ticket: string
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
  const [dog, item, roundId, owner] = [nextId(), nextId(), nextId(), nextId()]
  await send(app, 'PUT', '/api/size-tables/test-table/1', sizeTable())
  await send(app, 'PUT', `/api/owners/${owner}`, { name: 'Runa', at: AT })
  await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Gull', ownerId: owner, at: AT })
  const photo = await app.inject({
    method: 'PUT',
    url: `/api/dogs/${dog}/photos/${nextId()}?view=side&at=${AT}&by=Test`,
    headers: { host: 'localhost', 'content-type': 'image/jpeg' },
    payload: JPEG,
  })
  expect(photo.body).toContain('image/jpeg')
  await send(app, 'PUT', `/api/fitters/${nextId()}`, { name: 'Ylva', at: AT })
  await send(app, 'PATCH', '/api/shop', { changes: [{ field: 'name', from: '', to: 'The quay' }] })
  ticket = await openTicket(app, { dogId: dog, kind: 'real' })
  const base = `/api/tickets/${ticket}`
  await send(app, 'PUT', `${base}/items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT })
  const taken = nextId()
  await send(app, 'PUT', `${base}/readings/${taken}`, reading())
  await send(app, 'PUT', `${base}/marks/${nextId()}`, { what: 'reading', about: taken, kind: 'struck', why: 'moved', at: AT, by: 'Test' })
  await send(app, 'PUT', `${base}/choices/${nextId()}`, sizeChoice(item))
  await send(app, 'PUT', `${base}/try-ons/${roundId}`, round(item))
  await send(app, 'PUT', `${base}/try-ons/${roundId}/symptoms/${nextId()}`, {
    symptom: 'S25',
    remedy: 'equalise-left-and-right',
    present: true,
    at: AT,
    by: '',
  })
  const [rig, setUp] = [nextId(), nextId()]
  await send(app, 'PUT', `/api/rigs/${rig}`, {
    name: 'Cart', kind: 'cart', massKg: 14, massAheadMm: 0, massHeightMm: 320, axleMm: 250, trackMm: 620, wheelbaseMm: null, lockRad: null,
    shafts: { aheadMm: 1150, levelMm: 450, thickMm: 25, stopMm: 45 }, hitch: { aheadMm: 300, heightMm: 285 }, bar: { widthMm: 400, swings: true },
    bed: { fromMm: -400, toMm: 360, heightMm: 390 }, brake: false, notes: '', at: AT,
  }) // prettier-ignore
  const place = { aheadMm: -90, leftMm: 260, upMm: 620 }
  const seat = { name: 'Rear left', row: 'rear', outlet: place, buckle: place, frontSeatMm: 780, cushionMm: 500, airBag: 'none' }
  await send(app, 'PUT', `/api/cars/${nextId()}`, { name: 'Estate', ownerId: owner, seats: [seat], notes: '', at: AT })
  await send(app, 'PUT', `/api/dogs/${dog}/outings/${nextId()}`, {
    on: '2026-03-01',
    rung: 'load',
    calm: false,
    loadKg: 8.5,
    minutes: 12,
    rigId: rig,
    note: 'x',
    at: AT,
    by: '',
  })
  await send(app, 'PUT', `${base}/set-ups/${setUp}`, {
    itemId: item, pieceId: null, rigId: rig, loads: [], surface: 'sand', gradePercent: 0, lasts: 'long', loopMm: null, hitchMm: 291, rearMm: { left: 0, right: 0 },
    route: [{ lengthM: 90, surface: 'sand', gradePercent: 1 }], pair: null, minutes: {}, at: AT, by: '',
  }) // prettier-ignore
  await send(app, 'PUT', `${base}/choices/${nextId()}`, {
    kind: 'set-up',
    setUpId: setUp,
    itemId: item,
    predicted: [],
    rulesVersion: null,
    overruled: null,
    at: AT,
    by: '',
  })
  await send(app, 'PUT', `${base}/hitches/${nextId()}`, { where: 'sled', heightMm: 200, lineMm: 3000, family: null, at: AT, by: '' })
  await send(app, 'PUT', `/api/pieces/${nextId()}`, piece({ flat: { M07: [600, 700] }, wearerId: dog }))
})
afterAll(() => close())

const copyOf = async (from: FastifyInstance): Promise<string> => (await send(from, 'GET', '/api/book')).text
const records = (copy: string): string[] => copy.trim().split('\n').slice(1)
const bring = (to: FastifyInstance, copy: string, replace = 'yes') => send(to, 'PUT', `/api/book?replace=${replace}`, copy, LINES)
/** A copy with one of its records changed, and its head made to fit: a tampered one, not a damaged one. */
function tampered(copy: string, change: (table: string, record: Record<string, unknown>) => void): string {
  const [head = '', ...lines] = copy.trim().split('\n')
  const next = lines.map((line) => {
    const [table, record] = JSON.parse(line) as [string, Record<string, unknown>]
    change(table, record)
    return JSON.stringify([table, record])
  })
  const hash = createHash('sha256')
  for (const line of next) hash.update(line).update('\n')
  return [JSON.stringify({ ...(JSON.parse(head) as object), sha256: hash.digest('hex') }), ...next, ''].join('\n')
}

describe('a copy of the book', () => {
  it('says whose, of when, how much, and comes back the same, with every photograph and write', async () => {
    const copy = await copyOf(app)
    const head = JSON.parse(copy.split('\n')[0] ?? '') as Record<string, unknown>
    expect(head).toMatchObject({
      format: 'merry-tailor/book',
      version: 4,
      epoch: 1,
      shop: 'The quay',
      counts: { dogs: 1, photos: 1, readings: 1, marks: 1, hitches: 1 },
    })
    const other = await openTestShop()
    expect((await bring(other.app, copy, 'no')).status).toBe(200)
    expect(records(await copyOf(other.app))).toEqual(records(copy))
    expect((await send(other.app, 'GET', '/api/find?q=gull')).body).toHaveLength(2)
    expect(() => other.app.desk.db.exec('DELETE FROM readings')).toThrow(/never deleted/)
    await other.close()
  })

  it('C07 is not brought back over a shop that has gear only, unless that is said', async () => {
    const other = await openTestShop()
    await send(other.app, 'PUT', `/api/pieces/${nextId()}`, piece())
    expect((await bring(other.app, await copyOf(app), 'no')).body).toMatchObject({ code: 'shop-not-empty' })
    expect((await send(other.app, 'GET', '/api/pieces')).body).toHaveLength(1)
    await other.close()
  })

  it('A03 raises the epoch, says what here is newer, and gives no number twice', async () => {
    const other = await openTestShop()
    const copy = await copyOf(app)
    await bring(other.app, copy, 'no')
    const head = JSON.parse(copy.split('\n')[0] ?? '') as Record<string, unknown>
    const before = await send(other.app, 'GET', '/api/health')
    const late = await openTicket(other.app, { at: new Date(Date.now() + 60_000).toISOString() })
    await send(other.app, 'PUT', `/api/tickets/${late}/readings/${nextId()}`, reading({ takenAt: new Date(Date.now() + 60_000).toISOString() }))
    const number = (id: string) =>
      send(other.app, 'GET', `/api/tickets/${id}`).then(({ body }) => (body as unknown as { ticket: { number: number } }).ticket.number)
    const given = await number(late)
    expect((await send(other.app, 'POST', '/api/book/look', head)).body).toMatchObject({ shop: 'The quay', same: true, newer: { readings: 1, tickets: 1 } })
    const write = nextId()
    const lost = { name: 'Lost', at: AT }
    await send(other.app, 'PUT', `/api/owners/${nextId()}`, lost, { 'merry-write': write })
    expect((await bring(other.app, copy)).status).toBe(200)
    const after = await send(other.app, 'GET', '/api/health')
    expect(after.headers['merry-book']).toBe(before.headers['merry-book'])
    expect(Number(after.headers['merry-epoch'])).toBe(Number(before.headers['merry-epoch']) + 1)
    expect(await number(await openTicket(other.app))).toBeGreaterThan(given)
    // A write it has lost is done, not answered as known.
    const owner = nextId()
    expect((await send(other.app, 'PUT', `/api/owners/${owner}`, lost, { 'merry-write': write })).status).toBe(200)
    expect((await send(other.app, 'GET', `/api/owners/${owner}`)).status).toBe(200)
    await other.close()
  })

  it('A06 is read through the schemas: with one wrong cell nothing of it comes in', async () => {
    const copy = await copyOf(app)
    const whole = records(copy)
    const changes: [string, (table: string, record: Record<string, unknown>) => void][] = [
      ['activities', (table, record) => table === 'tickets' && (record['activities'] = null)],
      ['takenAt', (table, record) => table === 'readings' && (record['takenAt'] = 'yesterday')],
      ['number', (table, record) => table === 'tickets' && (record['number'] = 9e15)],
      ['views', (table, record) => table === 'shop' && (record['fields'] = { views: null })],
      ['document', (table, record) => table === 'size_tables' && (record['document'] = {})],
      ['unit', (table, record) => table === 'readings' && (record['unit'] = 'parsec')],
      ['family', (table, record) => table === 'items' && (record['family'] = 'ZZZ')],
      ['pieceId', (table, record) => table === 'choices' && Object.assign(record, { kind: 'gear', what: { pieceId: 'none' } })],
      ['ticketId', (table, record) => table === 'readings' && (record['ticketId'] = nextId())],
      ['photograph', (table, record) => table === 'photos' && (record['picture'] = Buffer.from('<script>').toString('base64'))],
    ]
    for (const [what, change] of changes) {
      const answer = await bring(app, tampered(copy, change))
      expect([what, answer.status, answer.body.code]).toEqual([what, 422, 'bad-document'])
      expect(records(await copyOf(app))).toEqual(whole)
    }
  })

  it('A06 gives a photograph the type of its bytes, and lets no script in it run', async () => {
    const other = await openTestShop()
    const copy = tampered(await copyOf(app), (table, record) => table === 'photos' && (record['type'] = 'text/html'))
    expect((await bring(other.app, copy, 'no')).status).toBe(200)
    const { id } = other.app.desk.db.prepare<[], { id: string }>('SELECT id FROM photos').get()!
    const { headers } = await other.app.inject({ url: `/api/photos/${id}`, headers: { host: 'localhost' } })
    expect([headers['content-type'], headers['content-security-policy']]).toEqual(['image/jpeg', "sandbox; default-src 'none'"])
    await other.close()
  })

  it('A28 tells a newer copy, a cut one and a damaged one apart', async () => {
    const copy = await copyOf(app)
    const [head = ''] = copy.split('\n')
    const says = async (text: string) => String((await bring(app, text)).body.detail)
    expect(await says(copy.replace('"version":4', '"version":5'))).toContain('made by a newer Merry Tailor')
    expect(await says(copy.slice(0, -40))).toContain('ends in the middle')
    expect(await says(`${copy.split('\n').slice(0, 5).join('\n')}\n`)).toContain('ends in the middle')
    expect(await says(copy.replace('Gull', 'Gall'))).toContain('damaged or changed')
    expect(await says('{"format":"other"}\n')).toContain('no copy')
    expect(await says('')).toContain('empty')
    expect((await send(app, 'PUT', '/api/book?replace=yes', head.slice(0, 60), { 'content-type': 'application/json' })).body).toMatchObject({
      detail: 'This file ends in the middle.',
    })
    expect((await send(app, 'PUT', '/api/book?replace=yes', { format: 'merry-tailor/book', version: 9, tables: {} })).body).toMatchObject({
      detail: expect.stringContaining('newer Merry Tailor'),
    })
  })
})

describe('a book of before', () => {
  const folder = mkdtempSync(join(tmpdir(), 'merry-before-'))
  afterAll(() => rmSync(folder, { recursive: true, force: true }))
  const steps = (upTo: number): string => {
    const to = join(folder, `steps-${upTo}`)
    mkdirSync(to, { recursive: true })
    const from = join(import.meta.dirname, 'db', 'migrations')
    for (const name of readdirSync(from).filter((each) => each.endsWith('.sql') && Number(each.slice(0, 4)) <= upTo))
      writeFileSync(join(to, name), readFileSync(join(from, name)))
    return to
  }
  const [dog, item, item2, tryOn] = Array.from({ length: 4 }, nextId) as [string, string, string, string]
  const old = nextId()
  /** A shop as the third step left it, with something in every table that changes. */
  const fill = (file: string): void => {
    const db = openDatabase(file, steps(3))
    db.exec(`
      INSERT INTO dogs (id, name, created_at) VALUES ('${dog}', 'Tern', '${AT}');
      INSERT INTO size_tables VALUES ('y', 1, '${JSON.stringify(sizeTable({ id: 'y' }))}', '${AT}');
      INSERT INTO tickets (id, number, dog_id, counter, activities, created_at, state) VALUES ('${old}', 140, '${dog}', 0, '["sled-team"]', '${AT}', 'closed');
      INSERT INTO items (id, ticket_id, family, way, created_at) VALUES ('${item}', '${old}', 'H01', 'stock', '${AT}'), ('${item2}', '${old}', 'H11', 'made', '${AT}');
      INSERT INTO readings (id, ticket_id, measure, mm, side, as_typed, unit, method, taken_at, by_whom, place) VALUES
        ('${nextId()}', '${old}', 'M48', 210, 'both', '210', 'mm', 'tape', '${AT}', 'Ylva', 'height'), ('${nextId()}', '${old}', 'M48', 2900, 'both', '2900', 'mm', 'tape', '${AT}', 'Ylva', 'line');
      INSERT INTO choices VALUES ('${nextId()}', '${old}', '${item}', 'y', 1, '["M"]', 'L', 'short coat', '${AT}', 'Ylva'), ('${nextId()}', '${old}', '${item2}', 'y', 1, '["To measure"]', NULL, NULL, '${AT}', 'Ylva');
      INSERT INTO try_ons VALUES ('${tryOn}', '${old}', '${item}', 'y', 1, 'M', '', '${AT}', 'Ylva'), ('${nextId()}', '${old}', '${item}', '', NULL, 'Old blue', '', '${AT}', 'Ylva');
      INSERT INTO observations VALUES ('${nextId()}', '${tryOn}', 'no-sway', 'slack', 'holds', '', NULL, NULL, '${AT}', 'Ylva');
      INSERT INTO symptom_notes VALUES ('${nextId()}', '${tryOn}', 'S28', 1, 1, '${AT}', 'Ylva');
    `)
    db.close()
  }
  const whole = async (shop: FastifyInstance): Promise<void> => {
    const sheet = (await send(shop, 'GET', `/api/tickets/${old}`)).body as unknown as Record<string, unknown>
    expect(sheet).toMatchObject({
      ticket: { number: 140, kind: 'real', state: 'closed', closedAt: AT },
      choices: [
        { kind: 'size', labels: ['M'], overruled: { advised: 'L', why: 'short coat' }, rulesVersion: null },
        { kind: 'made', tableId: 'y', numbers: {} },
      ],
      tryOns: [
        {
          label: 'M',
          of: { choiceId: (sheet['choices'] as { id: string }[])[0]!.id },
          observations: [{ check: 'no-sway' }],
          symptoms: [{ symptom: 'S28', remedy: 'next-size-up' }],
        },
        { label: 'Old blue', of: { named: true } },
      ],
      hitches: [{ where: 'sled', heightMm: 210, lineMm: 2900, by: 'Ylva' }],
      readings: [{ measure: 'M48' }, { measure: 'M48' }],
    })
    expect((await send(shop, 'GET', `/api/tickets/${await openTicket(shop)}`)).body).toMatchObject({ ticket: { number: 141 } })
  }

  it('opens through forward migrations, is copied first, and shows the same', async () => {
    const file = join(folder, 'shop.sqlite')
    fill(file)
    const shop = await buildApp({ database: file })
    await whole(shop)
    await shop.close()
    const [copy = ''] = readdirSync(join(folder, 'copies'))
    const before = new Database(join(folder, 'copies', copy), { readonly: true })
    expect([before.pragma('user_version', { simple: true }), before.prepare('SELECT count(*) AS n FROM choices').get()]).toEqual([3, { n: 2 }])
    before.close()
  })

  it('opens a book of the first version with something in every table, and shows all of it', async () => {
    const file = join(folder, 'first.sqlite')
    const [owner, kept, slip, round, gone] = Array.from({ length: 5 }, nextId) as [string, string, string, string, string]
    const first = openDatabase(file, steps(1))
    first.exec(`
      INSERT INTO owners VALUES ('${owner}', 'Runa', 'by phone', 'late', '${AT}');
      INSERT INTO dogs VALUES ('${dog}', 'Tern', 'Whippet', '', 'female', '2021-04-02', NULL, NULL, 13.5, 'smooth', 0, 1, 'Leans.', '${owner}', '${AT}');
      INSERT INTO tickets VALUES ('${old}', 7, '${dog}', NULL, 0, '["stroll"]', '2026-12-01', '2026-11-20', '2026-12-05', 'mind the ears', 'open', NULL, '${AT}', 'Ylva');
      INSERT INTO items VALUES ('${item}', '${old}', 'H01', 'stock', NULL, 0, '${AT}'), ('${item2}', '${old}', 'H11', 'made', 'B', 1, '${AT}');
      INSERT INTO readings VALUES ('${kept}', '${old}', 'M07', 612, 'both', '61,2', 'cm', 'tape', '${AT}', 'Ylva'), ('${slip}', '${old}', 'M07', 721, 'both', '72,1', 'cm', 'tape', '${AT}', 'Ylva');
      INSERT INTO strikes VALUES ('${slip}', 'misread', '${AT}', 'Orrin');
      INSERT INTO size_tables VALUES ('y', 1, '${JSON.stringify(sizeTable({ id: 'y' }))}', '${AT}');
      INSERT INTO choices VALUES ('${nextId()}', '${old}', '${item}', 'y', 1, '["M"]', NULL, NULL, '${AT}', 'Ylva');
      INSERT INTO try_ons VALUES ('${round}', '${old}', '${item}', 'y', 1, 'M', 'let out', '${AT}', 'Ylva');
      INSERT INTO observations VALUES ('${nextId()}', '${round}', 'under-every-strap', 'slack', 'holds', '2', NULL, 2, '${AT}', 'Ylva');
      INSERT INTO symptom_notes VALUES ('${gone}', '${round}', 'S26', 0, 1, '${AT}', 'Ylva');
      INSERT INTO acknowledgements VALUES ('${nextId()}', '${old}', 'stop', 'sparing', 'Spare it.', 'vet agrees', '${AT}', 'Ylva');
    `)
    const filled = first
      .prepare<[], { name: string }>("SELECT name FROM sqlite_schema WHERE type = 'table'")
      .all()
      .filter(({ name }) => (first.prepare<[], { n: number }>(`SELECT count(*) AS n FROM ${name}`).get()?.n ?? 0) === 0)
    expect(filled).toEqual([])
    first.close()
    const shop = await buildApp({ database: file })
    expect((await send(shop, 'GET', `/api/tickets/${old}`)).body).toMatchObject({
      ticket: { number: 7, neededOn: '2026-12-01', promisedOn: '2026-11-20', nextLookOn: '2026-12-05', notes: 'mind the ears', activities: ['stroll'], kind: 'real' },
      dog: { name: 'Tern', breed: 'Whippet', sex: 'female', born: '2021-04-02', weightKg: 13.5, coat: 'smooth', flatFace: false, sparing: true, notes: 'Leans.' },
      owner: { name: 'Runa', contact: 'by phone', notes: 'late' },
      items: [{ family: 'H01', removed: false }, { family: 'H11', school: 'B', removed: true }],
      readings: [{ id: kept, mm: 612, asTyped: '61,2', definition: 1 }, { id: slip, struck: { why: 'misread', by: 'Orrin' } }],
      choices: [{ kind: 'size', tableId: 'y', labels: ['M'], predicted: [], rulesVersion: null }],
      tryOns: [{ label: 'M', changed: 'let out', observations: [{ check: 'under-every-strap', grade: 'holds', fingers: 2 }], symptoms: [{ id: gone, symptom: 'S26', remedy: 'lengthen', present: true }] }],
      acknowledgements: [{ kind: 'stop', code: 'sparing', reason: 'vet agrees' }],
    }) // prettier-ignore
    expect((await send(shop, 'GET', '/api/size-tables')).body).toMatchObject([{ id: 'y', version: 1 }])
    await shop.close()
  })

  it('comes back from a copy of the third version, in one piece', async () => {
    const file = join(folder, 'old.sqlite')
    fill(file)
    const db = new Database(file)
    const tables = Object.fromEntries(
      db
        .prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'table' AND name <> 'search_words'")
        .all()
        .map(({ name }) => [name, db.prepare(`SELECT * FROM ${name}`).all()]),
    )
    db.close()
    const other = await openTestShop()
    expect((await send(other.app, 'PUT', '/api/book?replace=no', { format: 'merry-tailor/book', version: 3, tables })).status).toBe(200)
    await whole(other.app)
    expect(
      (
        await send(other.app, 'PUT', '/api/book?replace=yes', {
          format: 'merry-tailor/book',
          version: 3,
          tables: { ...tables, dogs: [{ id: 'd', tail: 'long' }] },
        })
      ).body,
    ).toMatchObject({ code: 'bad-document' })
    await other.close()
  })
})

describe('the copies in the drawer', () => {
  it('A04 are made with everything in them, checked, and one is brought back in one act', async () => {
    const other = await openTestShop()
    await bring(other.app, await copyOf(app), 'no')
    const { body } = await send(other.app, 'POST', '/api/copies')
    const [copy] = (body as unknown as { copies: { name: string; records: number }[] }).copies
    expect(copy?.name).toMatch(/^book-\d{4}-\d\d-\d\d\.sqlite$/)
    const records = copy!.records
    expect(records).toBeGreaterThan(10)
    await openTicket(other.app)
    expect((await send(other.app, 'PUT', `/api/copies/${copy!.name}/bring-back`)).body).toMatchObject({ code: 'shop-not-empty' })
    expect((await send(other.app, 'PUT', `/api/copies/${copy!.name}/bring-back?replace=yes`)).status).toBe(200)
    expect((await send(other.app, 'GET', '/api/tickets?state=all')).body).toHaveLength(1)
    const after = (await send(other.app, 'GET', '/api/copies')).body as unknown as { copies: { name: string }[] }
    expect(after.copies.some(({ name }) => name.includes('before-bringing-back'))).toBe(true)
    expect((await send(other.app, 'GET', '/api/copies/book-2020-01-01.sqlite')).status).toBe(404)
    await other.close()
  })

  it('say so when the folder cannot be written', async () => {
    const other = await openTestShop()
    await send(other.app, 'PATCH', '/api/shop', { changes: [{ field: 'copyFolder', from: '', to: '/dev/null/copies' }] })
    expect(await send(other.app, 'POST', '/api/copies')).toMatchObject({ status: 503, body: { detail: expect.stringContaining('/dev/null/copies') } })
    expect((await send(other.app, 'GET', '/api/copies')).body).toMatchObject({ failure: expect.any(String) })
    await other.close()
  })

  it('stay for seven days, four weeks and twelve months', () => {
    const days = Array.from({ length: 500 }, (_, i) => new Date(Date.UTC(2026, 10, 27) - i * 86_400_000).toISOString().slice(0, 10))
    const stay = whichStay(days)
    expect(stay.slice(-7)).toEqual(days.slice(0, 7).reverse())
    expect(stay.length).toBeLessThanOrEqual(7 + 4 + 12)
    expect(stay).toEqual(expect.arrayContaining(['2026-11-22', '2026-10-31', '2025-12-31']))
    expect(stay[0]).toBe('2025-12-31')
    expect(whichStay([])).toEqual([])
  })

  it('are due in the night after the last, and at once after a night asleep', () => {
    const at = (text: string): Date => new Date(text)
    expect(isDue(undefined, at('2026-11-27T12:00:00Z'), 'UTC')).toBe(true)
    expect(isDue('2026-11-26T02:10:00Z', at('2026-11-26T23:00:00Z'), 'UTC')).toBe(false)
    expect(isDue('2026-11-26T02:10:00Z', at('2026-11-27T01:00:00Z'), 'UTC')).toBe(false)
    expect(isDue('2026-11-26T02:10:00Z', at('2026-11-27T02:05:00Z'), 'UTC')).toBe(true)
    expect(isDue('2026-11-26T02:10:00Z', at('2026-11-27T11:30:00Z'), 'America/Anchorage')).toBe(true)
  })
})

it('A13 a book that is open already says where, and a mark left by a killed server counts for nothing', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'merry-open-'))
  const file = join(folder, 'shop.sqlite')
  expect(await openElsewhere(file)).toBeNull()
  writeFileSync(`${file}.open`, JSON.stringify({ pid: 2 ** 22 - 1, address: 'http://127.0.0.1:1' }))
  expect(await openElsewhere(file)).toBeNull()
  const other = await openTestShop()
  const address = await other.app.listen({ host: '127.0.0.1', port: 0 })
  writeFileSync(`${file}.open`, JSON.stringify({ pid: process.ppid, address }))
  expect(await openElsewhere(file)).toBe(address)
  await other.close()
  const unmark = markOpen(file, 'http://127.0.0.1:2')
  expect(await openElsewhere(file)).toBeNull()
  unmark()
  expect(readdirSync(folder)).toEqual([])
  rmSync(folder, { recursive: true, force: true })
})
