import { solveForm, type Form } from '../form/index.ts'
import type { RigStrap, StrapId } from '../gear/index.ts'
import { aimedLengths, strapsOf } from '../lay/index.ts'
import type { Band, FamilyId, PieceFields, SizeRow } from '../model/index.ts'
import { usualRoom } from './room.ts'

/** One strap of a size or a piece, mm: its middle setting, its shortest and longest, what it may be off by, and who says so. */
export interface StrapLength {
  mm: number
  leastMm: number
  mostMm: number
  sigmaMm: number
  from: 'maker' | 'flat' | 'bands'
}

export interface StrapSource {
  family: FamilyId
  /** The size, or the size on a piece's label. */
  size?: Pick<SizeRow, 'bands' | 'straps'>
  piece?: Pick<PieceFields, 'flat'>
  /** The maker's names of straps, tied to the family's. */
  strapWords?: Readonly<Record<string, string | null>>
}

/** A maker sews to so much; a tape laid flat on webbing; a length inferred from bands alone (methods tried it on seven builds). Ours. */
const MAKER_MM = 3
const FLAT_MM = 5
const BANDS_MM = 5
const BANDS_SHARE = 0.01
/** An adjuster's usual range: a strap of one size. Source: from memory, unverified. */
const SLIDER = [0.88, 1.14] as const

const middle = ([from, to]: Band): number => (from + to) / 2

const known = new Map<string, Form>()

/** The dog a size's bands were made for: the middle of each. Solved once a size. */
function dogOfBands(bands: SizeRow['bands']): Form {
  const key = JSON.stringify(bands)
  const before = known.get(key)
  if (before) return before
  const body = Object.fromEntries(
    Object.entries(bands).map(([id, band]) => [
      id,
      { mm: id === 'M00' ? middle(band) : middle(band), sigmaMm: Math.max(0.008 * middle(band), (band[1] - band[0]) / Math.sqrt(12)) },
    ]),
  )
  const form = solveForm(body, null)
  if (known.size > 60) known.clear()
  known.set(key, form)
  return form
}

/**
 * The straps of a size or a piece: as the maker gives them, else as they were laid flat (a piece's own go before its
 * label's), else as the dog would want them that the bands were made for.
 *
 * @returns by strap; what the maker names and ties to none is not in it
 * @throws RangeError for a family without straps, or where neither bands nor lengths say anything
 */
export function strapLengths({ family, size, piece, strapWords = {} }: StrapSource): Partial<Record<StrapId, StrapLength>> {
  const straps = strapsOf(family)
  if (straps.length === 0) throw new RangeError(`${family}: no straps to lay`)
  const named = new Map<string, Band>()
  for (const [name, band] of Object.entries(size?.straps ?? {})) {
    const id = name in strapWords ? strapWords[name] : name
    if (typeof id === 'string' && straps.some((strap) => strap.id === id)) named.set(id, band)
  }
  const flatOf = ({ tape }: RigStrap): Band | undefined => (tape ? piece?.flat[tape] : undefined)
  const out: Partial<Record<StrapId, StrapLength>> = {}
  const missing: RigStrap[] = []
  for (const strap of straps) {
    const maker = named.get(strap.id)
    const flat = flatOf(strap)
    const own = flat ?? maker
    if (!own) missing.push(strap)
    else out[strap.id] = { mm: middle(own), leastMm: own[0], mostMm: own[1], sigmaMm: flat ? FLAT_MM : MAKER_MM, from: flat ? 'flat' : 'maker' }
  }
  if (missing.length === 0) return out
  const bands = { ...(size?.bands ?? {}), ...(piece?.flat ?? {}) }
  if (Object.keys(bands).length === 0) throw new RangeError(`${family}: neither bands nor strap lengths are known`)
  const form = dogOfBands(bands)
  const aimed = aimedLengths(form, family, usualRoom(form, family, null))
  // The maker serves every dog of a band with one length: where in it he meant it to sit nobody says.
  const widths = Object.values(bands).map(([from, to]) => (to - from) / (from + to))
  const usualWidth = widths.reduce((sum, each) => sum + each, 0) / widths.length
  for (const strap of missing) {
    const mm = aimed.straps[strap.id]
    const band = strap.tape ? bands[strap.tape] : undefined
    const meant = ((band ? (band[1] - band[0]) / (band[0] + band[1]) : usualWidth) * mm * 2) / Math.sqrt(12)
    // A set strap reaches as far as its band; where none is given, as far as adjusters do.
    const [leastMm, mostMm] = !strap.adjusts
      ? [mm, mm]
      : band && band[1] > band[0]
        ? [(mm * band[0]) / middle(band), (mm * band[1]) / middle(band)]
        : [mm * SLIDER[0], mm * SLIDER[1]]
    out[strap.id] = { mm, leastMm, mostMm, sigmaMm: Math.hypot(BANDS_MM, BANDS_SHARE * mm, strap.adjusts ? 0 : meant), from: 'bands' }
  }
  return out
}

/** Maker's strap names that are tied to none of a family's: to be shown beside the lay. */
export const untiedStraps = ({ family, size, strapWords = {} }: StrapSource): string[] =>
  Object.keys(size?.straps ?? {}).filter((name) => {
    const id = name in strapWords ? strapWords[name] : name
    return typeof id !== 'string' || !strapsOf(family).some((strap) => strap.id === id)
  })
