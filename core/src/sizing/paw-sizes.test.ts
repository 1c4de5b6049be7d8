import { describe, expect, it } from 'vitest'
import type { SizeTable } from '../model/index.ts'
import { bootOrder, frontOf, pawSizes, rankTables } from './index.ts'

const boots = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'boots', version: 1, name: 'Boots', maker: 'Test', family: 'B2', way: 'stock', unit: 'cm', between: null, lead: { minWeeks: 0, maxWeeks: 0 },
  sizes: [
    { label: 'S', bands: { M32: [40, 50], M33: [50, 60] } },
    { label: 'M', bands: { M32: [50, 60], M33: [60, 70] } },
    { label: 'L', bands: { M32: [60, 70], M33: [70, 80] } },
  ],
  ...over,
}) // prettier-ignore
const known = (mm: number) => ({ mm, sigmaMm: 0.8 })
const paw = (key: string, width: number, length: number) => {
  const [w, l] = key.startsWith('rear') ? ['M34', 'M35'] : ['M32', 'M33']
  return { [`${w}/${key}`]: known(width), [`${l}/${key}`]: known(length) }
}
const labels = (sizes: ReturnType<typeof pawSizes>) => sizes.map(({ paw: at, size }) => [at, size?.label ?? null])

describe('a boot to a paw', () => {
  const body = { ...paw('front-left', 65, 75), ...paw('front-right', 55, 65), ...paw('rear-left', 55, 66) }

  it('by its own tapes: one front may differ, the hind take the same columns, and a paw not read has none', () => {
    const sizes = pawSizes(boots(), body)
    expect(labels(sizes)).toEqual([['front-left', 'L'], ['front-right', 'M'], ['rear-left', 'M'], ['rear-right', null]]) // prettier-ignore
    expect(bootOrder(boots(), sizes)).toEqual([['M', 2], ['L', 1]]) // prettier-ignore
  })

  it('by the maker’s own hind columns where there are any', () => {
    const own = boots({ sizes: boots().sizes.map((size) => ({ ...size, bands: { ...size.bands, M34: size.label === 'L' ? [50, 58] : [30, 40] } })) })
    expect(labels(pawSizes(own, body))[2]).toEqual(['rear-left', 'L'])
  })

  it('judges a paw that lies past every size, and nothing by the other paws', () => {
    expect(pawSizes(boots(), paw('front-left', 90, 99))[0]?.size).toMatchObject({ label: 'L', grade: 'fails' })
    expect(pawSizes(boots(), { M32: known(65), M33: known(75) }).every(({ size }) => size === null)).toBe(true)
  })

  it('is for boots alone', () => {
    expect(pawSizes(boots({ family: 'C3' }), body)).toEqual([])
    const coat = boots({ family: 'C3' })
    expect(frontOf(coat)).toBe(coat)
  })
})

it('ranks a boot table by the front pair: small hind paws rule no front size out', () => {
  const both = boots({ sizes: boots().sizes.map((size) => ({ ...size, bands: { ...size.bands, M34: size.bands.M32!, M35: size.bands.M33! } })) })
  const body = { M32: known(65), M33: known(75), M34: known(55), M35: known(65) }
  const [ranked] = rankTables([both], body)
  expect(ranked?.best).toMatchObject({ label: 'L', grade: 'holds' })
  expect(ranked?.best?.perMeasure.map((fit) => fit.measure)).toEqual(['M32', 'M33'])
  expect(ranked?.table).toBe(both)
})
