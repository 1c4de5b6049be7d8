import type { PullState } from '../../model/index.ts'
import type { Check } from '../checks-and-symptoms.ts'

/** A maker of check rows made in one state; what a row says otherwise goes last. */
export const checkIn =
  (state: PullState) =>
  (id: Check['id'], family: Check['family'], name: string, how: string, pass: string, symptoms: Check['symptoms'], more: Partial<Check> = {}): Check => ({
    id,
    family,
    name,
    how,
    pass,
    states: [state],
    symptoms,
    ...more,
  })
