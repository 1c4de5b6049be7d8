import { z } from 'zod'

/** No field of ours is nested deeper. */
const DEEPEST = 8

/** Are no lists or records nested deeper than that? Goes down no further than it must. */
const isShallow = (value: unknown, left = DEEPEST): boolean =>
  typeof value !== 'object' || value === null || (left > 0 && Object.values(value).every((inner) => isShallow(inner, left - 1)))

/** A field's value as it was sent; the field's own schema reads it. */
const Shallow = z.unknown().refine((value) => isShallow(value), { message: `is nested more than ${DEEPEST} deep` })

/**
 * Changes of single fields, each with the value the editor saw. A field that reads neither `from` nor `to` any more
 * was changed by somebody else meanwhile: the answer is 409 with both values.
 */
export const Changes = z.object({
  changes: z
    .array(z.object({ field: z.string().min(1).max(60), from: Shallow, to: Shallow }))
    .min(1)
    .max(40),
})
export type Changes = z.infer<typeof Changes>
export type Change = Changes['changes'][number]

export interface FieldConflict {
  field: string
  yours: unknown
  theirs: unknown
}

/** Body of every refusal: RFC 9457 `application/problem+json` with our own stable `code`. */
export interface Problem {
  type: string
  title: string
  status: number
  code: string
  detail: string
  fields?: { path: string; message: string }[]
  conflicts?: FieldConflict[]
}
