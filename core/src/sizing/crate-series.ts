import type { FamilyId, SizeTable } from '../model/index.ts'

const INCH = 25.4
/** Length, inner width, inner height, inches. Source: handbook 10.2: lengths common practice; width and height from memory, unverified. */
const SERIES: readonly (readonly [label: string, length: number, width: number, height: number])[] = [
  ['18', 18, 12, 14],
  ['24', 24, 17, 19],
  ['30', 30, 19, 21],
  ['36', 36, 23, 25],
  ['42', 42, 28, 30],
  ['48', 48, 30, 33],
  ['54, by order', 54, 37, 45],
]
/** Room beyond the dog, mm: at least, and enough. Source: handbook 10.3, from memory, unverified. */
const LEAST = 50
const ENOUGH = 100

/**
 * The series crates come in, as a size table: which dogs can stand, turn and lie in each, and would not do with the next
 * smaller. A label may count differently; a carrier's own rules go before it. Height takes all three of M39 to M41.
 */
export function crateSeries(family: Extract<FamilyId, 'K1' | 'K2' | 'K3' | 'K4'>): SizeTable {
  const sizes = SERIES.map(([label, length, width, height], i): SizeTable['sizes'][number] => {
    const before = SERIES[i - 1]?.[1]
    const tall: [number, number] = [1, height * INCH - LEAST]
    return {
      label,
      bands: {
        M42: [before === undefined ? 1 : before * INCH - ENOUGH, length * INCH - LEAST],
        M44: [1, (width * INCH) / 2],
        M39: tall,
        M40: tall,
        M41: tall,
      },
    }
  })
  return {
    id: `crate-series-${family.toLowerCase()}`,
    version: 1,
    name: 'The usual series, inches long',
    maker: 'Usual series',
    family,
    way: 'stock',
    unit: 'in',
    between: null,
    sizes,
    lead: { minWeeks: 0, maxWeeks: 2 },
  }
}
