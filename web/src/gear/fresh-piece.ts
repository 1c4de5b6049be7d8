import type { NewPiece } from '@merry-tailor/core'

/** A piece as it comes in: ours, in use, nothing measured. */
export const FRESH: Omit<NewPiece, 'tag' | 'family' | 'at'> = {
  maker: '',
  label: '',
  tableId: null,
  flat: {},
  sliders: '',
  home: 'shop',
  holder: '',
  wearerId: null,
  state: 'good',
  wear: '',
}
