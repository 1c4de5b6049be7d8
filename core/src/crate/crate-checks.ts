import type { Grade } from '../model/index.ts'
import { normalCdf, type SizedBody } from '../sizing/index.ts'
import { curledUp } from './curled-up.ts'
import type { DogPlan } from './dog-plan.ts'
import { turningRoom } from './turning-room.ts'

/** A crate inside, mm; how far each may be off. */
export interface Inside {
  lengthMm: number
  widthMm: number
  heightMm: number
  sigmaMm: number
  door?: { widthMm: number; heightMm: number } | undefined
}

export const CRATE_CHECKS = ['nose-to-tail', 'two-widths', 'head', 'ears', 'sitting', 'turn', 'curled', 'flat-out', 'door'] as const
export type CrateCheckId = (typeof CRATE_CHECKS)[number]

export interface CrateCheck {
  check: CrateCheckId
  /** What the dog asks, room asked for included; `null` where a measure is missing. */
  needMm: number | null
  haveMm: number
  /** Have less need, negative too small. */
  spareMm: number | null
  sigmaMm: number | null
  grade: Grade
  basis: 'predicted'
  /** Too low: the head goes down. */
  symptom: 'S70' | null
}

export interface CrateChecksQuestion {
  body: SizedBody
  /** For turning and curling up; without it neither is asked. */
  plan?: DogPlan | null | undefined
  inside: Inside
  /** What it lies on takes height. */
  bedMm?: number | undefined
  /** Room beyond the dog (handbook 10.3: 5 to 10 cm, from memory, unverified). */
  roomMm?: number | undefined
}

/** A measure as a check needs it. */
interface Known {
  mm: number
  sigmaMm: number
  guess: boolean
}

/** A guess holds at nine in ten and misses at one in twenty, as for any size; a reading goes by its spread. */
function gradeOf(spareMm: number, sigmaMm: number, guess: boolean): Grade {
  if (!guess) return spareMm >= 2 * sigmaMm ? 'holds' : spareMm < -2 * sigmaMm ? 'fails' : 'doubt'
  const chance = sigmaMm > 0 ? normalCdf(spareMm / sigmaMm) : spareMm >= 0 ? 1 : 0
  return chance >= 0.9 ? 'holds' : chance <= 0.05 ? 'fails' : 'doubt'
}

/** @throws RangeError for a crate or a bed that is none */
function askInside({ lengthMm, widthMm, heightMm, sigmaMm, door }: Inside, bedMm: number, roomMm: number): void {
  for (const mm of [lengthMm, widthMm, heightMm, ...(door ? [door.widthMm, door.heightMm] : [])])
    if (!(mm > 0) || !Number.isFinite(mm)) throw new RangeError(`a crate is longer, wider and higher than 0 mm: ${mm}`)
  for (const mm of [sigmaMm, bedMm, roomMm]) if (!(mm >= 0) || !Number.isFinite(mm)) throw new RangeError(`spread, bed and room are 0 mm or more: ${mm}`)
}

/**
 * A crate's clearances for one dog: does it stand, sit, turn, curl up, lie flat in it, and come through its door.
 * Source: handbook 10.3 (home rule from memory, unverified; stand, turn, lie: common practice). Ears that touch are a
 * doubt and never a fail, softer than the rule on purpose: heights of the series are from memory. Turning and curling are
 * foretold from the form's plan, unproven on any dog.
 *
 * @throws RangeError for a crate that is none
 */
export function crateChecks({ body, plan, inside, bedMm = 0, roomMm = 50 }: CrateChecksQuestion): CrateCheck[] {
  askInside(inside, bedMm, roomMm)
  const known = (id: string): Known | null => {
    const own = body[id]
    return own?.mm != null && Number.isFinite(own.mm) ? { mm: own.mm, sigmaMm: Math.max(0, own.sigmaMm ?? 0), guess: own.guess === true } : null
  }
  const check = (
    id: CrateCheckId,
    need: Known | null,
    haveMm: number,
    more: { atWorst?: 'doubt'; symptom?: 'S70' | null; failsUnderMm?: number } = {},
  ): CrateCheck => {
    const base = { check: id, haveMm, basis: 'predicted' as const, symptom: more.symptom ?? null }
    if (!need) return { ...base, needMm: null, spareMm: null, sigmaMm: null, grade: 'none' }
    const spareMm = haveMm - need.mm
    const sigmaMm = Math.hypot(need.sigmaMm, inside.sigmaMm)
    let grade = gradeOf(spareMm, sigmaMm, need.guess)
    if (more.atWorst === 'doubt' && grade === 'fails') grade = 'doubt'
    if (more.failsUnderMm !== undefined && grade === 'fails' && haveMm >= more.failsUnderMm) grade = 'doubt'
    return { ...base, needMm: need.mm, spareMm, sigmaMm, grade }
  }
  const plus = (need: Known | null, mm: number, times = 1): Known | null => need && { ...need, mm: times * need.mm + mm, sigmaMm: times * need.sigmaMm }
  const [length, width, head, ears] = [known('M42'), known('M44'), known('M39'), known('M40')]
  const { lengthMm, widthMm, heightMm, door } = inside
  const high = bedMm + roomMm
  const out = [
    check('nose-to-tail', plus(length, roomMm), lengthMm),
    check('two-widths', plus(width, 0, 2), widthMm),
    check('head', plus(head, high), heightMm, { symptom: 'S70' }),
    ...(ears && (!head || ears.mm > head.mm + 0.5) ? [check('ears', plus(ears, high), heightMm, { atWorst: 'doubt', symptom: 'S70' })] : []),
    check('sitting', plus(known('M41'), high), heightMm, { symptom: 'S70' }),
  ]
  if (plan) {
    // What is foretold of the plan is as sure as the length and the width it was cut with.
    const sigmaOf = (mm: number): number => mm * Math.hypot(length ? length.sigmaMm / length.mm : 0, width ? width.sigmaMm / width.mm : 0) * Math.SQRT1_2
    const guess = (length?.guess ?? true) || (width?.guess ?? true)
    const turn = turningRoom(plan, lengthMm)
    const chest = plan.links[plan.stiff]?.lengthMm ?? 0
    const curled = curledUp(plan).diameterMm
    out.push(
      turn
        ? check('turn', { mm: turn.widthMm, sigmaMm: sigmaOf(turn.widthMm), guess }, widthMm, { failsUnderMm: turn.leastMm })
        : { ...check('turn', { mm: Math.max(curled, chest), sigmaMm: sigmaOf(curled), guess }, Math.min(lengthMm, widthMm)), grade: 'fails' },
      check('curled', { mm: curled, sigmaMm: sigmaOf(curled), guess }, Math.min(lengthMm, widthMm), { failsUnderMm: chest }),
    )
  }
  // Flat on its side a dog is as broad as it is high at the withers: legs fold, so nothing fails by it.
  out.push(check('flat-out', known('M45'), widthMm, { atWorst: 'doubt' }))
  if (door) {
    const wide = check('door', width, door.widthMm)
    // A dog lowers its head and gives in its legs: the withers going under the top could go either way.
    const tall = check('door', known('M45'), door.heightMm, { atWorst: 'doubt' })
    out.push((tall.spareMm ?? Infinity) < (wide.spareMm ?? Infinity) ? tall : wide)
  }
  return out
}
