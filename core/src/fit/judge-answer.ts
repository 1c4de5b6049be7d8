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
const HAND = 4
/** Under this girth a strap two to three fingers behind the elbow leaves the true ribs: fewer. Source: handbook 7.1, from memory, unverified. */
const SMALL_GIRTH_MM = 400
const SMALL_FINGERS = [1.5, 2] as const

/** What a finger along the body means for this dog and this fitter. */
export interface AtTheDog {
  /** Largest girth, M07, mm. */
  girthMm?: number | null
  /** Width of one finger of whoever looks (M49: half of two), mm. */
  fingerMm?: number | null
}

type Wide = Extract<CheckGauge, { kind: 'wide' }>

/** How many fingers wide pass on this dog, and what they are in mm by this hand. */
export function fingersWide(
  { passFingers, passMm }: Wide,
  { girthMm, fingerMm }: AtTheDog = {},
): { fingers: readonly [number, number]; mm: readonly [number, number]; small: boolean } {
  const small = girthMm != null && girthMm < SMALL_GIRTH_MM
  const [from, to] = small ? SMALL_FINGERS : passFingers
  const width = fingerMm ?? FINGER_WIDTH_MM
  return { fingers: [from, to], mm: small || fingerMm != null ? [from * width, to * width] : passMm, small }
}

const FINGERS = /^(\d+(?:[.,]\d+)?|\d+\s+1\/2|\d+½|½)\s*(?:f|fingers?)?$/i

function readFingers(text: string): number | null {
  const plain = text.trim().replace('½', ' 1/2').trim()
  // The flat hand goes in by the width of its four fingers.
  if (/^(?:the |a |whole )*hand$/i.test(plain)) return HAND
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
 * @param at girth of the dog and fingers of the fitter, for fingers along the body; without them any dog's and anybody's
 */
export function judgeAnswer(check: Check, text: string, unit: LengthUnit, at: AtTheDog = {}): Answer {
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

  const wide = gauge.kind === 'wide' ? fingersWide(gauge, at) : null
  const width = at.fingerMm ?? FINGER_WIDTH_MM
  const fingers = readFingers(original)
  const bareNumber = !/[a-z"]/i.test(typed)
  if (fingers !== null && (gauge.kind === 'flat' || !bareNumber || fingers <= 5)) {
    if (fingers > MOST_FINGERS) return { ok: false, problem: 'too-many' }
    const edge = wide?.small || (gauge.kind === 'flat' && gauge.looseFails && fingers > gauge.passFingers[1]) ? 0.5 : 1
    const graded = gradeIn(fingers, wide?.fingers ?? gauge.passFingers, edge)
    // One finger where two are usual is a doubt (V07); where none goes in it is too tight, never only a doubt (S26).
    const tight = gauge.kind === 'flat' && fingers < 0.5 && gauge.passFingers[0] > 0
    const result = tight ? ({ grade: 'fails', code: 'low' } as const) : graded
    return { ok: true, mm: wide ? fingers * width : null, fingers, ...result }
  }
  if (!wide) return { ok: false, problem: 'wants-fingers' }
  const parsed = parseLength(original, unit)
  if (!parsed.ok) return { ok: false, problem: 'unreadable' }
  return { ok: true, mm: parsed.mm, fingers: null, ...gradeIn(parsed.mm, wide.mm, width / 2) }
}
