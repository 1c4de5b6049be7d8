import type { ItemFields, SizeTable } from '../model/index.ts'

/**
 * Is this table one to look at for the item? Same family; the way the item wants, or any while undecided; the school
 * where the item names one and the table has one.
 */
export function tableServes(table: Pick<SizeTable, 'family' | 'way' | 'school'>, item: Pick<ItemFields, 'family' | 'way' | 'school'>): boolean {
  const sameSchool = item.school === null || table.school === undefined || table.school === item.school
  return table.family === item.family && (item.way === 'undecided' || table.way === item.way) && sameSchool
}
