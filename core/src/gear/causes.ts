import type { CheckId, SymptomId } from './checks-and-symptoms.ts'

/** What a check shows where this is the cause: too little of what it reads, too much, or simply that it does not hold. */
export type Shows = readonly [check: CheckId, way: 'low' | 'high' | 'fails']

export interface Cause {
  /** Records keep it; its words are made from it. */
  code: string
  shows: readonly Shows[]
}

const cause = (code: string, ...shows: Shows[]): Cause => ({ code, shows })

const neckTight: Shows[] = [['pulling-neck', 'low'], ['under-every-strap', 'low'], ['v-on-breastbone', 'high'], ['neck-not-tight', 'low']] // prettier-ignore
const neckLoose: Shows[] = [
  ['pulling-neck', 'high'],
  ['v-on-breastbone', 'low'],
  ['under-every-strap', 'high'],
]

// prettier-ignore
/**
 * Likely causes by symptom, likeliest first, and the checks that would show them (handbook 7.3, common practice; the boots
 * from memory, unverified; which check shows which, ours).
 */
export const CAUSES: Readonly<Record<SymptomId, readonly Cause[]>> = {
  S01: [cause('neck-too-small', ...neckTight), cause('ruff-or-loose-skin-caught'), cause('set-too-short', ['girth-on-bone', 'low'], ['clear-of-armpit', 'low'])],
  S02: [cause('neck-too-big', ...neckLoose), cause('lost-weight', ['under-every-strap', 'high'], ['tug-at-tail-base', 'high']), cause('measured-too-low')],
  S03: [cause('too-big', ['pulling-neck', 'high'], ['neck-opening-at-withers', 'low'])],
  S04: [cause('far-too-big', ['pulling-neck', 'high'])],
  S05: [cause('neck-too-small', ['pulling-neck', 'low']), cause('large-head')],
  S06: [cause('body-too-long', ['tug-at-tail-base', 'high'])],
  S07: [cause('within-tolerance')],
  S08: [cause('normal-while-slack')],
  S09: [cause('too-short', ['tug-at-tail-base', 'low'])],
  S10: [cause('sides-too-short', ['clear-of-armpit', 'low'], ['sides-on-ribs', 'low']), cause('too-small', ['pulling-neck', 'low'], ['tug-at-tail-base', 'low'])],
  S11: [cause('sides-too-long', ['sides-on-ribs', 'high'], ['girth-on-bone', 'high']), cause('a-size-too-big', ['pulling-neck', 'high'], ['tug-at-tail-base', 'high'])],
  S12: [cause('shape-of-the-chest', ['sides-on-ribs', 'low'])],
  S13: [cause('habit'), cause('partner-or-trail'), cause('discomfort', ['cross-sides-equal', 'fails'], ['sides-equal', 'fails'])],
  S14: [cause('style')],
  S15: [cause('spine-held-by-the-cross')],
  S16: [cause('line-too-low', ['hips-free', 'low'], ['end-below-tail', 'low']), cause('line-too-short')],
  S17: [cause('line-too-high', ['ends-mid-back', 'high'], ['snap-off-the-back', 'fails']), cause('no-tug-loop')],
  S18: [cause('same-contact-daily')],
  S19: [cause('bare-webbing')],
  S20: [cause('buckles-slide-under-load')],
  S21: [cause('discomfort', ['v-on-breastbone', 'fails'], ['sides-on-ribs', 'fails'], ['tug-at-tail-base', 'fails']), cause('untrained')],
  S22: [cause('front-piece-too-high', ['y-on-breastbone', 'high']), cause('strap-across-the-chest', ['blade-free', 'low'])],
  S23: [cause('strap-on-the-windpipe', ['throat-and-belly-clear', 'fails'], ['y-on-breastbone', 'high'], ['neck-not-tight', 'low'])],
  S24: [cause('girth-loose', ['no-sway', 'fails'], ['under-every-strap', 'high']), cause('sides-unequal', ['sides-equal', 'fails'])],
  S25: [cause('sides-unequal', ['sides-equal', 'fails'])],
  S26: [cause('too-tight', ['under-every-strap', 'low'], ['neck-not-tight', 'low'], ['girth-and-belly-fingers', 'low'])],
  S27: [cause('too-loose', ['under-every-strap', 'high'], ['girth-and-belly-fingers', 'high'])],
  S28: [cause('back-piece-too-short', ['girth-strap-behind-elbow', 'low'])],
  S29: [cause('too-long', ['girth-strap-on-rib', 'high'])],
  S30: [cause('neck-let-out-too-far', ['under-every-strap', 'high'], ['y-on-breastbone', 'low']), cause('front-too-short', ['breastbone-covered', 'low'])],
  S31: [cause('between-sizes', ['armpit-in-step', 'low'], ['girth-strap-behind-elbow', 'low'])],
  S32: [cause('wrong-size')],
  S33: [cause('neck-or-girth-loose', ['under-every-strap', 'high'], ['no-sway', 'fails']), cause('head-slimmer-than-neck')],
  S34: [cause('put-on-the-wrong-way-round', ['ring-on-the-back', 'fails'], ['plate-wide-end-rear', 'fails'])],
  S35: [cause('narrow-strap-too-far-forward', ['plate-wide-end-rear', 'fails'])],
  S36: [cause('comes-with-the-front-clip', ['ring-on-the-chest', 'fails'])],
  S37: [cause('pressure-point'), cause('buckle-on-bone')],
  S38: [cause('traces-unequal', ['traces-even', 'fails'], ['rear-traces-equal', 'fails'])],
  S39: [cause('cinch-over-the-traces', ['cinch-under-traces', 'fails'])],
  S40: [cause('loops-uneven', ['shaft-loops-level', 'fails'])],
  S41: [cause('loop-too-large', ['loop-passes-no-stop', 'fails'])],
  S42: [cause('cinch-too-tight', ['fingers-under-cinch', 'low'])],
  S43: [cause('belly-band-missing-or-loose', ['belly-band-holds', 'fails']), cause('nothing-holds-back')],
  S44: [cause('traces-too-short', ['bar-off-the-hocks', 'low'])],
  S45: [cause('set-unequal', ['straps-in-line', 'fails'])],
  S46: [cause('off-centre', ['centred', 'fails'], ['hangs-level', 'fails']), cause('one-side-longer', ['sides-equal', 'fails'])],
  S47: [cause('too-tight', ['front-eight-fingers', 'low'], ['back-one-hand', 'low'])],
  S48: [cause('buckle-not-home', ['buckles-tugged', 'fails'])],
  S49: [cause('belt-slack'), cause('wrong-loop')],
  S50: [cause('tether-left-on')],
  S51: [cause('too-long', ['ends-before-tail', 'high'], ['drop-at-elbows', 'high'])],
  S52: [cause('band-too-loose', ['band-keeps-it', 'high'], ['band-on-its-ring', 'high'])],
  S53: [cause('band-too-tight', ['band-lets-walk', 'low'], ['drawn-in', 'low']), cause('not-used-to-it')],
  S54: [cause('full-loose-band', ['band-keeps-it', 'fails'], ['drawn-in', 'high'])],
  S55: [cause('edge-over-the-sheath', ['sheath-free', 'high']), cause('band-over-the-sheath', ['band-on-its-ring', 'low'])],
  S56: [cause('leg-too-long', ['sleeve-at-wrist', 'high'], ['leg-ends-off-toes', 'high'])],
  S57: [cause('single-top-button')],
  S58: [cause('temper')],
  S59: [cause('collar-piece-too-small', ['hood-over-ears', 'low'])],
  S60: [cause('made-to-the-head-not-the-neck', ['opening-passes-head', 'low'])],
  S61: [cause('collar-cord-open', ['collar-cord-last', 'fails'])],
  S62: [cause('fastening-too-light')],
  S63: [cause('too-wide', ['turns-not-by-hand', 'high']), cause('strap-low', ['strap-off-dewclaw', 'fails'])],
  S64: [cause('strap-loose', ['finger-under-strap', 'high']), cause('strap-over-the-dewclaw', ['strap-off-dewclaw', 'fails']), cause('too-long', ['toes-near-the-end', 'high'])],
  S65: [cause('too-narrow-or-short', ['toes-near-the-end', 'low'], ['turns-not-by-hand', 'low']), cause('long-nails')],
  S66: [cause('strap-on-the-dewclaw', ['strap-off-dewclaw', 'fails'])],
  S67: [cause('too-tight', ['finger-under-strap', 'low'])],
  S68: [cause('too-short', ['toes-near-the-end', 'low']), cause('tired-dog')],
  S69: [cause('one-size-for-all-four', ['toes-near-the-end', 'high'])],
  S70: [cause('too-low', ['stands-in-it', 'low'])],
  S71: [cause('too-big', ['lies-in-it', 'high'])],
  S72: [cause('folded-often')],
  S73: [cause('not-used-to-it'), cause('wrong-style')],
  S74: [cause('not-to-the-carriers-rules')],
}
