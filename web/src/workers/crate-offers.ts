import {
  crateFor,
  crateOffer,
  families,
  insideOf,
  planOf,
  turningRoom,
  type CrateFor,
  type DogPlan,
  type FamilyId,
  type Form,
  type Inside,
  type Offer,
  type Posture,
  type SizedBody,
} from '@merry-tailor/core'

/** What crates of the usual series are asked for: of which kinds, and by whose form the dog turns in them. */
export interface CratesAsked {
  families: readonly FamilyId[]
  form: Pick<Form, 'parameters' | 'ears' | 'sex'> | null
  /** What a growing dog will be grown; `null` where nobody knows, left out for a grown one. */
  grown?: SizedBody | null
  /** Insides somebody measured, by label. */
  insides?: Readonly<Partial<Record<string, Inside>>>
}

/** Crates of the usual series are offers like any other. */
export function crateOffers(body: SizedBody, { families: asked, form, grown, insides }: CratesAsked): Offer[] {
  const crates = asked.filter((family) => families[family].shelf === 'crate')
  if (crates.length === 0) return []
  const plan = form && planOf(form)
  return crates.flatMap((family) => crateOffer(family, body, { grown, plan, insides }) ?? [])
}

export interface CrateBenchQuestion {
  body: SizedBody
  form: Pick<Form, 'parameters' | 'ears' | 'sex'>
  bedMm: number
  insides: Readonly<Partial<Record<string, Inside>>>
}

export interface CrateBench {
  found: CrateFor
  plan: DogPlan
  /** How the dog turns round in each, by label; none where it does not. */
  turns: Readonly<Record<string, Posture[]>>
  /** Insides as they were judged, by label. */
  insides: Readonly<Record<string, Inside>>
}

/** The series against one dog, with how it turns round in each. */
export function crateBench({ body, form, bedMm, insides }: CrateBenchQuestion): CrateBench {
  const plan = planOf(form)
  const found = crateFor({ body, plan, bedMm, insides })
  const turns = Object.fromEntries(
    found.sizes.map(({ label }) => [label, turningRoom(plan, (insides[label] ?? insideOf(label)).lengthMm)?.path ?? []] as const),
  )
  return { found, plan, turns, insides: Object.fromEntries(found.sizes.map(({ label }) => [label, insides[label] ?? insideOf(label)])) }
}
