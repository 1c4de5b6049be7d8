import { cleanup, render } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import { deviceStore } from '../api/device-store'
import { withTestShop } from '../test/shop'
import { DogOutline } from './DogOutline'
import { pruneOutlines } from './outlines'

withTestShop()
afterEach(cleanup)

const asked = vi.hoisted(() => ({ forms: 0 }))
vi.mock('./form-desk', async (real) => {
  const desk = await real<typeof import('./form-desk')>()
  return {
    ...desk,
    ask: (...args: Parameters<typeof desk.ask>) => {
      asked.forms += 1
      return desk.ask(...args)
    },
  }
})

const body = { M07: { mm: 702, sigmaMm: 5 }, M14: { mm: 560, sigmaMm: 5 } }
const shapes = (): string => [...document.querySelectorAll('path')].map((path) => path.getAttribute('d')).join()

it('an outline is cut once and comes from the device’s copy on the next page, with no form solved', async () => {
  render(<DogOutline body={body} about={null} />)
  const middle = shapes()
  await vi.waitFor(() => expect(shapes()).not.toBe(middle))
  const own = shapes()
  await vi.waitFor(async () => expect(await (await deviceStore()).count('outlines')).toBe(1))
  expect(asked.forms).toBe(1)
  cleanup()
  // The next page: nothing is remembered but what the device has kept.
  vi.resetModules()
  const next = await import('./DogOutline')
  render(<next.DogOutline body={body} about={null} />)
  await vi.waitFor(() => expect(shapes()).toBe(own))
  expect(asked.forms).toBe(1)
})

it('lets the oldest copies go', async () => {
  const db = await deviceStore()
  await db.clear('outlines')
  for (let i = 0; i < 12; i++) await db.put('outlines', { at: `2026-01-${String(i + 10)}`, drawing: { plates: [], left: 0, right: 1, top: 1 } }, `k${i}`)
  await pruneOutlines(5)
  expect((await db.getAllKeys('outlines')).sort()).toEqual(['k10', 'k11', 'k7', 'k8', 'k9'])
})
