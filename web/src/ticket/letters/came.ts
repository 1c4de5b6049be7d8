import type { AsWritten } from '@merry-tailor/core'

/** How a number came, in words. */
export const CAME: Readonly<Record<AsWritten['came'], string>> = { mail: 'By mail', phone: 'By phone', form: 'On a form', message: 'By message' }
