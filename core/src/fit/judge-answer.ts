import type { Check, CheckGauge } from '../gear/index.ts'
import type { Grade } from '../model/index.ts'
import { parseLength, type LengthUnit } from '../units/index.ts'

export type Answer =
  | { ok: true; grade: Exclude<Grade, 'none'>; mm: number | null; fingers: number | null; code: 'in' | 'edge' | 'low' | 'high' }
  | { ok: false; problem: 'empty' | 'unreadable' | 'wants-fingers' | 'wants-length' | 'too-many' }
export type JudgedAnswer = Answer

/** Width of one finger along the body. Source: handbook 7.1, from memory, unverified; fitters differ. */
const FINGER_WIDTH_MM = 20
const MOST_FINGERS = 12

const FINGERS = /^(\d+(?:[.,]\d+)?|\d+\s+1\/2|\d+½|½)\s*(?:f|fingers?)?$/i

function readFingers(text: string): number | null {
  const plain = text.trim().replace('½', ' 1/2').trim()
  const match = FINGERS.exec(plain.replace(/^1\/2/, '0 1/2'))
  if (!match?.[1]) return null
  const [whole, half] = match[1].split(/\s+/)
  return Number((whole ?? '').replace(',', '.')) + (half ? 0.5 : 0)
}

/** In the range: holds. Within `edge` beyond it: look again. Further: does not hold. */
function gradeIn(value: number, [from, to]: readonly [number, number], edge: number): { grade: Exclude<Grade, 'none'>; code: 'in' | 'edge' | 'low' | 'high' } {
  if (value >= from && value <= to) return { grade: 'holds', code: 'in' }
  const miss = value < from ? from - value : value - to
  if (miss <= edge) return { grade: 'doubt', code: 'edge' }
  return { grade: 'fails', code: value < from ? 'low' : 'high' }
}

/** A signed length against what passes. */
export const gapGrade = (mm: number, { passMm, doubtMm }: Extract<CheckGauge, { kind: 'gap' }>): ReturnType<typeof gradeIn> => gradeIn(mm, passMm, doubtMm)

/**
 * Reads a number answered at the dog and grades it against the check (handbook 7.2).
 *
 * Under a strap a bare number is fingers, flat. Along the body a bare number up to 5 is fingers, with a unit a length.
 * For a gap a sign is allowed: minus is below or short of the landmark, plus above or past it, `0` on it.
 *
 * @param text as typed: `2`, `2 1/2 fingers`, `1 1/2 in`, `4 cm`, `-1/2`
 * @param unit unit meant for a bare length
 */
export function judgeAnswer(check: Check, text: string, unit: LengthUnit): Answer {
  const typed = text.normalize('NFKC').trim()
  const original = text.trim()
  if (typed === '') return { ok: false, problem: 'empty' }
  const { gauge } = check
  if (!gauge) return { ok: false, problem: 'unreadable' }

  if (gauge.kind === 'gap') {
    const sign = /^[-−–]/.test(original) ? -1 : 1
    const bare = original.replace(/^[-−–+]\s*/, '')
    const parsed = /^0+(?:\s*(?:in|cm|mm|"))?$/i.test(bare) ? { ok: true as const, mm: 0 } : parseLength(bare, unit)
    if (!parsed.ok) return { ok: false, problem: readFingers(original) === null ? 'unreadable' : 'wants-length' }
    const mm = sign * parsed.mm
    return { ok: true, mm, fingers: null, ...gapGrade(mm, gauge) }
  }

  const fingers = readFingers(original)
  const bareNumber = !/[a-z"]/i.test(typed)
  if (fingers !== null && (gauge.kind === 'flat' || !bareNumber || fingers <= 5)) {
    if (fingers > MOST_FINGERS) return { ok: false, problem: 'too-many' }
    const edge = gauge.kind === 'flat' && gauge.looseFails && fingers > gauge.passFingers[1] ? 0.5 : 1
    const graded = gradeIn(fingers, gauge.passFingers, edge)
    // Too tight is never only a doubt: fingers that must be forced fail (S26).
    const tight = gauge.kind === 'flat' && fingers < gauge.passFingers[0] && gauge.passFingers[0] - fingers >= 1
    const result = tight ? ({ grade: 'fails', code: 'low' } as const) : graded
    return { ok: true, mm: gauge.kind === 'wide' ? fingers * FINGER_WIDTH_MM : null, fingers, ...result }
  }
  if (gauge.kind === 'flat') return { ok: false, problem: 'wants-fingers' }
  const parsed = parseLength(original, unit)
  if (!parsed.ok) return { ok: false, problem: 'unreadable' }
  return { ok: true, mm: parsed.mm, fingers: null, ...gradeIn(parsed.mm, gauge.passMm, FINGER_WIDTH_MM / 2) }
}
