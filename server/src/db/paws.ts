import { resources, type BootOuting, type Tracing } from '@merry-tailor/core'
import { BootOutingFields, TracingFields } from '@merry-tailor/core/schemas'
import { dogParts } from './dog-parts.ts'

/** Traced paws of a dog, the newest first; what was read from one taken off stays. */
export const tracings = dogParts<Tracing>(resources.tracings, 'seq DESC', TracingFields.shape, 'There is no such tracing of this dog.')

/** Outings in boots, the newest day first; one taken off the list still says what it said. */
export const bootOutings = dogParts<BootOuting>(
  resources.bootOutings,
  'on_day DESC, seq DESC',
  BootOutingFields.shape,
  'There is no such outing in boots of this dog.',
)
