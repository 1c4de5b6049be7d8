import { strapPlace, type BootStrap, type Form, type SizedBody } from '@merry-tailor/core'
import type { PawId } from './paw-data'

/** A strap's usual width, mm, and how high a paw stands to the wrist. Ours. */
const STRAP_MM = 25
const PAW_TOP = 0.5

/** A leg from the ground to the wrist, and where a boot's strap lies on it. */
export interface LegStrap {
  wristMm: number
  dewclawMm: number | null
  place: BootStrap
  /** The pastern's ring was read on this dog. */
  read: boolean
}

/** Where the strap lies on this leg; `null` where pastern or wrist are not known. */
export function strapOf(paw: PawId, body: SizedBody, form: Form, gauge: { widthMm: number; thicknessMm: number }, dewclaw: boolean): LegStrap | null {
  const value = (id: string): number | null => body[`${id}/${paw}`]?.mm ?? body[id]?.mm ?? form.measures[id]?.mm ?? null
  const [ring, wrist, claw] = [value('M36'), value('M38'), value('M37')]
  if (!ring || !wrist) return null
  try {
    const place = strapPlace({
      pasternMm: ring,
      pawTopMm: wrist * PAW_TOP,
      wristMm: wrist,
      dewclaw,
      dewclawMm: claw ?? 0,
      strapMm: Math.min(STRAP_MM, wrist * 0.3),
      gauge,
    })
    return { wristMm: wrist, dewclawMm: claw, place, read: body[`M36/${paw}`]?.mm != null || body.M36?.mm != null }
  } catch {
    return null
  }
}

/** How a strap is said to lie. */
export const strapTitle = ({ place: { at } }: LegStrap, dewclaw: boolean): string =>
  at === 'below'
    ? 'Strap below the dewclaw'
    : at === 'above'
      ? 'Strap above the dewclaw'
      : at === 'free'
        ? 'Strap free, no dewclaw'
        : dewclaw
          ? 'No room clear of the dewclaw'
          : 'No room for a strap'
