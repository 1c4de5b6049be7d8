import type { CrateCheckId } from '@merry-tailor/core'

/** Clearances of a crate, as they are named. */
export const CLEARANCE_NAMES: Readonly<Record<CrateCheckId, string>> = {
  'nose-to-tail': 'Nose and tail',
  'two-widths': 'Sides',
  head: 'Head',
  ears: 'Ears',
  sitting: 'Sitting up',
  turn: 'Turning round',
  curled: 'Curled up',
  'flat-out': 'Flat on its side',
  door: 'Through the door',
}

/** Why a crate stands where it stands, where no single tape says it. */
export function clearanceWords(label: string, check: string, spareMm: number, say: (mm: number) => string): string {
  const gap = say(spareMm)
  switch (check as CrateCheckId) {
    case 'turn':
      return spareMm < 0
        ? `In the ${label} it would turn round hunched: ${gap} too narrow for four feet.`
        : `It would turn round in the ${label} with ${gap} to spare.`
    case 'curled':
      return spareMm < 0 ? `Curled up it would be ${gap} too large for the ${label}.` : `Curled up it has ${gap} to spare in the ${label}.`
    case 'flat-out':
      return spareMm < 0 ? `Flat on its side it would fold its legs in the ${label}: ${gap} short.` : `Flat on its side it has ${gap} to spare in the ${label}.`
    default:
      return spareMm < 0 ? `Its door would be ${gap} too small.` : `Its door leaves ${gap}.`
  }
}
