import { crateOffer, families, planOf, type FamilyId, type Form, type Offer, type SizedBody } from '@merry-tailor/core'

/** What crates of the usual series are asked for: of which kinds, and by whose form the dog turns in them. */
export interface CratesAsked {
  families: readonly FamilyId[]
  form: Pick<Form, 'parameters' | 'ears' | 'sex'> | null
  /** What a growing dog will be grown; `null` where nobody knows, left out for a grown one. */
  grown?: SizedBody | null
}

/** Crates of the usual series are offers like any other. */
export function crateOffers(body: SizedBody, { families: asked, form, grown }: CratesAsked): Offer[] {
  const crates = asked.filter((family) => families[family].shelf === 'crate')
  if (crates.length === 0) return []
  const plan = form && planOf(form)
  return crates.flatMap((family) => crateOffer(family, body, { grown, plan }) ?? [])
}
