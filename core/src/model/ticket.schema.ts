import { z } from 'zod'
import { Day, FamilyId, Id, Moment, SymptomId, line, notes } from './ids.schema.ts'
import { ACTIVITIES, FOOTINGS, ITEM_WAYS, NEEDS, TEAM_PLACES, TICKET_KINDS, TRAITS } from './lists.ts'
import { Strike } from './reading.schema.ts'
import { School } from './school.schema.ts'

/** What the dog will do: the columns of handbook 5.3 that are activities. */
export const Activity = z.enum(ACTIVITIES)
export type Activity = z.infer<typeof Activity>

/** What it needs beside its work (handbook 5.1, 5.5). */
export const Need = z.enum(NEEDS)
export type Need = z.infer<typeof Need>

/** What its paws go on. */
export const Footing = z.enum(FOOTINGS)
export type Footing = z.infer<typeof Footing>

/** How the dog goes, dresses and stands: what choosing asks beside the tapes (handbook 5.1). */
export const Trait = z.enum(TRAITS)
export type Trait = z.infer<typeof Trait>

/** Where in a team it runs. */
export const TeamPlace = z.enum(TEAM_PLACES)
export type TeamPlace = z.infer<typeof TeamPlace>

export const ItemWay = z.enum(ITEM_WAYS)
export type ItemWay = z.infer<typeof ItemWay>

export const ItemFields = z.object({
  family: FamilyId,
  way: ItemWay,
  /** `null`: not decided, both schools' tapes are wanted. */
  school: School.nullable(),
  removed: z.boolean(),
  /** Whose or what for, where a ticket has several of one kind, in the owner's words. */
  purpose: line(120).default(''),
})
export type ItemFields = z.infer<typeof ItemFields>

export const NewItem = ItemFields.omit({ removed: true, purpose: true }).extend({ purpose: line(120).optional(), at: Moment })
export type NewItem = z.infer<typeof NewItem>

export const Item = ItemFields.extend({ id: Id, createdAt: Moment })
export type Item = z.infer<typeof Item>

/** A caution or stop read by the fitter, or a finding about the tapes the fitter keeps as the dog's own. */
export const NewAcknowledgement = z.object({
  kind: z.enum(['caution', 'stop', 'finding']),
  code: line(200).min(1),
  /** The text as it stood on the screen. */
  text: notes(1000).min(1),
  /** Typed reason; needed to overrule a stop. */
  reason: line(500),
  at: Moment,
  by: line(60),
})
export type NewAcknowledgement = z.infer<typeof NewAcknowledgement>
/** `struck`: taken back; it no longer counts. */
export const Acknowledgement = NewAcknowledgement.extend({ id: Id, struck: Strike.optional() })
export type Acknowledgement = z.infer<typeof Acknowledgement>

/** Whose a ticket is: a dog's, the counter's without a record, a practice of the bench. */
export const TicketKind = z.enum(TICKET_KINDS)
export type TicketKind = z.infer<typeof TicketKind>

export const TicketFields = z.object({
  dogId: Id.nullable(),
  ownerId: Id.nullable(),
  activities: z.array(Activity),
  needs: z.array(Need).default([]),
  footing: z.array(Footing).default([]),
  traits: z.array(Trait),
  /** Does it pull yet; `null`: not asked. */
  pulls: z.boolean().nullable().default(null),
  /** What it wears now, in the owner's words, and what is wrong with it, by symptom. */
  wears: line(200).default(''),
  wearsTrouble: z.array(SymptomId).default([]),
  /** One piece for all it will do, or one for each job; `null`: not asked. */
  oneForAll: z.boolean().nullable().default(null),
  teamPlace: TeamPlace.nullable(),
  /** What it may cost for each piece, in the shop's own currency. */
  budget: z.number().min(0).max(100_000).nullable(),
  /** Who else will wear it, in the owner's words. */
  alsoWorn: line(200),
  /** Air at the work, degrees Celsius. */
  airC: z.number().min(-60).max(60).nullable(),
  /** Humidity of that air, percent. */
  humidity: z.number().min(0).max(100).nullable().default(null),
  neededOn: Day.nullable(),
  promisedOn: Day.nullable(),
  nextLookOn: Day.nullable(),
  notes: notes(2000),
  /** The complete body sheet is wanted, whatever the items need. */
  wholeBody: z.boolean(),
  state: z.enum(['open', 'closed']),
  closedAt: Moment.nullable(),
})
export type TicketFields = z.infer<typeof TicketFields>

export const NewTicket = z.object({
  dogId: Id.nullable(),
  ownerId: Id.nullable(),
  kind: TicketKind,
  at: Moment,
  by: line(60),
})
export type NewTicket = z.infer<typeof NewTicket>

/** `on`: the shop's own day of its opening. */
export const Ticket = TicketFields.extend({
  id: Id,
  number: z.int().min(0).max(9_999_999),
  kind: TicketKind,
  createdAt: Moment,
  on: Day.optional(),
  by: line(60),
})
export type Ticket = z.infer<typeof Ticket>
