import {
  formatGap,
  GRAVITY,
  KG_PER_POUND,
  MM_PER_UNIT,
  type HitchPlace,
  type HitchBand,
  type HitchLine,
  type KitPart,
  type LengthStyle,
  type PullPlace,
  type Surface,
} from '@merry-tailor/core'

export const HITCH_NAMES: Readonly<Record<HitchPlace, string>> = {
  hand: 'A hand',
  belt: 'A belt',
  'bike-front': 'A bike, dog in front',
  'side-arm': 'A side arm on a bike',
  'ski-belt': 'A ski belt',
  sled: 'A sled line',
  cart: 'A cart or weight',
  wheel: 'A sled, wheel place',
}

export const PLACE_NAMES: Readonly<Record<PullPlace, string>> = {
  withers: 'behind the withers',
  'mid-back': 'at mid-back',
  'tail-base': 'at the tail base',
  'below-tail': 'below the tail',
  'side-ring': 'at the side rings, low, along the traces',
  'bar-eye': 'at the bar’s eye behind the dog',
  'chest-ring': 'at the chest',
}

export const BAND_NAMES: Readonly<Record<HitchBand, string>> = {
  wheel: 'for a wheel or stick harness',
  'full-length': 'for a full-length harness',
  'half-back': 'for a half-back or short pull harness',
  'too-steep': 'for none: lengthen the line or lower the hitch',
}

export const KIT_NAMES: Readonly<Record<KitPart, string>> = {
  belt: 'Belt, low on the hips, not at the waist',
  elastic: 'Elastic part, at the person’s or load’s end',
  webbing: 'Webbing between elastic and snap',
  'brass-snap': 'Snap, of brass',
  loop: 'Tug loop, so that the snap stays off the body',
  'ring-arm-side': 'Ring on the arm’s side',
  'rings-both-sides': 'Rings on both sides if the dog may change sides',
  lead: 'Lead',
  gangline: 'Gang line',
  'neck-line': 'Neck line, at the side of the neck',
  traces: 'Traces, the pair equal',
  spreader: 'Spreader bar, hind legs clear in full stride',
}

/** `Line rises 1 1/2 in per foot`: over a foot, or over 30 cm. */
export function riseWords(line: HitchLine, look: LengthStyle & { unit: 'in' | 'cm' }): string {
  const over = look.unit === 'in' ? 304.8 : 300
  const rise = (line.risePerMetreMm * over) / 1000
  if (Math.abs(rise) < (look.unit === 'in' ? 1.6 : 1)) return 'Line runs level'
  const much = formatGap(Math.abs(rise), { unit: look.unit, step: look.unit === 'in' ? 0.125 : 0.1 }).text.replace('+', '')
  return `Line ${rise > 0 ? 'rises' : 'falls'} ${much} per ${look.unit === 'in' ? 'foot' : '30 cm'}`
}

/** What of the pull lifts or presses, in weights a hand knows. */
export function pressWords({ pressShare }: HitchLine, unit: 'in' | 'cm'): string {
  const [pull, word] = unit === 'in' ? [20, 'lb'] : [10, 'kg']
  const part = Math.abs(pressShare) * pull
  if (part < 0.05 * (pull / 10)) return `All of the pull goes forward.`
  return `Of every ${pull} ${word} of pull ${part.toFixed(1)} ${word} ${pressShare > 0 ? 'lifts the harness' : 'presses it down'}.`
}

/** A length in feet and inches or metres, for lines. */
export function lineWords(mm: number, unit: 'in' | 'cm'): string {
  if (unit === 'cm') return mm < 1000 ? `${Math.round(mm / 10)} cm` : `${(mm / 1000).toFixed(1)} m`
  const inches = Math.ceil(mm / MM_PER_UNIT.in - 1e-6)
  const [feet, rest] = [Math.floor(inches / 12), inches % 12]
  return feet === 0 ? `${rest} in` : rest === 0 ? `${feet} ft` : `${feet} ft ${rest} in`
}

/** A force as the weight that would hang on the line. */
export function pullWords(newtons: number, unit: 'in' | 'cm'): string {
  const kg = newtons / GRAVITY
  return unit === 'in' ? `${Math.round(kg / KG_PER_POUND)} lb` : `${Math.round(kg)} kg`
}

export const SURFACE_NAMES: Readonly<Record<Surface, string>> = {
  'hard-cycle': 'Cycle tyres, hard road',
  'hard-tyre': 'Broad tyres, hard road',
  gravel: 'Rolled gravel',
  'dirt-road': 'Dirt road',
  grass: 'Mown grass',
  'soft-ground': 'Soft ground',
  sand: 'Loose sand',
  'packed-snow': 'Runners, packed snow',
  'cold-new-snow': 'Runners, cold or new snow',
}
