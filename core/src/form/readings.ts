import type { Body } from '../measures/index.ts'
import type { Kind } from './about.ts'
import { defines, FORM_MEASURES } from './tapes.ts'

/** One reading as the solver sees it. */
export interface Row {
  measure: string
  /** Logarithm of the reading, mm (M00: kg). */
  log: number
  /** The reading's own error, as a share. */
  share: number
  /** Visits ago: 0 is now. The model's discrepancy is one and the same for a measure on all visits. */
  visit: number
  /** Further error of an older visit: the dog may have changed, share. */
  drift: number
}

/** An earlier visit of the same dog. */
export interface EarlierVisit {
  body: Body
  /** Days before the visit judged. */
  daysBefore: number
  weightKg?: number | null
}

/** How far a real dog's tapes lie off the best of the form's shapes, share. Source: from memory, unverified. */
export const DISCREPANCY = 0.02
/** Error of a reading that comes without one. */
const USUAL_SHARE = 0.015
/** A grown dog's drift over a month and at most; rings follow the weight by its cube root. Ours. */
const DRIFT_PER_MONTH = 0.006
const MOST_DRIFT = 0.05
const GROWING_DRIFT_PER_MONTH = 0.12

/** Numbers from another world stand at the edge of ours: the form stays finite and the misfit large. */
const LEAST_READ = 0.05
const MOST_READ = 20_000

const RINGS = new Set(['M01', 'M02', 'M03', 'M07', 'M08', 'M21', 'M22', 'M29', 'M44'])

function rowsOf(body: Body, kind: Kind, visit: number, drift: (id: string) => number, shift: (id: string) => number): Row[] {
  return FORM_MEASURES.flatMap((measure): Row[] => {
    const reading = body[measure]
    const mm = reading?.mm
    if (typeof mm !== 'number' || !Number.isFinite(mm) || mm <= 0 || !defines(measure, kind.sex)) return []
    const sigma = reading?.sigmaMm
    const share = typeof sigma === 'number' && Number.isFinite(sigma) && sigma > 0 ? Math.min(0.5, sigma / mm) : USUAL_SHARE
    return [{ measure, log: Math.log(Math.min(MOST_READ, Math.max(LEAST_READ, mm))) + shift(measure), share, visit, drift: drift(measure) }]
  })
}

/**
 * Readings of now and of earlier visits, in the catalogue's order, whatever order they came in. Readings that are no
 * positive number are left out. An older ring is carried to today's weight by the cube root where both are known.
 */
export function rowsFor(body: Body, kind: Kind, earlier: readonly EarlierVisit[] = []): Row[] {
  const now = rowsOf(
    body,
    kind,
    0,
    () => 0,
    () => 0,
  )
  const kg = body.M00?.mm ?? kind.weightKg
  const old = [...earlier]
    .filter(({ daysBefore }) => Number.isFinite(daysBefore) && daysBefore >= 0)
    .sort((a, b) => a.daysBefore - b.daysBefore)
    .slice(0, 4)
    .flatMap((visit, i) => {
      const months = visit.daysBefore / 30.4
      const drift = kind.growing ? Math.min(0.5, GROWING_DRIFT_PER_MONTH * months) : Math.min(MOST_DRIFT, DRIFT_PER_MONTH * months)
      const then = visit.body.M00?.mm ?? visit.weightKg
      const ratio = typeof kg === 'number' && typeof then === 'number' && kg > 0 && then > 0 ? Math.log(kg / then) / 3 : 0
      return rowsOf(
        visit.body,
        kind,
        i + 1,
        (id) => (RINGS.has(id) || kind.growing ? drift : drift / 2),
        (id) => (kind.growing || RINGS.has(id) ? Math.max(-0.2, Math.min(0.2, ratio)) : 0),
      ).filter((row) => row.measure !== 'M00')
    })
  return [...now, ...old]
}

/**
 * Noise covariance of rows: their own errors and drift on the diagonal, and the model's discrepancy shared by all rows
 * of one measure.
 */
export function noiseOf(rows: readonly Row[], inflate?: ArrayLike<number>): Float64Array {
  const n = rows.length
  const out = new Float64Array(n * n)
  for (let i = 0; i < n; i++) {
    const a = rows[i] as Row
    for (let j = 0; j < n; j++) if ((rows[j] as Row).measure === a.measure) out[i * n + j] = DISCREPANCY ** 2
    out[i * n + i] = (out[i * n + i] ?? 0) + (a.share ** 2 + a.drift ** 2) * (inflate?.[i] ?? 1) + DISCREPANCY ** 2 * ((inflate?.[i] ?? 1) - 1)
  }
  return out
}
