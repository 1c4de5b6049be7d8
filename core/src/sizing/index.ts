/** Size tables judged against one body, and dates to order by. */
export { rankSizes, type RankedSize, type MeasureFit, type SizedBody } from './rank-sizes.ts'
export { rankTables, type RankedTable } from './rank-tables.ts'
export { chanceWithin, normalCdf } from './chance.ts'
export { betweenRule, decidingOrder, type BetweenRule } from './between.ts'
export { orderBy, leadOn, type OrderOptions } from './order-by.ts'
export { adviseSizes, atHandFirst, type SizeAdvice } from './advise.ts'
export { tableServes } from './table-serves.ts'
