import { useShop } from '../state/use-shop'

/** Who sends this paper: the shop's name and where it is reached; nothing where nobody said. */
export function ShopHead() {
  const { name, address } = useShop()
  if (name === '' && address === '') return null
  return (
    <p className="shop-head mb-2 text-[14px] leading-[18px]">
      <b>{name}</b>
      {address !== '' && <span className="block whitespace-pre-line">{address}</span>}
    </p>
  )
}

/** The shop's own line for its customers, at the foot of what goes out. */
export function ShopFoot() {
  const { greeting } = useShop()
  return greeting === '' ? null : <p className="shop-foot mt-3">{greeting}</p>
}
