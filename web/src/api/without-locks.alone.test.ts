import 'fake-indexeddb/auto'
import { expect, it, vi } from 'vitest'
import { outbox } from './outbox'

const leased = vi.hoisted(() => vi.fn((_name: string, work: () => Promise<void>) => work()))
vi.mock('./lease', () => ({ whileLeased: leased }))

it('A07 what waits is sent under a lease where the browser has no locks, and under a lock where it has', async () => {
  expect('locks' in navigator).toBe(false)
  await outbox.drain()
  expect(leased).toHaveBeenCalledWith('outbox', expect.any(Function))
  const request = vi.fn((_name: string, work: () => Promise<void>) => work())
  Object.defineProperty(navigator, 'locks', { configurable: true, value: { request } })
  leased.mockClear()
  await outbox.drain()
  expect([request.mock.calls.length, leased.mock.calls.length]).toEqual([1, 0])
})
