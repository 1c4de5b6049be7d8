// npm run screenshots [-- name ...]: one current picture of each main view, or of those named, from the demo data, into docs/screenshots.
import { chromium } from '@playwright/test'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { serve } from './serve.mjs'
import { build, chromiumPath, install, needChromium, node, root } from './setup.mjs'

install()
needChromium()
build()
const folder = mkdtempSync(join(tmpdir(), 'merry-shots-'))
const { child, address } = serve(
  { MERRY_DATABASE: join(folder, 'demo.sqlite'), MERRY_PORT: '0', MERRY_SUPPLIER: 'stand-in', MERRY_DEVICES: 'stand-in' },
  { quiet: true },
)
const url = await address
node('node_modules/tsx/dist/cli.mjs', ['demo/src/load.ts', url])
const sheets = await (await fetch(`${url}/api/tickets?state=open`)).json()
const of = (name) => sheets.find((sheet) => sheet.dog?.name === name)
const spinnaker = (await (await fetch(`${url}/api/dogs`)).json()).find((dog) => dog.name === 'Spinnaker')
const walk = async (page) => {
  await page.getByRole('button', { name: 'Down the line' }).click()
  await page.keyboard.type('11 1/4')
}
const at = (name, stage) => `/tickets/${of(name).ticket.id}/${stage}`

const ofFamily = (family, stage) => `/tickets/${sheets.find((sheet) => sheet.items.some((item) => item.family === family)).ticket.id}/${stage}`

/** Today is drawn at once; the dogs' outlines and the counter come after it. */
const drawn = async (page) => {
  await page.getByRole('button', { name: 'Show size' }).waitFor()
  await page.locator('li svg[width="78"]').nth(7).waitFor()
}

const onNeck = async (page) => {
  await page.locator('#tape-M01').click()
  await page.keyboard.type('11 3/8')
}

const loaded = async (page) => {
  await page.getByRole('slider', { name: /^Two churns/ }).focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft')
}

/** A garment's bench, by its dog and family. */
function garment(name, family) {
  const sheet = sheets.find((each) => each.dog?.name === name && each.items.some((item) => item.family === family && item.way === 'made'))
  return `/tickets/${sheet.ticket.id}/pattern/${sheet.items.find((item) => item.family === family).id}`
}
const cutting = async (page) => {
  await page.getByRole('slider', { name: 'Back, front seam' }).focus()
  await page.getByText(/best of/).waitFor()
  await page.waitForTimeout(4500)
}

const wanted = process.argv.slice(2)
const bench = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
const views = [
  ['today', '/', bench, 'light', drawn],
  ['ask', at('Skiff', 'ask'), bench],
  ['measure', at('Fathom', 'measure'), bench, 'light', onNeck],
  ['measure-evening', at('Bilberry', 'measure'), bench, 'evening'],
  ['measure-phone', at('Harebell', 'measure'), phone, 'light', (page) => page.getByRole('button', { name: '8', exact: true }).tap()],
  ['choose', at('Bilberry', 'choose'), bench, 'light', (page) => page.getByRole('region', { name: 'Where it would lie' }).waitFor()],
  ['kinds', at('Lodestar', 'kinds'), bench],
  ['drafting', ofFamily('H23', 'draft'), bench, 'light', loaded],
  ['seat', ofFamily('H24', 'seat'), bench],
  ['try-on', at('Marlin', 'try-on'), bench, 'light', (page) => page.getByRole('img', { name: /hollow numbers/ }).waitFor()],
  ['try-on-phone', at('Marlin', 'try-on'), phone, 'light', (page) => page.getByRole('img', { name: /close by/ }).waitFor()],
  ['pattern', garment('Sextant', 'C3'), bench, 'light', cutting],
  ['knit', garment('Pebble', 'C1'), bench, 'light', (page) => page.getByRole('button', { name: /^Row \d+ knitted/ }).waitFor()],
  ['docket', at('Dulse', 'docket'), bench],
  ['dog', `/dogs/${spinnaker.id}`, bench],
  ['round', `/round?dogs=${['Bilberry', 'Marlin', 'Lodestar', 'Oakum'].map((name) => of(name).dog.id).join(',')}&tapes=M01,M07`, bench, 'light', walk],
  ['shop', '/shop', bench, 'light', (page) => page.getByRole('region', { name: 'Who gets in' }).evaluate((part) => part.scrollIntoView())],
  ['crate', ofFamily('K2', 'crate'), bench, 'light', (page) => page.getByRole('img', { name: /in the crate/ }).waitFor()],
  ['paws', ofFamily('B1', 'paws'), bench, 'light', (page) => page.getByText('traced').first().waitFor()],
]
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
for (const [name, path, viewport, theme = 'light', act] of views.filter(([name]) => wanted.length === 0 || wanted.includes(name))) {
  const context = await browser.newContext({ viewport, hasTouch: viewport === phone, locale: 'en-GB' })
  const page = await context.newPage()
  await page.addInitScript((kept) => localStorage.setItem('merry-tailor-settings', JSON.stringify(kept)), { theme, fitter: 'Ylva', helper: 'Orrin' })
  await page.goto(url + path)
  await page.waitForLoadState('networkidle')
  await act?.(page)
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) })
  await context.close()
}
await browser.close()
child.kill('SIGTERM')
rmSync(folder, { recursive: true, force: true })
console.log(`${wanted.length || views.length} pictures in docs/screenshots.`)
