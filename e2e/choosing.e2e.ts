import type { SizeTable } from '@merry-tailor/core'
import { address, expect, freshTicket, setLook, sheets, test } from './bench-of-one.ts'

const tables = async (): Promise<SizeTable[]> => (await (await fetch(`${address()}/api/size-tables`)).json()) as SizeTable[]

test('a table from pasted cells, its bands dragged, a piece of our own, and the choice that follows', async ({ page }) => {
  await setLook(page, { fitter: 'Ylva' })
  // Pasted: the maker's "Neck" is no path until somebody says which.
  await page.goto('/sizes/paste')
  await page.getByLabel('Cells').fill('Size\tNeck\tGirth from\tGirth to\tFit\nNear\t38-43\t52\t58.5\tslim\nFar\t44-49\t61\t67\tslim')
  await page.getByRole('button', { name: 'Read the cells' }).click()
  for (const [title, path] of [
    ['Neck', 'Harness neck'],
    ['Girth from', 'Girth, largest'],
    ['Girth to', 'Girth, largest'],
  ] as const) {
    await page.getByRole('combobox', { name: `What “${title}” stands for` }).click()
    await page.getByRole('option', { name: path }).click()
  }
  await page.getByRole('textbox', { name: 'Maker' }).fill('Journey Gear')
  await page.getByRole('textbox', { name: 'Table' }).fill('Pasted Y')
  await page.getByRole('button', { name: 'Take the table in' }).click()
  await expect(page.getByText('say whether these are inches or centimetres')).toBeVisible()
  await page.getByRole('radio', { name: 'Centimetres' }).click()
  await page.getByRole('button', { name: 'Take the table in' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Journey Gear' })).toBeVisible()
  await expect(page.getByText('Kept by name, judging nothing: “Fit”.')).toBeVisible()

  // Edited: an end dragged on the tape closes the gap, and the version counts on.
  await page.getByRole('link', { name: 'Change it' }).click()
  const girth = page.getByRole('region', { name: 'Girth, largest on the tape' })
  await expect(girth.getByText(/Gap of/).first()).toBeAttached()
  const end = girth.getByRole('slider', { name: 'Near, larger end' })
  const box = await end.boundingBox()
  const next = await girth.getByRole('slider', { name: 'Far, smaller end' }).boundingBox()
  if (!box || !next) throw new Error('no ends to drag')
  await page.mouse.move(box.x + box.width - 4, box.y + 8)
  await page.mouse.down()
  await page.mouse.move(next.x + 1, box.y + 8, { steps: 6 })
  await page.mouse.up()
  await expect(girth.getByText(/No gaps, no overlaps|share/).first()).toBeAttached()
  await page.getByRole('button', { name: 'Publish table' }).click()
  await expect(page.getByText(/version 2 of 2/)).toBeVisible()
  const published = (await tables()).filter((table) => table.id === 'journey-gear-pasted-y')
  expect(published.map((table) => table.version)).toEqual([2, 1])
  expect(published[0]?.sizes[0]?.bands.M07?.[1]).toBeGreaterThan(590)
  expect(published[1]?.sizes[0]?.bands.M07?.[1]).toBe(585)

  // A piece of our own, laid flat.
  await page.goto('/gear')
  await page.getByLabel('Name written on the piece').fill('Journey peg')
  await page.getByRole('button', { name: 'Add a piece' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Journey peg' })).toBeVisible()
  const flat = page.getByRole('region', { name: 'Laid flat' })
  await flat.getByRole('combobox', { name: 'Part laid flat' }).click()
  await page.getByRole('option', { name: /^Girth ring, inside/ }).click()
  await flat.getByLabel(/^Shortest/).fill('59 cm')
  await flat.getByLabel(/^Longest/).fill('68 cm')
  await flat.getByRole('button', { name: 'Keep it' }).click()
  await expect(flat.getByRole('button', { name: 'Remove Girth, largest' })).toBeVisible()

  // The choice: our own piece stands before everything ordered, and is kept.
  const id = await freshTicket([{ family: 'H01', way: 'stock' }])
  await page.goto(`/tickets/${id}/measure?tape=M07`)
  await expect(page.getByRole('heading', { level: 1, name: 'Girth, largest' })).toBeVisible()
  const field = page.locator('#length-entry')
  for (const length of ['62 cm', '62 cm']) {
    await field.fill(length)
    await field.press('Enter')
    await page.keyboard.press('Alt+3')
  }
  await expect.poll(async () => (await sheets()).find((sheet) => sheet.ticket.id === id)?.readings.map((reading) => reading.measure)).toEqual(['M07', 'M07'])
  await page.goto(`/tickets/${id}/choose`)
  await page.getByRole('button', { name: 'Journey peg', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1, name: /Journey peg on/ })).toBeVisible()
  await expect(page.getByRole('article', { name: 'What would decide the size' })).toBeVisible()
  await page.getByRole('link', { name: 'All sizes' }).click()
  await expect(page.getByRole('list', { name: 'Sizes, best first' }).getByText('Journey peg')).toBeVisible()
  await page.goBack()
  await page.getByRole('row', { name: /^Near/ }).getByRole('button').click()
  await page.getByLabel(/Advised here/).fill('For the journey')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: /Try Near/ }).click()
  await expect
    .poll(async () => (await sheets()).find((sheet) => sheet.ticket.id === id)?.choices.at(-1))
    .toMatchObject({ tableId: 'journey-gear-pasted-y', tableVersion: 2, labels: ['Near'] })
})

test('what is asked of the work turns the shortlist round', async ({ page }) => {
  await setLook(page, { fitter: 'Ylva' })
  const id = await freshTicket([])
  await page.goto(`/tickets/${id}/ask`)
  await page.getByRole('button', { name: 'Sled team' }).click()
  await page.getByRole('link', { name: 'Which kind suits' }).click()
  const best = page.getByRole('region', { name: 'The best kinds' })
  await expect(best.getByRole('heading', { level: 2 }).first()).toHaveText('Full cross-back')
  await expect(best.getByRole('img').first()).toBeVisible()
  await page.goto(`/tickets/${id}/ask`)
  await page.getByRole('button', { name: 'Crabs sideways' }).click()
  await page.getByLabel('Air at the work, °C').fill('14')
  await page.getByLabel('Air at the work, °C').press('Enter')
  await expect.poll(async () => (await sheets()).find((sheet) => sheet.ticket.id === id)?.ticket).toMatchObject({ traits: ['crabs'], airC: 14 })
  await page.getByRole('link', { name: 'Which kind suits' }).click()
  await expect(best.getByRole('heading', { level: 2 }).first()).toHaveText('Cross-back with side hooks')
  await expect(best.getByText('Too warm for pulling.').first()).toBeVisible()
})
