import { readFileSync, existsSync } from 'node:fs'
import type { FastifyInstance } from 'fastify'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { attachment } from './dog-form.ts'
import { AT, nextId, openTestShop, send } from './test/shop.ts'

let app: FastifyInstance
let file: string
let close: () => Promise<void>
beforeEach(async () => {
  ;({ app, file, close } = await openTestShop())
})
afterEach(() => close())

/** A JPEG of nothing but its marks, with a word in its picture data. */
const jpeg = (word: string): Buffer =>
  Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xda, 0x00, 0x04, 0x01, 0x02]), Buffer.from(word.repeat(60)), Buffer.from([0xff, 0xd9])])
const aDog = async (name = 'Tern'): Promise<string> => {
  const id = nextId()
  await send(app, 'PUT', `/api/dogs/${id}`, { name, at: AT })
  return id
}

describe('what is taken out is gone', () => {
  it('A11 a photograph’s bytes are in no file of the book after it was taken out, and a browser asks each time', async () => {
    const [dog, id, word] = [await aDog(), nextId(), 'a-picture-nobody-may-keep']
    const url = `/api/dogs/${dog}/photos/${id}`
    const host = { host: 'localhost' }
    await app.inject({ method: 'PUT', url: `${url}?view=side&at=${encodeURIComponent(AT)}&by=Test`, headers: { ...host, 'content-type': 'image/jpeg' }, payload: jpeg(word) }) // prettier-ignore
    const inFiles = (): boolean => ['', '-wal'].some((end) => existsSync(`${file}${end}`) && readFileSync(`${file}${end}`).includes(word))
    expect(inFiles()).toBe(true)
    const seen = await app.inject({ method: 'GET', url: `/api/photos/${id}`, headers: host })
    expect([seen.statusCode, seen.headers['cache-control']]).toEqual([200, 'private, no-cache'])
    const again = await app.inject({ method: 'GET', url: `/api/photos/${id}`, headers: { ...host, 'if-none-match': String(seen.headers.etag) } })
    expect([again.statusCode, again.body]).toEqual([304, ''])
    const gone = await app.inject({ method: 'DELETE', url, headers: host })
    expect(gone.headers['clear-site-data']).toBe('"cache"')
    expect(inFiles()).toBe(false)
    expect((await app.inject({ method: 'GET', url: `/api/photos/${id}`, headers: { ...host, 'if-none-match': String(seen.headers.etag) } })).statusCode).toBe(404) // prettier-ignore
    expect((await app.inject({ method: 'GET', url: '/api/dogs', headers: host })).headers['cache-control']).toBe('no-store')
  })
})

describe('names say what they say', () => {
  it('A12 signs that turn the order round, and controls, are dropped; notes keep their lines', async () => {
    const dog = nextId()
    const { body } = await send(app, 'PUT', `/api/dogs/${dog}`, { name: '\u202eTe\u0000rn\u2069\nthe\tsecond ', breed: 'Border\u200f Collie', notes: 'one\n\u202etwo', at: AT }) // prettier-ignore
    expect(body).toMatchObject({ name: 'Tern the second', breed: 'Border Collie', notes: 'one\ntwo' })
    expect((await send(app, 'PUT', `/api/dogs/${nextId()}`, { name: '\u202e\u200f', at: AT })).status).toBe(400)
  })

  it('A25 a document is called by the name as it is written, beside one that every system takes', async () => {
    expect(attachment('Zoë / Łajka "7"', 'form.json', '2026-11-28')).toBe(
      `attachment; filename="Zoe-ajka-7-form.json"; filename*=UTF-8''Zo%C3%AB%20%C5%81ajka%207%202026-11-28%20form.json`,
    )
    expect(attachment('ライカ', 'form.json', '2026-11-28')).toContain(`filename*=UTF-8''${encodeURIComponent('ライカ')}%202026-11-28`)
    const dog = await aDog('Łajka')
    const answer = await app.inject({ method: 'GET', url: `/api/dogs/${dog}/body-sheet.json`, headers: { host: 'localhost' } })
    expect(answer.headers['content-disposition']).toMatch(/filename\*=UTF-8''%C5%81ajka%20\d{4}-\d\d-\d\d%20body-sheet\.json$/)
  })

  it('A20 a search of hundreds of words looks up the first six different ones', async () => {
    const dog = await aDog('Quill')
    const found = async (words: string) => ((await send(app, 'GET', `/api/find?q=${encodeURIComponent(words)}`)).body as unknown as { id: string }[]).map(({ id }) => id) // prettier-ignore
    expect(await found('quill quill QUILL')).toContain(dog)
    // Words past the sixth are not asked: they hide nothing.
    expect(await found('quill '.repeat(6))).toContain(dog)
    expect((await app.inject({ method: 'GET', url: `/api/find?q=${encodeURIComponent('\ufdfa'.repeat(20))}`, headers: { host: 'localhost' } })).statusCode).toBeLessThan(500) // prettier-ignore
  })
})
