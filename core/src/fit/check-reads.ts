import type { CheckId, FigureId, StrapId, SymptomId } from '../gear/index.ts'
import type { GaugeName } from './fingers.ts'

/**
 * What a check reads off a lay: a figure and what of it passes, and what shows where it does not. `under`: fingers under a
 * ring. `gauge`: the check's own range (handbook 7.2). `share`: of the dog's back length. `upper`: read at the upper edge of
 * the piece, which has height.
 */
export type Passes =
  { by: 'gauge'; upper?: true } | { by: 'share'; range: readonly [number, number] } | { by: 'under'; least: GaugeName | null; most: GaugeName; blocks?: 2 }

export interface CheckReads {
  figure: FigureId | 'belly'
  passes: Passes
  /** Below what passes, and above. */
  low: SymptomId | null
  high: SymptomId | null
  /** A strap whose length moves it most. */
  strap: StrapId
}

const [FAR, WIDE] = [-9, 9] as const
const armpit: CheckReads = { figure: 'armpit', passes: { by: 'share', range: [0.008, WIDE] }, low: 'S10', high: null, strap: 'side' }
const onTrueRib = (high: SymptomId, strap: StrapId): CheckReads => ({ figure: 'trueRib', passes: { by: 'share', range: [FAR, 0] }, low: null, high, strap })
const underNeck = (least: GaugeName | null, most: GaugeName, low: SymptomId, high: SymptomId | null, blocks?: 2): CheckReads => ({
  figure: 'neckRoom', passes: { by: 'under', least, most, ...(blocks ? { blocks } : {}) }, low, high, strap: 'neck',
}) // prettier-ignore
/** Nothing lies on the throat while the V is not far above the lump. Ours. */
const offThroat = (high: SymptomId, strap: StrapId): CheckReads => ({ figure: 'v', passes: { by: 'share', range: [FAR, 0.04] }, low: null, high, strap })

/**
 * Rows of handbook 7.2 that a lay has a figure for; the others only a hand can answer. What passes as a share of the back
 * length is ours, unverified; the pairing with symptoms is ours.
 */
export const CHECK_READS: Partial<Record<CheckId, CheckReads>> = {
  'y-on-breastbone': { figure: 'v', passes: { by: 'gauge', upper: true }, low: 'S30', high: 'S22', strap: 'neck' },
  'top-at-withers': { figure: 'top', passes: { by: 'gauge' }, low: 'S24', high: 'S30', strap: 'neck' },
  'blade-free': { figure: 'blade', passes: { by: 'share', range: [0.005, WIDE] }, low: 'S22', high: null, strap: 'neck' },
  'girth-strap-behind-elbow': { figure: 'elbow', passes: { by: 'gauge' }, low: 'S28', high: null, strap: 'keel' },
  'girth-strap-on-rib': onTrueRib('S29', 'keel'),
  'throat-and-belly-clear': offThroat('S23', 'neck'),
  // Snug, and drawn through hair and loose skin: no room to spare is asked, only that it is not too tight.
  'pulling-neck': underNeck(null, 'two', 'S01', 'S03'),
  'neck-opening-at-withers': { figure: 'top', passes: { by: 'share', range: [-0.02, WIDE] }, low: 'S03', high: null, strap: 'neck' },
  'v-on-breastbone': { figure: 'v', passes: { by: 'gauge' }, low: 'S02', high: 'S01', strap: 'neck' },
  'sides-on-ribs': { figure: 'ribs', passes: { by: 'gauge' }, low: 'S12', high: 'S11', strap: 'side' },
  'clear-of-armpit': armpit,
  'tug-at-tail-base': { figure: 'tug', passes: { by: 'gauge' }, low: 'S09', high: 'S06', strap: 'rear' },
  'cross-throat-and-belly-clear': offThroat('S01', 'neck'),
  'end-below-tail': { figure: 'tug', passes: { by: 'share', range: [-0.06, 0.12] }, low: 'S16', high: null, strap: 'rear' },
  'hips-free': { figure: 'tug', passes: { by: 'share', range: [-0.06, WIDE] }, low: 'S16', high: null, strap: 'rear' },
  'ends-mid-back': { figure: 'tug', passes: { by: 'share', range: [-0.62, -0.36] }, low: null, high: 'S17', strap: 'side' },
  'girth-on-bone': onTrueRib('S11', 'keel'),
  'keel-ends-on-bone': onTrueRib('S11', 'keel'),
  'breastbone-covered': { figure: 'v', passes: { by: 'share', range: [-0.08, 0.03] }, low: 'S30', high: null, strap: 'neck' },
  'armpit-in-step': { ...armpit, low: 'S31', strap: 'keel' },
  'ring-on-the-chest': { figure: 'v', passes: { by: 'share', range: [-0.06, 0.05] }, low: 'S36', high: 'S36', strap: 'front' },
  'sits-below-neck': { figure: 'top', passes: { by: 'share', range: [-0.05, 0.06] }, low: 'S24', high: 'S22', strap: 'neck' },
  'girth-and-belly-fingers': { figure: 'girthRoom', passes: { by: 'under', least: 'two', most: 'two' }, low: 'S26', high: 'S27', strap: 'girth' },
  'belly-strap-behind-ribs': { figure: 'belly', passes: { by: 'share', range: [0, 0.12] }, low: 'S33', high: 'S24', strap: 'belly' },
  'fingers-under-cinch': { figure: 'girthRoom', passes: { by: 'under', least: 'two', most: 'two' }, low: 'S42', high: null, strap: 'cinch' },
  'front-eight-fingers': underNeck('four', 'four', 'S47', null, 2),
  'back-one-hand': { figure: 'girthRoom', passes: { by: 'under', least: 'one', most: 'hand' }, low: 'S26', high: null, strap: 'girth' },
  'neck-not-tight': underNeck('two', 'four', 'S26', null),
}
