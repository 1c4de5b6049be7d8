import type { Body } from '../measures/index.ts'
import type { Dog } from '../model/index.ts'
import { findBreed, type Build } from '../reference/index.ts'
import { buildTypes, type BuildType } from './build-types.ts'

/** Parts of the paper dog whose shape a reading can vouch for. */
export type FigurePart = 'neck' | 'ribs' | 'loin' | 'haunch' | 'chest'

export type FigureAbout = Pick<Dog, 'breed' | 'crossWith' | 'weightKg' | 'flatFace'>

/**
 * Side view in millimetres: x forward of the withers, y above the floor.
 * What moves what: M14 (else M13, M12) the tail base; M07 the depth of the chest; M01 the breastbone; M06 the
 * sternum's end; M10 (else M11, M12) the last rib on the tape's own line. Everything else follows the build.
 */
export interface Figure {
  backMm: number
  depthMm: number
  widthMm: number
  legMm: number
  headMm: number
  tailMm: number
  waistShare: number
  ears: 'erect' | 'drop'
  flatFace: boolean
  build: Build
  withers: { x: number; y: number }
  breastbone: { x: number; y: number }
  /** Lowest point between the forelegs, where the under-route passes. */
  underLegs: { x: number; y: number }
  sternumEnd: { x: number; y: number }
  lastRib: { x: number; y: number }
  tailBase: { x: number; y: number }
  /** Parts shaped by a reading; the others are a guess from the build and are drawn dashed. */
  vouched: FigurePart[]
}

type Point = { x: number; y: number }

const between = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value))
const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y)

/** Nothing on a dog is measured shorter than this; a smaller number is no reading to draw by. */
const LEAST_MM = 20

/** A half harness neck runs round the shoulder: longer than the straight line by about this much. Ours, for drawing. */
const NECK_BOW = 1.12
/** The last rib on the tape's line lies about this far from foreleg to tail base. Ours, for drawing. */
const RIB_PLACE = 0.44

function buildOf(about: FigureAbout | null): Build {
  const known = [about?.breed, about?.crossWith].map((name) => (name ? findBreed(name) : undefined)).find(Boolean)
  if (known) return known.build
  if (about?.weightKg && about.weightKg < 5) return 'toy'
  if (about?.weightKg && about.weightKg > 50) return 'giant'
  return 'retriever'
}

function guessedBackMm(type: BuildType, about: FigureAbout | null, girthMm: number | undefined): number {
  if (girthMm !== undefined) return girthMm / ((Math.PI / 2) * (1 + type.width) * type.depth)
  if (about?.weightKg) return type.backMm * Math.cbrt(about.weightKg / type.weightKg)
  return type.backMm
}

/**
 * The figure of one dog from the tapes that exist and the build for the rest.
 *
 * Never throws; readings far out of proportion are held within half and double of the build's shape, so that the
 * picture stays a dog while the questions about the readings are asked elsewhere.
 */
export function figure(body: Body, about: FigureAbout | null): Figure {
  const build = buildOf(about)
  const type = buildTypes[build]
  const read = (id: string): number | undefined => {
    const mm = body[id]?.mm
    return typeof mm === 'number' && Number.isFinite(mm) && mm > LEAST_MM ? mm : undefined
  }
  const girth = read('M07')
  const guessed = guessedBackMm(type, about, girth)
  const back = read('M14') ?? (read('M13') !== undefined ? (read('M13') ?? 0) / 1.17 : undefined)
  const backMm = back === undefined ? guessed : girth === undefined ? back : between(back, guessed * 0.6, guessed * 1.7)
  const depthGuess = type.depth * backMm
  const depthMm = girth === undefined ? depthGuess : between((2 * girth) / (Math.PI * (1 + type.width)), depthGuess * 0.6, depthGuess * 1.6)
  const legMm = type.leg * (read('M14') === undefined ? backMm : guessed * 0.5 + backMm * 0.5)

  const withers = { x: 0, y: legMm + depthMm * 0.97 }
  const brisket = withers.y - depthMm
  const tailBase = { x: -backMm * 0.995, y: withers.y - backMm * 0.06 }
  const dropMm = type.drop * depthMm
  const aheadGuess = type.ahead * backMm
  const neck = read('M01')
  const reach = neck === undefined ? undefined : neck / 2 / NECK_BOW
  const aheadMm = reach === undefined ? aheadGuess : between(Math.sqrt(Math.max(0, reach ** 2 - dropMm ** 2)), aheadGuess * 0.5, aheadGuess * 1.9)
  const breastbone = { x: aheadMm, y: withers.y - dropMm }
  const underLegs = { x: -0.02 * backMm, y: brisket + depthMm * 0.03 }
  const firstLeg = distance(breastbone, underLegs)

  const sternum = between((read('M06') ?? type.sternum * backMm) - firstLeg, backMm * 0.08, backMm * 0.5)
  const sternumEnd = { x: underLegs.x - sternum, y: brisket + depthMm * 0.04 }

  const line = distance(underLegs, tailBase)
  const [under, onward, over] = [read('M10'), read('M12'), read('M11')]
  const along =
    under !== undefined
      ? (under - firstLeg) / line
      : onward !== undefined
        ? 1 - onward / line
        : over !== undefined
          ? between(over / backMm / 1.15, 0.25, 0.7)
          : RIB_PLACE
  const at = between(along, 0.25, 0.72)
  const lastRib = { x: underLegs.x + (tailBase.x - underLegs.x) * at, y: underLegs.y + (tailBase.y - underLegs.y) * at }

  const vouched: FigurePart[] = []
  if (neck !== undefined) vouched.push('neck')
  if (girth !== undefined) vouched.push('ribs')
  if (read('M06') !== undefined || under !== undefined) vouched.push('chest')
  if (under !== undefined || onward !== undefined || over !== undefined) vouched.push('loin')
  if (back !== undefined) vouched.push('haunch', ...(vouched.includes('loin') ? [] : (['loin'] as const)))

  return {
    backMm,
    depthMm,
    widthMm: depthMm * type.width,
    legMm,
    headMm: type.head * (guessed * 0.6 + backMm * 0.4),
    tailMm: type.tail * backMm,
    waistShare: type.waist,
    ears: type.ears,
    flatFace: about?.flatFace ?? findBreed(about?.breed ?? '')?.flatFace ?? false,
    build,
    withers,
    breastbone,
    underLegs,
    sternumEnd,
    lastRib,
    tailBase,
    vouched,
  }
}
