import type { Box, FamilyId, Inside } from '@merry-tailor/core'

/** Kinds of crates that come in the series, as they are named short. */
export const KINDS = { K1: 'Wire', K2: 'Travel', K3: 'Soft' } as const satisfies Partial<Record<FamilyId, string>>
export type CrateKind = keyof typeof KINDS
export const isCrate = (family: FamilyId): family is CrateKind => family in KINDS

/** Walls outside the inside, mm: what a box takes in a car. Ours. */
const OUTSIDE = { lengthMm: 35, widthMm: 20, heightMm: 25 }
export const outerOf = ({ lengthMm, widthMm, heightMm }: Pick<Inside, 'lengthMm' | 'widthMm' | 'heightMm'>): Box => ({
  lengthMm: lengthMm + OUTSIDE.lengthMm,
  widthMm: widthMm + OUTSIDE.widthMm,
  heightMm: heightMm + OUTSIDE.heightMm,
})
