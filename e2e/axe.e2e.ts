import { expect, sheetOf, test } from './bench-of-one.ts'
import { lookAtEveryScreen } from './every-screen.ts'

test('axe finds nothing serious on any screen, light, wide and on a phone', ({ page }) =>
  lookAtEveryScreen(page, 'light', [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]))

test('with reduced motion nothing moves', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto(`/tickets/${(await sheetOf('Halyard')).ticket.id}/measure`)
  const longest = await page.evaluate(() =>
    Math.max(0, ...document.getAnimations().map((animation) => Number(animation.effect?.getComputedTiming().duration ?? 0))),
  )
  expect(longest).toBe(0)
})
