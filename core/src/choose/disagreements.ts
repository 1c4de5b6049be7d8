import { allFamilies, type SideSays } from '../gear/index.ts'
import { DISAGREEMENT_IDS, type Activity, type FamilyId, type ShopFields, type Ticket, type DisagreementId } from '../model/index.ts'

/** One question on which practitioners disagree, with both sides and ours. */
export interface Disagreement {
  id: DisagreementId
  topic: string
  a: string
  b: string
  /** What the bench does while the shop takes no side. */
  ours: string
}

/** Source: handbook 13, both sides common practice; the recommendation from memory, unverified. */
export const disagreements: readonly Disagreement[] = [
  {
    id: 'D10',
    topic: 'Between two sizes',
    a: 'Down: tension seats it.',
    b: 'Up: a short plate hurts over distance.',
    ours: 'By item: a fixed pulling harness down, an adjustable running harness up.',
  },
  {
    id: 'D11',
    topic: 'Stock or made first',
    a: 'Stock: the fit is unknown until the dog pulls.',
    b: 'Made for every dog: exact.',
    ours: 'Stock for a beginner, made for a kennel or an odd body.',
  },
  {
    id: 'D17',
    topic: 'Strap across the chest',
    a: 'Easy, common in shops.',
    b: 'Restricts the gait and can press the windpipe.',
    ours: 'Only for short, calm use, with the warning.',
  },
  {
    id: 'D18',
    topic: 'Front clip',
    a: 'A normal training aid, with a double lead.',
    b: 'Bad for the gait, even for a limited time.',
    ours: 'For grown dogs, for a time, never running.',
  },
  {
    id: 'D21',
    topic: 'Cross, H or open back',
    a: 'The X is the standard.',
    b: 'The X may limit the spine.',
    ours: 'Start with the X, change by how the dog moves.',
  },
  {
    id: 'D22',
    topic: 'Dog in front of a bike',
    a: 'Half-back, since the line rises.',
    b: 'Cross-back, or a sliding loop.',
    ours: 'By the line’s angle and whether the dog swings.',
  },
  {
    id: 'D23',
    topic: 'Wheel place',
    a: 'Rings and a long body.',
    b: 'Stick with elastic.',
    ours: 'By the chest, and by trial.',
  },
  {
    id: 'D24',
    topic: 'A dog that crabs',
    a: 'Short pull harness.',
    b: 'Side hooks, or a rotating half-back.',
    ours: 'Any of them; look for the cause first.',
  },
  {
    id: 'D27',
    topic: 'Freight or cart harness',
    a: 'One piece: no tangles, off over the head.',
    b: 'Many pieces: the dog leaves the shafts quickly.',
    ours: 'A cart takes quick-release pieces, drag weight one piece.',
  },
]

/** What taking a side speaks for and against. Empty where it only changes a size or a way. */
export interface SideTaken {
  view: DisagreementId
  for: readonly FamilyId[]
  against: readonly FamilyId[]
  /** What speaks against makes it wrong, not only conditional. */
  never?: true
}

/** What one side of a question says, by the families' own files. */
function taken(view: DisagreementId, side: 'A' | 'B'): SideTaken {
  const saying = (...says: SideSays[]): FamilyId[] =>
    allFamilies.flatMap(({ id, sides }) => {
      const said = sides[view]?.[side]
      return said && says.includes(said) ? [id] : []
    })
  const never = saying('never')
  return { view, for: saying('for'), against: [...never, ...saying('against')], ...(never.length > 0 ? { never: true } : {}) }
}

/** Where the shop takes no side, a flexing back speaks against the cross all the same. */
const flexing = (): SideTaken => ({
  view: 'D21',
  for: allFamilies.filter(({ meets }) => meets.flexes === 'for').map(({ id }) => id),
  against: allFamilies.filter(({ meets }) => meets.flexes === 'against').map(({ id }) => id),
})

export interface SideMatters {
  purpose: string
  crabs: boolean
  flexes: boolean
  wheelPlace: boolean
}

/** The sides the shop takes that bear on this dog and this work; the recommendation of D21 holds for a flexing back. */
export function sidesTaken(views: ShopFields['views'], { purpose, crabs, flexes, wheelPlace }: SideMatters): SideTaken[] {
  const bears: Readonly<Partial<Record<DisagreementId, boolean>>> = {
    D17: true,
    D18: true,
    D21: true,
    D22: purpose === 'bike-front',
    D23: purpose === 'wheel-place' || wheelPlace,
    D24: crabs,
    D27: purpose === 'cart' || purpose === 'weight-drag',
  }
  return DISAGREEMENT_IDS.flatMap((view): SideTaken[] => {
    const side = views[view]
    if (view === 'D21' && side === undefined && flexes) return [flexing()]
    if (bears[view] !== true || side === undefined) return []
    const said = taken(view, side)
    return said.for.length + said.against.length > 0 ? [said] : []
  })
}

/** Does a question bear on this purpose and dog? */
export function disagreementBears(id: DisagreementId, purpose: Activity, ticket: Pick<Ticket, 'traits' | 'teamPlace'>): boolean {
  if (id === 'D22') return purpose === 'bike-front'
  if (id === 'D23') return purpose === 'wheel-place' || ticket.teamPlace === 'wheel' || ticket.traits.includes('sits-close')
  if (id === 'D24') return ticket.traits.includes('crabs')
  if (id === 'D27') return purpose === 'cart' || purpose === 'weight-drag'
  return true
}

/** Disagreements that bear on a family, so that the other view can be shown beside the choice. */
export const DISAGREEMENTS_ON: Partial<Readonly<Record<FamilyId, readonly DisagreementId[]>>> = Object.fromEntries(
  allFamilies.map(({ id, sides }) => [id, DISAGREEMENT_IDS.filter((view) => view in sides)] as const).filter(([, views]) => views.length > 0),
)
