import { readKennelList } from '@merry-tailor/core/formats'
import { expose } from 'comlink'

/** Reads a kennel list beside the page, so that 5,000 rows do not hold a keystroke up. */
const work = { readKennelList }
export type KennelWork = typeof work
expose(work)
