import { families, type RigStrap } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'

/** The straps of a family, from node to node; none of coats, boots and crates. */
export const strapsOf = (family: FamilyId): readonly RigStrap[] => families[family].rig?.straps ?? []
