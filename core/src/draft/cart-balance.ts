import { askNumbers, GRAVITY, slopeOf } from '../units/index.ts'

/** A place on the cart: ahead of the axle (towards the dog), and above the ground, mm. */
export interface CartPlace {
  aheadMm: number
  heightMm: number
}

export interface CartMass extends CartPlace {
  massKg: number
}

/** A cart described standing level. Ahead is towards the dog; what lies behind the axle is minus. */
export interface Cart {
  masses: readonly CartMass[]
  axleMm: number
  /** Where the loops hold the shafts: ahead of the axle, and their height while the cart stands level. */
  shafts: { aheadMm: number; levelMm: number }
  /** How high this dog carries the loops; missing: as high as the level cart has them. */
  loopMm?: number
  /** Pivot of the bar on the cart. */
  hitch: CartPlace
  /** The ring of the harness the traces pull from; it stands with the dog and does not tip. */
  ring: CartPlace
  /** Where breeching holds the cart back; missing: at the loops' stops. */
  holdAt?: CartPlace
  /** Share of the weight that resists rolling. */
  resistance: number
  /** Rise over a hundred of level way; minus downhill. */
  gradePercent?: number
  /** The dog slows the cart by so much. */
  brakeMps2?: number
  /** A wagon: shafts hinged at its front axle; their mass and its place ahead of the hinge. They alone rest on the dog. */
  pole?: { massKg: number; aheadMm: number }
}

export interface CartBalance {
  /** Pull of both traces together; 0 where they hang slack. */
  traceN: number
  /** Their direction, plus rising towards the dog. */
  traceRad: number
  /** What the dog holds back, at the loops or the breeching. */
  holdBackN: number
  /** Rests on the dog at the loops; minus: the shafts lift. */
  shaftN: number
  /** What the belly band holds down. */
  bellyBandN: number
  wheelN: number
  /** Everything that presses on the dog: shafts, and what the traces bear on it. */
  onDogN: number
  /** How far the cart is tipped, plus with its front up. */
  pitchRad: number
}

/** A point of the cart about its axle, along and square to the way, turned with the cart. */
const turned = ({ aheadMm, heightMm }: CartPlace, axleMm: number, pitch: number): readonly [number, number] => {
  const z = heightMm - axleMm
  return [aheadMm * Math.cos(pitch) - z * Math.sin(pitch), aheadMm * Math.sin(pitch) + z * Math.cos(pitch)]
}

function ask(cart: Cart): void {
  if (cart.masses.length === 0) throw new RangeError('masses: none')
  for (const { massKg, aheadMm, heightMm } of cart.masses) {
    askNumbers({ massKg, heightMm }, 0)
    askNumbers({ aheadMm })
  }
  askNumbers({ axleMm: cart.axleMm, 'shafts.aheadMm': cart.shafts.aheadMm }, 1)
  askNumbers({ 'shafts.levelMm': cart.shafts.levelMm, resistance: cart.resistance }, 0)
  for (const place of [cart.hitch, cart.ring, ...(cart.holdAt ? [cart.holdAt] : [])]) askNumbers({ aheadMm: place.aheadMm, heightMm: place.heightMm })
  askNumbers({ brakeMps2: cart.brakeMps2 ?? 0 }, 0)
  if (cart.pole) askNumbers({ 'pole.massKg': cart.pole.massKg, 'pole.aheadMm': cart.pole.aheadMm }, 0)
}

/** How far the cart tips so that its loops come to the height the dog carries them at. */
export function pitchOf({ axleMm, shafts, loopMm = shafts.levelMm, pole }: Cart): number {
  if (pole) return 0
  askNumbers({ loopMm }, 0)
  const rise = shafts.levelMm - axleMm
  const long = Math.hypot(shafts.aheadMm, rise)
  if (Math.abs(loopMm - axleMm) >= long) throw new RangeError('loopMm: the shafts do not reach that high or low')
  return Math.asin((loopMm - axleMm) / long) - Math.atan2(rise, shafts.aheadMm)
}

/**
 * What a cart on the way does to its dog: pull, what rests on it, what it holds back.
 *
 * Three unknowns in one linear system (traces, loops, wheels), axes along and square to the way, origin on the axle. Where
 * the traces would push they hang slack and the dog holds back. The cart is described level and tipped about its axle to
 * the loops' height first; the dog's ring is not. Rolling drag acts on the body at the axle.
 *
 * @throws RangeError for a number that is none, nothing on the axle, or loops the shafts do not reach
 * Source: statics of a rigid body; checked against least energy in `core/check`
 */
export function cartBalance(cart: Cart): CartBalance {
  ask(cart)
  const { masses, axleMm, shafts, hitch, ring, resistance: C, gradePercent = 0, brakeMps2 = 0, pole } = cart
  const { sin, cos } = slopeOf(gradePercent)
  const pitch = pitchOf(cart)
  const loadKg = masses.reduce((sum, { massKg }) => sum + massKg, 0)
  const massKg = loadKg + (pole?.massKg ?? 0)
  const [a, h] = masses
    .map((mass) => [mass.massKg, turned(mass, axleMm, pitch)] as const)
    .reduce<[number, number]>(([x, z], [kg, at]) => [x + (loadKg > 0 ? kg / loadKg : 0) * at[0], z + (loadKg > 0 ? kg / loadKg : 0) * at[1]], [0, 0])
  const [B, Q] = [massKg * GRAVITY * sin - massKg * brakeMps2, massKg * GRAVITY * cos]
  const [xh, zh] = turned(hitch, axleMm, pitch)
  const [xl] = turned({ aheadMm: shafts.aheadMm, heightMm: shafts.levelMm }, axleMm, pitch)
  const [, zp] = turned(cart.holdAt ?? { aheadMm: shafts.aheadMm, heightMm: shafts.levelMm }, axleMm, pitch)
  const traceRad = Math.atan2(ring.heightMm - axleMm - zh, ring.aheadMm - xh)
  const [c, s] = [Math.cos(traceRad), Math.sin(traceRad)]
  if (c <= 0) throw new RangeError('ring: it does not lie ahead of the hitch')

  if (pole) {
    // Hinged shafts carry nothing of the load: they rest on the dog by their own lever.
    const shaftN = (pole.massKg * GRAVITY * cos * pole.aheadMm) / shafts.aheadMm
    const pull = (B + C * (Q - shaftN)) / (c + C * s)
    const traceN = Math.max(0, pull)
    const wheelN = Q - shaftN - traceN * s
    return balanceOf({ traceN, traceRad, holdBackN: pull < 0 ? -B - C * (Q - shaftN) : 0, shaftN, wheelN, pitchRad: 0 })
  }
  const moment = Q * a - B * h
  // T (c + C s) + C V = B + C Q;  T (xh s - zh c) + V xl = Q a - B h
  const [m11, m12, m21, m22] = [c + C * s, C, xh * s - zh * c, xl]
  const det = m11 * m22 - m12 * m21
  const traceN = ((B + C * Q) * m22 - m12 * moment) / det
  if (traceN >= 0) {
    const shaftN = (m11 * moment - m21 * (B + C * Q)) / det
    return balanceOf({ traceN, traceRad, holdBackN: 0, shaftN, wheelN: Q - shaftN - traceN * s, pitchRad: pitch })
  }
  // -H - C N = B;  V + N = Q;  H zp + V xl = Q a - B h
  const shaftN = (moment + (B + C * Q) * zp) / (xl + C * zp)
  return balanceOf({ traceN: 0, traceRad, holdBackN: -B - C * (Q - shaftN), shaftN, wheelN: Q - shaftN, pitchRad: pitch })
}

const balanceOf = (known: Omit<CartBalance, 'bellyBandN' | 'onDogN'>): CartBalance => ({
  ...known,
  bellyBandN: Math.max(0, -known.shaftN),
  onDogN: known.shaftN + known.traceN * Math.sin(known.traceRad),
})

/** The evaluations a wished weight takes at most; without a change from pull to holding back two are exact. */
const TURNS = 12

/**
 * Where one load must stand so that so much rests on the dog at the loops, mm ahead of the axle.
 *
 * @param i which of the masses is moved
 * @param shaftN what should rest there, N; minus: so much should lift
 * @throws RangeError as `cartBalance`, for a mass there is not, one without weight, or a wagon
 */
export function loadPlace(cart: Cart, i: number, shaftN: number): number {
  const mass = cart.masses[i]
  if (!mass) throw new RangeError('i: there is no such load')
  if (!(mass.massKg > 0)) throw new RangeError('i: a load without weight moves nothing')
  if (cart.pole) throw new RangeError('pole: no load of a wagon rests on the dog')
  askNumbers({ shaftN })
  const off = (aheadMm: number): number =>
    cartBalance({ ...cart, masses: cart.masses.map((each, k) => (k === i ? { ...each, aheadMm } : each)) }).shaftN - shaftN
  let [before, at] = [mass.aheadMm, mass.aheadMm + 10]
  let [offBefore, offAt] = [off(before), off(at)]
  for (let turn = 0; turn < TURNS && Math.abs(offAt) > 1e-9; turn++) {
    const next = at - (offAt * (at - before)) / (offAt - offBefore)
    ;[before, offBefore] = [at, offAt]
    ;[at, offAt] = [next, off(next)]
  }
  return at
}

/** Steeper than this no dog is asked to go with a cart. */
const STEEPEST = 30

/**
 * The grades at which nothing rests on the dog any more and the shafts begin to lift, per cent, both without a sign; `null`
 * where that is past 30, 0 where they lift on the level already.
 */
export function tipGrades(cart: Cart): { upPercent: number | null; downPercent: number | null } {
  const rests = (gradePercent: number): number => cartBalance({ ...cart, gradePercent }).shaftN
  const first = (way: 1 | -1): number | null => {
    if (rests(0) <= 0) return 0
    for (let grade = 0.5; grade <= STEEPEST; grade += 0.5) {
      if (rests(way * grade) > 0) continue
      let [flat, steep] = [grade - 0.5, grade]
      for (let turn = 0; turn < 40; turn++) {
        const middle = (flat + steep) / 2
        if (rests(way * middle) > 0) flat = middle
        else steep = middle
      }
      return steep
    }
    return null
  }
  return { upPercent: first(1), downPercent: first(-1) }
}
