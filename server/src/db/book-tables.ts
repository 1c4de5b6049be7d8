import { choiceOf, resources, type Resource } from '@merry-tailor/core'
import {
  Acknowledgement,
  AsWritten,
  BecameReading,
  Booking,
  Car,
  Choice,
  Dog,
  DogJoin,
  DogNote,
  Fitter,
  Hitch,
  Id,
  Item,
  Mark,
  Moment,
  NewObservation,
  NewSymptomNote,
  Outing,
  Tracing,
  BootOuting,
  Owner,
  Photo,
  Piece,
  Rig,
  Reading,
  SetUp,
  Setting,
  ShopFields,
  SizeTable,
  StoredWrite,
  SupplyAnswer,
  Ticket,
  TryOn,
  Weighing,
} from '@merry-tailor/core/schemas'
import { z } from 'zod'

/** One table of the book: its resource, and the schema every record is read through, going out of a copy and coming in. */
export interface BookTable {
  resource: Resource<object>
  schema: z.ZodType
}

const table = <T extends object>(resource: Resource<T>, schema: z.ZodType): BookTable => ({ resource: resource, schema })
const on = (field: string) => z.object({ [field]: Id })

/** A choice is read as it is spoken of, since what its kind needs is said there. */
const StoredChoice = z
  .looseObject({ what: z.record(z.string(), z.unknown()) })
  .superRefine((stored, context) => {
    const read = Choice.safeParse(choiceOf(stored as never))
    if (!read.success) context.addIssue({ code: 'custom', message: read.error.issues.map((issue) => `${issue.path.join('.')} ${issue.message}`).join('; ') })
  })
  .and(on('ticketId'))

/** Every table of the book, parents before children. Search words are made anew. */
export const BOOK: readonly BookTable[] = [
  table(resources.shops, z.object({ one: z.literal(1), fields: ShopFields.partial() })),
  table(resources.fitters, Fitter),
  table(resources.owners, Owner),
  table(resources.dogs, Dog),
  table(resources.dogNotes, DogNote.and(on('dogId'))),
  table(resources.weighings, Weighing.and(on('dogId'))),
  table(resources.dogJoins, DogJoin.and(on('dogId'))),
  table(resources.photos, Photo.omit({ bytes: true, type: true }).extend({ type: z.string(), picture: z.base64(), dogId: Id })),
  table(resources.sizeTables, z.object({ id: z.string(), version: z.int().min(1), document: SizeTable, storedAt: Moment })),
  table(resources.pieces, Piece),
  table(resources.rigs, Rig),
  table(resources.cars, Car),
  table(resources.outings, Outing.and(on('dogId'))),
  table(resources.tracings, Tracing.and(on('dogId'))),
  table(resources.bootOutings, BootOuting.and(on('dogId'))),
  table(resources.tickets, Ticket),
  table(resources.items, Item.and(on('ticketId'))),
  table(resources.readings, Reading.and(on('ticketId'))),
  table(resources.marks, Mark.and(on('ticketId'))),
  table(resources.asWritten, AsWritten.omit({ became: true }).and(on('ticketId'))),
  table(resources.answers, BecameReading.and(on('asWrittenId'))),
  table(resources.choices, StoredChoice),
  table(resources.bookings, Booking),
  table(resources.hitches, Hitch.and(on('ticketId'))),
  table(resources.setUps, SetUp.and(on('ticketId'))),
  table(resources.tryOns, TryOn.omit({ observations: true, symptoms: true }).and(on('ticketId'))),
  table(resources.observations, NewObservation.extend({ id: Id, roundId: Id })),
  table(resources.symptomNotes, NewSymptomNote.extend({ id: Id, roundId: Id })),
  table(resources.settings, Setting.and(on('ticketId'))),
  table(resources.acknowledgements, Acknowledgement.and(on('ticketId'))),
  table(resources.supplies, z.object({ tableId: z.string(), answer: SupplyAnswer, heardAt: Moment })),
  table(resources.writes, StoredWrite),
]

/** Ahead of every copy: whose it is, of when, how much of what, and the fingerprint of all that follows. */
export const BookTop = z.object({
  format: z.literal('merry-tailor/book'),
  version: z.literal(4),
  book: Id,
  epoch: z.int().min(1),
  lastNumber: z.int().min(0).max(9_999_999),
  shop: z.string(),
  at: Moment,
  counts: z.record(z.string(), z.int().min(0)),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
})
export type BookTop = z.infer<typeof BookTop>
