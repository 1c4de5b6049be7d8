import { act, renderHook } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { useOnce } from './use-once'

describe('C20: an act under way', () => {
  it('is done once however often it is pressed, and right after too', async () => {
    const { result } = renderHook(() => useOnce())
    let done: () => void = () => undefined
    const work = vi.fn(() => new Promise<void>((resolve) => (done = resolve)))
    await act(async () => {
      const first = result.current(work)
      await result.current(work)
      done()
      await first
      await result.current(work)
    })
    expect(work).toHaveBeenCalledTimes(1)
  })

  it('that did nothing may be tried again at once; one that threw too', async () => {
    const { result } = renderHook(() => useOnce())
    const nothing = vi.fn(() => false)
    await act(async () => {
      await result.current(nothing)
      await result.current(nothing)
    })
    expect(nothing).toHaveBeenCalledTimes(2)
    const broken = vi.fn(() => Promise.reject(new Error('x')))
    await expect(result.current(broken)).rejects.toThrow('x')
    await expect(result.current(broken)).rejects.toThrow('x')
  })
})
