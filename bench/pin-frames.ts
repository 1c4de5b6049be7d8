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

interface Sample {
  digit: number
  pin: number
  verdict: number
  pinMs: number
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
const answer = (what: string): Promise<{ frames: number; ms: number }> =>
  page.evaluate(
    (name) => (window as unknown as Record<string, Promise<{ frames: number; ms: number }>>)[`${name}Answer`] as Promise<{ frames: number; ms: number }>,
    what,
  )

/** Pins one tape again and again on a ticket, `about` so many inches and some eighths, each taken back. */
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
    const until = (read: () => string, key: (event: KeyboardEvent) => boolean): Promise<{ frames: number; ms: number }> =>
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
    await page.keyboard.type(`${about.slice(1)} ${(round % 7) + 1}/8`)
    await arm('benchRow', 'Enter')
    await arm('benchVerdict', 'Enter')
    await page.keyboard.press('Enter')
    const [pinned, judged] = await Promise.all([answer('benchRow'), answer('benchVerdict')])
    samples.push({ digit: typed.frames, pin: pinned.frames, verdict: judged.frames, pinMs: pinned.ms })
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
const shortlist: number[] = []
await page.evaluate(() => {
  Object.assign(window, { benchSizes: () => (document.querySelector('section[aria-label="Sizes"] table') ? 'there' : 'not yet') })
})
for (let round = 0; round <= 12; round++) {
  await page.locator('#length-entry').waitFor()
  await page.keyboard.press('Alt+1')
  await page.keyboard.type(`11 ${(round % 7) + 1}/8`)
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
  const { frames } = await answer('benchSizes')
  if (round > 0) shortlist.push(frames)
  await page.keyboard.press('[')
}

const whole = await freshTicket([...WANTED])
await kittiwakeOn(whole)
const taken = await takeEveryTape(whole, WANTED)
await send('PATCH', `/tickets/${whole}`, { changes: [{ field: 'wholeBody', from: false, to: true }] })
const onWhole = await pinsOn(whole, 'M13', '27')

const worst = (values: number[]): number => Math.max(...values)
const column = (key: keyof Sample, of = samples): number[] => of.map((sample) => sample[key])
const line = (name: string, key: keyof Sample, of = samples): string =>
  `${name.padEnd(28)} median ${median(column(key, of))} frames, worst ${worst(column(key, of))}`
console.log(`${ROUNDS} pins on a ticket of two items, each beside a typed digit in the same page:`)
console.log(line('a typed digit shows', 'digit'))
console.log(line('Enter to the pin', 'pin'))
console.log(line('Enter to the new verdict', 'verdict'))
console.log(`${'] to the shortlist of sizes'.padEnd(28)} median ${median(shortlist)} frames, worst ${worst(shortlist)}`)
console.log(
  `pin to digit: ${(median(column('pin')) / median(column('digit'))).toFixed(2)}; verdict to digit: ${(median(column('verdict')) / median(column('digit'))).toFixed(2)} (1.00 = a pin costs what a letter costs)`,
)
console.log(`\nOn a ticket of ${WANTED.length} items, ${taken} readings and the whole body sheet:`)
console.log(line('a typed digit shows', 'digit', onWhole))
console.log(line('Enter to the pin', 'pin', onWhole))
console.log(line('Enter to the new verdict', 'verdict', onWhole))
await browser.close()
await tearDown()
