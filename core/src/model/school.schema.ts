import { z } from 'zod'
import { SCHOOLS } from './lists.ts'

export const School = z.enum(SCHOOLS)
export type School = z.infer<typeof School>
