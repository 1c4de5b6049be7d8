import { expect, test } from './bench-of-one.ts'
import { ownServer, type OwnServer } from './own-server.ts'

// A shop of its own: five thousand dogs are in no other journey's way.
let own: OwnServer
test.beforeAll(async () => {
  own = await ownServer()
})
test.afterAll(async () => {
  await own.end()
})

test('a kennel list shows its bad cells and goes in whole when they are right', async ({ page }) => {
  await page.goto(`${own.address}/dogs/bring-in`)
  const choose = (text: string) =>
    page.getByLabel('Kennel list or body sheet').setInputFiles({ name: 'yard.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await choose('name,sex,M07 cm\nKittiwake,f,wide\nPuffin,m,61.2\n')
  await expect(page.getByRole('status')).toContainText('2 dogs read, 1 good; one cell to put right')
  await expect(
    page
      .getByText('“wide” is no length', { exact: false })
      .or(page.getByText('"wide" is no length', { exact: false }))
      .first(),
  ).toBeVisible()
  const rows = Array.from({ length: 4998 }, (_, i) => `Yard dog ${i},m,${60 + (i % 9)}`)
  await choose(['name,sex,M07 cm', 'Kittiwake,f,58.4', 'Puffin,m,61.2', ...rows].join('\n'))
  // The page goes on drawing while five thousand rows are read.
  await expect(page.getByRole('status')).toContainText('5000 dogs read, 5000 good')
  await page.getByRole('button', { name: 'Take 5000 dogs in' }).click()
  await expect(page).toHaveURL(/dogs$/)
  await expect(page.getByRole('button', { name: '4940 more; show the next 60' })).toBeVisible()
  await page.getByLabel('Find a dog').fill('dog 4997')
  await expect(page.getByRole('link', { name: /Yard dog 4997/ })).toBeVisible()
  await page.goto(own.address)
  await page.getByPlaceholder('Dog, owner, ticket').fill('kittiw')
  await expect(page.getByText('Kittiwake').first()).toBeVisible()
})
