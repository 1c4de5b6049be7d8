import { afterEach, describe, expect, it, vi } from 'vitest'
import { withTestShop } from '../test/shop'
import { askNews } from './news'

withTestShop()
afterEach(() => vi.restoreAllMocks())

describe('news of other devices', () => {
  it('of which the body breaks off on the way are no answer, and nothing breaks', async () => {
    const cut = new Response('{"seq":', { headers: { 'merry-book': 'b', 'merry-epoch': '1', 'merry-seq': '9', 'merry-time': '2026-01-01T00:00:00Z' } })
    vi.spyOn(globalThis, 'fetch').mockResolvedValue(cut)
    const dispatch = vi.fn()
    await expect(askNews({ dispatch }, 7)).resolves.toBe(7)
    expect(dispatch).not.toHaveBeenCalled()
  })
})
