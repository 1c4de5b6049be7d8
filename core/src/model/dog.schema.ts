import { z } from 'zod'
import { Day, Id, Moment, line, notes } from './ids.schema.ts'
import { COAT_CLASSES, SEXES } from './lists.ts'

export const CoatClass = z.enum(COAT_CLASSES)
export type CoatClass = z.infer<typeof CoatClass>

export const Sex = z.enum(SEXES)
export type Sex = z.infer<typeof Sex>

/** What can be said of a dog and changed later. `''` and `null` mean not asked yet. */
export const DogFields = z.object({
  name: line(60).min(1),
  /** A breed of the reference list or the owner's own words. */
  breed: line(80),
  /** Second breed of a cross of two, else `''`. */
  crossWith: line(80),
  sex: Sex.nullable(),
  born: Day.nullable(),
  /** Age in months when no birth date is known, with the day it was said. */
  ageMonths: z.int().min(0).max(360).nullable(),
  ageSaidOn: Day.nullable(),
  weightKg: z.number().positive().max(150).nullable(),
  coat: CoatClass.nullable(),
  flatFace: z.boolean().nullable(),
  /** Injury, stitches or pregnancy: no measuring stress, no pulling (handbook 5.6). */
  sparing: z.boolean(),
  notes: notes(2000),
  ownerId: Id.nullable(),
})
export type DogFields = z.infer<typeof DogFields>

export const NewDog = DogFields.partial().required({ name: true }).extend({ at: Moment })
export type NewDog = z.infer<typeof NewDog>

export const Dog = DogFields.extend({ id: Id, createdAt: Moment })
export type Dog = z.infer<typeof Dog>
