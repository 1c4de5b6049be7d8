import { families, type Shelf } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'

/** What a miss would do on the dog: the check of handbook 7.2 it endangers and the symptom of 7.3 to expect. */
export interface Danger {
  /** Id of the check where the family has it as a check of its own, else `null`. */
  check: string | null
  symptom: string
}

/** `small`: the gear is too small there (the dog lies over the band); `big`: too big. */
type BothWays = { small: Danger; big: Danger }

const danger = (symptom: string, check: string | null = null): Danger => ({ check, symptom })

/** Source: handbook 7.2 and 7.3 read from the measure to the strap it decides; common practice, the pairing ours. */
const PULLING: Readonly<Record<string, BothWays>> = {
  M01: { small: danger('S01', 'pulling-neck'), big: danger('S03', 'neck-opening-at-withers') },
  M06: { small: danger('S10', 'clear-of-armpit'), big: danger('S11', 'sides-on-ribs') },
  M07: { small: danger('S26'), big: danger('S12') },
  M08: { small: danger('S26'), big: danger('S12') },
  M10: { small: danger('S10', 'clear-of-armpit'), big: danger('S11', 'sides-on-ribs') },
  M11: { small: danger('S10', 'clear-of-armpit'), big: danger('S11', 'sides-on-ribs') },
  M12: { small: danger('S09', 'tug-at-tail-base'), big: danger('S06', 'tug-at-tail-base') },
  M13: { small: danger('S09', 'tug-at-tail-base'), big: danger('S06', 'tug-at-tail-base') },
  M14: { small: danger('S09', 'tug-at-tail-base'), big: danger('S06', 'tug-at-tail-base') },
}
const WALKING: Readonly<Record<string, BothWays>> = {
  M01: { small: danger('S26', 'under-every-strap'), big: danger('S30', 'y-on-breastbone') },
  M02: { small: danger('S26', 'under-every-strap'), big: danger('S33', 'under-every-strap') },
  M03: { small: danger('S26', 'under-every-strap'), big: danger('S33', 'under-every-strap') },
  M06: { small: danger('S28', 'girth-strap-behind-elbow'), big: danger('S29', 'girth-strap-on-rib') },
  M07: { small: danger('S26', 'under-every-strap'), big: danger('S24', 'no-sway') },
  M08: { small: danger('S26', 'under-every-strap'), big: danger('S24', 'no-sway') },
  M14: { small: danger('S28', 'girth-strap-behind-elbow'), big: danger('S29', 'girth-strap-on-rib') },
}
const DRAFTING: Readonly<Record<string, BothWays>> = {
  M01: { small: danger('S26'), big: danger('S27') },
  M07: { small: danger('S42'), big: danger('S24') },
}
const CAR: Readonly<Record<string, BothWays>> = {
  M01: { small: danger('S47'), big: danger('S46') },
  M02: { small: danger('S47'), big: danger('S46') },
  M07: { small: danger('S47'), big: danger('S46') },
}
const COAT: Readonly<Record<string, BothWays>> = {
  M04: { small: danger('S60'), big: danger('S59') },
  M03: { small: danger('S60'), big: danger('S61') },
  M07: { small: danger('S53'), big: danger('S52') },
  M14: { small: danger('S59'), big: danger('S51') },
  M15: { small: danger('S57'), big: danger('S51') },
  M16: { small: danger('S57'), big: danger('S51') },
  M19: { small: danger('S57'), big: danger('S54') },
  M21: { small: danger('S53'), big: danger('S52') },
  M24: { small: danger('S57'), big: danger('S55') },
  M26: { small: danger('S57'), big: danger('S56') },
  M28: { small: danger('S57'), big: danger('S56') },
}
const BOOT: Readonly<Record<string, BothWays>> = Object.fromEntries(
  ['M32', 'M33', 'M34', 'M35', 'M36'].map((id) => [
    id,
    { small: danger(id === 'M36' ? 'S67' : 'S65'), big: danger(id === 'M36' ? 'S64' : id === 'M34' ? 'S69' : 'S63') },
  ]),
)
const CRATE: Readonly<Record<string, BothWays>> = Object.fromEntries(
  ['M39', 'M40', 'M41', 'M42', 'M43', 'M44'].map((id) => [id, { small: danger('S70'), big: danger('S71') }]),
)

const BY_SHELF: Readonly<Record<Shelf, Readonly<Record<string, BothWays>>>> = {
  pulling: PULLING,
  walking: WALKING,
  drafting: DRAFTING,
  car: CAR,
  coat: COAT,
  boot: BOOT,
  crate: CRATE,
}

/** What to expect when a size misses on a measure; `null` where the handbook names nothing. */
export function endangeredBy(family: FamilyId, measure: string, way: 'small' | 'big'): Danger | null {
  // The plate of a running harness has a symptom of its own: between sizes.
  if (family === 'H10' && measure === 'M06' && way === 'small') return danger('S31', 'girth-strap-behind-elbow')
  return BY_SHELF[families[family].shelf][measure]?.[way] ?? null
}
