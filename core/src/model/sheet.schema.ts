import { z } from 'zod'
import { AsWritten } from './as-written.schema.ts'
import { Dog } from './dog.schema.ts'
import { DogJoin } from './dog-join.schema.ts'
import { DogNote, Photo } from './dog-note.schema.ts'
import { Mark } from './mark.schema.ts'
import { Owner } from './owner.schema.ts'
import { Reading } from './reading.schema.ts'
import { Choice } from './choice.schema.ts'
import { Hitch } from './hitch.schema.ts'
import { SetUp } from './set-up.schema.ts'
import { Setting } from './setting.schema.ts'
import { BootOuting } from './boot-outing.schema.ts'
import { Outing } from './outing.schema.ts'
import { Tracing } from './tracing.schema.ts'
import { Weighing } from './weighing.schema.ts'
import { Acknowledgement, Item, Ticket } from './ticket.schema.ts'
import { TryOn } from './try-on.schema.ts'

/** A ticket with everything that hangs on it: what one screen needs, in one piece. */
export const TicketSheet = z.object({
  ticket: Ticket,
  dog: Dog.nullable(),
  owner: Owner.nullable(),
  /** Notes on the dog that are not over, and what it weighed, newest first. */
  dogNotes: z.array(DogNote).default([]),
  weighings: z.array(Weighing).default([]),
  /** Outings of a dog that learns to draw, newest first. */
  outings: z.array(Outing).default([]),
  /** Traced paws and outings in boots, newest first. */
  tracings: z.array(Tracing).default([]),
  bootOutings: z.array(BootOuting).default([]),
  items: z.array(Item),
  readings: z.array(Reading),
  choices: z.array(Choice),
  hitches: z.array(Hitch),
  setUps: z.array(SetUp).default([]),
  tryOns: z.array(TryOn),
  /** Where straps, cords and rows of holes stand, of this ticket's items and of the pieces this dog wears. */
  settings: z.array(Setting),
  acknowledgements: z.array(Acknowledgement),
  asWritten: z.array(AsWritten),
  /** Every strike and restoring on this ticket, oldest first. */
  marks: z.array(Mark),
})
export type TicketSheet = z.infer<typeof TicketSheet>

/** A dog with every ticket it has had. */
export const DogSheet = z.object({
  dog: Dog,
  owner: Owner.nullable(),
  tickets: z.array(TicketSheet),
  notes: z.array(DogNote),
  photos: z.array(Photo),
  weighings: z.array(Weighing).default([]),
  outings: z.array(Outing).default([]),
  /** Traced paws and outings in boots, newest first. */
  tracings: z.array(Tracing).default([]),
  bootOutings: z.array(BootOuting).default([]),
  /** Other records of this dog that were put into this one and not taken apart again. */
  joins: z.array(DogJoin.extend({ otherName: z.string() })).default([]),
  /** Readings of before that are not in it: the newest were asked for. */
  more: z.int().min(0).optional(),
})
export type DogSheet = z.infer<typeof DogSheet>

/** One line of an answer to a search. `depth`: 1 stands under the owner or dog above it, 2 under that one's dog. */
export const Found = z.object({
  kind: z.enum(['dog', 'owner', 'ticket']),
  id: z.string(),
  title: z.string(),
  detail: z.string(),
  depth: z.int().min(0).max(2).default(0),
})
export type Found = z.infer<typeof Found>
