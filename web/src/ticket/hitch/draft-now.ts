import {
  cartBalance,
  cutAt,
  dragPull,
  hindLegOf,
  hindStride,
  pullVerdict,
  SURFACES,
  tipGrades,
  traceBalance,
  turnOf,
  type Cart,
  type CartBalance,
  type Form,
  type HindStride,
  type PullVerdict,
  type Rig,
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
}

export const isDraft = (kept: unknown): kept is DraftState =>
  typeof kept === 'object' && kept !== null && 'rigId' in kept && 'loads' in kept && Array.isArray(kept.loads) && 'surface' in kept

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
  /** Shares of left and right at each give. */
  shares: { label: string; traces: TraceBalance }[]
  startMm: { rear: number }
  stride: HindStride | null
  turn: Turn | null
  /** Where the dog’s own places lie ahead of the axle: its x and this. */
  offsetMm: number
  loopMm: number
  ring: { xMm: number; heightMm: number; outMm: number }
}

/** A drag without shafts follows this far behind the dog’s ring. Ours. */
const BEHIND_MM = 900

/** Everything the bench says of a set-up, in one go; a frame is enough for it. */
export function draftNow(form: Form, dogKg: number, rig: Rig, state: DraftState): DraftNow {
  const { sections, landmarks, measures } = form
  const ringX = (sections.girth.tx + sections.lastRib.tx) / 2
  const carried = measures.M46?.mm ?? (sections.girth.tz + sections.girth.uz) / 2
  const loopMm = state.loopMm ?? carried
  const cut = cutAt(form, ringX)
  const outMm = Math.max(60, ...(cut?.half.map(([y]) => y) ?? []))
  const ring = { xMm: ringX, heightMm: carried * 0.94, outMm }
  const offsetMm = rig.shafts ? rig.shafts.aheadMm - sections.girth.tx : rig.hitch.aheadMm + BEHIND_MM - ringX
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
          hitch: rig.hitch,
          ring: { aheadMm: ring.xMm + offsetMm, heightMm: ring.heightMm },
          resistance,
          gradePercent: state.gradePercent,
          ...(rig.kind === 'wagon' ? { pole: { massKg: rig.shafts.massKg ?? 4, aheadMm: rig.shafts.aheadMm / 2 } } : {}),
        }
      : null
  const carts = drags.map(cartOf)
  const [least, most] = carts
  const balance = least && most ? ([cartBalance(least), cartBalance(most)] as const) : null
  const lineRad = Math.atan2(ring.heightMm - rig.hitch.heightMm, ring.xMm + offsetMm - rig.hitch.aheadMm)
  const pullN: readonly [number, number] = balance
    ? [balance[0].traceN, balance[1].traceN]
    : [
        dragPull({ massKg: wholeKg, friction: drags[0], lineRad, gradePercent: state.gradePercent }).pullN,
        dragPull({ massKg: wholeKg, friction: drags[1], lineRad, gradePercent: state.gradePercent }).pullN,
      ]
  const usual = Math.max(5, (pullN[0] + pullN[1]) / 2)

  const upper = landmarks.L21 ?? landmarks.L05
  const lower = landmarks.L01
  const at = (p: readonly [number, number, number] | undefined, out: number) => ({
    xMm: p?.[0] ?? 0,
    yMm: Math.max(20, Math.abs(p?.[1] ?? out), out * 0.5),
    zMm: p?.[2] ?? carried,
  })
  const [up, low] = [at(upper, outMm), at(lower, outMm * 0.5)]
  const barX = rig.hitch.aheadMm - offsetMm
  const far = (a: { xMm: number; yMm: number; zMm: number }): number => Math.hypot(a.xMm - ring.xMm, a.yMm - outMm, a.zMm - ring.heightMm)
  const rear = Math.hypot(ring.xMm - barX, outMm - rig.bar.widthMm / 2, ring.heightMm - rig.hitch.heightMm)
  const shares = GIVES.map(({ label, npm }) => ({
    label,
    traces: traceBalance({
      pullN: usual,
      upper: up,
      lower: low,
      ringYMm: outMm,
      bar: { widthMm: rig.bar.widthMm, zMm: rig.hitch.heightMm, swings: rig.bar.swings },
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
  return {
    cart: most ?? null,
    balance,
    pullN,
    verdict: pullVerdict({ pullN: Math.max(0, pullN[1]), dogKg, lasts: state.lasts }),
    tips: most && rig.kind === 'cart' ? tipGrades(most) : null,
    shares,
    startMm: { rear },
    stride: strideOf(form),
    turn: rig.shafts ? turnOfRig(rig, form, offsetMm) : null,
    offsetMm,
    loopMm,
    ring,
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
