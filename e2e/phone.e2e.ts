import { expect, freshTicket, sheets, test } from './bench-of-one.ts'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

test('measuring with one thumb: touch only, our own pad, the system keyboard shut', async ({ page }) => {
  const id = await freshTicket([{ family: 'H01', way: 'stock' }])
  await page.goto(`/tickets/${id}/measure`)
  const field = page.locator('#length-entry')
  await expect(field).toHaveAttribute('inputmode', 'none')
  const tap = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' }).tap()

  await tap('1')
  await tap('0')
  await tap('5/8')
  await expect(field).toHaveValue('10 5/8')
  await tap('3/4')
  await expect(field).toHaveValue('10 3/4')
  await tap('Pin it')
  await tap('1')
  await tap('1')
  await tap('Take back')
  await tap('0')
  await tap('7/8')
  await tap('Pin it')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sternum length')
  await tap('Skip for now')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Girth, largest')
  await tap(/^Unit: in/)
  for (const key of ['6', '5', 'point 5']) await tap(key)
  await tap('Pin it')
  await expect
    .poll(async () => (await sheets()).find((sheet) => sheet.ticket.id === id)?.readings.map((reading) => [reading.asTyped, reading.side]))
    .toEqual([
      ['10 3/4', 'one'],
      ['10 7/8', 'one'],
      ['65.5', 'both'],
    ])

  // Nothing scrolls sideways, and every target is a thumb's size.
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
  const small = await page.evaluate(() =>
    [...document.querySelectorAll('main button, main [role="switch"], header a, header summary')]
      .map((target) => ({ name: target.getAttribute('aria-label') ?? target.textContent, box: target.getBoundingClientRect() }))
      .filter(({ box }) => box.height > 0 && box.height < 43.5)
      .map(({ name, box }) => `${name} ${box.height}`),
  )
  expect(small).toEqual([])
})
