import { z } from 'zod'
import { Id, Moment, line, notes } from './ids.schema.ts'
import { AIR_BAGS, CAR_ROWS } from './lists.ts'

/** A place of a belt: ahead of the seat's fold, to the left of the seat's middle, above the cushion at the fold, mm. */
const BeltPlace = z.object({ aheadMm: z.number().min(-1500).max(1500), leftMm: z.number().min(-1000).max(1000), upMm: z.number().min(-500).max(1500) })

/** One place of a car, as a tape finds it. */
export const CarSeat = z.object({
  name: line(40).min(1),
  row: z.enum(CAR_ROWS),
  /** Where the belt leaves the car, and its buckle. */
  outlet: BeltPlace,
  buckle: BeltPlace,
  /** From the fold to the nearest of the seat or dash ahead, at the height of the nose. */
  frontSeatMm: z.number().min(200).max(3000),
  cushionMm: z.number().min(200).max(1500),
  airBag: z.enum(AIR_BAGS),
})
export type CarSeat = z.infer<typeof CarSeat>

const Flat = z.tuple([z.number().min(-6000).max(6000), z.number().min(-6000).max(6000)])
const Up = z.tuple([z.number().min(-6000).max(6000), z.number().min(-6000).max(6000), z.number().min(-1000).max(4000)])

/** A car's load space: x from sill to seat back, y to the left, z up, mm; its opening seen from behind. */
export const CarSpace = z.object({
  floor: z.array(Flat).min(3).max(24),
  side: z.array(Flat).min(3).max(24),
  arches: z.array(z.object({ xMm: Flat, yMm: Flat, heightMm: z.number().min(0).max(2000) })).max(8),
  opening: z.array(Flat).min(3).max(24).nullable(),
  /** How high the floor lies over the ground, and the sill over the floor. */
  floorUpMm: z.number().min(0).max(2000),
  sillMm: z.number().min(0).max(800),
  anchors: z.array(Up).max(12),
})
export type CarSpace = z.infer<typeof CarSpace>

export const CarFields = z.object({
  name: line(60).min(1),
  ownerId: Id.nullable(),
  seats: z.array(CarSeat).min(1).max(12),
  notes: notes(300),
  space: CarSpace.nullable().default(null),
})
export type CarFields = z.infer<typeof CarFields>
export const NewCar = CarFields.extend({ at: Moment })
export type NewCar = z.infer<typeof NewCar>
export const Car = CarFields.extend({ id: Id, createdAt: Moment })
export type Car = z.infer<typeof Car>
