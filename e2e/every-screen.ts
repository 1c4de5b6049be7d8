import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import type { AxeResults, RunOptions } from 'axe-core'
import { address, expect, setLook, sheetOf, sheets } from './bench-of-one.ts'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** What axe finds serious on the page as it stands: the rule and where. No frames are looked into: the bench has none. */
async function seriousOn(page: Page, options: RunOptions): Promise<string[]> {
  await page.evaluate(AXE)
  const { violations } = await page.evaluate(
    (asked) => (window as unknown as { axe: { run: (on: Document, options: RunOptions) => Promise<AxeResults> } }).axe.run(document, asked),
    { resultTypes: ['violations' as const], ...options },
  )
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`)
}

/**
 * Every screen of the demo shop at the given sizes: axe finds nothing serious, and nothing runs out of the window.
 * The evening changes colours and nothing else, so only contrast is asked for there.
 */
export async function lookAtEveryScreen(page: Page, theme: 'light' | 'evening', sizes: readonly { width: number; height: number }[]): Promise<void> {
  await setLook(page, { theme, fitter: 'Ylva' })
  const [halyard, bilberry, marlin, dulse, skiff, cockle, thrift, pebble, fathom] = await Promise.all(
    ['Halyard', 'Bilberry', 'Marlin', 'Dulse', 'Skiff', 'Cockle', 'Thrift', 'Pebble', 'Fathom'].map((dog) => sheetOf(dog)),
  )
  const carting = (await sheets()).find((sheet) => sheet.items.some(({ family }) => family === 'H23'))
  const riding = (await sheets()).find((sheet) => sheet.items.some(({ family }) => family === 'H24'))
  const boxed = (await sheets()).find((sheet) => sheet.dog?.name === 'Harebell' && sheet.items.some(({ family }) => family === 'K2'))
  const booted = (await sheets()).find((sheet) => sheet.dog?.name === 'Bilberry' && sheet.items.some(({ family }) => family === 'B1'))
  const garments = (await sheets()).flatMap(({ dog, ticket: { id }, items }) =>
    items
      .filter(({ family, way }) => way === 'made' && ((family === 'C3' && dog?.name === 'Sextant') || (family === 'C1' && dog?.name === 'Pebble')))
      .flatMap(({ id: item, family }) => [`/tickets/${id}/pattern/${item}`, ...(family === 'C3' ? [`/tickets/${id}/cut-sheet/${item}`] : [])]),
  )
  const ticket = (sheet: typeof halyard, stage: string) => `/tickets/${sheet?.ticket.id ?? ''}/${stage}`
  const dogs = (await (await fetch(`${address()}/api/dogs`)).json()) as { id: string; name: string }[]
  const spinnaker = dogs.find((dog) => dog.name === 'Spinnaker')
  const screens = [
    '/',
    '/dogs',
    `/dogs/${skiff?.dog?.id ?? ''}`,
    '/sizes',
    '/sizes/rimefold-cross-back/edit',
    '/sizes/paste',
    '/gear',
    '/gear?view=carts',
    '/gear?view=cars',
    `/dogs/${carting?.dog?.id ?? ''}/ladder`,
    '/shop',
    ticket(skiff, 'ask'),
    ticket(cockle, 'measure'),
    ticket(fathom, 'measure'),
    ticket(bilberry, 'choose'),
    ticket(bilberry, 'hitch'),
    ticket(carting, 'draft'),
    ticket(carting, 'pair'),
    ticket(carting, 'try-on'),
    ticket(riding, 'seat'),
    ticket(riding, 'car-card'),
    ticket(fathom, 'kinds'),
    ticket(fathom, 'all-sizes'),
    ticket(boxed, 'crate'),
    ticket(booted, 'paws'),
    ticket(marlin, 'try-on'),
    ticket(dulse, 'finish'),
    ticket(dulse, 'docket'),
    ticket(pebble, 'letters'),
    ticket(halyard, 'solo'),
    ticket(halyard, 'form'),
    ticket(thrift, 'quick'),
    ...garments,
    '/dogs/bring-in',
    `/round?dogs=${halyard?.dog?.id ?? ''},${skiff?.dog?.id ?? ''}`,
    `/round/sheet?dogs=${halyard?.dog?.id ?? ''}`,
    `/round/entry?dogs=${halyard?.dog?.id ?? ''}`,
    `/dogs/${spinnaker?.id ?? ''}`,
  ]
  // Colours come from tokens: in the evening every eighteenth screen has them all.
  const looked = theme === 'evening' ? screens.filter((_, i) => i % 18 === 0) : screens
  for (const [i, size] of sizes.entries()) {
    await page.setViewportSize(size)
    // On a phone every fifth screen: that none runs sideways there is a journey of its own.
    for (const [n, screen] of (i === 0 ? looked : looked.filter((_, k) => k % 5 === 1)).entries()) {
      await page.goto(screen)
      await expect(page.getByRole('heading').first()).toBeVisible()
      // Contrast is the dear question: asked of every third wide screen, since colours come from tokens.
      const serious = await seriousOn(page, {
        ...(theme === 'evening' ? { runOnly: ['color-contrast'] } : size.width < 500 || n % 3 !== 0 ? { rules: { 'color-contrast': { enabled: false } } } : {}),
      })
      expect(serious, `${screen} at ${size.width}`).toEqual([])
      expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth), `${screen} scrolls sideways at ${size.width}`).toBe(true)
      if (i === 0) expect(await page.evaluate(() => document.documentElement.scrollHeight <= window.innerHeight), `${screen} does not fit`).toBe(true)
    }
  }
}
