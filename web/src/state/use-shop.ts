import { USUAL_SHOP, type ShopFields } from '@merry-tailor/core'
import { useShopQuery } from '../api/queries'

/** What the shop has agreed on, its repeat rule and tolerance among it; as usual until it is known. */
export function useShop(): ShopFields {
  return useShopQuery(undefined).data ?? USUAL_SHOP
}
