import type { TicketSheet } from '@merry-tailor/core'
import type { Locator, Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { expect, test } from './bench-of-one.ts'
import { ownServer, type OwnServer } from './own-server.ts'

// The page is kept on the device by its service worker: that is what these journeys are about.
test.use({ serviceWorkers: 'allow' })

let server: OwnServer
test.beforeEach(async () => {
  server = await ownServer()
})
test.afterEach(() => server.end())

const put = (path: string, body: unknown, method = 'PUT') =>
  fetch(`${server.address}${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
const sheetOf = async (id: string): Promise<TicketSheet> => (await (await fetch(`${server.address}/api/tickets/${id}`)).json()) as TicketSheet

/** What the dark strip says of what is kept. */
const strip = (page: Page): Locator => page.locator('header p[aria-live]')

async function newTicket(): Promise<{ id: string; dog: string }> {
  const [id, dog, at] = [uuid(), uuid(), new Date().toISOString()]
  await put(`/api/dogs/${dog}`, { name: 'Petrel', weightKg: 21.3, at })
  await put(`/api/tickets/${id}`, { dogId: dog, ownerId: null, kind: 'real', at, by: 'Test' })
  await put(`/api/tickets/${id}/items/${uuid()}`, { family: 'H01', way: 'stock', school: null, at })
  return { id, dog }
}

test('the server is killed in mid-session and thirty readings typed in the gap arrive once, in order', async ({ page, context }) => {
  const { id, dog } = await newTicket()
  await page.goto(`${server.address}/tickets/${id}/measure`)
  await page.waitForSelector('html[data-shell=kept]', { state: 'attached' })
  const field = page.locator('#length-entry')
  await field.fill('11 1/8')
  await field.press('Enter')
  await expect.poll(async () => (await sheetOf(id)).readings.length).toBe(1)

  await server.kill()
  const typed: string[] = []
  const pin = async (text: string): Promise<void> => {
    await page.keyboard.press('Alt+3')
    await field.fill(text)
    await field.press('Enter')
    typed.push(text)
  }
  for (let i = 0; i < 12; i++) await pin(`${24 + (i % 3)} ${1 + (i % 3)}/4`)
  await expect(strip(page)).toHaveText('Not sent: 12, kept here')

  // The lid is closed and opened: the shell comes without a server, and so does what was typed.
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(strip(page)).toHaveText('Not sent: 12, kept here')
  await expect(page.getByText('Petrel').first()).toBeVisible()
  for (let i = 0; i < 9; i++) await pin(`${25 + (i % 2)} 3/8`)

  // A second tab of the same device goes on with the same outbox.
  const tab = await context.newPage()
  await tab.goto(`${server.address}/tickets/${id}/measure`)
  await expect(strip(tab)).toHaveText('Not sent: 21, kept here')
  const other = tab.locator('#length-entry')
  for (let i = 0; i < 9; i++) {
    await tab.keyboard.press('Alt+3')
    await other.fill(`26 ${1 + (i % 7)}/8`)
    await other.press('Enter')
    typed.push(`26 ${1 + (i % 7)}/8`)
  }
  await expect(strip(page)).toHaveText('Not sent: 30, kept here')
  // A field edited here while nobody could know of the other device's edit.
  await page.goto(`${server.address}/tickets/${id}/ask`)
  await page.getByLabel('Name', { exact: true }).fill('Petrel of the quay')
  await page.getByLabel('Name', { exact: true }).blur()
  await expect(strip(page)).toHaveText('Not sent: 31, kept here')
  await page.goto('about:blank')
  await tab.goto('about:blank')

  // The server comes back; a second device works on the same ticket before this one is opened again.
  await server.start()
  await put(`/api/tickets/${id}/readings/${uuid()}`, {
    measure: 'M06',
    mm: 288,
    side: 'both',
    asTyped: '28,8',
    unit: 'cm',
    method: 'tape',
    takenAt: new Date().toISOString(),
    by: 'Second',
  })
  await put(`/api/dogs/${dog}`, { changes: [{ field: 'name', from: 'Petrel', to: 'Petrel the elder' }] }, 'PATCH')

  await page.goto(`${server.address}/tickets/${id}/measure`)
  await expect.poll(async () => (await sheetOf(id)).readings.length).toBe(32)
  const { readings } = await sheetOf(id)
  const mine = readings.filter((reading) => reading.measure === 'M07')
  expect(mine.map((reading) => reading.asTyped)).toEqual(typed)
  expect(new Set(readings.map((reading) => reading.id)).size).toBe(32)
  expect(readings.filter((reading) => reading.by === 'Second')).toHaveLength(1)

  // The field edited on both shows the two values and asks; both readings are kept.
  const asked = page.getByRole('region', { name: 'Kept here, refused there' })
  await expect(asked).toContainText('meanwhile somebody set it to “Petrel the elder”; here it was set to “Petrel of the quay”')
  await asked.getByRole('button', { name: 'Keep mine' }).click()
  await expect(asked).toBeHidden()
  await expect
    .poll(async () => ((await (await fetch(`${server.address}/api/dogs/${dog}`)).json()) as { dog: { name: string } }).dog.name)
    .toBe('Petrel of the quay')
  await expect(page.getByRole('button', { name: /Sternum length/ })).toContainText('11')
  await expect(strip(page)).not.toContainText('kept here')
})

test('a dog and its ticket are opened with the server away, and arrive when it is back', async ({ page }) => {
  await page.goto(`${server.address}/`)
  await page.waitForSelector('html[data-shell=kept]', { state: 'attached' })
  await expect(page.getByText('The book is empty')).toBeVisible()
  await server.kill()
  await page.getByRole('button', { name: 'Open the first ticket' }).click()
  await page.getByLabel('Dog’s name').fill('Skua')
  await page.getByRole('button', { name: 'New dog' }).click()
  await expect(strip(page)).toContainText('Not sent:')
  await page.getByRole('button', { name: 'Walking Y, short' }).click()
  await page.getByRole('link', { name: /Take the tapes/ }).click()
  await page.locator('#length-entry').fill('10 1/4')
  await page.locator('#length-entry').press('Enter')
  await page.reload()
  await expect(page.getByRole('button', { name: /Harness neck/ })).toContainText('2nd now')
  await expect(page.getByText('Skua').first()).toBeVisible()
  await server.start()
  await expect
    .poll(async () => {
      const [sheet] = (await (await fetch(`${server.address}/api/tickets`)).json()) as TicketSheet[]
      return [sheet?.dog?.name, sheet?.readings.length, sheet?.items.length]
    })
    .toEqual(['Skua', 1, 1])
  await expect(page.getByText('Ticket 101').first()).toBeVisible()
})
