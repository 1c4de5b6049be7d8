import type { Place } from '@merry-tailor/core'

/** The plates a tape can be drawn on. */
export type PlateName = 'side' | 'above' | 'front' | 'below' | 'head' | 'foreleg' | 'hind leg' | 'paw' | 'sitting' | 'hand' | 'scale'

const ON: Readonly<Record<string, readonly PlateName[]>> = {
  M00: ['scale'],
  M01: ['side', 'front', 'above'],
  M02: ['side', 'head', 'above'],
  M03: ['side', 'head', 'above'],
  M04: ['head'],
  M05: ['head', 'side'],
  M06: ['side', 'below', 'front'],
  M07: ['side', 'above', 'front', 'below'],
  M08: ['side', 'below', 'above'],
  M09: ['side', 'below', 'front'],
  M10: ['side', 'below', 'front'],
  M11: ['side', 'above'],
  M12: ['side', 'above'],
  M13: ['side', 'below', 'above'],
  M14: ['side', 'above'],
  M15: ['side', 'above'],
  M16: ['side', 'above'],
  M17: ['above', 'front', 'side'],
  M18: ['side', 'above'],
  M19: ['front'],
  M20: ['front'],
  M21: ['side', 'below', 'above'],
  M22: ['side', 'below', 'above'],
  M23: ['below', 'side'],
  M24: ['below', 'side'],
  M25: ['foreleg', 'side'],
  M26: ['foreleg', 'side'],
  M27: ['hind leg'],
  M28: ['foreleg', 'side'],
  M29: ['side', 'above', 'below'],
  M30: ['below', 'side'],
  M31: ['foreleg', 'side'],
  M32: ['paw'],
  M33: ['paw'],
  M34: ['paw'],
  M35: ['paw'],
  M36: ['foreleg'],
  M37: ['foreleg'],
  M38: ['foreleg'],
  M39: ['side'],
  M40: ['side'],
  M41: ['sitting'],
  M42: ['side'],
  M43: ['side', 'foreleg'],
  M44: ['above'],
  M45: ['side'],
  M46: ['side'],
  M47: ['side'],
  M48: ['side'],
  M49: ['hand'],
}

/** The plates that show the path of a tape, the telling one first. A hind paw's pastern is on the hind leg. */
export function platesOf(measure: string, place: Place | null = null): readonly PlateName[] {
  const hind = place?.startsWith('rear') === true && (measure === 'M36' || measure === 'M37')
  return hind ? ['hind leg'] : (ON[measure] ?? ['side'])
}

export const PLATE_TITLES: Readonly<Record<PlateName, string>> = {
  side: 'From the side',
  above: 'From above',
  front: 'From the front',
  below: 'From below',
  head: 'Head',
  foreleg: 'Foreleg',
  'hind leg': 'Hind leg',
  paw: 'Paw, from below',
  sitting: 'Sitting',
  hand: 'Your hand',
  scale: 'On the scale',
}
