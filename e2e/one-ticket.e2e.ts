import { expect, freshTicket, sheets, test } from './bench-of-one.ts'
import { kittiwakeOn, takeEveryTape, WANTED } from './whole-dog.ts'

test('one dog, five things: asked, measured, chosen, tried on, and the card on the wall', async ({ page }) => {
  const id = await freshTicket([])
  await kittiwakeOn(id)

  // Ask: five items on one ticket.
  await page.goto(`/tickets/${id}/ask`)
  for (const { name } of WANTED) await page.getByRole('button', { name, exact: true }).click()
  const wanted = page.getByRole('region', { name: 'On this ticket' })
  for (const [i, { way }] of WANTED.entries()) await wanted.getByRole('radio', { name: way === 'made' ? 'Made to measure' : 'Stock', exact: true }).nth(i).click() // prettier-ignore

  // Measure: no tape twice for two items that want the same.
  expect(await takeEveryTape(id, WANTED)).toBeGreaterThan(50)
  await page.goto(`/tickets/${id}/measure`)
  await expect(page.getByText(/^\d+ agree/)).toBeVisible()

  // Choose: five tabs in sight; each is settled, and the next that waits comes into hand.
  await page.goto(`/tickets/${id}/choose`)
  for (const { name } of WANTED) await expect(page.getByRole('tab', { name: new RegExp(`^${name}`) })).toBeInViewport({ ratio: 0.99 })
  const yellow = (words: RegExp) => page.getByRole('button', { name: words })
  await yellow(/^(Try|Start with) /).click()
  await expect(page.getByRole('tab', { selected: true })).toHaveAccessibleName(/^Car harness/)
  await yellow(/^(Try|Start with) /).click()
  // A rug of nobody's sizes is cut here.
  await expect(page.getByRole('tab', { selected: true })).toHaveAccessibleName(/^Rug/)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cut for Kittiwake alone')
  await yellow(/^Its pieces from the tapes/).click()
  await expect(page).toHaveURL(/\/pattern\//)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Rug on Kittiwake')
  await page.getByRole('button', { name: /^(Knitting|Cut) sheet/ }).click()
  await expect(page).toHaveURL(/\/(knitting|cut)-sheet\//)
  await page.goto(`/tickets/${id}/choose`)
  await page.getByRole('tab', { name: /^Sled booties/ }).click()
  await yellow(/^(Try|Start with) /).click()
  await expect.poll(async () => (await sheets()).find(({ ticket }) => ticket.id === id)?.choices.length).toBe(3)
  await page.goto(`/tickets/${id}/crate`)
  await yellow(/^Choose crate/).click()
  await expect(page).toHaveURL(/\/try-on$/)

  // Try on: each in the words of its kind.
  for (const { name } of WANTED) await expect(page.getByRole('tab', { name: new RegExp(`^${name}`) })).toBeInViewport({ ratio: 0.99 })
  await page.getByRole('tab', { name: /^Wire crate/ }).click()
  await expect(page.getByText(/let the dog walk in by itself/)).toBeVisible()
  await yellow(/^Let Kittiwake into \d+/).click()
  await page.getByRole('tab', { name: /^Full cross-back/ }).click()
  await yellow(/^Put .+ on Kittiwake/).click()
  await page.getByRole('button', { name: 'Holds', exact: true }).first().click()
  await expect.poll(async () => (await sheets()).find(({ ticket }) => ticket.id === id)?.tryOns.flatMap(({ observations }) => observations).length).toBe(1)

  // Finish: the docket has all five, and the cards go on the wall.
  await page.goto(`/tickets/${id}/docket`)
  const docket = page.getByRole('article', { name: /^Docket of ticket/ })
  for (const { name } of WANTED) await expect(docket).toContainText(name)
  await page.goto(`/tickets/${id}/car-card`)
  await expect(page.getByRole('heading', { name: 'Kittiwake: before every drive' })).toBeVisible()
  await page.goto(`/tickets/${id}/cards`)
  for (const { name } of WANTED) await expect(page.getByRole('heading', { name: new RegExp(`^${name} (on|for) Kittiwake`) })).toBeVisible()
})
