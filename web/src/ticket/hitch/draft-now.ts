import {
  cartBalance,
  cutAt,
  dragPull,
  hindLegOf,
  hindStride,
  pullVerdict,
  REACH_SD,
  routeDraft,
  SURFACES,
  tipGrades,
  tipsAt,
  traceBalance,
  turnOf,
  type Cart,
  type CartBalance,
  type DraftPlaces,
  type Form,
  type HindStride,
  type PullVerdict,
  type Rig,
  type RouteDraft,
  type Surface,
  type TraceBalance,
  type Turn,
} from '@merry-tailor/core'

export interface Load {
  name: string
  massKg: number
  aheadMm: number
  heightMm: number
}

/** What is set up, as it is kept on this device until it is locked. */
export interface DraftState {
  rigId: string
  loads: Load[]
  surface: Surface
  gradePercent: number
  lasts: 'long' | 'short'
  /** How high this dog carries the loops; `null`: as its form has it. */
  loopMm: number | null
  /** How much longer than the start the rear traces are. */
  rearLeftMm: number
  rearRightMm: number
  /** How high the bar’s pivot is; `null`: as the rig has it. */
  hitchMm: number | null
  route: Stretch[]
  /** What this dog’s own pulls with a scale say of its give, N/m; `null`: not tried. */
  giveNpm: number | null
}

/** One stretch of the way it is planned for. */
export interface Stretch {
  lengthM: number
  surface: Surface
  gradePercent: number
}

export const isDraft = (kept: unknown): kept is DraftState =>
  typeof kept === 'object' &&
  kept !== null &&
  'rigId' in kept &&
  'loads' in kept &&
  Array.isArray(kept.loads) &&
  'surface' in kept &&
  'route' in kept &&
  Array.isArray(kept.route)

/** Soft, usual and firm, N/m. Ours: nobody knows what coat, flesh and harness give. */
export const GIVES = [
  { label: 'soft', npm: 1500 },
  { label: 'usual', npm: 4000 },
  { label: 'firm', npm: 10_000 },
] as const
/** EA of the webbing, N. From memory, unverified. */
const WEBBING_N = 57_000

export interface DraftNow {
  cart: Cart | null
  /** At the surface’s least and most drag. */
  balance: readonly [CartBalance, CartBalance] | null
  pullN: readonly [number, number]
  verdict: PullVerdict
  tips: { upPercent: number | null; downPercent: number | null } | null
  /** On which slope across, and how fast in its tightest turn, it goes over. */
  over: { sidePercent: number; speedMps: number } | null
  /** Shares of left and right at each give. */
  shares: { label: string; traces: TraceBalance }[]
  startMm: { rear: number }
  stride: HindStride | null
  /** What the reach of a hind paw may be off by. */
  reachSigmaMm: number
  turn: Turn | null
  /** Where the dog’s own places lie ahead of the axle: its x and this. */
  offsetMm: number
  loopMm: number
  ring: { xMm: number; heightMm: number; outMm: number }
  places: DraftPlaces
  hitch: { aheadMm: number; heightMm: number }
  /** Pull, work and holding back along the way; `null` where none is planned. */
  route: RouteDraft | null
}

/** A drag without shafts follows this far behind the dog’s ring. Ours. */
const BEHIND_MM = 900

/** Everything the bench says of a set-up, in one go; a frame is enough for it. */
export function draftNow(form: Form, dogKg: number, rig: Rig, state: DraftState, places: DraftPlaces): DraftNow {
  const [ringX, outMm, ringZ] = places.ring
  const loopMm = state.loopMm ?? places.loop.zMm
  const ring = { xMm: ringX, heightMm: ringZ, outMm }
  const offsetMm = rig.shafts ? rig.shafts.aheadMm - places.loop.xMm : rig.hitch.aheadMm + BEHIND_MM - ringX
  const hitch = { aheadMm: rig.hitch.aheadMm, heightMm: state.hitchMm ?? rig.hitch.heightMm }
  const masses = [
    { massKg: rig.massKg, aheadMm: rig.massAheadMm, heightMm: rig.massHeightMm },
    ...state.loads.filter(({ massKg }) => massKg > 0).map(({ massKg, aheadMm, heightMm }) => ({ massKg, aheadMm, heightMm })),
  ]
  const wholeKg = masses.reduce((sum, { massKg }) => sum + massKg, 0)
  const drags = SURFACES[state.surface]
  const cartOf = (resistance: number): Cart | null =>
    rig.shafts && (rig.kind === 'cart' || rig.kind === 'wagon')
      ? {
          masses,
          axleMm: rig.axleMm,
          shafts: { aheadMm: rig.shafts.aheadMm, levelMm: rig.shafts.levelMm },
          loopMm,
          hitch,
          ring: { aheadMm: ring.xMm + offsetMm, heightMm: ring.heightMm },
          resistance,
          gradePercent: state.gradePercent,
          ...(rig.kind === 'wagon' ? { pole: { massKg: rig.shafts.massKg ?? 4, aheadMm: rig.shafts.aheadMm / 2 } } : {}),
        }
      : null
  const carts = drags.map(cartOf)
  const [least, most] = carts
  const balance = least && most ? ([cartBalance(least), cartBalance(most)] as const) : null
  const lineRad = Math.atan2(ring.heightMm - hitch.heightMm, ring.xMm + offsetMm - hitch.aheadMm)
  const pullN: readonly [number, number] = balance
    ? [balance[0].traceN, balance[1].traceN]
    : [
        dragPull({ massKg: wholeKg, friction: drags[0], lineRad, gradePercent: state.gradePercent }).pullN,
        dragPull({ massKg: wholeKg, friction: drags[1], lineRad, gradePercent: state.gradePercent }).pullN,
      ]
  const usual = Math.max(5, (pullN[0] + pullN[1]) / 2)

  const at = ([xMm, yMm, zMm]: DraftPlaces['upper']) => ({ xMm, yMm: Math.max(20, yMm), zMm })
  const [up, low] = [at(places.upper), at(places.lower)]
  const barX = hitch.aheadMm - offsetMm
  const far = (a: { xMm: number; yMm: number; zMm: number }): number => Math.hypot(a.xMm - ring.xMm, a.yMm - outMm, a.zMm - ring.heightMm)
  const rear = Math.hypot(ring.xMm - barX, outMm - rig.bar.widthMm / 2, ring.heightMm - hitch.heightMm)
  const gives = state.giveNpm === null ? GIVES : [{ label: 'its own', npm: state.giveNpm }]
  const shares = gives.map(({ label, npm }) => ({
    label,
    traces: traceBalance({
      pullN: usual,
      upper: up,
      lower: low,
      ringYMm: outMm,
      bar: { widthMm: rig.bar.widthMm, zMm: hitch.heightMm, swings: rig.bar.swings },
      lengthMm: {
        upperLeft: far(up),
        upperRight: far(up),
        lowerLeft: far(low),
        lowerRight: far(low),
        rearLeft: rear + state.rearLeftMm,
        rearRight: rear + state.rearRightMm,
      },
      webbingN: WEBBING_N,
      giveNpm: npm,
    }),
  }))
  const turn = rig.shafts ? turnOfRig(rig, form, offsetMm) : null
  return {
    cart: most ?? null,
    balance,
    pullN,
    verdict: pullVerdict({ pullN: Math.max(0, pullN[1]), dogKg, lasts: state.lasts }),
    tips: most && rig.kind === 'cart' ? tipGrades(most) : null,
    shares,
    startMm: { rear },
    stride: strideOf(form),
    reachSigmaMm: REACH_SD * (form.sections.withers.tx - form.sections.tail.tx),
    turn,
    over:
      turn && wholeKg > 0
        ? tipsAt({
            trackMm: rig.trackMm,
            heightMm: Math.max(1, masses.reduce((sum, { massKg, heightMm }) => sum + massKg * heightMm, 0) / wholeKg),
            radiusMm: turn.radiusMm,
          })
        : null,
    offsetMm,
    loopMm,
    ring,
    places,
    hitch,
    route:
      state.route.length === 0
        ? null
        : routeDraft({
            massKg: wholeKg,
            stretches: state.route.map(({ lengthM, surface, gradePercent }) => ({ lengthM, gradePercent, resistance: SURFACES[surface][1] })),
          }),
  }
}

function strideOf(form: Form): HindStride | null {
  try {
    return hindStride(hindLegOf(form))
  } catch (problem) {
    if (problem instanceof RangeError) return null
    throw problem
  }
}

function turnOfRig(rig: Rig, form: Form, offsetMm: number): Turn | null {
  if (!rig.shafts || (rig.kind === 'wagon' && (rig.wheelbaseMm === null || rig.lockRad === null))) return null
  return turnOf({
    wheels: rig.kind === 'wagon' ? 4 : 2,
    trackMm: rig.trackMm,
    ...(rig.wheelbaseMm === null ? {} : { wheelbaseMm: rig.wheelbaseMm }),
    ...(rig.lockRad === null ? {} : { lockRad: rig.lockRad }),
    loopAheadMm: rig.shafts.aheadMm,
    noseAheadMm: Math.max(rig.shafts.aheadMm, (form.landmarks.L01?.[0] ?? 0) + 250 + offsetMm),
    dogHalfMm: Math.max(60, ...(cutAt(form, (form.sections.girth.tx + form.sections.lastRib.tx) / 2)?.half.map(([y]) => y) ?? [])),
    tailMm: Math.max(0, -rig.bed.fromMm),
  })
}
