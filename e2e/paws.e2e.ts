import { inventedPaw, renderedSheet, type Picture } from '@merry-tailor/core'
import { expect, setLook, sheets, test } from './bench-of-one.ts'

/** A picture as a bitmap file, 24 bits a pixel, its first row on top. */
function bitmap({ width, height, data }: Picture): Buffer {
  const row = Math.ceil((3 * width) / 4) * 4
  const out = Buffer.alloc(54 + row * height)
  out.write('BM')
  out.writeUInt32LE(out.length, 2)
  out.writeUInt32LE(54, 10)
  out.writeUInt32LE(40, 14)
  out.writeInt32LE(width, 18)
  out.writeInt32LE(-height, 22)
  out.writeUInt16LE(1, 26)
  out.writeUInt16LE(24, 28)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) for (let c = 0; c < 3; c++) out[54 + y * row + 3 * x + c] = data[4 * (y * width + x) + 2 - c] as number
  return out
}

const of = async (dog: string, family: string) =>
  (await sheets()).find((sheet) => sheet.dog?.name === dog && sheet.items.some((item) => item.family === family))

test('a photograph of a traced paw becomes two readings, an outline and a picture; an empty sheet says what is missing', async ({ page }) => {
  await setLook(page, { fitter: 'Ylva' })
  const sheet = await of('Bilberry', 'B1')
  await page.goto(`/tickets/${sheet?.ticket.id ?? ''}/paws`)
  await page
    .getByRole('button', { name: /^Trace/ })
    .first()
    .click()
  const shot = { width: 1050, height: 1400, turnRad: 0.1, tiltRad: 0.2, sideRad: 0.1, lens: 0.02, light: 1.8, noise: 0.006, blurPx: 0.7, pencil: 0.55, pencilMm: 0.8, fill: 0.6 } // prettier-ignore
  const take = (picture: Picture) => page.locator('input[type=file]').setInputFiles({ name: 'sheet.bmp', mimeType: 'image/bmp', buffer: bitmap(picture) })
  await take(renderedSheet([], shot, 2))
  await expect(page.getByRole('alert')).toContainText('No closed outline on the sheet')
  await take(renderedSheet([{ points: inventedPaw(58, 70).map(([x, y]): [number, number] => [x, y + 5]) }], shot, 3))
  await expect(page.getByText('The printed line measures 100 mm')).toBeVisible()
  await page.getByRole('button', { name: 'Keep left front' }).click()
  await expect(page.getByRole('button', { name: /^Set of 4/ })).toBeVisible()
  await expect
    .poll(async () => {
      const now = await of('Bilberry', 'B1')
      const tracing = now?.tracings[0]
      const read = now?.readings.filter((each) => each.tracingId === tracing?.id) ?? []
      return [read.length, Math.abs((read.find(({ measure }) => measure === 'M32')?.mm ?? 0) - 56) < 1, tracing?.photoId !== null]
    })
    .toEqual([2, true, true])
})

test('a crate is looked at by keyboard: its clearances, the turn, another row, and the choice', async ({ page }) => {
  await setLook(page, { fitter: 'Ylva' })
  const sheet = await of('Cockle', 'K2')
  await page.goto(`/tickets/${sheet?.ticket.id ?? ''}/crate`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('in Travel')
  await page.keyboard.press('6')
  await expect(page.getByRole('region', { name: 'Turning round' })).toBeVisible()
  const before = await page.getByRole('heading', { level: 1 }).textContent()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(before ?? '')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/try-on/)
  await expect.poll(async () => (await of('Cockle', 'K2'))?.choices.at(-1)?.kind).toBe('series')
})
