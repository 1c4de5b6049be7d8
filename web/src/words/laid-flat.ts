import { adjustersOf, families, isKin, type FamilyId } from '@merry-tailor/core'
import { measureName } from './stages'

/** What of a piece a tape is laid on when it lies flat, by the measure it answers. Common practice. */
const PARTS: Readonly<Record<string, string>> = {
  M01: 'Neck ring, inside',
  M02: 'Collar ring, inside',
  M04: 'Head opening, inside',
  M06: 'Sternum strap',
  M07: 'Girth ring, inside',
  M08: 'Girth ring at the sternum’s end, inside',
  M10: 'Breast to side crossing, below',
  M11: 'Top of neck to side crossing',
  M12: 'Side crossing to the end',
  M13: 'Breast to the end, below and over the side',
  M14: 'Top of neck to the end, along the back',
  M15: 'Back seam',
  M18: 'Half width, middle of back to hem',
  M29: 'Ring at the last rib',
}

/** A part of this kind of piece; the measure's own name where the kind has no word for it. */
export const partName = (measure: string): string => PARTS[measure] ?? measureName(measure)

/** Sewn fixed: a part has one length, not a shortest and a longest. */
export const isSewn = (family: FamilyId): boolean => adjustersOf(family) === 0

/** How this kind is laid flat before a tape goes on it. Common practice. */
export function layFlatWords(family: FamilyId): string {
  if (isKin(family, 'full-length') || families[family].shelf === 'pulling')
    return 'On a table, back side down, neck ring away from you. Pull out the twists, press the crossing flat, let the tug hang straight; no strap on the stretch.'
  if (families[family].shelf === 'coat') return 'Outside down, seams and cords let out, smoothed by hand and not pulled.'
  if (families[family].shelf === 'boot') return 'Sole down, closed as worn; inside where a tape goes in.'
  if (families[family].shelf === 'crate') return 'Inside, wall to wall, at floor and door.'
  return 'On a table, buckles closed, straps untwisted and side by side; rings are read inside, once all slid in and once all let out.'
}
