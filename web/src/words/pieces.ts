import type { PieceHome, PieceState, Retired } from '@merry-tailor/core'

export const STATES: Readonly<Record<PieceState, string>> = { new: 'New', good: 'Good', worn: 'Worn', 'to-mend': 'To mend' }
export const HOMES: Readonly<Record<PieceHome, string>> = { shop: 'On our rack', loan: 'On loan', kennel: 'The kennel’s own' }
export const RETIRED: Readonly<Record<Retired['why'], string>> = { crash: 'In a crash', 'worn-out': 'Worn out', lost: 'Lost', sold: 'Sold' }

/** How car harnesses are built (handbook 7.2). */
export const BUILDS = [
  { value: 'two-buckle', label: 'Two buckles' },
  { value: 'panel', label: 'Panel' },
] as const
