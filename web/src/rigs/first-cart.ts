import type { NewRig, RigKind } from '@merry-tailor/core'

export const RIG_NAMES: Readonly<Record<RigKind, string>> = { cart: 'Two wheels', wagon: 'Four wheels', runners: 'Runners', drag: 'Drag' }

/** A middling two-wheeled cart to begin with; every number is then set to the shop’s own. Invented. */
export const FIRST_CART: Omit<NewRig, 'name' | 'at'> = {
  kind: 'cart',
  massKg: 14,
  massAheadMm: -10,
  massHeightMm: 320,
  axleMm: 250,
  trackMm: 620,
  wheelbaseMm: null,
  lockRad: null,
  shafts: { aheadMm: 1200, levelMm: 450, thickMm: 25, stopMm: 45 },
  hitch: { aheadMm: 380, heightMm: 285 },
  bar: { widthMm: 400, swings: true },
  bed: { fromMm: -400, toMm: 360, heightMm: 390 },
  brake: false,
  notes: '',
}
