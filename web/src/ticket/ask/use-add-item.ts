import { hasSchools, type FamilyId } from '@merry-tailor/core'
import { useActs } from '../../bench'
import { useShop } from '../../state/use-shop'

/** Puts a kind of gear on the ticket, in the shop's own school where makers have two. */
export function useAddItem() {
  const shop = useShop()
  const acts = useActs()
  return (family: FamilyId) => acts.item({ family, way: 'undecided', school: hasSchools(family) && shop.school !== 'both' ? shop.school : null })
}
