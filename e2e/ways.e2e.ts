import type { Page } from '@playwright/test'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { expect, freshTicket, setLook, sheetOf, sheets, test } from './bench-of-one.ts'

const kept = async (id: string) => (await sheets()).find((sheet) => sheet.ticket.id === id)?.readings ?? []

/** Keys with the times a device gives them, whatever the load on this machine. */
async function typeAsDevice(page: Page, keys: string[]): Promise<void> {
  const browser = await page.context().newCDPSession(page)
  const begin = Date.now() / 1000
  const press = (key: string, i: number) =>
    browser.send('Input.dispatchKeyEvent', { type: 'keyDown', key, text: key === 'Enter' ? '\r' : key, timestamp: begin + i * 0.008 })
  await Promise.all(keys.map(press))
}

test('every act on the bench is taken back and done again', async ({ page }) => {
  await setLook(page, { fitter: 'Ylva' })
  const id = await freshTicket([{ family: 'H01', way: 'stock' }])
  await page.goto(`/tickets/${id}/measure`)
  const field = page.locator('#length-entry')
  await field.fill('11')
  await field.press('Enter')
  await page.keyboard.press('Control+z')
  await expect.poll(async () => (await kept(id))[0]?.struck).toMatchObject({ why: 'Unpinned', by: 'Ylva' })
  await page.keyboard.press('Control+y')
  await expect.poll(async () => (await kept(id))[0]?.struck).toBeUndefined()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => (await kept(id))[0]?.struck?.why).toBe('Unpinned')
  // A strike by hand, put back by hand, and both undone.
  await field.fill('11 1/4')
  await field.press('Enter')
  await page.keyboard.press('Alt+1')
  await page.keyboard.press('r')
  await expect.poll(async () => (await kept(id))[1]?.struck?.why).toBe('Taken again')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => (await kept(id))[1]?.struck).toBeUndefined()
  // The whole body sheet is an act too.
  await page.getByRole('button', { name: 'Ways' }).click()
  await page.getByRole('menuitemcheckbox', { name: /All of it/ }).click()
  await expect(page.getByRole('button', { name: /Standing height, head/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /Standing height, head/ })).toBeHidden()
})

test('circumstances, other tools, a station drawn forward, a rest and the round backwards', async ({ page }) => {
  await setLook(page, { fitter: 'Ylva', helper: 'Orrin' })
  const id = await freshTicket([{ family: 'H11', way: 'made', school: 'A' }])
  await page.goto(`/tickets/${id}/measure`)
  const title = page.getByRole('heading', { level: 1 })
  const field = page.locator('#length-entry')
  await page.getByRole('button', { name: 'Ways' }).click()
  await page.getByRole('menuitemcheckbox', { name: /One round, rest/ }).click()
  await page.getByRole('button', { name: 'Underside first' }).click()
  await expect(title).toHaveText('Last rib, under-route')
  await page.getByRole('combobox', { name: 'Tool' }).click()
  await page.getByRole('option', { name: 'String and ruler' }).click()
  await page.getByRole('radio', { name: 'Left' }).click()
  await page.getByText('change how').click()
  await page.getByRole('button', { name: 'wet' }).click()
  await page.getByRole('button', { name: 'Leaned' }).click()
  await page.getByRole('switch', { name: /one chalk mark/ }).click()
  await page.keyboard.press('Escape')
  for (const text of ['16 1/8', '10 3/8', '11 5/8']) {
    await field.fill(text)
    await field.press('Enter')
  }
  await expect(page.getByRole('timer')).toBeVisible()
  await expect(title).toHaveText('Harness neck')
  await page.getByRole('button', { name: 'On now' }).click()
  await field.fill('11 1/2')
  await field.press('Enter')
  await expect(title).toHaveText('Rib to tail')
  await expect
    .poll(async () => (await kept(id))[0])
    .toMatchObject({
      measure: 'M10',
      place: 'left',
      method: 'string',
      coat: 'wet',
      postureDoubt: 'Leaned',
      chalkMark: true,
      school: 'A',
      definition: 1,
      by: 'Ylva',
      heldBy: 'Orrin',
    })
  // Through one mark the overall length follows, shown as derived.
  await page.getByRole('button', { name: 'Ways' }).click()
  await page.getByRole('menuitem', { name: 'Another tape…' }).press('ArrowRight')
  await page.getByRole('menuitem', { name: /Overall pulling length/ }).click()
  await expect(page.getByRole('button', { name: /Overall pulling length/ })).toBeVisible()
  await page.getByRole('button', { name: /Harness neck/ }).click()
  await expect(page.getByRole('button', { name: /Overall pulling length/ })).toContainText('derived, not to order by')
})

test('alone: any tap goes on, keys pin, and the voice is silent until it is asked for', async ({ page }) => {
  const id = await freshTicket([{ family: 'H01', way: 'stock' }])
  await page.addInitScript(() => {
    const said: string[] = []
    Object.assign(window, { said })
    Object.defineProperty(window, 'speechSynthesis', { value: { cancel: () => undefined, speak: (line: { text: string }) => said.push(line.text) } })
    Object.assign(window, {
      SpeechSynthesisUtterance: class {
        constructor(readonly text: string) {}
      },
    })
  })
  await page.goto(`/tickets/${id}/measure`)
  await expect(page.locator('#length-entry')).toBeFocused()
  await page.keyboard.press('Escape')
  await page.keyboard.press('s')
  await expect(page).toHaveURL(/solo$/)
  await expect(page.getByText('Unreliable alone')).toBeVisible()
  await page.keyboard.type('10 3/4')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: '1', exact: true }).click()
  await page.getByRole('button', { name: '0', exact: true }).click()
  await page.getByRole('button', { name: '3/4' }).click()
  await page.getByRole('button', { name: 'Pin it and go on' }).click()
  await expect(page.getByRole('button', { name: 'Next tape' })).toContainText('Sternum length')
  expect(await page.evaluate(() => (window as unknown as { said: string[] }).said)).toEqual([])
  await page.getByRole('switch', { name: 'Voice' }).click()
  await page.getByRole('button', { name: 'Next tape' }).click()
  await expect.poll(() => page.evaluate(() => (window as unknown as { said: string[] }).said.at(-1))).toContain('Girth, largest')
  await page.keyboard.type('26')
  await page.keyboard.press('Enter')
  await expect.poll(() => page.evaluate(() => (window as unknown as { said: string[] }).said)).toContainEqual('26 inches. Kept.')
  await expect
    .poll(async () => (await kept(id)).map((reading) => [reading.measure, reading.method]))
    .toEqual([
      ['M01', 'loop'],
      ['M01', 'loop'],
      ['M07', 'tape'],
    ])
})

test('a squeeze of the digital tape pins into the active tape; a wedge types into it', async ({ page }) => {
  const id = await freshTicket([{ family: 'H01', way: 'stock' }])
  await page.goto(`/tickets/${id}/measure`)
  await page.getByRole('combobox', { name: 'Tool' }).click()
  await page.getByRole('option', { name: 'Digital tape' }).click()
  await page.getByRole('button', { name: 'Simulated tape' }).click()
  await page.getByLabel('Roll it to').fill('11 3/8')
  await page.getByRole('button', { name: 'Roll', exact: true }).click()
  await expect(page.getByText('battery 90 of 100')).toBeVisible()
  await page.getByRole('button', { name: 'Squeeze' }).click()
  await expect
    .poll(async () => (await kept(id)).map((reading) => [reading.measure, Math.round(reading.mm), reading.method, reading.side]))
    .toEqual([['M01', 289, 'digital', 'one']])
  await page.getByLabel('Battery').fill('12')
  await page.getByLabel('Lost of 100').focus()
  await page.getByRole('button', { name: 'Roll', exact: true }).click()
  await expect(page.getByText(/battery 12 of 100: change it soon/)).toBeVisible()
  await page.getByRole('button', { name: 'Let go' }).click()
  // A device that types: digits and Enter faster than a hand, with nothing focused.
  await page.getByRole('combobox', { name: 'Tool' }).click()
  await page.getByRole('option', { name: 'The usual tool' }).click()
  await page.getByRole('button', { name: /Girth, largest/ }).click()
  await page.locator('#length-entry').blur()
  await typeAsDevice(page, ['2', '6', '.', '5', 'Enter'])
  await expect.poll(async () => (await kept(id)).at(-1)).toMatchObject({ measure: 'M07', method: 'digital', asTyped: '26.5' })
})

test('the measuring form and the ask-back page print on A4 and Letter with every tape and its path', async ({ page }) => {
  const [sextant, pebble] = await Promise.all([sheetOf('Sextant'), sheetOf('Pebble')])
  for (const [path, words] of [
    [
      `/tickets/${sextant.ticket.id}/form`,
      ['Harness neck', 'Sternum length', 'Girth, largest', 'Overall pulling length', 'Last rib, over-route', 'by a garment'],
    ],
    [`/tickets/${pebble.ticket.id}/ask-back`, ['“A–B”', '26,5 cm', 'Back length from neck base', 'Head circumference']],
  ] as const) {
    await page.goto(path)
    await expect(page.getByRole('table').first()).toBeVisible()
    // A drawn path in every row.
    const rows = page.locator('.paper tbody tr').filter({ has: page.locator('svg') })
    expect(await rows.count()).toBeGreaterThanOrEqual(5)
    for (const format of ['A4', 'Letter'] as const) {
      await page.getByRole('radio', { name: format }).click()
      const pdf = await getDocument({ data: new Uint8Array(await page.pdf({ format, preferCSSPageSize: true })), verbosity: 0 }).promise
      const first = await pdf.getPage(1)
      const [, , width, height] = first.view
      expect([Math.round(((width ?? 0) / 72) * 25.4), Math.round(((height ?? 0) / 72) * 25.4)]).toEqual(format === 'A4' ? [210, 297] : [216, 279])
      const texts = await Promise.all(
        Array.from({ length: pdf.numPages }, async (_, i) =>
          (await (await pdf.getPage(i + 1)).getTextContent()).items.map((item) => ('str' in item ? item.str : '')).join(' '),
        ),
      )
      const text = texts.join(' ').replace(/\s+/g, ' ')
      for (const word of words) expect(text).toContain(word)
      // The frame of the screen is not printed.
      expect(text).not.toContain('Merry Tailor')
      await pdf.destroy()
    }
  }
})

test('a filled form is typed in by keyboard, and a bad box keeps what was typed', async ({ page }) => {
  const id = await freshTicket([{ family: 'H01', way: 'stock' }])
  await page.goto(`/tickets/${id}/quick`)
  await page.getByRole('button', { name: 'The owner' }).click()
  await page.getByLabel('Harness neck, 1. reading').fill('10 5/8')
  await page.keyboard.press('Enter')
  await page.keyboard.type('10 3/4')
  await page.getByLabel('Girth, largest, 1. reading').fill('sixty')
  await page.getByRole('button', { name: 'Pin 3 readings' }).click()
  await expect(page.getByRole('alert')).toContainText('Can’t read that as a length')
  await expect(page.getByLabel('Girth, largest, 1. reading')).toHaveValue('sixty')
  expect(await kept(id)).toEqual([])
  await page.getByLabel('Girth, largest, 1. reading').fill('66 cm')
  await page.getByRole('button', { name: 'Pin 3 readings' }).click()
  await expect(page).toHaveURL(/measure$/)
  await expect
    .poll(async () => (await kept(id)).map((reading) => [reading.measure, reading.asTyped, reading.side, reading.remark]))
    .toEqual([
      ['M01', '10 5/8', 'one', 'From the paper form'],
      ['M01', '10 3/4', 'one', 'From the paper form'],
      ['M07', '66 cm', 'both', 'From the paper form'],
    ])
})

test('a number under other people’s letters is asked back about, answered and never sized on before', async ({ page }) => {
  await setLook(page, { fitter: 'Ylva', unit: 'cm', unitChosen: true })
  const id = await freshTicket([{ family: 'C4', way: 'made' }])
  await page.goto(`/tickets/${id}/letters`)
  await page.getByRole('button', { name: 'Keep as written' }).click()
  await expect(page.getByText('What did they call it?')).toBeVisible()
  await page.getByLabel('Their letter or word').fill('B')
  await page.getByLabel('The number, as written').fill('36')
  await page.getByRole('button', { name: 'Keep as written' }).click()
  await expect(page.getByText('“B” 36')).toBeVisible()
  expect(await kept(id)).toEqual([])
  await page.getByRole('link', { name: 'Ask-back page' }).click()
  await expect(page.getByRole('cell', { name: '“B”' })).toBeVisible()
  await expect(page.getByRole('cell', { name: /Back length/ }).first()).toBeVisible()
  await page.getByRole('link', { name: 'Back' }).click()
  await page.getByRole('button', { name: 'They answered' }).click()
  await page.getByRole('combobox', { name: 'The measure it is' }).click()
  await page.getByRole('option', { name: 'Back length', exact: true }).click()
  await page.getByRole('radio', { name: 'Centimetres' }).click()
  await page.getByRole('button', { name: 'Take it as a reading' }).click()
  await expect(page.getByText('became back length')).toBeVisible()
  await expect.poll(() => kept(id)).toMatchObject([{ measure: 'M14', mm: 360, remark: 'Came as “B”, answered by the sender' }])
})

test('one tape goes down a line of dogs on large keys, then the next tape', async ({ page }) => {
  const [a, b] = await Promise.all([sheetOf('Lodestar'), sheetOf('Marlin')])
  await setLook(page, { unit: 'cm', unitChosen: true })
  await page.goto(`/round?dogs=${a.dog?.id ?? ''},${b.dog?.id ?? ''}&tapes=M08,M29`)
  await page.getByRole('button', { name: 'Down the line' }).click()
  const who = page.getByRole('heading', { level: 1, name: /Lodestar|Marlin|taken/ })
  for (const [dog, number] of [
    ['Lodestar', '65,1'],
    ['Marlin', '71,3'],
    ['Lodestar', '60,4'],
    ['Marlin', '66,2'],
  ]) {
    await expect(who).toHaveText(dog ?? '')
    await page.keyboard.type(number ?? '')
    await page.keyboard.press('Enter')
  }
  await expect(who).toHaveText('4 of 4 taken')
  const of = async (dog: string) =>
    (await sheetOf(dog)).readings.filter((reading) => ['M08', 'M29'].includes(reading.measure)).map((reading) => [reading.measure, reading.mm])
  await expect
    .poll(() => of('Lodestar'))
    .toEqual([
      ['M08', 651],
      ['M29', 604],
    ])
  await expect.poll(() => of('Marlin')).toHaveLength(2)
  await page.goto(`/round/sheet?dogs=${a.dog?.id ?? ''},${b.dog?.id ?? ''}&tapes=M08,M29`)
  await expect(page.getByRole('cell', { name: '2. Marlin' })).toBeVisible()
})

test('a dog’s page compares two dates, keeps notes and photographs, and takes its body sheet out', async ({ page }) => {
  const { dogs } = { dogs: (await (await fetch(`${process.env.MERRY_ADDRESS ?? ''}/api/dogs`)).json()) as { id: string; name: string }[] }
  const spinnaker = dogs.find((dog) => dog.name === 'Spinnaker')
  await page.goto(`/dogs/${spinnaker?.id ?? ''}`)
  await expect(page.getByRole('img', { name: /Weight over time, 10 weighings/ })).toBeVisible()
  const compared = page.getByRole('region', { name: 'Two dates compared' })
  await page.getByRole('slider', { name: 'Compared with' }).press('Home')
  await expect(compared).toContainText('+')
  await page.getByRole('combobox', { name: 'Kind of note' }).click()
  await page.getByRole('option', { name: 'Scar' }).click()
  await page.getByLabel('Where, how').fill('Healed pad')
  await page.getByRole('button', { name: 'Add note' }).click()
  await expect(page.getByText('Healed pad')).toBeVisible()
  const png = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==', 'base64')
  await page.getByLabel('Side photograph').setInputFiles({ name: 'side.png', mimeType: 'image/png', buffer: png })
  await expect(page.getByRole('img', { name: /^Side,/ })).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('complementary', { name: 'Tickets' }).getByRole('link', { name: 'JSON' }).click()
  expect((await download).suggestedFilename()).toMatch(/^Spinnaker \d{4}-\d\d-\d\d body-sheet\.json$/)

  const whole = page.getByRole('region', { name: 'The whole body' })
  await expect(whole).toContainText('the rest is what the form expects')
  const plate = page.waitForEvent('download')
  await whole.getByRole('link', { name: /Side plate/ }).click()
  expect((await plate).suggestedFilename()).toMatch(/^Spinnaker \d{4}-\d\d-\d\d form\.svg$/)
})
