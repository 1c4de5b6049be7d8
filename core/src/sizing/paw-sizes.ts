import { families } from '../gear/index.ts'
import { paws } from '../measures/index.ts'
import type { ShopFields, SizeTable, MeasureId } from '../model/index.ts'
import type { RankedSize } from './ranked-size.ts'
import { rankSizes } from './rank-sizes.ts'
import type { SizedBody } from './sized-body.ts'

/** A hind paw's width and length, and the front's they are sized by where a chart gives one pair of columns for both. */
const HIND: Readonly<Partial<Record<MeasureId, MeasureId>>> = { M34: 'M32', M35: 'M33' }

export type Paw = (typeof paws)[number]

export interface PawSize {
  paw: Paw
  /** The best size for this paw; `null` while its tapes are missing. */
  size: RankedSize | null
}

type Sized = Pick<SizeTable, 'family' | 'sizes'>
type Bands = SizeTable['sizes'][number]['bands']

const only = <T extends Sized>(table: T, bandsOf: (bands: Bands) => Bands): T => ({
  ...table,
  sizes: table.sizes.map((size) => ({ ...size, bands: bandsOf(size.bands) })),
})

/**
 * A boot table as it sizes the front pair: a column of hind paws says nothing about the front, and one size for all four
 * is a common slip (handbook 7, S69, from memory, unverified). Any other table comes back as it is.
 */
export function frontOf<T extends Sized>(table: T): T {
  if (families[table.family].shelf !== 'boot' || !table.sizes.some(({ bands }) => 'M34' in bands || 'M35' in bands)) return table
  return only(table, (bands) => Object.fromEntries(Object.entries(bands).filter(([id]) => !(id in HIND))))
}

const measuresOf = (hind: boolean): readonly MeasureId[] => (hind ? ['M34', 'M35'] : ['M32', 'M33'])

/** A boot table as it sizes one paw: a chart with one width and one length sizes the hind paws by the same columns. */
export const pawTable = (table: SizeTable, paw: Paw): SizeTable =>
  only(table, (bands) => {
    const kept: Record<string, [number, number]> = {}
    for (const id of measuresOf(paw.startsWith('rear'))) {
      const front = HIND[id]
      const band = bands[id] ?? (front && bands[front])
      if (band) kept[id] = band
    }
    return kept
  })

/**
 * The size of each paw by its own tapes; one of four may differ. A chart with one width and one length sizes the hind
 * paws by the same columns. Source: handbook 3.1, "measure each paw", from memory, unverified.
 *
 * @param body agreed values, paws under measure and place (`M32/front-left`), mm
 * @returns one entry for each of the four paws; empty for a table that is no boots'
 */
export function pawSizes(table: SizeTable, body: SizedBody, views: ShopFields['views'] = {}): PawSize[] {
  if (families[table.family].shelf !== 'boot') return []
  return paws.map((paw) => {
    const ids = measuresOf(paw.startsWith('rear'))
    const one = pawTable(table, paw)
    const own = Object.fromEntries(ids.map((id) => [id, body[`${id}/${paw}`]]))
    const best = rankSizes(one, own, views)[0]
    return { paw, size: best && best.grade !== 'none' ? best : null }
  })
}

/** How many of each size, in the table's order: `[['Whelk', 2], ['Mussel', 2]]`. Paws without a size are left out. */
export function bootOrder(table: SizeTable, sizes: readonly PawSize[]): [label: string, count: number][] {
  return table.sizes.flatMap(({ label }) => {
    const count = sizes.filter(({ size }) => size?.label === label).length
    return count > 0 ? [[label, count] as [string, number]] : []
  })
}
