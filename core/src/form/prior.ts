import { item, nth } from './dense.ts'
import type { CoatClass } from '../model/index.ts'
import type { Breed, BreedRange, Build } from '../reference/index.ts'
import type { Kind } from './about.ts'
import { buildTypes } from './build-types.ts'
import { innovate, merged, movedMean, narrowed, type Bell } from './gaussian.ts'
import { hold, PARAMETERS, placeOf, vectorOf, withinType } from './parameters.ts'
import { tangentAt, type Tangent } from './tangent.ts'
import { bodyLength } from './places.ts'
import { shapeOf } from './shape.ts'

/** One of the kinds of dog this dog may be: a bell, how likely it is before any reading, and its tangent. */
export interface Component extends Bell {
  name: Build | 'cross' | 'any'
  logWeight: number
  tangent: Tangent
}

const N = PARAMETERS
const COAT = placeOf('coat')
const BACK = placeOf('back')

/** Thickness of the coat over the skin to back length: mean and spread by class. Source: from memory, unverified. */
const COATS: Readonly<Record<CoatClass, readonly [number, number]>> = {
  hairless: [0, 0.001],
  smooth: [0.001, 0.0015],
  'short-double': [0.006, 0.004],
  wire: [0.006, 0.004],
  curly: [0.009, 0.006],
  long: [0.011, 0.007],
  'thick-double': [0.016, 0.009],
}

/** Chances that a dog is not what its breed says, and that it is of no build we know. Ours. */
const OTHER_BUILD = 0.1
const NO_BUILD = { known: 0.05, unknown: 0.14 } as const
/** How much wider a growing dog's proportions are. Ours. */
const GROWING = 1.5
/** A growing dog beside the grown one of its build: larger head and paws, shorter neck and muzzle. From memory, unverified. */
const PUPPY = [
  ['head', 1.14],
  ['skullWidth', 1.1],
  ['muzzle', 0.9],
  ['neckLength', 0.88],
  ['forearm', 1.12],
  ['paw', 1.14],
  ['elbow', 1.04],
  ['depth', 0.95],
] as const

const builds = Object.keys(buildTypes) as Build[]

function within(factor = 1): Float64Array {
  const out = new Float64Array(N * N)
  for (let i = 0; i < N; i++) out[i * N + i] = (item(withinType, i) * factor) ** 2
  return out
}

const bells: Readonly<Record<Build, Bell>> = Object.fromEntries(
  builds.map((build) => [build, { mean: vectorOf(buildTypes[build].means), covariance: within() }]),
) as Record<Build, Bell>

/** Any dog: the builds between them, and wider; so that a type nobody listed is not called wrong. */
function anyDog(among: readonly Build[]): Bell {
  const all = among.map((build) => ({ mean: bells[build].mean, covariance: within(1.6) }))
  const bell = merged(
    all,
    among.map(() => 1 / among.length),
  )
  bell.covariance[BACK * N + BACK] = Math.max(0.45 ** 2, nth(bell.covariance, BACK * N + BACK))
  return bell
}

const halfwayBetween = (a: Bell, b: Bell): Bell => ({ mean: a.mean.map((value, i) => (value + nth(b.mean, i)) / 2), covariance: within(1.15) })

const tangents = new Map<string, Tangent>()

/** The tangent at a type's mean never changes: it is taken once. */
function tangentOf(key: string, mean: Float64Array): Tangent {
  let known = tangents.get(key)
  if (!known) {
    known = tangentAt(mean, { ears: 'erect', sex: null })
    tangents.set(key, known)
  }
  return known
}

interface Start extends Bell {
  name: Component['name']
  key: string
  share: number
}

function startingBuilds(kind: Kind, without: Build | null): Start[] {
  const among = without ? builds.filter((build) => build !== without) : builds
  const [first, second] = kind.builds
  const noBuild = first ? NO_BUILD.known : NO_BUILD.unknown
  const shareOf = (build: Build): number => {
    if (!first) return (1 - noBuild) / among.length
    const own = kind.builds.includes(build) ? (1 - noBuild - OTHER_BUILD) / (second ? 3 : 1) : 0
    return own + OTHER_BUILD / among.length
  }
  const out: Start[] = among.map((build) => ({ ...bells[build], name: build, key: build, share: shareOf(build) }))
  if (first && second) {
    out.push({ ...halfwayBetween(bells[first], bells[second]), name: 'cross', key: `${first}+${second}`, share: (1 - noBuild - OTHER_BUILD) / 3 })
  }
  out.push({ ...anyDog(among), name: 'any', key: without ? `any but ${without}` : 'any', share: noBuild })
  return out
}

const middleOf = (range: BreedRange | undefined): { log: number; spread: number } | null => {
  const [low, high] = [range?.[0] ?? range?.[1], range?.[1] ?? range?.[0]]
  if (low == null || high == null || low <= 0) return null
  return { log: Math.log(Math.sqrt(low * high)), spread: Math.log(high / low) / 4 }
}

const rangeOf = (breed: Breed, what: 'Cm' | 'Kg', kind: Kind): BreedRange | undefined => {
  const [male, female] = [breed[`male${what}`], breed[`female${what}`]]
  if (kind.sex) return breed[`${kind.sex}${what}`] ?? male ?? female
  if (!male || !female) return male ?? female
  return [female[0] ?? female[1], male[1] ?? male[0]]
}

/** What is stated of a dog or its breed, as readings with a wide error: height, weight, length to height. */
interface Stated {
  what: 'M45' | 'M00' | 'length-to-height'
  log: number
  sd: number
}

function statedOf(kind: Kind): Stated[] {
  const out: Stated[] = []
  // A weight somebody said: old or guessed more often than not.
  if (kind.weightKg) out.push({ what: 'M00', log: Math.log(kind.weightKg), sd: 0.1 })
  const { breed } = kind
  if (!breed || kind.growing) return out
  const height = middleOf(rangeOf(breed, 'Cm', kind))
  if (height) out.push({ what: 'M45', log: height.log + Math.log(10), sd: Math.hypot(0.045, height.spread) })
  const weight = middleOf(rangeOf(breed, 'Kg', kind))
  if (weight && !kind.weightKg) out.push({ what: 'M00', log: weight.log, sd: Math.hypot(0.14, weight.spread) })
  if (breed.lengthToHeight) out.push({ what: 'length-to-height', log: Math.log(breed.lengthToHeight), sd: 0.025 })
  return out
}

/** Length to height by the breed standards' way of taking it, logarithm, with its slope by every parameter. */
function proportion(mean: Float64Array): { value: number; row: Float64Array } {
  const traits = { ears: 'erect', sex: null } as const
  const log = (x: Float64Array): number => {
    const shape = shapeOf(x, traits)
    return Math.log(bodyLength(shape) / shape.stations.withers.tz)
  }
  const value = log(mean)
  const row = new Float64Array(N)
  for (const name of ['depth', 'ahead', 'elbow', 'elbowOver'] as const) {
    const i = placeOf(name)
    const moved = mean.slice()
    moved[i] = nth(moved, i) + 1e-4
    row[i] = (log(moved) - value) / 1e-4
  }
  return { value, row }
}

/** Bends a bell to what is stated; three turns, the tangent held. */
function bentToStated(bell: Bell, tangent: Tangent, stated: readonly Stated[]): Bell {
  if (stated.length === 0) return bell
  const noise = new Float64Array(stated.length ** 2)
  stated.forEach(({ sd }, i) => (noise[i * stated.length + i] = sd * sd))
  const ids = stated.map(({ what }) => what)
  const ratio = proportion(bell.mean)
  const rows = ids.map((id) => (id === 'length-to-height' ? ratio.row : tangent.row(id)))
  let at = bell.mean
  for (let turn = 0; turn < 3; turn++) {
    const residual = Float64Array.from(stated, ({ what, log }, i) => {
      const value = what === 'length-to-height' ? proportion(at).value : tangent.valueAt(at, what)
      const row = rows[i] as Float64Array
      let back = 0
      for (let k = 0; k < N; k++) back += nth(row, k) * (nth(at, k) - nth(bell.mean, k))
      return log - value + back
    })
    const step = innovate(bell, rows, residual, noise)
    at = hold(movedMean(bell, step))
    if (turn === 2) return { mean: at, covariance: narrowed(bell, step) }
  }
  return bell
}

/**
 * The kinds of dog this dog may be before any tape: a mixture of builds rather than one bell, and any dog at all.
 * A known breed or build narrows it; an unknown one does not.
 *
 * @param without a build it is not to know: how it does on dogs nobody listed is tried so
 */
export function priorFor(kind: Kind, without: Build | null = null): Component[] {
  const stated = statedOf(kind)
  return startingBuilds(kind, without).map((start) => {
    const mean = start.mean.slice()
    const covariance = start.covariance.slice()
    if (kind.coat) {
      const [thick, spread] = COATS[kind.coat]
      mean[COAT] = thick
      for (let k = 0; k < N; k++) covariance[COAT * N + k] = covariance[k * N + COAT] = 0
      covariance[COAT * N + COAT] = spread * spread
    }
    if (kind.flatFace) {
      mean[placeOf('muzzle')] = Math.log(0.2)
      mean[placeOf('head')] = Math.log(0.35)
      mean[placeOf('skullWidth')] = Math.log(0.76)
      mean[placeOf('muzzleDepth')] = Math.log(0.66)
    }
    if (kind.growing) {
      for (let i = 0; i < N * N; i++) covariance[i] = nth(covariance, i) * GROWING ** 2
      for (const [name, by] of PUPPY) mean[placeOf(name)] = nth(mean, placeOf(name)) + Math.log(by)
    }
    const tangent = tangentOf(start.key, start.mean)
    const bell = bentToStated({ mean, covariance }, tangent, stated)
    return { ...bell, name: start.name, logWeight: Math.log(start.share) + evidenceOf({ mean, covariance }, tangent, stated), tangent }
  })
}

/** How well a kind of dog explains what is stated; it weighs the kinds before any tape. */
function evidenceOf(bell: Bell, tangent: Tangent, stated: readonly Stated[]): number {
  const used = stated.filter(({ what }) => what !== 'length-to-height')
  if (used.length === 0) return 0
  const noise = new Float64Array(used.length ** 2)
  used.forEach(({ sd }, i) => (noise[i * used.length + i] = sd * sd))
  return innovate(
    bell,
    used.map(({ what }) => tangent.row(what)),
    Float64Array.from(used, ({ what, log }) => log - tangent.valueAt(bell.mean, what)),
    noise,
  ).logLikelihood
}
