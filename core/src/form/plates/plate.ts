import type { Ears, TailCarriage } from '../build-types.ts'
import type { Flat } from '../hull.ts'

/** Parts of the paper dog whose shape a reading can vouch for. */
export type FormPart = 'neck' | 'ribs' | 'loin' | 'haunch' | 'chest' | 'head' | 'leg'

/** One flat piece: a closed outline. */
export interface Plate {
  name: string
  points: Flat[]
  part?: FormPart
  /** On the far side of the dog. */
  far?: true
}

export interface PlateTraits {
  ears: Ears
  tail: TailCarriage
  flatFace: boolean
}
