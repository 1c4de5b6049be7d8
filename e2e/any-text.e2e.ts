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
  test.setTimeout(240_000)
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
