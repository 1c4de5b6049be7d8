import Database from 'better-sqlite3'
import Fastify from 'fastify'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { buildApp } from '../server/src/app.ts'
import { DayBoard } from '../server/src/db/day.ts'
import { addReading } from '../server/src/db/readings.ts'
import { remindersOn } from '../server/src/db/reminders.ts'
import { find } from '../server/src/db/search.ts'
import { addTicket } from '../server/src/db/tickets.ts'
import { openDatabase } from '../server/src/db/open.ts'
import { median } from 'simple-statistics'
import { line, timed } from './sample.ts'

/*
 * What the server costs beside the bare things it is made of, side by side in one run: a reading beside a bare route and
 * a bare durable insert; a dog of years beside a dog of one visit; who is to be
 * measured again and Today in a book ten times as large; a search over 50,000 dogs beside one indexed query.
 */
const folder = mkdtempSync(join(tmpdir(), 'merry-bench-'))
const at = new Date().toISOString()
const host = { host: 'localhost' }

const app = await buildApp({ database: join(folder, 'shop.sqlite') })
const put = (url: string, payload: object) => app.inject({ method: 'PUT', url, payload, headers: host })
const reading = (mm: number) => ({ measure: 'M07', mm, side: 'both', asTyped: String(mm), unit: 'mm', method: 'tape', takenAt: at, by: 'Bench' })

async function dogWith(readings: number): Promise<string> {
  const [dog, ticket] = [uuid(), uuid()]
  await put(`/api/dogs/${dog}`, { name: `Dog of ${readings}`, at })
  await put(`/api/tickets/${ticket}`, { dogId: dog, ownerId: null, kind: 'real', at, by: '' })
  for (let i = 0; i < readings; i++) await put(`/api/tickets/${ticket}/readings/${uuid()}`, reading(600 + (i % 90)))
  return dog
}

const once = async (act: () => unknown): Promise<number[]> => {
  const from = performance.now()
  await act()
  return [performance.now() - from]
}

// A reading.
const ticket = uuid()
await put(`/api/tickets/${ticket}`, { dogId: null, ownerId: null, kind: 'counter', at, by: '' })
const bareApp = Fastify()
bareApp.put('/readings/:id', (request) => request.body)
const bareDb = new Database(join(folder, 'bare.sqlite'))
bareDb.pragma('journal_mode = WAL')
bareDb.pragma('synchronous = FULL')
bareDb.exec(
  'CREATE TABLE readings (id TEXT PRIMARY KEY, ticket TEXT, measure TEXT, mm REAL, side TEXT, as_typed TEXT, unit TEXT, method TEXT, at TEXT, by_whom TEXT) STRICT',
)
const insert = bareDb.prepare('INSERT INTO readings VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)')
// In turns, one of each: a reading comes alone, and a disk that is slow for a while is slow for all three.
const [ours, bareRoute, bareInsert]: [number[], number[], number[]] = [[], [], []]
for (let round = 0; round < 1500; round++) {
  ours.push(...(await once(() => put(`/api/tickets/${ticket}/readings/${uuid()}`, reading(600 + (round % 90))))))
  bareRoute.push(...(await once(() => bareApp.inject({ method: 'PUT', url: `/readings/${round}`, payload: reading(600) }))))
  bareInsert.push(...(await once(() => bareDb.transaction(() => insert.run(uuid(), ticket, 'M07', 640, 'both', '640', 'mm', 'tape', at, '')).immediate())))
}
console.log('Server, medians:')
line('a reading kept', median(ours), 'bare route + bare durable insert', median(bareRoute) + median(bareInsert), '   (aim: at most 2)')

// A dog of years.
const [few, many] = [await dogWith(20), await dogWith(2000)]
// As the page asks: what it shows first.
const open = (dog: string) => timed(120, () => app.inject({ url: `/api/dogs/${dog}?newest=120`, headers: host }))
const [openMany, openFew] = [median(await open(many)), median(await open(few))]
line('a dog with 2,000 readings opened', openMany, 'a dog with 20 readings opened', openFew, '   (aim: at most 10)')
await app.close()

// Who is to be measured again, and Today: a book ten times as large.
async function bookOf(dogs: number, open: number): Promise<{ reminders: number; cold: number; warm: number }> {
  const file = join(folder, `book-${dogs}.sqlite`)
  const book = openDatabase(file)
  book.transaction(() => {
    const dog = book.prepare('INSERT INTO dogs (id, name, breed, created_at) VALUES (?, ?, ?, ?)')
    for (let d = 0; d < dogs; d++) {
      const id = uuid()
      dog.run(id, `Dog ${d}`, 'Siberian Husky', at)
      for (let visit = 0; visit < 10; visit++) {
        const day = new Date(Date.parse(at) - (visit * 40 + (d % 30)) * 86_400_000).toISOString()
        const isOpen = visit === 0 && d < open
        const id2 = uuid()
        addTicket(book, id2, { dogId: id, ownerId: null, kind: 'real', at: day, by: '' })
        for (const [i, measure] of (['M01', 'M07', 'M14'] as const).entries())
          addReading(book, id2, uuid(), {
            measure,
            mm: 500 + i * 60 + visit,
            side: 'both',
            asTyped: '1',
            unit: 'mm',
            method: 'tape',
            takenAt: day,
            by: 'Bench',
          })
        if (!isOpen) book.prepare("UPDATE tickets SET state = 'closed', closed_at = ? WHERE id = ?").run(day, id2)
      }
    }
  })()
  const on = at.slice(0, 10)
  const reminders = median(await timed(20, () => Promise.resolve(remindersOn(book, on))))
  const cold = median(await timed(5, () => new DayBoard(book).of(on)))
  const board = new DayBoard(book)
  await board.of(on)
  const warm = median(await timed(20, () => board.of(on)))
  book.close()
  return { reminders, cold, warm }
}
const [small, large] = [await bookOf(200, 50), await bookOf(2000, 500)]
line('reminders of 2,000 dogs with 10 visits each', large.reminders, 'of 200', small.reminders, '   (aim: at most 12)')
line('Today with 500 open tickets, none worked out yet', large.cold, 'with 50', small.cold)
line('Today with 500 open tickets, as it is asked again', large.warm, 'none worked out yet', large.cold)

// A search over 50,000 dogs.
const db = openDatabase(join(folder, 'large.sqlite'))
const names = ['Bilberry', 'Marlin', 'Skiff', 'Halyard', 'Oakum', 'Dulse', 'Tern', 'Gull', 'Skua', 'Petrel', 'Fulmar', 'Gannet']
const search = await import('../server/src/db/search.ts')
db.transaction(() => {
  const dog = db.prepare('INSERT INTO dogs (id, name, breed, created_at) VALUES (?, ?, ?, ?)')
  for (let i = 0; i < 50_000; i++) dog.run(uuid(), `${names[i % names.length] ?? ''} ${i.toString(36)}`, i % 3 ? 'Siberian Husky' : 'Border Collie', at)
})()
search.indexEverything(db)
db.exec(
  'CREATE TABLE bare_dogs (name TEXT, id TEXT, detail TEXT) STRICT; INSERT INTO bare_dogs SELECT lower(name), id, breed FROM dogs; CREATE INDEX bare_by_name ON bare_dogs (name)',
)
const bareQuery = db.prepare('SELECT id, name, detail FROM bare_dogs WHERE name >= ? AND name < ? LIMIT 12')
const typed = ['bil', 'skua 1', 'petrel', 'g', 'hal', 'fulmar 2z']
const found = await timed(3000, (i) => find(db, typed[Math.abs(i) % typed.length] ?? ''))
const bareFound = await timed(3000, (i) => bareQuery.all(typed[Math.abs(i) % typed.length], `${typed[Math.abs(i) % typed.length] ?? ''}\u{10FFFF}`))
line('search over 50,000 dogs, three kinds', median(found), 'one bare indexed query', median(bareFound))
const largeApp = await buildApp({ database: join(folder, 'large.sqlite') })
largeApp.get('/bare', (request) => {
  const { q } = request.query as { q: string }
  return bareQuery.all(q, `${q}\u{10FFFF}`)
})
const asked = await timed(800, (i) => largeApp.inject({ url: `/api/find?q=${encodeURIComponent(typed[Math.abs(i) % typed.length] ?? '')}`, headers: host }))
const bareAsked = await timed(800, (i) => largeApp.inject({ url: `/bare?q=${encodeURIComponent(typed[Math.abs(i) % typed.length] ?? '')}`, headers: host }))
line('the same asked over the interface', median(asked), 'a route with one bare indexed query', median(bareAsked), '   (aim: under 3)')
const paged = await timed(40, (i) =>
  largeApp.inject({ url: `/api/dogs/page?limit=60&search=${typed[Math.abs(i) % typed.length]?.split(' ')[0] ?? ''}`, headers: host }),
)
const everyDog = await timed(3, () => largeApp.inject({ url: '/api/dogs', headers: host }))
line('a page of 50,000 dogs by search', median(paged), 'all of them', median(everyDog))
await largeApp.close()
db.close()
bareDb.close()
rmSync(folder, { recursive: true, force: true })
