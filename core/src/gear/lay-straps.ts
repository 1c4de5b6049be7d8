import type { Form } from '../form/index.ts'
import type { FamilyId } from '../model/index.ts'
import { families } from './families/index.ts'
import type { StrapPanel, StrapRole } from './strap-graph.ts'
import { placeOn, STRAP_NODES, type Flat, type StrapNode } from './strap-nodes.ts'

export interface LaidStrap {
  role: StrapRole
  /** Seen from the right, mm: x forward of the withers, z above the floor. */
  points: Flat[]
  padded: boolean
  hidden: boolean
  adjusts: boolean
  /** Its course on this side of the dog, flat, mm. */
  lengthMm: number
}

export interface LaidGear {
  straps: LaidStrap[]
  panels: { kind: StrapPanel['kind']; points: Flat[] }[]
  pull: Flat | null
  rings: Flat[]
  around: 'paws' | 'bars' | 'shell' | 'mesh' | 'pen' | null
}

/** A family's strap graph on this dog's own form, seen from its right side: a prediction of where its straps run. */
export function layStraps(form: Pick<Form, 'landmarks' | 'sections'>, family: FamilyId): LaidGear {
  const { edges, panels, pull, rings, around } = families[family].parts
  const at = (node: StrapNode): Flat => placeOn(form, STRAP_NODES[node])
  return {
    straps: edges.map(({ role, through, padded, hidden, adjusts }) => {
      const points = through.map(at)
      const lengthMm = points.slice(1).reduce((sum, [x, z], i) => sum + Math.hypot(x - (points[i]?.[0] ?? x), z - (points[i]?.[1] ?? z)), 0)
      return { role, points, padded: padded === true, hidden: hidden === true, adjusts: adjusts !== undefined, lengthMm }
    }),
    panels: panels.map(({ kind, outline }) => ({ kind, points: outline.map(at) })),
    pull: pull && at(pull),
    rings: rings.map(at),
    around: around ?? null,
  }
}

/** Sliders of a family, as many as its build has: those of both sides. */
export const adjustersOf = (family: FamilyId): number => families[family].parts.edges.reduce((sum, edge) => sum + (edge.adjusts ? (edge.sliders ?? 1) : 0), 0)

/** Straps of a family that can be set. */
export const settableStraps = (family: FamilyId): number => families[family].parts.edges.filter((edge) => edge.adjusts).length
