import type { Page } from '@playwright/test'
import { address, expect, freshTicket, setLook, sheetOf, sheets, test } from './bench-of-one.ts'

test.describe('on a tablet', () => {
  test.use({ viewport: { width: 1024, height: 768 } })

  test('U09 Ask keeps its height for the items: the cautions stand among the work, not over it', async ({ page }) => {
    const { ticket } = (await sheets()).find((sheet) => sheet.dog && sheet.items.some((item) => !item.removed))!
    await page.goto(`/tickets/${ticket.id}/ask`)
    const items = page.getByRole('region', { name: 'On this ticket' })
    await items.scrollIntoViewIfNeeded()
    // The column of the work is one scroll, nearly as high as the window.
    const column = await page.getByRole('region', { name: 'The work' }).locator('> div').boundingBox()
    expect(column?.height).toBeGreaterThan(500)
    await expect(page.getByRole('complementary', { name: 'Cautions' })).toHaveCount(0)
  })

  test('U10 the hitch shows the whole dog and the point where line meets harness', async ({ page }) => {
    const id = await freshTicket([{ family: 'H16', way: 'stock' }])
    await page.goto(`/tickets/${id}/hitch`)
    const plate = page.getByLabel(/Drawn to scale/)
    await expect(plate).toBeVisible()
    const { x, width } = (await plate.boundingBox())!
    expect(x).toBeGreaterThanOrEqual(0)
    expect(x + width).toBeLessThanOrEqual(1024)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1024)
  })
})

for (const width of [768, 700])
  test.describe(`on an upright tablet of ${width}`, () => {
    test.use({ viewport: { width, height: 1024 } })

    test('the strip keeps its parts apart, the tapes stand in a row, and the number typed has its room', async ({ page }) => {
      await page.goto(`/tickets/${(await sheetOf('Halyard')).ticket.id}/measure`)
      await page.locator('#length-entry').fill('25 3/8')
      // What runs out of its part of the strip lies over the next.
      const run = await page.locator('header.on-cloth > div:visible').evaluateAll((all) => all.map((each) => each.scrollWidth - each.clientWidth))
      expect(run.length).toBeGreaterThan(1)
      expect(Math.max(...run)).toBeLessThanOrEqual(1)
      const [first, second] = await page.getByRole('region', { name: 'Tapes for this ticket' }).getByRole('listitem').all()
      const [a, b] = [await first?.boundingBox(), await second?.boundingBox()]
      expect(b?.x).toBeGreaterThanOrEqual((a?.x ?? 0) + (a?.width ?? 0) - 1)
      const field = page.locator('#length-entry')
      expect((await field.boundingBox())?.width).toBeGreaterThan(220)
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
    })
  })

test.describe('on a tablet with a finger', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true, isMobile: true })

  test('no key is named where there are none', async ({ page, browser }) => {
    const measure = `/tickets/${(await sheetOf('Halyard')).ticket.id}/measure`
    const byMouse = await browser.newPage({ viewport: { width: 1024, height: 768 }, hasTouch: false, isMobile: false })
    for (const screen of ['/', measure]) {
      await page.goto(screen)
      await byMouse.goto(`${address()}${screen}`)
      await expect(byMouse.locator('kbd:visible').first()).toBeVisible()
      await expect(page.getByRole('heading').first()).toBeVisible()
      await expect(page.locator('kbd:visible')).toHaveCount(0)
    }
    await byMouse.close()
  })
})

for (const viewport of [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
]) {
  test.describe(`at ${viewport.width}`, () => {
    test.use({ viewport })
    test(`U11 how a tape was taken opens inside the window at ${viewport.width}`, async ({ page }) => {
      await setLook(page, { unit: 'cm', fitter: 'Ylva' })
      const id = await freshTicket([{ family: 'H11', way: 'stock' }])
      await page.goto(`/tickets/${id}/measure`)
      if (viewport.width < 700) await page.getByRole('button', { name: 'How', exact: true }).click()
      await page.getByRole('button', { name: /change how$/ }).click()
      const sheet = page.getByRole('dialog', { name: 'How it is taken' })
      await expect(sheet).toBeVisible()
      const { x, y, width, height } = (await sheet.boundingBox())!
      expect([x >= 0, y >= 0, x + width <= viewport.width, y + height <= viewport.height]).toEqual([true, true, true, true])
      // Every field of it can be reached by scrolling inside it.
      for (const name of ['Measured by', 'Remark']) {
        const field = sheet.getByRole(name === 'Remark' ? 'textbox' : 'group', { name })
        await field.scrollIntoViewIfNeeded()
        await expect(field).toBeInViewport()
      }
    })
  })
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('U29 opening How leaves the pad, "Pin it" and "Skip" where they are', async ({ page }) => {
    await setLook(page, { unit: 'cm', fitter: 'Ylva' })
    const id = await freshTicket([{ family: 'H11', way: 'stock' }])
    await page.goto(`/tickets/${id}/measure`)
    const pin = page.getByRole('button', { name: 'Pin it' })
    const before = (await pin.boundingBox())!
    await page.getByRole('button', { name: 'How', exact: true }).tap()
    const after = (await pin.boundingBox())!
    expect(after.y).toBeCloseTo(before.y, 0)
    for (const name of ['Pin it', 'Skip for now']) await expect(page.getByRole('button', { name })).toBeInViewport({ ratio: 0.99 })
    await expect(page.getByRole('button', { name: '1', exact: true })).toBeInViewport({ ratio: 0.99 })
  })

  test('U30 a round’s checks come first, and three verdicts stand in one row', async ({ page }) => {
    const sheet = (await sheets()).find((each) => each.tryOns.some((round) => !round.struck && each.items.some((item) => item.id === round.itemId && item.family === 'H11')))! // prettier-ignore
    await page.goto(`/tickets/${sheet.ticket.id}/try-on`)
    const check = page.getByRole('group', { name: /, (?:slack|pulling|moving)$/ })
    await expect(check).toBeVisible()
    expect((await check.boundingBox())!.y).toBeLessThan(250)
    const verdicts = ['Holds', 'Look again', 'Doesn’t hold'].map((name) => check.getByRole('button', { name, exact: true }))
    for (const verdict of verdicts) await expect(verdict).toBeInViewport({ ratio: 0.99 })
    const boxes = await Promise.all(verdicts.map((verdict) => verdict.boundingBox()))
    expect(new Set(boxes.map((box) => Math.round(box!.y))).size).toBe(1)
    expect(Math.min(...boxes.map((box) => box!.height))).toBeGreaterThan(80)
  })

  test('X20 a closed ticket says so on every stage, takes no number, and can be opened again', async ({ page }) => {
    await setLook(page, { unit: 'cm', fitter: 'Ylva' })
    const [closed] = await sheets('closed')
    for (const stage of ['ask', 'measure', 'choose', 'try-on']) {
      await page.goto(`/tickets/${closed!.ticket.id}/${stage}`)
      await expect(page.getByRole('status').filter({ hasText: 'Closed' })).toBeVisible()
      await expect(page.getByRole('button', { name: 'Open again' })).toBeEnabled()
      // A panel may still open or close while the page settles: what counts is that no field is left enabled.
      await expect(page.locator('main input:enabled, main textarea:enabled')).toHaveCount(0)
    }
  })

  test('U64 no room of the demo shop runs sideways on a phone, and every control can be met by a thumb', async ({ page }) => {
    const of = async (dog: string, room: string): Promise<string> => `/tickets/${(await sheetOf(dog)).ticket.id}/${room}`
    const rooms = ['ask', 'kinds', 'measure', 'choose', 'all-sizes', 'try-on', 'hitch', 'finish', 'letters', 'solo']
    const screens = [
      '/',
      '/dogs',
      '/gear',
      '/shop',
      ...(await Promise.all(rooms.map((room, i) => of(i % 2 === 0 && room !== 'ask' ? 'Bilberry' : 'Skiff', room)))),
    ]
    const found: string[] = []
    for (const screen of screens) {
      await page.goto(screen)
      await expect(page.locator('main')).toBeVisible()
      await page.waitForTimeout(250)
      // A table may scroll in a frame of its own; a room may not.
      const wide = await page.locator('.quiet-scroll').evaluateAll((all) => all.filter((each) => each.clientWidth > 300 && each.scrollWidth > each.clientWidth + 1).map((each) => each.scrollWidth)) // prettier-ignore
      const body = await page.evaluate(() => document.documentElement.scrollWidth)
      const small = await tooSmall(page)
      if (small.length > 0) found.push(`${screen.replace(/[0-9a-f-]{36}/, '')}: ${small.join('; ')}`)
      if (wide.length > 0 || body > 390) found.push(`${screen.replace(/[0-9a-f-]{36}/, '')}: ${[...wide, body].join()}`)
    }
    expect(found).toEqual([])
  })
})

/** Controls a thumb does not find: under 44 px and no link within a sentence. A slider’s ends share their room, and have their boxes. */
const tooSmall = (page: Page): Promise<string[]> =>
  page.locator('a[href], button, input, select, textarea, summary').evaluateAll((all) =>
    all
      .filter(
        (each) => !each.closest('.sr-only, [aria-hidden=true], [role=slider]') && !each.classList.contains('sr-only') && each.getAttribute('role') !== 'slider',
      )
      .flatMap((each) => {
        const { width, height } = (each.closest('label') ?? each).getBoundingClientRect()
        const inSentence = getComputedStyle(each).display === 'inline' && (each.parentElement?.textContent.length ?? 0) > each.textContent.length + 8
        const name = (each.getAttribute('aria-label') ?? each.textContent).slice(0, 40)
        return width === 0 || height === 0 || inSentence || (width >= 43.5 && height >= 43.5)
          ? []
          : [`${each.tagName} ${name} ${Math.round(width)} by ${Math.round(height)}`]
      }),
  )

/** Is anything of it past the window's right edge, or does it move sideways? */
const isWhole = (element: Element, width: number): boolean => {
  const box = element.getBoundingClientRect()
  return box.left >= 0 && box.right <= width + 0.5 && element.scrollWidth <= element.clientWidth + 1
}

for (const width of [1024, 390]) {
  test.describe(`papers at ${width}`, () => {
    test.use({ viewport: { width, height: 800 } })
    test(`U50 U63 dockets and forms are whole at ${width}`, async ({ page }) => {
      await setLook(page, { unit: 'in', fitter: 'Ylva' })
      const { ticket } = (await sheets()).find((sheet) => sheet.tryOns.length > 0 && sheet.readings.length > 4)!
      await page.goto(`/tickets/${ticket.id}/docket`)
      const docket = page.getByRole('article', { name: /^Docket of ticket/ })
      await expect(docket).toBeVisible()
      expect(await docket.evaluate(isWhole, width)).toBe(true)
      await page.goto(`/tickets/${ticket.id}/form`)
      const second = page.getByRole('columnheader', { name: '2nd' })
      await expect(second).toBeVisible()
      expect((await second.boundingBox())!.x + (await second.boundingBox())!.width).toBeLessThanOrEqual(width)
      if (width < 700) return
      await page.goto(`/tickets/${ticket.id}/finish`)
      const preview = page.getByRole('region', { name: 'Docket, as it prints' }).getByRole('article')
      await expect(preview).toBeVisible()
      expect((await preview.boundingBox())!.x + (await preview.boundingBox())!.width).toBeLessThanOrEqual(width)
      // At the bench the words over what the tapes say stand once.
      await page.goto(`/tickets/${ticket.id}/measure`)
      await page.locator('summary', { hasText: 'What the tapes say so far' }).click()
      await expect(page.getByText('What the tapes say so far', { exact: true }).filter({ visible: true })).toHaveCount(1)
    })
  })
}

test('U61 in Ask, fields beside each other stand on one line', async ({ page }) => {
  await page.goto(`/tickets/${(await sheetOf('Skiff')).ticket.id}/ask`)
  for (const names of [
    ['Sex', 'Weight'],
    ['Coat', 'Flat face'],
  ]) {
    const tops = await Promise.all(
      names.map(
        async (name) =>
          (
            await page
              .getByLabel(new RegExp(`^${name}`))
              .first()
              .boundingBox()
          )?.y ?? NaN,
      ),
    )
    expect(Math.abs((tops[0] ?? NaN) - (tops[1] ?? NaN)), names.join()).toBeLessThanOrEqual(1)
  }
})

test('U62 at 1280 nothing ends in the middle of nowhere: the right part of Try on and Gear has an edge', async ({ page }) => {
  for (const screen of [`/tickets/${(await sheetOf('Marlin')).ticket.id}/try-on`, '/gear']) {
    await page.goto(screen)
    await expect(page.getByRole('heading').first()).toBeVisible()
    // The part at the right, half way down: it reaches the window's edge, or ends in a line.
    const ends = await page.evaluate(() => {
      for (let x = 1270; x > 640; x -= 10)
        for (let at = document.elementFromPoint(x, 500); at && at.id !== 'root'; at = at.parentElement) {
          const { right, left } = at.getBoundingClientRect()
          const { borderRightWidth, borderLeftWidth } = getComputedStyle(at)
          if (left > 2 && ((right > 1278 && borderLeftWidth !== '0px') || borderRightWidth === '2px')) return x
        }
      return null
    })
    expect(ends, screen).not.toBeNull()
  }
})

test('U59 the list of keys is whole at 1280, its way back in sight', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('region', { name: 'Tickets' }).getByRole('listitem').first()).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Back to work' })).toBeInViewport({ ratio: 0.99 })
})

test.describe('today on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } })
  test('U53 what a ticket waits for is never cut', async ({ page }) => {
    await page.goto('/')
    const rows = page.getByRole('region', { name: 'Tickets' }).getByRole('listitem')
    await expect(rows.first()).toBeVisible()
    const cut = await rows
      .locator('.line-clamp-2')
      .evaluateAll((all) => all.filter((each) => each.scrollHeight > each.clientHeight + 1).map((each) => each.textContent))
    expect(cut).toEqual([])
  })
})
