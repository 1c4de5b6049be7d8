import { z } from 'zod'

/**
 * Changes of single fields, each with the value the editor saw. A field that reads neither `from` nor `to` any more
 * was changed by somebody else meanwhile: the answer is 409 with both values.
 */
export const Changes = z.object({
  changes: z
    .array(z.object({ field: z.string().min(1), from: z.json(), to: z.json() }))
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
