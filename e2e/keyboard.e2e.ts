import { expect, freshTicket, sheets, test } from './bench-of-one.ts'

test('measuring by keyboard alone', async ({ page }) => {
  const id = await freshTicket([
    { family: 'H01', way: 'stock' },
    { family: 'H11', way: 'made', school: 'A' },
  ])
  await page.goto(`/tickets/${id}/measure`)
  const title = page.getByRole('heading', { level: 1 })
  const kept = async () => (await sheets()).find((sheet) => sheet.ticket.id === id)?.readings ?? []
  await expect(title).toHaveText('Harness neck')
  await expect(page.locator('#length-entry')).toBeFocused()

  await page.keyboard.type('11 1/2')
  await page.keyboard.press('Enter')
  await page.keyboard.type('11 3/8')
  await page.keyboard.press('Enter')
  await expect(title).toHaveText('Sternum length')

  // U turns the unit inside the field; other letters are no text there.
  await page.keyboard.press('u')
  await page.keyboard.type('29,5x')
  await expect(page.locator('#length-entry')).toHaveValue('29,5')
  await page.keyboard.press('Enter')
  await expect
    .poll(async () => (await kept()).map((reading) => [reading.measure, Math.round(reading.mm), reading.side]))
    .toEqual([
      ['M01', 292, 'one'],
      ['M01', 289, 'one'],
      ['M06', 295, 'both'],
    ])

  // Ctrl+Z unpins, Alt jumps, arrows move, D turns doubling off.
  await page.keyboard.press('Control+z')
  await expect.poll(async () => (await kept()).at(-1)?.struck?.why).toBe('Unpinned')
  await page.keyboard.press('Alt+1')
  await expect(title).toHaveText('Harness neck')
  await expect(page.getByRole('switch', { name: /One side, doubled/ })).toBeChecked()
  await page.keyboard.press('d')
  await expect(page.getByRole('switch', { name: /One side, doubled/ })).not.toBeChecked()
  await page.keyboard.type('58')
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await kept()).at(-1)).toMatchObject({ measure: 'M01', side: 'both', unit: 'cm' })
  await page.keyboard.press('Alt+1')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await expect(title).toHaveText('Last rib, under-route')
  await page.keyboard.press('r')
  await page.keyboard.press('Escape')
  await page.keyboard.press(']')
  await expect(page).toHaveURL(/choose$/)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'All keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.keyboard.press('[')
  await expect(page).toHaveURL(/measure$/)
})

test('a neck doubled twice is asked about at once and never corrected', async ({ page }) => {
  const id = await freshTicket([{ family: 'H01', way: 'stock' }])
  await page.goto(`/tickets/${id}/measure`)
  await expect(page.locator('#length-entry')).toBeFocused()
  await page.keyboard.type('23')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Alt+3')
  await page.keyboard.type('27 1/2')
  await page.keyboard.press('Enter')
  const asks = page.getByRole('region', { name: /Harness neck: longer than expected/ })
  await expect(asks).toContainText('Doubled twice?')
  await expect(page.getByRole('button', { name: /Harness neck/ })).toContainText('46')
  await asks.getByRole('button', { name: /^Keep/ }).click()
  await expect(asks).toBeHidden()
  await page.reload()
  await expect(page.getByRole('button', { name: /Girth, largest/ })).toContainText('27')
  await expect(asks).toBeHidden()
})

test('U08 N puts the cursor in the name, keys typed ahead with it; a ticket nothing was said of stands nowhere', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 2, name: /Waiting|Today|Overdue/ }).first()).toBeVisible()
  // Tickets this page opens: other journeys open theirs meanwhile.
  const opened = new Set<string>()
  page.on('request', (request) => {
    const id = /\/api\/tickets\/([0-9a-f-]{36})$/.exec(request.url())?.[1]
    if (request.method() === 'PUT' && id) opened.add(id)
  })
  const kept = async () => (await sheets()).filter(({ ticket }) => opened.has(ticket.id)).length
  await page.keyboard.type('nTansy', { delay: 25 })
  await expect(page.getByLabel('Dog’s name')).toHaveValue('Tansy')
  await expect(page).toHaveURL(/\/ask$/)
  await page.keyboard.press('Enter')
  // Enter makes the dog, and leads nowhere else.
  await expect(page.getByRole('banner').getByText('Tansy').first()).toBeVisible()
  await expect(page).toHaveURL(/\/ask$/)
  await expect.poll(kept).toBe(1)
  expect(opened.size).toBe(1)
  // One that is left with nothing on it stands nowhere: on a page so high that every row is drawn.
  await page.setViewportSize({ width: 1280, height: 8000 })
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Tansy/ }).first()).toBeVisible()
  await page.keyboard.press('n')
  await expect(page.getByLabel('Dog’s name')).toBeFocused()
  const empty = /tickets\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? ''
  await expect.poll(async () => (await sheets()).some(({ ticket }) => ticket.id === empty)).toBe(true)
  await page.goto('/')
  const waiting = page.getByRole('region', { name: 'Waiting' })
  const all = await waiting.getByRole('listitem').first().getAttribute('aria-setsize')
  await expect(waiting.getByRole('listitem')).toHaveCount(Number(all))
  await expect(page.getByRole('link', { name: /Tansy/ }).first()).toBeVisible()
  await expect(page.locator(`a[href*="${empty}"]`)).toHaveCount(0)
})
