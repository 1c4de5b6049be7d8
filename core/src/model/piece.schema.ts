import { z } from 'zod'
import { Day, FamilyId, Id, MeasureId, Moment, line } from './ids.schema.ts'
import { CAR_BUILDS, PIECE_HOMES, PIECE_STATES } from './lists.ts'
import { Band } from './size-table.schema.ts'

/** Whose a piece is. */
export const PieceHome = z.enum(PIECE_HOMES)
export type PieceHome = z.infer<typeof PieceHome>

export const PieceState = z.enum(PIECE_STATES)
export type PieceState = z.infer<typeof PieceState>

/** Out of use. A piece for the car that was in a crash never comes back (handbook 8.7, from memory, unverified). */
export const Retired = z.object({ on: Day, why: z.enum(['crash', 'worn-out', 'lost', 'sold']) })
export type Retired = z.infer<typeof Retired>

/** One physical thing the shop can lay a hand on. */
export const PieceFields = z.object({
  /** What is written on it, so that it is found again. */
  tag: line(40).min(1),
  family: FamilyId,
  maker: line(80),
  /** The size on its label, and the table it belongs to where that is known. */
  label: line(40),
  tableId: line(60).nullable(),
  /** Laid flat and measured, by the measure it decides: shortest and longest setting, mm. Rings are inside rings, whole. */
  flat: z.partialRecord(MeasureId, Band),
  /** How a car harness is built; `null` where it is none, or nobody said. */
  build: z.enum(CAR_BUILDS).nullable().optional(),
  /** Where its sliders stand. */
  sliders: line(200),
  home: PieceHome,
  /** The kennel or the borrower, where it is not on the shop's own rack. */
  holder: line(80),
  wearerId: Id.nullable(),
  state: PieceState,
  wear: line(500),
  retired: Retired.nullable(),
})
export type PieceFields = z.infer<typeof PieceFields>

export const NewPiece = PieceFields.omit({ retired: true }).extend({ at: Moment })
export type NewPiece = z.infer<typeof NewPiece>
export const Piece = PieceFields.extend({ id: Id, createdAt: Moment })
export type Piece = z.infer<typeof Piece>
