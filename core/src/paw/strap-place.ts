import { strapSlackMm } from '../fit/index.ts'

export interface BootStrapQuestion {
  /** Ring of the pastern, M36. */
  pasternMm: number
  /** Heights over the floor: top of the paw, wrist (M38), dewclaw (M37). */
  pawTopMm: number
  wristMm: number
  dewclaw: boolean
  dewclawMm: number
  strapMm: number
  /** Kept free of the dewclaw. Ours. */
  clearMm?: number
  /** The fitter's own finger. */
  gauge: { widthMm: number; thicknessMm: number }
}

export interface BootStrap {
  at: 'below' | 'above' | 'free' | null
  /** Between which heights the strap may lie. */
  fromMm: number
  toMm: number
  /** With one finger under it; `null` where the finger is wider than the leg: by hand. */
  lengthMm: number | null
  /** It would rub the dewclaw. */
  symptom: 'S66' | null
}

/**
 * Where a boot's strap lies: above the paw, off the dewclaw, below it where there is room, else above it; and how long
 * it is with a finger under it. Source: handbook 7.2, common practice (team knowledge), from memory, unverified.
 *
 * @throws RangeError for heights or widths that are none
 */
export function strapPlace({ pasternMm, pawTopMm, wristMm, dewclaw, dewclawMm, strapMm, clearMm = 5, gauge }: BootStrapQuestion): BootStrap {
  for (const mm of [pasternMm, strapMm, gauge.widthMm, gauge.thicknessMm])
    if (!(mm > 0) || !Number.isFinite(mm)) throw new RangeError(`lengths are over 0 mm: ${mm}`)
  for (const mm of [pawTopMm, wristMm, clearMm, ...(dewclaw ? [dewclawMm] : [])])
    if (!(mm >= 0) || !Number.isFinite(mm)) throw new RangeError(`heights are 0 mm or more: ${mm}`)
  const slack = strapSlackMm(pasternMm, gauge)
  const lengthMm = Number.isFinite(slack) ? pasternMm + slack : null
  const place = (at: BootStrap['at'], fromMm: number, toMm: number): BootStrap => ({ at, fromMm, toMm, lengthMm, symptom: at === null ? 'S66' : null })
  const fits = (from: number, to: number): boolean => to - from >= strapMm - 1e-9
  if (!dewclaw)
    return fits(pawTopMm, wristMm) ? place('free', pawTopMm, wristMm) : { ...place('free', pawTopMm, Math.max(pawTopMm, wristMm)), at: null, symptom: null }
  const below = dewclawMm - clearMm
  const above = Math.max(pawTopMm, dewclawMm + clearMm)
  if (fits(pawTopMm, below)) return place('below', pawTopMm, below)
  if (fits(above, wristMm)) return place('above', above, wristMm)
  return place(null, pawTopMm, Math.max(pawTopMm, wristMm))
}
