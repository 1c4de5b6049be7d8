import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { address, expect, sheets, test } from './bench-of-one.ts'

test('from an empty ticket to a printed docket, by mouse', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'new ticket', exact: true }).click()

  // Ask
  await page.getByLabel('Dog’s name').fill('Wimbrel')
  await page.getByRole('button', { name: 'New dog' }).click()
  await page.getByLabel('Breed', { exact: true }).fill('samo')
  await page.getByRole('option', { name: 'Samoyed' }).click()
  await page.getByLabel('Weight').fill('21,4 kg')
  await page.getByLabel('Weight').blur()
  await expect(page.getByText('Samoyed, 47.2 lb')).toBeVisible()
  await page.getByLabel('Or a new owner’s name').fill('Nils Quayside')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByLabel('Owner’s name')).toHaveValue('Nils Quayside')
  await page.getByRole('button', { name: 'Long hike' }).click()
  await page.getByRole('button', { name: 'Put walking Y, short on the ticket' }).click()
  await page.getByRole('radio', { name: 'Stock' }).click()
  await page.getByText('Every other kind').click()
  await page.getByRole('button', { name: 'Full cross-back' }).click()
  await page.getByText('read all').click()
  await expect(page.getByText(/Not above about 10 °C/)).toBeVisible()
  await page.getByRole('button', { name: 'Remove the Full cross-back' }).click()
  await expect(page.getByText(/Not above about 10 °C/)).toBeHidden()
  await page.getByRole('link', { name: /Take the tapes/ }).click()

  // Measure: two readings of each tape, the second by the Big Inch.
  const field = page.locator('#length-entry')
  const pin = page.getByRole('button', { name: /^Pin it/ })
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harness neck')
  await field.fill('9 1/8')
  await expect(page.getByText('× 2 = 18 1/4 in').first()).toBeAttached()
  await pin.click()
  await field.fill('9 1/4')
  await pin.click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sternum length')
  await field.fill('12 13')
  await pin.click()
  await expect(page.getByRole('alert')).toContainText('Can’t read that as a length')
  await expect(field).toHaveValue('12 13')
  await field.fill('22.2 cm')
  await pin.click()
  await page.getByRole('slider').click({ position: { x: 400, y: 40 } })
  await pin.click()
  await page.getByRole('button', { name: /Girth, largest/ }).click()
  for (const girth of ['23 3/4', '24 1/8']) {
    await field.fill(girth)
    await pin.click()
  }
  await expect(page.getByText('24 1/8 in').first()).toBeAttached()

  // A slip is struck with a reason and kept.
  await page.getByRole('button', { name: /Girth, largest/ }).click()
  await field.fill('29')
  await pin.click()
  await expect(page.getByRole('button', { name: /Girth, largest/ })).toContainText('far off, not counted')
  await page.getByRole('button', { name: /all 3/ }).click()
  await page.getByRole('button', { name: 'Strike out', exact: true }).last().click()
  await page.getByRole('button', { name: 'Misread' }).click()
  await expect(page.getByText(/Struck out .*: Misread/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /Girth, largest/ })).toContainText('24 1/8')

  // Choose: prediction words only, then an overruling with its reason.
  await page
    .getByRole('link', { name: /^Choose/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('on Wimbrel')
  await expect(page.getByText('Predicted. Nothing seen on the dog yet.')).toBeVisible()
  await page.getByRole('button', { name: /^Heron/ }).click()
  await page.getByRole('button', { name: /Try Heron/ }).click()
  await expect(page.getByRole('alert')).toContainText('Say why')
  await page.getByRole('button', { name: /^Gull/ }).click()
  await page.getByRole('button', { name: /^Try Gull/ }).click()

  // Try on
  await page.getByRole('button', { name: /^Put Gull on Wimbrel/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Gull on Wimbrel')
  const row = (name: string) => page.getByRole('group', { name: new RegExp(`^${name}`) })
  await page.getByRole('button', { name: /^\d+ Under every strap:/ }).click()
  await row('Under every strap').getByRole('textbox').fill('0')
  await row('Under every strap').getByRole('textbox').press('Enter')
  await expect(row('Under every strap').getByRole('button', { name: 'Doesn’t hold' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: /Fingers must be forced/ }).click()
  await page.getByRole('button', { name: /Adjust: lengthen/ }).click()
  await page.getByLabel('What was changed since?').fill('Let out both sides')
  await page.getByRole('button', { name: /New round with Gull/ }).click()
  await expect(page.getByRole('button', { name: /^2\. Gull/ })).toHaveAttribute('aria-pressed', 'true')
  for (const state of ['Slack', 'Pulling', 'Moving']) {
    const tab = page.getByRole('radio', { name: new RegExp(`^${state}`) })
    await tab.click()
    const wanted = Number(/\/(\d+)$/.exec((await tab.textContent()) ?? '')?.[1])
    // What holds leads to the next that nobody saw.
    for (let seen = 1; seen <= wanted; seen++) {
      await page.getByRole('button', { name: 'Holds', exact: true }).click()
      await expect(tab).toHaveText(`${state} ${seen}/${wanted}`)
    }
  }
  await expect(page.getByText('11 of 11 seen: 11 hold')).toBeVisible()

  // Finish: docket, then closed.
  await page.getByRole('link', { name: /^Finish/ }).click()
  await page.getByRole('link', { name: /^Docket/ }).click()
  await expect(page.getByRole('article')).toContainText('Let out both sides')
  await page.getByRole('link', { name: 'Back to Finish' }).click()
  await page.getByRole('button', { name: 'Close the ticket' }).click()
  await expect(page.getByRole('heading', { name: /^Closed/ })).toBeVisible()
  // The page is ahead of the server: what is done here waits in the outbox for a moment.
  const closedSheet = async () => (await sheets('closed')).find((sheet) => sheet.dog?.name === 'Wimbrel')
  await expect.poll(closedSheet).toBeDefined()
  const closed = await closedSheet()
  expect(closed?.readings).toHaveLength(7)
  expect(closed?.readings.filter((reading) => reading.struck)).toMatchObject([{ asTyped: '29', struck: { why: 'Misread' } }])
  expect(closed?.tryOns.map((round) => round.observations.length)).toEqual([1, 11])
})

test('the counter goes from one number to two sizes to try without any record', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Overdue' })).toBeVisible()
  await page.keyboard.press('c')
  await page.keyboard.type('22 3/4')
  await expect(page.getByText('Try Cedar, then Elm, pulled back by hand')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('One side, or all round?')
  await page.getByRole('button', { name: 'all round' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cedar on Dog at the counter:')
  // Whichever of the two the supplier still has is tried first: its shelf changes by the hour.
  await expect(page.getByRole('button', { name: /Try (Cedar, then Elm|Elm, then Cedar)/ })).toBeVisible()
})

test('a reading a broken server cannot take is kept here, said so, and arrives once when it works again', async ({ page }) => {
  const { freshTicket } = await import('./bench-of-one.ts')
  const id = await freshTicket([{ family: 'H01', way: 'stock' }])
  await page.goto(`/tickets/${id}/measure`)
  await page.route('**/readings/**', (route) =>
    route.fulfill({ status: 500, contentType: 'application/problem+json', body: '{"code":"unexpected","detail":"The reason is in the server’s log."}' }),
  )
  const field = page.locator('#length-entry')
  await field.fill('10 1/2')
  await field.press('Enter')
  await expect(field).toHaveValue('')
  await expect(page.getByText('Kept here, not sent.')).toBeVisible()
  expect((await sheets()).find((sheet) => sheet.ticket.id === id)?.readings).toEqual([])
  await page.unroute('**/readings/**')
  await expect.poll(async () => (await sheets()).find((sheet) => sheet.ticket.id === id)?.readings.length).toBe(1)
  await expect(page.getByText('Kept here, not sent.')).toBeHidden()
})

test('two people editing one field are both shown and asked', async ({ page }) => {
  const { sheetOf } = await import('./bench-of-one.ts')
  const { dog, ticket } = await sheetOf('Harebell')
  await page.goto(`/tickets/${ticket.id}/ask`)
  const breed = page.getByRole('combobox', { name: 'Crossed with' })
  await breed.fill('Kelpie')
  await fetch(`${address()}/api/dogs/${dog?.id ?? ''}`, {
    method: 'PATCH',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ changes: [{ field: 'crossWith', from: dog?.crossWith, to: 'Saluki' }] }),
  })
  await breed.blur()
  // At the field, or, where the answer came later than a moment, among what was refused.
  const asked = page.getByText(/somebody set it to “Saluki”; (you typed|here it was set to) “Kelpie”/).first()
  await expect(asked).toBeVisible()
  await page.getByRole('button', { name: 'Keep mine' }).click()
  await expect(page.getByText(/Whippet × Kelpie/)).toBeVisible()
})

test('the docket is one page of A4 and of Letter and holds every reading as typed', async ({ page }) => {
  // The fullest eight of the shop's own: what holds all of theirs on a page holds less. Other journeys' come and go meanwhile.
  const fullest = (await sheets())
    .concat(await sheets('closed'))
    .filter(({ ticket }) => ticket.by !== 'Test')
    .sort((a, b) => b.readings.length + 3 * b.items.length - a.readings.length - 3 * a.items.length)
  for (const [i, sheet] of fullest.slice(0, 8).entries()) {
    await page.goto(`/tickets/${sheet.ticket.id}/docket`)
    await expect(page.getByRole('article')).toBeVisible()
    // Letter is the shorter page: every third ticket on it too.
    for (const format of i % 3 === 0 ? (['A4', 'Letter'] as const) : (['A4'] as const)) {
      const pdf = await getDocument({ data: new Uint8Array(await page.pdf({ format, preferCSSPageSize: false })), verbosity: 0 }).promise
      expect([sheet.dog?.name, format, pdf.numPages]).toEqual([sheet.dog?.name, format, 1])
      const content = await (await pdf.getPage(1)).getTextContent()
      const text = content.items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' ')
      for (const reading of sheet.readings) expect(text).toContain(reading.asTyped)
      await pdf.destroy()
    }
  }
})
