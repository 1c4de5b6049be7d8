import { proportionsOf } from './parameters.ts'
import type { Form } from './form-type.ts'
import type { Station, StationName, Stations } from './stations.ts'

/** The sections the skin from throat to tail is spanned over: cut 0 to cut 11. */
export const SKIN_ROW = [
  'throat', 'collar', 'neckBase', 'withers', 'shoulder', 'girth', 'sternumEnd', 'lastRib', 'waist', 'hip', 'rump', 'tail',
] as const satisfies readonly StationName[] // prettier-ignore
export const LAST_CUT = SKIN_ROW.length - 1

/** The number of a section on the skin. */
export const cutOf = (name: (typeof SKIN_ROW)[number]): number => SKIN_ROW.indexOf(name)

/** Numbers of a section, in the order the skin keeps them. */
const KEYS = ['tx', 'tz', 'ux', 'uz', 'w', 'v', 'p'] as const
const CUBIC = 5
const PER_PIECE = KEYS.length * 4

/**
 * The skin from throat to tail as plain data: for each stretch between two sections the cubics its sections follow. Any
 * unit of length; cuts count from 0, fractions between.
 */
export interface Skin {
  /** Coefficients of t^0 to t^3, by stretch, then by number of the section. */
  cubics: Float64Array
  /** Half breadth between the forelegs, for strings that go in between them; `null` where there are none. */
  betweenLegs: number | null
  /** From the topmost withers to the tail, or whatever is longest: what is small is judged by it. */
  size: number
}

/**
 * Tangents by Catmull-Rom, capped at 1.25 times the shorter chord; uncapped, the skin kinks at the withers.
 */
const CAP = 1.25
const cappedTangent = (tangent: number, left: number, right: number): number => {
  const most = CAP * Math.min(Math.abs(left), Math.abs(right))
  return Math.abs(tangent) > most ? Math.sign(tangent) * most : tangent
}

/**
 * A skin through sections in a row, the dog's or a shape's with a known answer.
 *
 * @param cuts twelve sections, throat first; any unit of length
 * @throws RangeError for another number of sections, or one that is no number
 */
export function skinOfCuts(cuts: readonly Station[]): Skin {
  if (cuts.length !== SKIN_ROW.length) throw new RangeError(`a skin has ${SKIN_ROW.length} cuts, not ${cuts.length}`)
  for (const cut of cuts) for (const key of KEYS) if (!Number.isFinite(cut[key])) throw new RangeError(`a cut’s ${key} is no number`)
  return spanned(cuts, null)
}

/** The same without questions: made anew at every turn of the solver, so plain loops over plain numbers. */
function spanned(cuts: readonly Station[], betweenLegs: number | null): Skin {
  const n = KEYS.length
  const numbers = new Float64Array(cuts.length * n)
  let widest = 0
  for (let i = 0; i < cuts.length; i++) {
    const { tx, tz, ux, uz, w, v, p } = cuts[i] as Station
    const at = i * n
    numbers[at] = tx
    numbers[at + 1] = tz
    numbers[at + 2] = ux
    numbers[at + 3] = uz
    numbers[at + 4] = w
    numbers[at + 5] = v
    numbers[at + 6] = p
    if (w > widest) widest = w
  }
  const cubics = new Float64Array(LAST_CUT * PER_PIECE)
  for (let i = 0; i < LAST_CUT; i++) {
    for (let k = 0; k < n; k++) {
      const here = i * n + k
      const a = numbers[here] as number
      const chord = (numbers[here + n] as number) - a
      const at = i * PER_PIECE + k * 4
      cubics[at] = a
      if (k >= CUBIC) {
        cubics[at + 1] = chord
        continue
      }
      // Past its ends the skin goes on as it comes.
      const left = i > 0 ? a - (numbers[here - n] as number) : chord
      const right = i + 1 < LAST_CUT ? (numbers[here + 2 * n] as number) - (numbers[here + n] as number) : chord
      const lead = cappedTangent((left + chord) / 2, left, chord)
      const trail = cappedTangent((chord + right) / 2, right, chord)
      cubics[at + 1] = lead
      cubics[at + 2] = 3 * chord - 2 * lead - trail
      cubics[at + 3] = lead + trail - 2 * chord
    }
  }
  const last = LAST_CUT * n
  const size = Math.max(
    Math.hypot((numbers[0] as number) - (numbers[last] as number), (numbers[1] as number) - (numbers[last + 1] as number)),
    2 * widest,
    1e-12,
  )
  return { cubics, betweenLegs, size }
}

/** The skin of a shape in back lengths, from its sections by name. */
export function skinOfStations(stations: Stations, betweenLegs: number): Skin {
  return spanned(
    SKIN_ROW.map((name) => stations[name]),
    betweenLegs,
  )
}

/** Half breadth between the forelegs that a tape keeps to, back lengths. The share is ours. */
export const halfBetweenLegs = (k: { stance: number; forearm: number; depth: number; width: number }): number =>
  Math.max(0.01, (k.stance - k.forearm * 0.9) * k.depth * k.width * 0.5)

/** The skin of a solved form, mm: the one its tapes are laid on. */
export function skinOf(form: Pick<Form, 'sections' | 'parameters'>): Skin {
  const k = proportionsOf(form.parameters)
  return skinOfStations(form.sections, halfBetweenLegs(k) * k.back)
}

const isCut = (cut: number): boolean => Number.isFinite(cut) && cut >= 0 && cut <= LAST_CUT

/** @throws RangeError for a place before the throat or behind the tail */
export function askCut(cut: number, name: string): void {
  if (!isCut(cut)) throw new RangeError(`${name} is no cut between 0 and ${LAST_CUT}: ${cut}`)
}

const stretchOf = (cut: number): number => Math.min(LAST_CUT - 1, Math.max(0, Math.floor(cut)))

const valueAt = (cubics: Float64Array, at: number, t: number): number =>
  (cubics[at] as number) + t * ((cubics[at + 1] as number) + t * ((cubics[at + 2] as number) + t * (cubics[at + 3] as number)))

/** The section at a cut. */
export function sectionAt({ cubics }: Skin, cut: number): Station {
  const i = stretchOf(cut)
  const [t, at] = [cut - i, i * PER_PIECE]
  return {
    tx: valueAt(cubics, at, t),
    tz: valueAt(cubics, at + 4, t),
    ux: valueAt(cubics, at + 8, t),
    uz: valueAt(cubics, at + 12, t),
    w: valueAt(cubics, at + 16, t),
    v: valueAt(cubics, at + 20, t),
    p: valueAt(cubics, at + 24, t),
  }
}

function slopeAt(cubics: Float64Array, at: number, t: number, order: 1 | 2): number {
  const [b, c, d] = [cubics[at + 1] as number, cubics[at + 2] as number, cubics[at + 3] as number]
  return order === 1 ? b + t * (2 * c + 3 * d * t) : 2 * c + 6 * d * t
}

/** How the numbers of a section change from cut to cut: `order` 1 their slopes, 2 the slopes of these. */
export function sectionSlope({ cubics }: Skin, cut: number, order: 1 | 2): Station {
  const i = stretchOf(cut)
  const [t, at] = [cut - i, i * PER_PIECE]
  return {
    tx: slopeAt(cubics, at, t, order),
    tz: slopeAt(cubics, at + 4, t, order),
    ux: slopeAt(cubics, at + 8, t, order),
    uz: slopeAt(cubics, at + 12, t, order),
    w: slopeAt(cubics, at + 16, t, order),
    v: slopeAt(cubics, at + 20, t, order),
    p: slopeAt(cubics, at + 24, t, order),
  }
}

/**
 * Half breadth a string between the forelegs keeps to at a cut: theirs up to the shoulder, a quarter more at the girth,
 * and open behind it, without a step.
 */
export function corridorAt(skin: Skin, cut: number): number {
  if (skin.betweenLegs === null) return Infinity
  const [shoulder, girth] = [cutOf('shoulder'), cutOf('girth')]
  if (cut <= shoulder) return skin.betweenLegs
  if (cut <= girth) return skin.betweenLegs * (1 + 0.25 * (cut - shoulder))
  return cut < girth + 1 ? (skin.betweenLegs * 1.25) / (girth + 1 - cut) : Infinity
}
