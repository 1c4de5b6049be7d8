import type { NewPiece } from '@merry-tailor/core'

export type PieceStory = Omit<NewPiece, 'at' | 'wearerId' | 'flat'> & {
  /** Key of the dog that wears it. */
  wearer?: string
  /** Laid flat, millimetres. */
  flat?: NewPiece['flat']
  crashed?: true
}

const plain = { sliders: '', holder: '', wear: '' }

/** The shop's own rack and what hangs elsewhere: invented pieces. */
export const pieces: readonly PieceStory[] = [
  {
    ...plain,
    tag: 'Peg 3',
    family: 'H11',
    maker: 'Rimefold',
    label: 'Cedar',
    tableId: 'rimefold-cross-back',
    flat: { M01: [582, 582], M13: [668, 668] },
    home: 'shop',
    holder: 'Front rack',
    state: 'worn',
    wear: 'Padding flat at the breastbone, seams sound.',
  },
  { ...plain, tag: 'Peg 5', family: 'H11', maker: 'Rimefold', label: 'Elm', tableId: 'rimefold-cross-back', home: 'shop', holder: 'Front rack', state: 'good' },
  {
    ...plain,
    tag: 'Loan Y',
    family: 'H01',
    maker: 'Skerrywright',
    label: 'Skua',
    tableId: 'skerrywright-walking-y',
    flat: { M01: [543, 637], M07: [690, 812] },
    sliders: 'Neck third hole, girth at the stitch',
    home: 'loan',
    holder: 'The harbour walkers',
    state: 'good',
  },
  {
    ...plain,
    tag: 'Team 7',
    family: 'H11',
    maker: 'Ternwing',
    label: '',
    tableId: null,
    flat: { M01: [611, 611], M10: [437, 437], M12: [243, 243] },
    home: 'kennel',
    holder: 'Skerry sled yard',
    wearer: 'marlin',
    state: 'to-mend',
    wear: 'Tug loop pulled thin.',
  },
  {
    ...plain,
    tag: 'Car 1',
    family: 'H24',
    maker: 'Wick & Awl',
    label: 'Wagon',
    tableId: 'wickandawl-car',
    home: 'loan',
    holder: 'Returned',
    state: 'good',
    crashed: true,
  },
]
