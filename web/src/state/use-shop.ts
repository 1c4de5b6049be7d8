import { USUAL_SHOP, type ShopFields } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useShopQuery } from '../api/queries'

/** What the shop has agreed on, its repeat rule and tolerance among it; as usual until it is known. */
export function useShop(): ShopFields {
  const { data } = useShopQuery(undefined)
  // A book of before knows less.
  return useMemo(() => (data ? { ...USUAL_SHOP, ...data } : USUAL_SHOP), [data])
}
