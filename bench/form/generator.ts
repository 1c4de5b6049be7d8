import type { About } from '../../core/src/form/about.ts'
import { parameterNames, type Proportions, vectorOf } from '../../core/src/form/parameters.ts'
import { shapeOf } from '../../core/src/form/shape.ts'
import { FORM_MEASURES, laysFor, readTapes } from '../../core/src/form/tapes.ts'
import { normal, seeded } from './random.ts'

/*
 * Invented dogs for judging the solver. Their types are a table of this file's own: the known ones stand for builds the
 * solver has a prior for but differ from its means and vary more and in step; the unknown ones stand for none of them.
 */
interface Kind {
  known: boolean
  build?: NonNullable<About['build']>
  ears: 'erect' | 'drop'
  coat: number
  k: Partial<Proportions>
}

const base: Proportions = {
  back: 530, depth: 0.507, width: 0.71, ahead: 0.166, drop: 0.607, sternum: 0.205, rib: 0.163, ribDepth: 0.885, ribWidth: 1.03, waistDepth: 0.655, waistWidth: 0.765, hipWidth: 0.87,
  croup: 0.045, loin: 0.003, neckLength: 0.42, neckAngle: 0.86, neckBase: 0.865, collarDepth: 0.485, collarWidth: 0.905, head: 0.415, skullWidth: 0.52, skullDepth: 1.03, muzzle: 0.47,
  muzzleDepth: 0.53, elbow: 0.585, elbowBack: 0.058, elbowOver: 0.03, shoulder: 1.02, stance: 0.785, forearm: 0.268, exponent: 2.18, coat: 0.004, density: 1, ear: 0.45, tail: 0.62,
  wrist: 0.3, shin: 1, sit: 1, paw: 1.2, pawHind: 0.9, pawLong: 1.15,
} // prettier-ignore

const kinds: Readonly<Record<string, Kind>> = {
  sled: { known: true, build: 'nordic', ears: 'erect', coat: 0.013, k: { back: 505, width: 0.7, ahead: 0.175, drop: 0.63, neckBase: 0.92, head: 0.39, elbow: 0.6 } },
  courser: { known: true, build: 'sighthound', ears: 'drop', coat: 0.001, k: { back: 620, depth: 0.54, width: 0.55, waistDepth: 0.47, waistWidth: 0.68, croup: 0.09, loin: 0.03, neckLength: 0.53, neckBase: 0.77, collarDepth: 0.36, skullWidth: 0.42, elbow: 0.66, sternum: 0.245, ribDepth: 0.83 } },
  mastiff: { known: true, build: 'molosser', ears: 'drop', coat: 0.002, k: { back: 600, depth: 0.56, width: 0.84, neckBase: 0.88, collarDepth: 0.58, collarWidth: 0.97, skullWidth: 0.67, muzzle: 0.37, elbow: 0.52, exponent: 2.32, forearm: 0.295, stance: 0.82 } },
  earthdog: { known: true, build: 'terrier', ears: 'drop', coat: 0.006, k: { back: 330, depth: 0.53, neckAngle: 0.95, head: 0.47, skullWidth: 0.47, elbow: 0.61, waistDepth: 0.72, waistWidth: 0.79, ahead: 0.143 } },
  lowrunner: { known: true, build: 'long-low', ears: 'drop', coat: 0.003, k: { back: 400, depth: 0.43, width: 0.81, sternum: 0.265, ahead: 0.195, elbow: 0.29, elbowBack: 0.095, elbowOver: 0.13, neckLength: 0.39, collarDepth: 0.53, waistDepth: 0.78, waistWidth: 0.83, forearm: 0.32, wrist: 0.35 } },
  lap: { known: true, build: 'toy', ears: 'erect', coat: 0.009, k: { back: 245, width: 0.73, head: 0.44, skullWidth: 0.61, muzzle: 0.37, neckAngle: 0.98, elbow: 0.55, forearm: 0.225, ahead: 0.148 } },
  fetcher: { known: true, build: 'retriever', ears: 'drop', coat: 0.005, k: { back: 540, width: 0.75, waistDepth: 0.69, waistWidth: 0.8, elbow: 0.575, exponent: 2.22 } },
  colossus: { known: true, build: 'giant', ears: 'drop', coat: 0.006, k: { back: 710, width: 0.72, muzzleDepth: 0.59, elbow: 0.59, neckLength: 0.44 } },
  drover: { known: true, build: 'herding', ears: 'erect', coat: 0.009, k: { back: 510, width: 0.67, neckLength: 0.425, skullWidth: 0.49, waistDepth: 0.63, elbow: 0.59 } },
  trailer: { known: true, build: 'hound', ears: 'drop', coat: 0.002, k: { back: 560, depth: 0.525, width: 0.63, waistDepth: 0.59, muzzleDepth: 0.55, elbow: 0.6, sternum: 0.225 } },
  /** Thick-set, low in front, wide: no build of ours. */
  barrel: { known: false, ears: 'erect', coat: 0.001, k: { back: 400, depth: 0.6, width: 0.97, waistDepth: 0.64, waistWidth: 0.68, neckLength: 0.31, neckBase: 0.9, collarDepth: 0.66, collarWidth: 1.02, skullWidth: 0.84, head: 0.38, muzzle: 0.24, muzzleDepth: 0.72, elbow: 0.43, stance: 0.92 } },
  /** Tall, narrow, long-necked and shallow. */
  wolfish: { known: false, ears: 'erect', coat: 0.018, k: { back: 640, depth: 0.44, width: 0.6, ahead: 0.15, elbow: 0.69, head: 0.46, muzzle: 0.52, neckLength: 0.36, neckBase: 1.0, collarDepth: 0.58, waistDepth: 0.7, forearm: 0.3, paw: 1.45 } },
  /** Short legs on a short heavy trunk. */
  stump: { known: false, ears: 'drop', coat: 0.004, k: { back: 300, depth: 0.52, width: 0.86, elbow: 0.37, elbowOver: 0.08, ahead: 0.18, neckLength: 0.34, head: 0.46, skullWidth: 0.58, waistDepth: 0.82, waistWidth: 0.88 } },
  /** Very long in the back, of middling leg. */
  plank: { known: false, ears: 'erect', coat: 0.007, k: { back: 640, depth: 0.41, width: 0.74, sternum: 0.24, rib: 0.2, ahead: 0.14, elbow: 0.44, neckLength: 0.36, head: 0.36, waistDepth: 0.76 } },
  /** Tiny and racy. */
  wisp: { known: false, ears: 'erect', coat: 0.001, k: { back: 270, depth: 0.47, width: 0.55, waistDepth: 0.5, waistWidth: 0.62, neckLength: 0.56, neckBase: 0.7, collarDepth: 0.34, head: 0.46, skullWidth: 0.44, elbow: 0.7, forearm: 0.2, croup: 0.08, loin: 0.03 } },
} // prettier-ignore

/** Spread within a kind, and how the stout and the leggy vary together. */
const SPREAD = 0.055
const own: Partial<Record<keyof Proportions, number>> = {
  back: 0.15, ahead: 0.11, sternum: 0.14, rib: 0.22, elbowBack: 0.18, neckLength: 0.08, forearm: 0.08, ear: 0.14, tail: 0.1, wrist: 0.12, density: 0.06, depth: 0.045, width: 0.06,
} // prettier-ignore
const linear: Partial<Record<keyof Proportions, number>> = { croup: 0.018, loin: 0.008, neckAngle: 0.08, elbowOver: 0.025, coat: 0.003 }
const stout: Partial<Record<keyof Proportions, number>> = {
  width: 0.04,
  waistDepth: 0.035,
  waistWidth: 0.04,
  hipWidth: 0.03,
  collarDepth: 0.03,
  neckBase: 0.02,
  forearm: 0.02,
}

export interface Generated {
  kind: string
  known: boolean
  /** What an owner can say. */
  about: About
  /** What perfect tapes would read, mm (M00 kg): the shape's own with 2 % discrepancy each. */
  truth: Record<string, number>
}

const DISCREPANCY = 0.02

/** `count` invented dogs, a third of them of unknown kinds, some of the known ones crosses of two. */
export function generate(count: number, seed: number): Generated[] {
  const random = seeded(seed)
  const gauss = normal(random)
  const names = Object.keys(kinds)
  const pick = (known: boolean): string => {
    const list = names.filter((name) => kinds[name]?.known === known)
    return list[Math.floor(random() * list.length)] as string
  }
  return Array.from({ length: count }, (_, i): Generated => {
    const known = i % 3 !== 2
    const [name, second] = [pick(known), known && random() < 0.2 ? pick(true) : null]
    const [a, b] = [kinds[name] as Kind, second ? (kinds[second] as Kind) : null]
    const condition = gauss()
    const k = { ...base, ...a.k, coat: a.coat }
    if (b) for (const p of parameterNames) k[p] = (k[p] + { ...base, ...b.k, coat: b.coat }[p]) / 2
    for (const p of parameterNames) {
      const sd = linear[p]
      if (sd !== undefined) k[p] += gauss() * sd * (p === 'coat' ? Math.min(1.5, 0.3 + k.coat / 0.006) : 1)
      else k[p] *= Math.exp(gauss() * (own[p] ?? SPREAD) + condition * (stout[p] ?? 0))
    }
    k.coat = Math.max(0, k.coat)
    const traits = { ears: a.ears, sex: random() < 0.5 ? 'male' : 'female' } as const
    const shape = shapeOf(vectorOf(k), traits)
    const lays = laysFor(shape, FORM_MEASURES)
    const truth = Object.fromEntries(FORM_MEASURES.map((id) => [id, readTapes(shape, [id], lays)[0]! * Math.exp(gauss() * DISCREPANCY)]))
    // Half of the owners can name the build; the others only know that it is a dog.
    const told = random() < 0.5
    const about: About = { sex: traits.sex, ...(told && a.build && !b ? { build: a.build } : {}) }
    return { kind: second ? `${name} x ${second}` : name, known, about, truth }
  })
}

/** What tapes read: the truth with the noise of a practised hand. */
export function taped(dog: Generated, ids: readonly string[], gauss: () => number): Record<string, { mm: number; sigmaMm: number }> {
  return Object.fromEntries(
    ids.map((id) => {
      const mm = dog.truth[id] as number
      const sigmaMm = Math.hypot(3, 0.01 * mm)
      return [id, { mm: mm + gauss() * sigmaMm, sigmaMm }]
    }),
  )
}
