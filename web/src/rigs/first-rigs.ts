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

/** The usual of every kind. Invented. */
export const FIRST_RIGS: Readonly<Record<RigKind, Omit<NewRig, 'name' | 'at'>>> = {
  cart: FIRST_CART,
  wagon: {
    ...FIRST_CART,
    kind: 'wagon',
    massKg: 30,
    massAheadMm: -420,
    axleMm: 210,
    wheelbaseMm: 850,
    lockRad: 0.6,
    shafts: { aheadMm: 1180, levelMm: 450, thickMm: 28, stopMm: 48, massKg: 4 },
    hitch: { aheadMm: 230, heightMm: 275 },
    bed: { fromMm: -1100, toMm: 210, heightMm: 420 },
    brake: true,
  },
  runners: {
    ...FIRST_CART,
    kind: 'runners',
    massKg: 11,
    axleMm: 45,
    trackMm: 460,
    shafts: null,
    hitch: { aheadMm: 640, heightMm: 130 },
    bed: { fromMm: -620, toMm: 560, heightMm: 190 },
  },
  drag: {
    ...FIRST_CART,
    kind: 'drag',
    massKg: 4,
    massHeightMm: 60,
    axleMm: 60,
    trackMm: 210,
    shafts: null,
    hitch: { aheadMm: 320, heightMm: 120 },
    bed: { fromMm: -320, toMm: 320, heightMm: 60 },
  },
}
