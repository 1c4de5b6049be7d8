import { rankAll, settle, type Offer, type SizedBody, type SizeTable } from '../core/src/index.ts'
import { seeded } from './form/random.ts'
import { median } from 'simple-statistics'

/*
 * All sizes of a large shop against one dog: 300 tables of 8 sizes by 8 measures, judged in full, beside a plain loop
 * that only compares the same numbers. And what would settle one table's doubt.
 */
const TABLES = 300
const SIZES = 8
const MEASURES = ['M01', 'M06', 'M07', 'M08', 'M10', 'M12', 'M13', 'M14'] as const
const FRAME_MS = 1000 / 60
const ROUNDS = 60

const random = seeded(2026)
const tables: SizeTable[] = Array.from({ length: TABLES }, (_, t) => ({
  id: `table-${t}`,
  version: 1,
  name: `Table ${t}`,
  maker: `Maker ${t % 40}`,
  family: t % 2 === 0 ? 'H11' : 'H01',
  way: 'stock',
  unit: 'cm',
  between: null,
  sizes: Array.from({ length: SIZES }, (_s, s) => ({
    label: String(s),
    bands: Object.fromEntries(
      MEASURES.map((measure) => {
        const from = 300 + 60 * s + 40 * random()
        return [measure, [from, from + 30 + 40 * random()] as [number, number]]
      }),
    ),
  })),
  lead: { minWeeks: 0, maxWeeks: 0 },
}))
const bodyOf = (): SizedBody =>
  Object.fromEntries(MEASURES.map((measure, i) => [measure, { mm: 350 + 400 * random(), sigmaMm: i < 4 ? 3 + 5 * random() : 25 * random(), guess: i >= 4 }]))

/** The least any program could do: is every measure inside its band? */
function compareOnly(body: SizedBody): number {
  let fits = 0
  for (const table of tables)
    for (const size of table.sizes) {
      let inside = true
      for (const measure of MEASURES) {
        const [from, to] = size.bands[measure] as [number, number]
        const mm = body[measure]?.mm ?? 0
        if (mm < from || mm > to) inside = false
      }
      if (inside) fits += 1
    }
  return fits
}

const timed = <T>(work: () => T): { ms: number; value: T } => {
  const from = performance.now()
  const value = work()
  return { ms: performance.now() - from, value }
}
let kept: Offer[] = []
for (let i = 0; i < 20; i++) {
  kept = rankAll(tables, bodyOf(), null)
  compareOnly(bodyOf())
}
const pairs = Array.from({ length: ROUNDS }, () => {
  const body = bodyOf()
  const plain = timed(() => compareOnly(body))
  const full = timed(() => rankAll(tables, body, null))
  kept = full.value
  return { plain: plain.ms, full: full.ms }
})
const fulls = pairs.map((pair) => pair.full)
console.log(`All sizes: ${TABLES} tables x ${SIZES} sizes x ${MEASURES.length} measures, ${ROUNDS} dogs, ${kept.length} tables ranked:`)
console.log(
  `  judged in full: median ${median(fulls).toFixed(1)} ms, worst ${Math.max(...fulls).toFixed(1)} ms; to one frame of ${FRAME_MS.toFixed(1)} ms: ${(median(fulls) / FRAME_MS).toFixed(2)}`,
)
console.log(
  `  beside a loop that only compares the numbers (median ${median(pairs.map((pair) => pair.plain)).toFixed(2)} ms): ratio ${median(pairs.map((pair) => pair.full / pair.plain)).toFixed(1)}`,
)

const doubts = Array.from({ length: ROUNDS }, () => {
  const body = bodyOf()
  return timed(() => settle(tables[0] as SizeTable, body)).ms
})
console.log(`What would settle one table: median ${median(doubts).toFixed(2)} ms; to one frame: ${(median(doubts) / FRAME_MS).toFixed(2)}`)
