import type { FamilyId } from './ids.schema.ts'

/** How the straps of one thing stand, or stood last, on one dog. */
export interface SetOnDog {
  dogId: string
  dog: string
  /** What it is of, and the size or tag it was tried under; `''` where no round says. */
  of: { itemId: string } | { pieceId: string }
  family: FamilyId
  label: string
  at: string
  straps: Record<string, { leftMm: number; rightMm: number | null }>
}
