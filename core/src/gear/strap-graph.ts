import type { StrapNode } from './strap-nodes.ts'

export type StrapRole = 'neck-ring' | 'sternum' | 'girth' | 'belly' | 'side' | 'back' | 'cross' | 'front' | 'trace' | 'bar' | 'link' | 'hem'

/** One strap from node to node; between its ends it may be led over others. */
export interface StrapEdge {
  role: StrapRole
  /** First and last are its ends. */
  through: readonly StrapNode[]
  padded?: true
  /** Shortest and longest setting, shares of the middle one, where it can be set. */
  adjusts?: readonly [number, number]
  /** Sliders on it, where it has more than one: one on each side. */
  sliders?: number
  /** Runs between the legs: under the blade. */
  hidden?: true
}

/** Cloth or a plate: a closed outline over nodes. */
export interface StrapPanel {
  kind: 'cloth' | 'plate' | 'hood'
  outline: readonly StrapNode[]
}

/** What one family is made of on the dog's side: straps from landmark to landmark, cloth between, the pull point. */
export interface StrapGraph {
  edges: readonly StrapEdge[]
  panels: readonly StrapPanel[]
  /** Where line, belt or lead is clipped; `null` where nothing pulls. */
  pull: StrapNode | null
  /** Rings besides the pull point. */
  rings: readonly StrapNode[]
  /** Paws in boots, or the whole dog in a crate. */
  around?: 'paws' | 'bars' | 'shell' | 'mesh' | 'pen'
}
