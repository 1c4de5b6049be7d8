import { median } from 'simple-statistics'
import { chromium } from '@playwright/test'
import setUp from '../e2e/global-setup.ts'
import { freshTicket } from '../e2e/bench-of-one.ts'
import { kittiwakeOn, send, takeEveryTape, WANTED } from '../e2e/whole-dog.ts'

/**
 * Enter to the pin on screen and to the updated verdict, in frames, beside a plain typed digit in the same page: a
 * pin should cost no more frames than a letter appearing. On a new ticket, and on one that has everything: five items,
 * every tape twice, the whole body sheet beside what is foretold and drawn of each.
 */
const ROUNDS = 40

/** Frames the page drew meanwhile, and the time they took: a page that stands still draws one long frame. */
interface Took {
  frames: number
  ms: number
}
interface Sample {
  digit: Took
  pin: Took
  verdict: Took
}

const tearDown = await setUp()
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
// The loader names functions through a helper that a page does not have.
await page.addInitScript('globalThis.__name = (named) => named')
/** Sets a watch before its key is pressed; the answer is asked for afterwards. */
const arm = (what: 'benchRow' | 'benchVerdict' | 'benchField', key: string): Promise<void> =>
  page.evaluate(
    ([name, pressed]) => {
      const bench = window as unknown as Record<string, unknown> & {
        benchUntil: (read: () => string, key: (event: KeyboardEvent) => boolean) => Promise<unknown>
      }
      bench[`${name ?? ''}Answer`] = bench.benchUntil(bench[name ?? ''] as () => string, (event) => event.key === pressed)
    },
    [what, key],
  )
const answer = (what: string): Promise<Took> =>
  page.evaluate((name) => (window as unknown as Record<string, Promise<Took>>)[`${name}Answer`] as Promise<Took>, what)

/** Pins one tape again and again on a ticket, `about` so many inches and never the same, each taken back. */
async function pinsOn(ticket: string, tape: string, about: string): Promise<Sample[]> {
  await page.goto(`${process.env.MERRY_ADDRESS ?? ''}/tickets/${ticket}/measure`)
  await page.locator('#length-entry').waitFor()
  await page.waitForTimeout(1500)
  await page.evaluate((id) => {
    const field = document.querySelector<HTMLInputElement>('#length-entry')
    const row = () => document.querySelector(`#tape-${id}`)?.textContent ?? ''
    const verdict = () => document.querySelector('aside[aria-label="What the tapes say so far"]')?.innerHTML ?? ''
    const frames = { seen: 0 }
    const count = (): void => {
      frames.seen += 1
      requestAnimationFrame(count)
    }
    requestAnimationFrame(count)
    const until = (read: () => string, key: (event: KeyboardEvent) => boolean): Promise<Took> =>
      new Promise((resolve) => {
        const before = read()
        const onKey = (event: KeyboardEvent): void => {
          if (!key(event)) return
          window.removeEventListener('keydown', onKey, true)
          const [from, started] = [frames.seen, performance.now()]
          const look = (): void => {
            if (read() !== before) resolve({ frames: frames.seen - from, ms: performance.now() - started })
            else requestAnimationFrame(look)
          }
          requestAnimationFrame(look)
        }
        window.addEventListener('keydown', onKey, true)
      })
    Object.assign(window, { benchUntil: until, benchRow: row, benchVerdict: verdict, benchField: () => field?.value ?? '' })
  }, tape)

  const samples: Sample[] = []
  for (let round = 0; round < ROUNDS; round++) {
    await page.locator(`#tape-${tape}`).click()
    await arm('benchField', about[0] ?? '')
    await page.keyboard.press(about[0] ?? '')
    const typed = await answer('benchField')
    await page.keyboard.type(`${about.slice(1)}.${round + 10}`)
    await arm('benchRow', 'Enter')
    await arm('benchVerdict', 'Enter')
    await page.keyboard.press('Enter')
    const [pinned, judged] = await Promise.all([answer('benchRow'), answer('benchVerdict')])
    samples.push({ digit: typed, pin: pinned, verdict: judged })
    await page.locator(`#tape-${tape}`).click()
    await page.keyboard.press('Control+z')
    await page.waitForTimeout(60)
  }

  return samples
}

const id = await freshTicket([
  { family: 'H01', way: 'stock' },
  { family: 'H11', way: 'undecided' },
])
const samples = await pinsOn(id, 'M01', '9')

// From the last reading to the shortlist: the key that goes on, the sizes on screen. The room itself is loaded once.
const shortlist: Took[] = []
await page.evaluate(() => {
  Object.assign(window, { benchSizes: () => (document.querySelector('section[aria-label="Sizes"] table') ? 'there' : 'not yet') })
})
for (let round = 0; round <= 12; round++) {
  await page.locator('#length-entry').waitFor()
  await page.keyboard.press('Alt+1')
  await page.keyboard.type(`11.${round + 10}`)
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await page.evaluate(() => {
    const bench = window as unknown as {
      benchUntil: (read: () => string, key: (event: KeyboardEvent) => boolean) => Promise<unknown>
      benchSizes: () => string
    }
    Object.assign(window, { benchSizesAnswer: bench.benchUntil(bench.benchSizes, (event) => event.key === ']') })
  })
  await page.keyboard.press(']')
  const took = await answer('benchSizes')
  if (round > 0) shortlist.push(took)
  await page.keyboard.press('[')
}

const whole = await freshTicket([...WANTED])
await kittiwakeOn(whole)
const taken = await takeEveryTape(whole, WANTED)
await send('PATCH', `/tickets/${whole}`, { changes: [{ field: 'wholeBody', from: false, to: true }] })
const onWhole = await pinsOn(whole, 'M13', '27')

const FRAME_MS = 1000 / 60
const column = (key: keyof Sample, of = samples): Took[] => of.map((sample) => sample[key])
const middle = (of: readonly Took[]): number => median(of.map(({ ms }) => ms))
function line(name: string, of: readonly Took[]): void {
  const frames = of.map(({ frames }) => frames)
  console.log(
    `${name.padEnd(28)} ${middle(of).toFixed(0).padStart(4)} ms = ${(middle(of) / FRAME_MS).toFixed(1)} frames of a sixtieth; drawn in ${median(frames)}, worst ${Math.max(...frames)}`,
  )
}
console.log(`${ROUNDS} pins on a ticket of two items, each beside a typed digit in the same page:`)
line('a typed digit shows', column('digit'))
line('Enter to the pin', column('pin'))
line('Enter to the new verdict', column('verdict'))
line('] to the shortlist of sizes', shortlist)
const toDigit = (key: keyof Sample, of = samples): string => (middle(column(key, of)) / middle(column('digit', of))).toFixed(2)
console.log(`pin to digit: ${toDigit('pin')}; verdict to digit: ${toDigit('verdict')} (1.00 = a pin costs what a letter costs)`)
console.log(`\nOn a ticket of ${WANTED.length} items, ${taken} readings and the whole body sheet:`)
line('a typed digit shows', column('digit', onWhole))
line('Enter to the pin', column('pin', onWhole))
line('Enter to the new verdict', column('verdict', onWhole))
console.log(`pin to digit: ${toDigit('pin', onWhole)}; verdict to digit: ${toDigit('verdict', onWhole)}`)
await browser.close()
await tearDown()
