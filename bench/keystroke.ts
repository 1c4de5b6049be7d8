import { chromium, type Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { ownServer } from '../e2e/own-server.ts'
import { median } from 'simple-statistics'
import { line } from './sample.ts'

/*
 * What the page's own thread does: at a letter typed into the entry of a full bench beside a pin there, and how many forms
 * Today has solved when it is opened again.
 */
const server = await ownServer()
const at = new Date().toISOString()
const put = (path: string, body: unknown) =>
  fetch(`${server.address}${path}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
const ROWS = 30
const MEASURES = ['M01', 'M02', 'M06', 'M07', 'M08', 'M10', 'M11', 'M12', 'M13', 'M14', 'M16', 'M17', 'M21']

async function ticketOf(dog: string, families: readonly string[], taken: number): Promise<string> {
  const id = uuid()
  await put(`/api/tickets/${id}`, { dogId: dog, ownerId: null, kind: 'real', at, by: 'Bench' })
  for (const family of families) await put(`/api/tickets/${id}/items/${uuid()}`, { family, way: 'stock', school: null, at })
  for (let i = 0; i < taken; i++) {
    const body = {
      measure: MEASURES[i % MEASURES.length],
      mm: 320 + 31 * (i % MEASURES.length),
      side: 'both',
      asTyped: '1',
      unit: 'mm',
      method: 'tape',
      takenAt: at,
      by: 'Bench',
    }
    await put(`/api/tickets/${id}/readings/${uuid()}`, body)
  }
  return id
}

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
await context.addInitScript('globalThis.__name = (named) => named')
const page = await context.newPage()

const dog = uuid()
await put(`/api/dogs/${dog}`, { name: 'Full', breed: 'Siberian Husky', at })
const id = await ticketOf(dog, ['H01', 'H11', 'C3', 'K1'], 28)
await page.goto(`${server.address}/tickets/${id}/measure`)
await page.locator('#length-entry').waitFor()
await page.waitForTimeout(1500)

/** Milliseconds the page's thread was busy with one event, React's own work included. */
const busy = (of: Page, kind: 'letter' | 'pin'): Promise<number[]> =>
  of.evaluate(async (what) => {
    const times: number[] = []
    const field = (): HTMLInputElement => document.querySelector<HTMLInputElement>('#length-entry') as HTMLInputElement
    const value = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')
    const type = (text: string): void => {
      value?.set?.call(field(), text)
      field().dispatchEvent(new Event('input', { bubbles: true }))
    }
    for (let i = 0; i < 30; i++) {
      if (what === 'pin') type(`1${i % 10}`)
      await new Promise((done) => setTimeout(done, 120))
      const from = performance.now()
      if (what === 'letter') type(`1${i % 10}`)
      else field().dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
      // React draws what an event asks for before the next task.
      await new Promise<void>((done) => queueMicrotask(() => queueMicrotask(done)))
      times.push(performance.now() - from)
      if (what === 'letter') type('')
    }
    return times
  }, kind)
const [letter, pin] = [median(await busy(page, 'letter')), median(await busy(page, 'pin'))]
console.log('The page’s thread:')
line('a letter typed at a full bench', letter, 'a pin there', pin)

for (let i = 0; i < ROWS; i++) {
  const each = uuid()
  await put(`/api/dogs/${each}`, { name: `Row ${i}`, breed: i % 2 ? 'Greyhound' : 'Pug', weightKg: 8 + i, at })
  await ticketOf(each, ['H01'], 5)
}
/** Forms that Today asks the workers for, until it asks no more. */
async function formsAsked(): Promise<number> {
  const today = await context.newPage()
  await today.addInitScript(() => {
    const counted = { forms: 0 }
    Object.assign(window, { counted })
    window.Worker = class extends Worker {
      override postMessage(message: { path?: string[] }, rest?: Transferable[] | StructuredSerializeOptions): void {
        if (message.path?.includes('readForm')) counted.forms += 1
        super.postMessage(message, rest as StructuredSerializeOptions)
      }
    }
  })
  // So high that every row of the list is drawn.
  await today.setViewportSize({ width: 1280, height: 6000 })
  await today.goto(server.address)
  await today
    .getByText(`Row ${ROWS - 1}`)
    .first()
    .waitFor()
  await today.waitForTimeout(4000)
  const asked = await today.evaluate(() => (window as unknown as { counted: { forms: number } }).counted.forms)
  await today.close()
  return asked
}
const first = await formsAsked()
const again = await formsAsked()
console.log(`Today's outlines of ${ROWS + 1} dogs: ${first} forms solved the first time, ${again} when it is opened again`)
await browser.close()
await server.end()
