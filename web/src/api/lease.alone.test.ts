import 'fake-indexeddb/auto'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { LEASE_MS, whileLeased } from './lease'

const gate = (): { open: () => void; opened: Promise<void> } => {
  let open = (): void => undefined
  const opened = new Promise<void>((resolve) => (open = resolve))
  return { open: () => open(), opened }
}

afterEach(() => void vi.restoreAllMocks())

describe('A07: one page at a time where the browser has no locks', () => {
  it('lets a second wait until the first is done, and the first’s failure hold nobody up', async () => {
    const order: string[] = []
    const first = gate()
    const one = whileLeased(
      'a',
      async () => {
        order.push('one')
        await first.opened
        order.push('one done')
        throw new Error('gone')
      },
      'one page',
    )
    await vi.waitFor(() => expect(order).toEqual(['one']))
    const two = whileLeased('a', () => Promise.resolve(order.push('two')), 'another')
    await new Promise((wait) => setTimeout(wait, 300))
    expect(order).toEqual(['one'])
    first.open()
    await expect(one).rejects.toThrow('gone')
    await two
    expect(order).toEqual(['one', 'one done', 'two'])
  })

  it('holds up no work begun anew in the same page', async () => {
    const first = gate()
    const one = whileLeased('g', () => first.opened)
    expect(await whileLeased('g', () => Promise.resolve('anew'))).toBe('anew')
    first.open()
    await one
  })

  it('holds no other name up', async () => {
    const first = gate()
    const one = whileLeased('b', () => first.opened)
    expect(await whileLeased('c', () => Promise.resolve('at once'))).toBe('at once')
    first.open()
    await one
  })

  it('is taken over from a page that fell asleep, and from a clock that was set back', async () => {
    const asleep = gate()
    const real = Date.now
    // What the sleeper wrote stands in the past, resp. hours ahead; it cannot renew, its timers sleep too.
    for (const [name, by] of [
      ['d', -LEASE_MS - 1],
      ['e', 3_600_000],
    ] as const) {
      const timers = vi.spyOn(globalThis, 'setInterval').mockReturnValue(0 as never)
      const clock = vi.spyOn(Date, 'now').mockImplementation(() => real() + by)
      let begun = false
      void whileLeased(
        name,
        () => {
          begun = true
          return asleep.opened
        },
        'the sleeper',
      )
      await vi.waitFor(() => expect(begun).toBe(true))
      clock.mockRestore()
      timers.mockRestore()
      expect(await whileLeased(name, () => Promise.resolve('mine'))).toBe('mine')
    }
    asleep.open()
  })

  it('does the work where the device keeps nothing', async () => {
    const kept = indexedDB.open.bind(indexedDB)
    vi.spyOn(indexedDB, 'open').mockImplementation((name, version) => {
      if (name === 'merry-tailor-lease') throw new DOMException('no', 'InvalidStateError')
      return kept(name, version)
    })
    vi.resetModules()
    const { whileLeased: without } = await import('./lease')
    expect(await without('f', () => Promise.resolve(7))).toBe(7)
  })
})
