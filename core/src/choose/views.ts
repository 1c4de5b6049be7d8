import type { Activity, FamilyId, ShopFields, Ticket, ViewId } from '../model/index.ts'

/** One question on which practitioners disagree, with both sides and ours. */
export interface Disagreement {
  id: ViewId
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
  view: ViewId
  for: readonly FamilyId[]
  against: readonly FamilyId[]
  /** What speaks against makes it wrong, not only conditional. */
  never?: true
}

const taken = (view: ViewId, speaksFor: readonly FamilyId[], against: readonly FamilyId[] = [], never?: true): SideTaken => ({
  view,
  for: speaksFor,
  against,
  ...(never ? { never } : {}),
})

export interface SideMatters {
  purpose: string
  crabs: boolean
  flexes: boolean
  wheelPlace: boolean
}

/** The sides the shop takes that bear on this dog and this work; the recommendation of D21 holds for a flexing back. */
export function sidesTaken(views: ShopFields['views'], { purpose, crabs, flexes, wheelPlace }: SideMatters): SideTaken[] {
  const out: SideTaken[] = []
  if (views.D17 === 'B') out.push(taken('D17', [], ['H03'], true))
  if (views.D18 === 'B') out.push(taken('D18', [], ['H08'], true))
  if (views.D21 === 'A') out.push(taken('D21', ['H11']))
  if (views.D21 === 'B') out.push(taken('D21', ['H12', 'H13'], ['H11', 'H16', 'H17', 'H18']))
  if (views.D21 === undefined && flexes) out.push(taken('D21', ['H13'], ['H11']))
  if (purpose === 'bike-front' && views.D22) out.push(views.D22 === 'A' ? taken('D22', ['H14']) : taken('D22', ['H11', 'H18']))
  if ((purpose === 'wheel-place' || wheelPlace) && views.D23) out.push(taken('D23', views.D23 === 'A' ? ['H19'] : ['H20']))
  if (crabs && views.D24) out.push(taken('D24', views.D24 === 'A' ? ['H21'] : ['H15', 'H17']))
  if ((purpose === 'cart' || purpose === 'weight-drag') && views.D27) out.push(taken('D27', views.D27 === 'A' ? ['H22'] : ['H23']))
  return out
}

/** Does a question bear on this purpose and dog? */
export function viewBears(id: ViewId, purpose: Activity, ticket: Pick<Ticket, 'traits' | 'teamPlace'>): boolean {
  if (id === 'D22') return purpose === 'bike-front'
  if (id === 'D23') return purpose === 'wheel-place' || ticket.teamPlace === 'wheel' || ticket.traits.includes('sits-close')
  if (id === 'D24') return ticket.traits.includes('crabs')
  if (id === 'D27') return purpose === 'cart' || purpose === 'weight-drag'
  return true
}

/** Disagreements that bear on a family, so that the other view can be shown beside the choice. */
export const VIEWS_ON: Partial<Readonly<Record<FamilyId, readonly ViewId[]>>> = {
  H03: ['D17'],
  H08: ['D18'],
  H11: ['D21', 'D22'],
  H12: ['D21'],
  H13: ['D21'],
  H14: ['D22'],
  H18: ['D22'],
  H19: ['D23'],
  H20: ['D23'],
  H15: ['D24'],
  H17: ['D24'],
  H21: ['D24'],
  H22: ['D27'],
  H23: ['D27'],
}
