import type { Form } from '../form/index.ts'
import { families, harnessIds, isKin, settableStraps, type HitchBand, type Meets, type Suit, type Suits } from '../gear/index.ts'
import type { Activity, Basis, Dog, DogNoteKind, FamilyId, ShopFields, Ticket, TicketSheet } from '../model/index.ts'
import { ageInMonths, stillGrows } from '../reference/index.ts'
import type { CautionCode } from './caution.ts'
import { cautionsFor, hasFlatFace, isGiant, LIGHT_MONTHS } from './cautions.ts'
import { sidesTaken } from './disagreements.ts'

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
  /** Temperature of the work, degrees Celsius, and its humidity, percent. */
  airC?: number
  humidity?: number
  /** The dog pulls already. */
  pulls?: boolean
  /** Kinds of the dog's notes that are not over. */
  openNotes?: readonly DogNoteKind[]
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
  | 'further-job'

export interface RankedStyle {
  family: FamilyId
  rank: Suits
  basis: Extract<Basis, 'predicted'>
  /** The condition its rank stands under, in words that go on after it (handbook 5.3). */
  when?: string
  reasons: { code: StyleReason; for: boolean }[]
  /** Hard stops on using it for this purpose now; apart from the rank. */
  stops: CautionCode[]
}

const ORDER: readonly Suits[] = ['first', 'works', 'conditions', 'wrong', 'pointless']
const worse = (a: Suits, b: Suits): Suits => (ORDER.indexOf(a) >= ORDER.indexOf(b) ? a : b)

/** Set at the dog over a wide range: three straps or more. */
const WIDE_RANGE = 3

/** Chest width to depth under which a harness turns on it; neck to pulling length over which a cross-back runs past the tail; tuck-up. Ours, unverified. */
const NARROW = 0.68
const SHORT_FOR_NECK = 1.15
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
  /** What else the same piece is to do. */
  also?: readonly Activity[]
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
export function chooseStyles({ dog, purpose, also = [], hitch, form = null, options }: StyleQuestion): RankedStyle[] {
  const further = also.filter((job) => job !== purpose)
  const body = unusualBody(dog, form)
  const growing = stillGrows(dog, options.on)
  const lightWork = dog !== null && (ageInMonths(dog, options.on) ?? 0) >= LIGHT_MONTHS
  const flat = dog !== null && hasFlatFace(dog)
  const thick = (options.coat ?? dog?.coat) === 'thick-double' || (options.coat ?? dog?.coat) === 'long'
  const near = options.wheelPlace || options.sitsClose
  const sides = sidesTaken(options.views ?? {}, {
    purpose,
    crabs: options.crabs === true,
    flexes: options.flexes === true,
    wheelPlace: near === true,
  })
  const styles = harnessIds.map((id): RankedStyle => {
    const family = families[id]
    const start = family.activities[purpose]
    const reasons: RankedStyle['reasons'] = [{ code: 'purpose', for: start === 'first' || start === 'works' }]
    let rank = start
    const speaks = (code: StyleReason, on: boolean | undefined): void => {
      if (on && rank !== 'wrong' && rank !== 'pointless') reasons.push({ code, for: true })
    }
    const against = (code: StyleReason, on: boolean | undefined, atBest: Suits = 'conditions'): void => {
      if (!on) return
      reasons.push({ code, for: false })
      rank = worse(rank, atBest)
    }
    const meets = (code: Meets, on: boolean | undefined): void => {
      speaks(code, on && family.meets[code] === 'for')
      against(code, on && family.meets[code] === 'against')
    }
    /** A column of the dog's own kind: at best so, and wrong where it has no cell. */
    const atBest = (code: 'puppy' | 'flat-face', on: boolean, cell: Suit | null, goodFrom: readonly Suits[]): void => {
      if (!on) return
      rank = worse(rank, cell?.rank ?? 'wrong')
      reasons.push({ code, for: cell !== null && goodFrom.includes(cell.rank) })
    }
    // Light line-out from twelve months needs its harness: what binds load and bike is the stop (5.6).
    if (growing && lightWork && family.shelf === 'pulling') reasons.push({ code: 'puppy', for: false })
    else atBest('puppy', growing, family.puppy, ['first', 'works', 'conditions'])
    atBest('flat-face', flat, family.flatFace, ['first', 'works'])
    meets('crabs', options.crabs)
    meets('swings', options.swings)
    speaks('flexes', options.flexes && family.meets.flexes === 'for')
    for (const side of sides) {
      const code = side.view === 'D21' && !options.views?.D21 ? 'flexes' : 'shop-view'
      speaks(code, code === 'shop-view' && side.for.includes(id))
      against(code, side.against.includes(id), side.never ? 'wrong' : 'conditions')
    }
    meets('near-the-load', near)
    meets('deep-narrow-chest', body.narrow)
    speaks('short-back-thick-neck', body.shortForNeck && family.meets['short-back-thick-neck'] === 'for')
    against('short-back-thick-neck', body.shortForNeck && isKin(id, 'full-length'))
    meets('tucked-up', body.tucked)
    const isWide = settableStraps(id) >= WIDE_RANGE
    speaks('giant', body.giant && isWide)
    speaks('shared', options.shared && isWide)
    speaks('three-legs', options.threeLegs && family.meets['three-legs'] === 'for')
    against('three-legs', options.threeLegs && family.meets['three-legs'] !== 'for')
    speaks('head-shy', options.headShy && family.head === 'none')
    against('head-shy', options.headShy && isKin(id, 'over-the-head'))
    meets('wriggles', options.wriggles)
    meets('chews', options.chews)
    meets('thick-coat', thick && !body.narrow)
    meets('backs-out', options.backsOut)
    if (hitch && family.line) {
      speaks('line-angle', family.line === hitch)
      against('line-angle', family.line !== hitch)
    }
    // One piece for all of it: what is wrong for one of the jobs needs a second piece beside it.
    speaks('further-job', further.length > 0 && further.every((job) => ['first', 'works'].includes(family.activities[job])))
    against(
      'further-job',
      further.some((job) => family.activities[job] === 'wrong'),
    )
    const { on, airC = null, humidity = null, openNotes = [], pulls = null } = options
    const stops = cautionsFor({ dog, activities: [purpose], families: [id], on, airC, humidity, openNotes, pulls })
      .filter(({ level }) => level === 'stop')
      .map(({ code }) => code)
    const said = [family.suits[purpose], growing ? family.puppy : null, flat ? family.flatFace : null].flatMap((cell) =>
      cell?.when && cell.rank === rank ? [cell.when] : [],
    )
    return { family: id, rank, basis: 'predicted', ...(said.length > 0 ? { when: said.join(', ') } : {}), reasons, stops }
  })
  const weight = ({ reasons }: RankedStyle): number => reasons.reduce((sum, reason) => sum + (reason.code === 'purpose' ? 0 : reason.for ? 1 : -1), 0)
  return styles.sort(
    (a, b) =>
      ORDER.indexOf(a.rank) - ORDER.indexOf(b.rank) ||
      Number(a.stops.length > 0) - Number(b.stops.length > 0) ||
      weight(b) - weight(a) ||
      harnessIds.indexOf(a.family) - harnessIds.indexOf(b.family),
  )
}

type Said = Pick<Ticket, 'traits' | 'teamPlace' | 'airC' | 'alsoWorn'> & Partial<Pick<Ticket, 'humidity' | 'pulls'>>

/** What a ticket and its dog's open notes say of how the dog goes, in the words of `chooseStyles`. */
export function optionsOf(ticket: Said, on: string, views: ShopFields['views'], dogNotes: TicketSheet['dogNotes'] = []): StyleOptions {
  const has = (trait: Ticket['traits'][number]): boolean => ticket.traits.includes(trait)
  const openNotes = dogNotes.filter((note) => note.over === null).map((note) => note.kind)
  return {
    on,
    views,
    openNotes,
    crabs: has('crabs'),
    swings: has('swings'),
    flexes: has('flexes'),
    sitsClose: has('sits-close'),
    headShy: has('head-shy'),
    wriggles: has('wriggles'),
    chews: has('chews'),
    backsOut: has('backs-out'),
    threeLegs: has('three-legs') || openNotes.includes('missing-limb'),
    shared: ticket.alsoWorn !== '',
    wheelPlace: ticket.teamPlace === 'wheel',
    ...(ticket.airC === null ? {} : { airC: ticket.airC }),
    ...(ticket.humidity == null ? {} : { humidity: ticket.humidity }),
    ...(ticket.pulls == null ? {} : { pulls: ticket.pulls }),
  }
}
