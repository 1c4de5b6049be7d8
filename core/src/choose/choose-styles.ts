import type { Form } from '../form/index.ts'
import { families, settableStraps, type Suits } from '../gear/index.ts'
import { FAMILIES_AT, type HitchBand } from '../hitch/index.ts'
import type { Activity, Dog, FamilyId, ShopFields, Ticket } from '../model/index.ts'
import { findBreed } from '../reference/index.ts'
import { stillGrows } from './age.ts'
import { cautionsFor, isGiant, type CautionCode } from './cautions.ts'
import { sidesTaken } from './views.ts'

/** How the dog goes in front of a load, how it takes dressing, and what its body is like beside the tapes. */
export interface StyleOptions {
  /** Day the question is asked on, `YYYY-MM-DD`. */
  on: string
  /** Runs with its body turned sideways to the line. */
  crabs?: boolean
  /** Moves from side to side in front of a bike. */
  swings?: boolean
  /** A strongly flexing back. */
  flexes?: boolean
  /** Close to a low load. */
  wheelPlace?: boolean
  /** Fights anything over its head. */
  headShy?: boolean
  /** Backs out of harnesses. */
  backsOut?: boolean
  threeLegs?: boolean
  /** Temperature of the work, degrees Celsius. */
  airC?: number
  /** Chews what it wears. */
  chews?: boolean
  /** Will not stand still for buckles. */
  wriggles?: boolean
  /** Runs close to its load. */
  sitsClose?: boolean
  /** Somebody else will wear it too. */
  shared?: boolean
  /** A thick or a smooth coat matters to padding. */
  coat?: Dog['coat']
  /** Sides the shop takes where practitioners disagree (handbook 13). */
  views?: ShopFields['views']
}

export type StyleReason =
  | 'purpose'
  | 'puppy'
  | 'flat-face'
  | 'crabs'
  | 'swings'
  | 'flexes'
  | 'deep-narrow-chest'
  | 'short-back-thick-neck'
  | 'near-the-load'
  | 'three-legs'
  | 'head-shy'
  | 'backs-out'
  | 'line-angle'
  | 'tucked-up'
  | 'giant'
  | 'shared'
  | 'chews'
  | 'wriggles'
  | 'thick-coat'
  | 'shop-view'

export interface RankedStyle {
  family: FamilyId
  rank: Suits
  reasons: { code: StyleReason; for: boolean }[]
  /** Hard stops on using it for this purpose now; apart from the rank. */
  stops: CautionCode[]
}

const ORDER: readonly Suits[] = ['first', 'works', 'conditions', 'wrong', 'pointless']
const worse = (a: Suits, b: Suits): Suits => (ORDER.indexOf(a) >= ORDER.indexOf(b) ? a : b)

/** The puppy and flat-face columns of handbook 5.3: common practice, the flat-face column from memory, unverified. */
const PUPPY: Partial<Readonly<Record<FamilyId, Suits>>> = {
  H01: 'first',
  H04: 'conditions',
  H05: 'conditions',
  H06: 'conditions',
  H07: 'conditions',
  H09: 'conditions',
  H24: 'works',
}
const FLAT: Partial<Readonly<Record<FamilyId, Suits>>> = {
  H01: 'first', H02: 'conditions', H04: 'conditions', H05: 'works', H06: 'works', H07: 'conditions', H08: 'conditions', H09: 'works', H10: 'works', H21: 'conditions', H24: 'works',
} // prettier-ignore

/** Handbook 5.4 and 6.4: what a way of going, a body or a temper speaks for and against. */
const OVER_THE_HEAD: readonly FamilyId[] = ['H05', 'H07', 'H11', 'H12', 'H13', 'H16', 'H17', 'H18', 'H19', 'H20']
/** Set at the dog over a wide range: three straps or more. */
const WIDE_RANGE: readonly FamilyId[] = (Object.keys(families) as FamilyId[]).filter((id) => settableStraps(id) >= 3)
/** One buckle, or quick over the head. */
const EASY: readonly FamilyId[] = ['H03', 'H04', 'H05', 'H06']
const NO_HEAD: readonly FamilyId[] = ['H04', 'H06']
const FULL_LENGTH: readonly FamilyId[] = ['H11', 'H12', 'H13', 'H16', 'H17', 'H18', 'H19', 'H20']

/** Chest width to depth under which a harness turns on it; neck to pulling length over which a cross-back runs past the tail; tuck-up. Ours, unverified. */
const NARROW = 0.62
const SHORT_FOR_NECK = 0.93
const TUCKED = 0.62

/** What is unusual about a body (handbook 6.4). */
export interface UnusualBody {
  /** Deep and narrow in the chest: a harness turns on it. */
  narrow: boolean
  /** A short back for its neck: a cross-back runs past the tail. */
  shortForNeck: boolean
  /** Tucked up behind the ribs. */
  tucked: boolean
  /** A giant: stock ranges end before it. */
  giant: boolean
}

/** What is unusual about this dog, as far as its form and breed say. */
export function unusualBody(dog: Dog | null, form: Form | null): UnusualBody {
  const giant = dog !== null && isGiant(dog)
  if (!form) return { narrow: false, shortForNeck: false, tucked: false, giant }
  const { girth } = form.sections
  const [neck, whole, waist, ring] = ['M01', 'M13', 'M22', 'M07'].map((id) => form.measures[id]?.mm ?? 1) as [number, number, number, number]
  return { narrow: (2 * girth.w) / (girth.tz - girth.uz) < NARROW, shortForNeck: neck / whole > SHORT_FOR_NECK, tucked: waist / ring < TUCKED, giant }
}

export interface StyleQuestion {
  dog: Dog | null
  purpose: Activity
  /** The band the line's angle falls in, where it is known. */
  hitch: HitchBand | null
  /** The dog's solved form, where there is one. */
  form?: Form | null
  options: StyleOptions
}

/**
 * Every harness family for one dog and one purpose, best first. The activity table decides where it begins (handbook
 * 5.3); the dog's age and face can only lower it; its way of going, body and temper give reasons for and against, and
 * what speaks against makes it conditional at best. Stops stand apart: they bind the work, not the choice.
 */
export function chooseStyles({ dog, purpose, hitch, form = null, options }: StyleQuestion): RankedStyle[] {
  const body = unusualBody(dog, form)
  const growing = stillGrows(dog, options.on)
  const flat = dog ? (dog.flatFace ?? [dog.breed, dog.crossWith].some((name) => findBreed(name)?.flatFace === true)) : false
  const thick = (options.coat ?? dog?.coat) === 'thick-double' || (options.coat ?? dog?.coat) === 'long'
  const near = options.wheelPlace || options.sitsClose
  const sides = sidesTaken(options.views ?? {}, {
    purpose,
    crabs: options.crabs === true,
    flexes: options.flexes === true,
    wheelPlace: near === true,
  })
  const ids = (Object.keys(families) as FamilyId[]).filter((id) => id.startsWith('H'))
  const styles = ids.map((family): RankedStyle => {
    const start = families[family].activities[purpose]
    const reasons: RankedStyle['reasons'] = [{ code: 'purpose', for: start === 'first' || start === 'works' }]
    let rank = start
    const speaks = (code: StyleReason, on: boolean | undefined, list: readonly FamilyId[]): void => {
      if (on && list.includes(family) && rank !== 'wrong' && rank !== 'pointless') reasons.push({ code, for: true })
    }
    const against = (code: StyleReason, on: boolean | undefined, list: readonly FamilyId[], atBest: Suits = 'conditions'): void => {
      if (!on || !list.includes(family)) return
      reasons.push({ code, for: false })
      rank = worse(rank, atBest)
    }
    if (growing) {
      rank = worse(rank, PUPPY[family] ?? 'wrong')
      reasons.push({ code: 'puppy', for: family in PUPPY })
    }
    if (flat) {
      rank = worse(rank, FLAT[family] ?? 'wrong')
      reasons.push({ code: 'flat-face', for: FLAT[family] === 'first' || FLAT[family] === 'works' })
    }
    speaks('crabs', options.crabs, ['H17', 'H21'])
    speaks('swings', options.swings, ['H18'])
    speaks('flexes', options.flexes, ['H13'])
    for (const side of sides) {
      const code = side.view === 'D21' && !options.views?.D21 ? 'flexes' : 'shop-view'
      if (code === 'shop-view') speaks(code, true, side.for)
      against(code, true, side.against, side.never ? 'wrong' : 'conditions')
    }
    speaks('near-the-load', near, ['H19', 'H20'])
    against('near-the-load', near, ['H11', 'H12', 'H13', 'H14', 'H15', 'H16', 'H17', 'H18', 'H21'])
    speaks('deep-narrow-chest', body.narrow, ['H16', 'H20'])
    speaks('short-back-thick-neck', body.shortForNeck, ['H21'])
    against('short-back-thick-neck', body.shortForNeck, FULL_LENGTH)
    speaks('tucked-up', body.tucked, ['H09'])
    speaks('giant', body.giant, WIDE_RANGE)
    speaks('shared', options.shared, WIDE_RANGE)
    speaks('three-legs', options.threeLegs, ['H09'])
    against(
      'three-legs',
      options.threeLegs,
      ids.filter((id) => id !== 'H09'),
    )
    speaks('head-shy', options.headShy, NO_HEAD)
    against('head-shy', options.headShy, OVER_THE_HEAD)
    speaks('wriggles', options.wriggles, EASY)
    against('chews', options.chews, ['H05'])
    against('thick-coat', thick && !body.narrow, ['H16'])
    speaks('backs-out', options.backsOut, ['H09'])
    against('backs-out', options.backsOut, ['H04', 'H05', 'H07'])
    if (hitch) {
      const own = (Object.keys(FAMILIES_AT) as HitchBand[]).find((band) => FAMILIES_AT[band].includes(family))
      speaks('line-angle', own === hitch, [family])
      against('line-angle', own !== undefined && own !== hitch, [family])
    }
    const stops = cautionsFor({ dog, activities: [purpose], families: [family], on: options.on })
      .filter(({ level }) => level === 'stop')
      .map(({ code }) => code)
    const hot = families[family].pulls && options.airC !== undefined && options.airC > PULL_MAX_C
    return { family, rank, reasons, stops: hot ? [...stops, 'heat'] : stops }
  })
  const weight = ({ reasons }: RankedStyle): number => reasons.reduce((sum, reason) => sum + (reason.code === 'purpose' ? 0 : reason.for ? 1 : -1), 0)
  return styles.sort(
    (a, b) =>
      ORDER.indexOf(a.rank) - ORDER.indexOf(b.rank) ||
      Number(a.stops.length > 0) - Number(b.stops.length > 0) ||
      weight(b) - weight(a) ||
      ids.indexOf(a.family) - ids.indexOf(b.family),
  )
}

/** Upper temperature for pulling. Source: handbook V18, common practice. */
const PULL_MAX_C = 10

/** What a ticket says of how its dog goes, in the words of `chooseStyles`. */
export function optionsOf(ticket: Pick<Ticket, 'traits' | 'teamPlace' | 'airC' | 'alsoWorn'>, on: string, views: ShopFields['views']): StyleOptions {
  const has = (trait: Ticket['traits'][number]): boolean => ticket.traits.includes(trait)
  return {
    on,
    views,
    crabs: has('crabs'),
    swings: has('swings'),
    flexes: has('flexes'),
    sitsClose: has('sits-close'),
    headShy: has('head-shy'),
    wriggles: has('wriggles'),
    chews: has('chews'),
    backsOut: has('backs-out'),
    threeLegs: has('three-legs'),
    shared: ticket.alsoWorn !== '',
    wheelPlace: ticket.teamPlace === 'wheel',
    ...(ticket.airC === null ? {} : { airC: ticket.airC }),
  }
}
