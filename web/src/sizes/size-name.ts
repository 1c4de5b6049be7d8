import type { SizeTable } from '@merry-tailor/core'

/** A maker who cuts to the dog has no size to name. */
export const sizeName = (table: Pick<SizeTable, 'way'>, label: string): string => (table.way === 'made' ? 'Made to measure' : label)
