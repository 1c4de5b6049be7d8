import { z } from 'zod'

/** Measuring school of a full-length pulling harness: A counts from the breastbone, B from the withers (handbook 3.2). */
export const School = z.enum(['A', 'B'])
export type School = z.infer<typeof School>
