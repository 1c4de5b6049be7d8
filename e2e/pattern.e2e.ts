import { readFileSync } from 'node:fs'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { expect, sheets, test } from './bench-of-one.ts'

/** The demo's ticket of a dog with a garment of a family. */
async function garmentOf(dog: string, family: string): Promise<{ ticket: string; item: string }> {
  for (const sheet of await sheets()) {
    const item = sheet.dog?.name === dog ? sheet.items.find((each) => each.family === family && each.way === 'made') : undefined
    if (item) return { ticket: sheet.ticket.id, item: item.id }
  }
  throw new Error(`no ${family} of ${dog}`)
}

test('from nine tapes to paper: an edge by keyboard, the plan kept, a pattern that is true to a reader of its own', async ({ page }) => {
  const { ticket, item } = await garmentOf('Sextant', 'C3')
  await page.goto(`/tickets/${ticket}/pattern/${item}`)
  await expect(page.getByText(/From your nine tapes/)).toBeVisible({ timeout: 15_000 })
  const hem = page.getByRole('slider', { name: 'Back, hem' })
  await hem.focus()
  await page.keyboard.press('ArrowRight')
  await expect(hem).toHaveAttribute('aria-valuetext', /^moved out/)
  await expect(page.getByText('On this device; kept with the sheet')).toBeVisible()
  await expect(page.getByText(/of cloth, best of/)).toBeVisible({ timeout: 15_000 })
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /Hooded winter coat for Sextant/ })).toBeVisible()
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: /PDF/ }).click()])
  await expect(page.getByText(/read back true/)).toBeVisible()
  const doc = await getDocument({ data: new Uint8Array(readFileSync(await file.path())), verbosity: 0 }).promise
  expect(doc.numPages).toBeGreaterThan(4)
  const words = (await (await doc.getPage(1)).getTextContent()).items.map((part) => ('str' in part ? part.str : '')).join(' ')
  expect(words).toContain('Pattern for Sextant')
  await page.goto(`/tickets/${ticket}/pattern/${item}`)
  await expect(page.getByText('Kept with the ticket')).toBeVisible({ timeout: 15_000 })
  await expect(page.getByRole('slider', { name: 'Back, hem' })).toHaveAttribute('aria-valuetext', /^moved out/)
})

test('rows are counted with the space bar and stay when the page is closed', async ({ page }) => {
  const { ticket, item } = await garmentOf('Pebble', 'C1')
  await page.goto(`/tickets/${ticket}/pattern/${item}`)
  const next = page.getByRole('button', { name: /^Row \d+ knitted/ })
  await expect(next).toBeVisible({ timeout: 15_000 })
  const before = Number(/\d+/.exec((await next.textContent()) ?? '')?.[0])
  await page.locator('body').press('Space')
  await expect(page.getByRole('button', { name: `Row ${before + 1} knitted (Space)` })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: `Row ${before + 1} knitted (Space)` })).toBeVisible({ timeout: 15_000 })
})
