import { z } from 'zod'
import { Day, FamilyId, Id, Moment, line } from './ids.ts'
import { Strike } from './reading.ts'
import { School } from './school.ts'
import { TableWay } from './size-table.ts'

/** What the dog will do: the columns of handbook 5.3 that are activities. */
export const Activity = z.enum([
  'stroll',
  'learning-puller',
  'long-hike',
  'scramble',
  'beside-runner',
  'front-of-runner',
  'bike-front',
  'bike-side',
  'ski-front',
  'sled-team',
  'wheel-place',
  'weight-drag',
  'cart',
  'tracking',
  'car',
])
export type Activity = z.infer<typeof Activity>

/** How the dog goes, dresses and stands: what choosing asks beside the tapes (handbook 5.1). */
export const Trait = z.enum(['crabs', 'swings', 'flexes', 'sits-close', 'head-shy', 'wriggles', 'chews', 'backs-out', 'three-legs'])
export type Trait = z.infer<typeof Trait>

/** Where in a team it runs. */
export const TeamPlace = z.enum(['lead', 'middle', 'wheel'])
export type TeamPlace = z.infer<typeof TeamPlace>

export const ItemWay = z.enum([...TableWay.options, 'undecided'])
export type ItemWay = z.infer<typeof ItemWay>

export const ItemFields = z.object({
  family: FamilyId,
  way: ItemWay,
  /** `null`: not decided, both schools' tapes are wanted. */
  school: School.nullable(),
  removed: z.boolean(),
})
export type ItemFields = z.infer<typeof ItemFields>

export const NewItem = ItemFields.omit({ removed: true }).extend({ at: Moment })
export type NewItem = z.infer<typeof NewItem>

/** What the fitter settled on for an item. The newest choice counts; older ones are kept. */
export const NewChoice = z.object({
  itemId: Id,
  tableId: line(60).min(1),
  tableVersion: z.int().min(1),
  /** One size, or two to try one after the other, the first first. */
  labels: z.array(line(40).min(1)).min(1).max(2),
  /** What the bench advised when the fitter chose otherwise, and the fitter's reason. */
  overruled: z.object({ advised: line(120).min(1), why: line(300).min(1) }).nullable(),
  at: Moment,
  by: line(60),
})
export type NewChoice = z.infer<typeof NewChoice>
export const Choice = NewChoice.extend({ id: Id })
export type Choice = z.infer<typeof Choice>

export const Item = ItemFields.extend({ id: Id, createdAt: Moment })
export type Item = z.infer<typeof Item>

/** A caution or stop read by the fitter, or a finding about the tapes the fitter keeps as the dog's own. */
export const NewAcknowledgement = z.object({
  kind: z.enum(['caution', 'stop', 'finding']),
  code: line(200).min(1),
  /** The text as it stood on the screen. */
  text: line(1000).min(1),
  /** Typed reason; needed to overrule a stop. */
  reason: line(500),
  at: Moment,
  by: line(60),
})
export type NewAcknowledgement = z.infer<typeof NewAcknowledgement>
/** `struck`: taken back; it no longer counts. */
export const Acknowledgement = NewAcknowledgement.extend({ id: Id, struck: Strike.optional() })
export type Acknowledgement = z.infer<typeof Acknowledgement>

export const TicketFields = z.object({
  dogId: Id.nullable(),
  ownerId: Id.nullable(),
  activities: z.array(Activity),
  traits: z.array(Trait),
  teamPlace: TeamPlace.nullable(),
  /** What it may cost for each piece, in the shop's own currency. */
  budget: z.number().min(0).max(100_000).nullable(),
  /** Who else will wear it, in the owner's words. */
  alsoWorn: line(200),
  /** Air at the work, degrees Celsius. */
  airC: z.number().min(-60).max(60).nullable(),
  neededOn: Day.nullable(),
  promisedOn: Day.nullable(),
  nextLookOn: Day.nullable(),
  notes: line(2000),
  /** The complete body sheet is wanted, whatever the items need. */
  wholeBody: z.boolean(),
  state: z.enum(['open', 'closed']),
  closedAt: Moment.nullable(),
})
export type TicketFields = z.infer<typeof TicketFields>

/** A ticket as it is opened: nothing asked yet. */
export const UNASKED: Omit<TicketFields, 'dogId' | 'ownerId'> = {
  activities: [],
  traits: [],
  teamPlace: null,
  budget: null,
  alsoWorn: '',
  airC: null,
  neededOn: null,
  promisedOn: null,
  nextLookOn: null,
  notes: '',
  wholeBody: false,
  state: 'open',
  closedAt: null,
}

export const NewTicket = z.object({
  dogId: Id.nullable(),
  ownerId: Id.nullable(),
  counter: z.boolean(),
  at: Moment,
  by: line(60),
})
export type NewTicket = z.infer<typeof NewTicket>

export const Ticket = TicketFields.extend({ id: Id, number: z.int(), counter: z.boolean(), createdAt: Moment, by: line(60) })
export type Ticket = z.infer<typeof Ticket>
