import { USUAL_SHOP } from '@merry-tailor/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { followShop, keepSettings, readingStyle, readSettings, settingsChanged, settingsSlice, valueStyle } from './settings'

const KEY = 'merry-tailor-settings'
const reduce = settingsSlice.reducer
beforeEach(() => localStorage.clear())
afterEach(() => void vi.unstubAllGlobals())

describe('what a device keeps', () => {
  it('comes back as it was, and what a newer version added is as usual', () => {
    keepSettings({ ...readSettings(), fitter: 'Ylva', theme: 'evening' })
    expect(readSettings()).toMatchObject({ fitter: 'Ylva', theme: 'evening', paper: 'A4' })
    localStorage.setItem(KEY, '{"fitter":"Orrin"}')
    expect(readSettings()).toMatchObject({ fitter: 'Orrin', letterKeys: true, cmStep: 0.5 })
  })

  it('is as usual where it cannot be read, and forgets quietly where nothing can be kept', () => {
    localStorage.setItem(KEY, '{"fitter":')
    expect(readSettings()).toMatchObject({ fitter: '', unit: 'in' })
    vi.stubGlobal('localStorage', {
      getItem: () => null,
      setItem: () => {
        throw new Error('full')
      },
    })
    expect(() => keepSettings(readSettings())).not.toThrow()
  })
})

describe('the shop’s agreements on a device', () => {
  const shop = { ...USUAL_SHOP, unit: 'cm' as const, inchStep: 0.0625 as const, cmStep: 0.1 as const, paper: 'Letter' as const, letterKeys: false }

  it('are followed, the unit only until somebody chose one here', () => {
    const fresh = reduce(readSettings(), followShop(shop))
    expect(fresh).toMatchObject({ unit: 'cm', inchStep: 0.0625, cmStep: 0.1, paper: 'Letter', letterKeys: false, unitChosen: false })
    const chosen = reduce(readSettings(), settingsChanged({ unit: 'in' }))
    expect(reduce(chosen, followShop(shop))).toMatchObject({ unit: 'in', unitChosen: true, cmStep: 0.1 })
  })

  it('change nothing, not even the object, where they are followed already', () => {
    const followed = reduce(readSettings(), followShop(shop))
    expect(reduce(followed, followShop(shop))).toBe(followed)
  })

  it('set how fine agreed values show; single readings show finer', () => {
    const inches = reduce(readSettings(), settingsChanged({ unit: 'in' }))
    expect([valueStyle(inches), readingStyle(inches)]).toEqual([{ unit: 'in', step: 0.125 }, { unit: 'in', step: 0.0625 }]) // prettier-ignore
    const centimetres = reduce(readSettings(), settingsChanged({ unit: 'cm' }))
    expect([valueStyle(centimetres), readingStyle(centimetres)]).toEqual([{ unit: 'cm', step: 0.5 }, { unit: 'cm', step: 0.1 }]) // prettier-ignore
  })
})
