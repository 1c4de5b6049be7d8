import { chromium } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { ownServer } from '../e2e/own-server.ts'
import { median } from 'simple-statistics'
import { line } from './sample.ts'

/*
 * What the device costs: a thousand kept readings replayed by the outbox beside a thousand plain posts of the same page,
 * and a dog of years on screen beside a dog of one visit.
 */
const COUNT = 1000
const server = await ownServer()
const at = new Date().toISOString()
const put = (path: string, body: unknown) =>
  fetch(`${server.address}${path}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
const reading = (mm: number) => ({ measure: 'M07', mm, side: 'both', asTyped: String(mm), unit: 'mm', method: 'tape', takenAt: at, by: 'Bench' })
const newTicket = async (dogId: string | null = null): Promise<string> => {
  const id = uuid()
  await put(`/api/tickets/${id}`, { dogId, ownerId: null, kind: dogId === null ? 'counter' : 'real', at, by: '' })
  return id
}

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.addInitScript('globalThis.__name = (named) => named')
await page.goto(server.address)
await page.getByText('The book is empty').waitFor()

const plain = await newTicket()
const posts = Array.from({ length: COUNT }, (_, i) => ({ url: `/api/tickets/${plain}/readings/${uuid()}`, body: reading(600 + (i % 90)) }))
const plainMs = await page.evaluate(async (all) => {
  const from = performance.now()
  for (const { url, body } of all) await fetch(url, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  return performance.now() - from
}, posts)

const kept = await newTicket()
const health = await fetch(`${server.address}/api/health`)
const book = { book: health.headers.get('merry-book') ?? '', epoch: Number(health.headers.get('merry-epoch')) }
const writes = Array.from({ length: COUNT }, (_, i) => {
  const id = uuid()
  return {
    shape: 2,
    id: uuid(),
    book,
    skewMs: 0,
    endpoint: 'act',
    arg: { ticketId: kept, act: { act: 'read', id, body: reading(600 + (i % 90)) } },
    request: { url: `/tickets/${kept}/readings/${id}`, method: 'PUT', body: reading(600 + (i % 90)) },
    at,
  }
})
await page.evaluate(
  (all) =>
    new Promise<void>((resolve, reject) => {
      const opening = indexedDB.open('merry-tailor')
      opening.onerror = () => reject(new Error('no device store'))
      opening.onsuccess = () => {
        const shelf = opening.result.transaction('outbox', 'readwrite')
        for (const write of all) shelf.objectStore('outbox').add(write)
        shelf.oncomplete = () => {
          opening.result.close()
          resolve()
        }
      }
    }),
  writes,
)
const replayMs = await page.evaluate(async () => {
  const waiting = (): Promise<number> =>
    new Promise((resolve) => {
      const opening = indexedDB.open('merry-tailor')
      opening.onsuccess = () => {
        const counting = opening.result.transaction('outbox').objectStore('outbox').count()
        counting.onsuccess = () => {
          opening.result.close()
          resolve(counting.result)
        }
      }
    })
  const from = performance.now()
  window.dispatchEvent(new Event('online'))
  while ((await waiting()) > 0) await new Promise((resolve) => setTimeout(resolve, 30))
  return performance.now() - from
})
const arrived = ((await (await fetch(`${server.address}/api/tickets/${kept}`)).json()) as { readings: unknown[] }).readings.length
if (arrived !== COUNT) throw new Error(`${arrived} of ${COUNT} readings arrived`)
console.log('Device:')
line(`outbox replay of ${COUNT} readings`, replayMs, `${COUNT} plain posts of the same page`, plainMs)

const dogs: string[] = []
for (const readings of [20, 2000]) {
  const dog = uuid()
  await put(`/api/dogs/${dog}`, { name: `Dog of ${readings}`, at })
  const ticket = await newTicket(dog)
  const measures = ['M01', 'M06', 'M07', 'M08', 'M10', 'M11', 'M12', 'M13', 'M14', 'M16']
  for (let i = 0; i < readings; i++) {
    const day = new Date(Date.now() - Math.floor(i / 20) * 7 * 86_400_000).toISOString()
    await put(`/api/tickets/${ticket}/readings/${uuid()}`, { ...reading(300 + (i % 40)), measure: measures[i % measures.length], takenAt: day })
  }
  dogs.push(dog)
}
const opened = async (dog: string): Promise<number> => {
  const times: number[] = []
  for (let i = 0; i < 7; i++) {
    await page.goto(`${server.address}/dogs`)
    await page.getByText('Dog of 20', { exact: true }).waitFor()
    const start = await page.evaluate(() => performance.now())
    await page.locator(`a[href="/dogs/${dog}"]`).click()
    await page.getByRole('heading', { name: 'Every reading by date' }).waitFor()
    times.push((await page.evaluate(() => performance.now())) - start)
  }
  return median(times)
}
const [few, many] = [await opened(dogs[0] ?? ''), await opened(dogs[1] ?? '')]
line('a dog with 2,000 readings on screen', many, 'a dog with 20 readings on screen', few)
await browser.close()
await server.end()
