import type { Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { expect, test } from './bench-of-one.ts'
import { ownServer, type OwnServer } from './own-server.ts'

let own: OwnServer
test.beforeAll(async () => {
  own = await ownServer()
})
test.afterAll(() => own.end())

/** Five kinds of text people type or paste: markup, right to left, pictures and stacked marks, one long word, quotes of every sort. */
const TEXT = {
  markup: '<img src=x onerror="window.broken=1"><script>1</script>',
  rightToLeft: 'שלום כלב ‮ مرحبا',
  pictures: '🐾👩🏽‍🔧 Z̷̧̡a̶l̴g̵o ǅ',
  long: 'W'.repeat(60),
  quotes: `'); DROP TABLE dogs;-- "\${1+1}" \\ %s {{x}}`,
}

test('every screen shows any kind of text as text', async ({ page }) => {
  const at = new Date().toISOString()
  const put = async (path: string, body: unknown): Promise<void> => {
    const answer = await fetch(`${own.address}/api${path}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
    if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`)
  }
  const dogs = Object.fromEntries(Object.keys(TEXT).map((kind) => [kind, uuid()])) as Record<keyof typeof TEXT, string>
  const kinds = Object.keys(TEXT) as (keyof typeof TEXT)[]
  const owner = uuid()
  await put(`/owners/${owner}`, { name: TEXT.pictures, contact: TEXT.markup, at })
  await put(`/fitters/${uuid()}`, { name: TEXT.quotes, at })
  await put('/size-tables/any-text/1', {
    id: 'any-text', version: 1, name: TEXT.markup, maker: TEXT.quotes, family: 'H01', way: 'stock', unit: 'cm', between: null,
    sizes: [{ label: '<b>M</b>', bands: { M07: [500, 700] } }, { label: TEXT.rightToLeft, bands: { M07: [701, 900] } }], lead: { minWeeks: 0, maxWeeks: 1 },
  }) // prettier-ignore
  const tickets: string[] = []
  for (const [i, kind] of kinds.entries()) {
    const next = (by: number): string => TEXT[kinds[(i + by) % kinds.length] as keyof typeof TEXT]
    await put(`/dogs/${dogs[kind]}`, { name: TEXT[kind], breed: next(1), notes: next(2), ownerId: owner, at })
    await put(`/dogs/${dogs[kind]}/notes/${uuid()}`, { kind: 'other', text: next(3), on: at.slice(0, 10), at, by: next(4).slice(0, 40) })
    await put(`/pieces/${uuid()}`, {
      tag: TEXT[kind].slice(0, 40), family: 'H01', maker: next(1), label: next(2).slice(0, 20), tableId: null, flat: {}, sliders: next(3), home: 'shop', holder: next(4), wearerId: null, state: 'good', wear: next(1), at,
    }) // prettier-ignore
    const ticket = uuid()
    tickets.push(ticket)
    await put(`/tickets/${ticket}`, { dogId: dogs[kind], ownerId: null, kind: 'real', at, by: next(3).slice(0, 40) })
    const item = uuid()
    await put(`/tickets/${ticket}/items/${item}`, { family: 'H01', way: 'stock', school: null, at })
    for (const mm of [640, 642])
      await put(`/tickets/${ticket}/readings/${uuid()}`, {
        measure: 'M07',
        mm,
        side: 'both',
        asTyped: next(1).slice(0, 40),
        unit: 'mm',
        method: 'tape',
        remark: next(2),
        takenAt: at,
        by: next(4).slice(0, 40),
      })
    await put(`/tickets/${ticket}/as-written/${uuid()}`, {
      letters: next(1).slice(0, 12),
      asWritten: next(4).slice(0, 12),
      came: 'mail',
      wanted: null,
      remark: next(3),
      at,
      by: '',
    })
    await put(`/tickets/${ticket}/try-ons/${uuid()}`, {
      itemId: item,
      of: { named: true },
      label: next(1).slice(0, 40),
      settings: [],
      changed: next(2),
      at,
      by: next(3).slice(0, 40),
    })
  }
  page.on('dialog', (dialog) => void dialog.dismiss().then(() => Promise.reject(new Error('a dialog opened'))))
  const stages = ['ask', 'measure', 'solo', 'form', 'quick', 'letters', 'ask-back', 'choose', 'all-sizes', 'kinds', 'hitch', 'try-on', 'finish', 'docket']
  const screens = [
    '/', '/dogs', '/dogs/bring-in', '/sizes', '/sizes/any-text/edit', '/sizes/paste', '/gear', '/shop', `/round?dogs=${Object.values(dogs).join()}`, `/round/sheet?dogs=${Object.values(dogs).join()}`,
    ...kinds.map((kind) => `/dogs/${dogs[kind]}`),
    // Each stage with one ticket after another, so that each meets each kind in name, notes or remark.
    ...stages.map((stage, i) => `/tickets/${tickets[i % tickets.length] ?? ''}/${stage}`),
  ] // prettier-ignore
  for (const screen of screens) {
    await page.goto(`${own.address}${screen}`)
    await expect(page.getByRole('heading').first()).toBeVisible()
    await page.waitForTimeout(250)
    const found = await page.evaluate(() => ({
      broken: 'broken' in window,
      planted: document.querySelectorAll('img[src="x"], body b > script, [onerror]').length,
      wide: document.documentElement.scrollWidth > window.innerWidth,
    }))
    expect(found, screen).toEqual({ broken: false, planted: 0, wide: false })
  }
  await page.goto(`${own.address}/dogs`)
  for (const kind of ['markup', 'pictures', 'quotes'] as const) await expect(page.getByText(TEXT[kind], { exact: true }).first()).toBeVisible()
})

/** Controls that no scrolling brings into the window, sideways. */
const outOfReach = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const scrolls = (element: Element): boolean =>
      element.scrollWidth > element.clientWidth + 1 && ['auto', 'scroll'].includes(getComputedStyle(element).overflowX)
    const reachable = (element: Element): boolean => {
      const { left, right, width, height } = element.getBoundingClientRect()
      if (width === 0 || height === 0 || (left >= -1 && right <= innerWidth + 1)) return true
      for (let up = element.parentElement; up; up = up.parentElement) if (scrolls(up)) return true
      return false
    }
    return [...document.querySelectorAll('a[href], button, input:not([type=file]), textarea, summary, [role=radio]')]
      .filter((each) => !each.closest('.sr-only, [aria-hidden=true]') && !each.classList.contains('sr-only') && !reachable(each))
      .map((each) => `${each.tagName} ${(each.getAttribute('aria-label') ?? each.textContent).slice(0, 50)}`)
  })

test('A19 no text of the longest kind pushes a control out of reach, with spaces or without', async ({ page }) => {
  const at = new Date().toISOString()
  const put = async (path: string, body: unknown): Promise<void> => {
    const answer = await fetch(`${own.address}/api${path}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
    if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`)
  }
  const long = (length: number, spaces: boolean): string => (spaces ? 'Wander woolly ' : 'Wwwwwwwwwwwwww').repeat(12).slice(0, length).trim()
  const screens: string[] = []
  for (const spaces of [true, false]) {
    const [dog, ticket, item, owner, table] = [uuid(), uuid(), uuid(), uuid(), spaces ? 'wide-words' : 'one-word']
    await put(`/owners/${owner}`, { name: long(80, spaces), contact: long(120, spaces), at })
    await put(`/size-tables/${table}/1`, {
      id: table, version: 1, name: long(60, spaces), maker: long(60, spaces), family: 'H11', way: 'stock', unit: 'cm', between: null,
      sizes: [{ label: long(20, spaces), bands: { M01: [400, 500] } }, { label: 'L', bands: { M01: [500, 600] } }], lead: { minWeeks: 0, maxWeeks: 1 },
    }) // prettier-ignore
    await put(`/dogs/${dog}`, { name: long(60, spaces), breed: long(80, spaces), crossWith: long(80, spaces), notes: long(160, spaces), ownerId: owner, at })
    await put(`/tickets/${ticket}`, { dogId: dog, ownerId: null, kind: 'real', at, by: long(40, spaces) })
    await put(`/tickets/${ticket}/items/${item}`, { family: 'H11', way: 'undecided', school: null, at })
    for (const mm of [450, 452])
      await put(`/tickets/${ticket}/readings/${uuid()}`, { measure: 'M01', mm, side: 'both', asTyped: `${mm / 10}`, unit: 'cm', method: 'tape', remark: long(160, spaces), takenAt: at, by: long(40, spaces) }) // prettier-ignore
    await put(`/tickets/${ticket}/try-ons/${uuid()}`, { itemId: item, of: { named: true }, label: long(40, spaces), settings: [], changed: long(160, spaces), at, by: long(40, spaces) }) // prettier-ignore
    await put(`/tickets/${ticket}/as-written/${uuid()}`, {
      letters: long(12, spaces),
      asWritten: '45',
      came: 'mail',
      wanted: null,
      remark: long(160, spaces),
      at,
      by: '',
    })
    screens.push('/', '/dogs', `/dogs/${dog}`, `/sizes/${table}/edit`, '/sizes', ...['ask', 'measure', 'solo', 'letters', 'ask-back', 'choose', 'all-sizes', 'kinds', 'hitch', 'try-on', 'finish'].map((room) => `/tickets/${ticket}/${room}`)) // prettier-ignore
  }
  const found: string[] = []
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height })
    // On a phone one word without a space is the harder of the two; wide, each screen has one of both.
    const half = screens.length / 2
    for (const screen of width < 700 ? screens.slice(half) : screens.filter((_, i) => (i < half ? i % 2 === 0 : (i - half) % 2 === 1))) {
      await page.goto(`${own.address}${screen}`)
      await expect(page.getByRole('heading').first()).toBeVisible()
      await page.waitForTimeout(120)
      const out = await outOfReach(page)
      if (out.length > 0) found.push(`${screen.replace(/[0-9a-f-]{36}/g, '')} at ${width}: ${out.join('; ')}`)
    }
  }
  expect(found).toEqual([])
  // The docket says how many pages it takes, and prints as many.
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(`${own.address}${screens.at(-1)?.replace(/finish$/, 'docket') ?? ''}`)
  const said = page.getByText(/page(s)? of (A4|Letter)/)
  const { pages, paper } = /^(?:(?<pages>\d+)|One) pages? of (?<paper>A4|Letter)/.exec((await said.textContent()) ?? '')?.groups ?? {}
  const pdf = (await page.pdf({ preferCSSPageSize: false, format: paper as 'A4' | 'Letter' })).toString('latin1')
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(Number(pages ?? 1))
})
