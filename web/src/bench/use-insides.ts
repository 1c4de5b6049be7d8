import type { FamilyId, Inside } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useShop } from '../state/use-shop'

/** How far a tape inside a crate may be off, mm. Ours. */
const MEASURED = 2

/** Insides of crates of a kind somebody of the shop measured, by label. */
export function useInsides(family: FamilyId | undefined): Readonly<Partial<Record<string, Inside>>> {
  const { crates } = useShop()
  return useMemo(
    () =>
      Object.fromEntries(
        crates
          .filter((each) => each.family === family)
          .map(({ label, lengthMm, widthMm, heightMm, door }) => [label, { lengthMm, widthMm, heightMm, sigmaMm: MEASURED, ...(door ? { door } : {}) }]),
      ),
    [crates, family],
  )
}
