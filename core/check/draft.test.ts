import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { describe, expect, it } from 'vitest'
import { cartBalance, routeDraft, traceBalance, TRACES, type Cart, type TraceQuestion } from '../src/index.ts'
import { seeded } from '../../bench/form/random.ts'

const G = 9.80665

describe('a cart against least energy', () => {
  /*
   * The same cart as a body that rolls and tips, held by a very stiff string and stiff loops: where its energy is least
   * is found by Newton's method on differences, and the forces are read off the springs. Statics, no published source.
   */
  const K = 4e6 // N/m

  /** Forces of the spring model; drag of the wheels as a known force, taken from the turn before. */
  function bySprings(cart: Cart): { traceN: number; shaftN: number } {
    const { sin, cos } = { sin: (cart.gradePercent ?? 0) / Math.hypot(cart.gradePercent ?? 0, 100), cos: 100 / Math.hypot(cart.gradePercent ?? 0, 100) }
    const W = cart.masses.reduce((sum, { massKg }) => sum + massKg, 0) * G
    const rise = cart.shafts.levelMm - cart.axleMm
    const start =
      Math.asin(((cart.loopMm ?? cart.shafts.levelMm) - cart.axleMm) / Math.hypot(cart.shafts.aheadMm, rise)) - Math.atan2(rise, cart.shafts.aheadMm)
    const at = (x: number, b: number, ahead: number, height: number): [number, number] => {
      const z = height - cart.axleMm
      return [x + (ahead * Math.cos(b) - z * Math.sin(b)) / 1000, (ahead * Math.sin(b) + z * Math.cos(b)) / 1000]
    }
    const hitch = (x: number, b: number) => at(x, b, cart.hitch.aheadMm, cart.hitch.heightMm)
    const ring: [number, number] = [cart.ring.aheadMm / 1000, (cart.ring.heightMm - cart.axleMm) / 1000]
    const rest = Math.hypot(ring[0] - hitch(0, start)[0], ring[1] - hitch(0, start)[1])
    const loopZ = at(0, start, cart.shafts.aheadMm, cart.shafts.levelMm)[1]
    let drag = 0
    let found = { traceN: 0, shaftN: 0 }
    for (let turn = 0; turn < 12; turn++) {
      const stretch = (x: number, b: number): number => Math.max(0, Math.hypot(ring[0] - hitch(x, b)[0], ring[1] - hitch(x, b)[1]) - rest)
      const sunk = (x: number, b: number): number => loopZ - at(x, b, cart.shafts.aheadMm, cart.shafts.levelMm)[1]
      const energy = ([x, b]: readonly [number, number]): number =>
        cart.masses.reduce((sum, mass) => {
          const [mx, mz] = at(x, b, mass.aheadMm, mass.heightMm)
          return sum + mass.massKg * G * (mx * sin + mz * cos)
        }, 0) +
        (K / 2) * (stretch(x, b) ** 2 + sunk(x, b) ** 2) +
        drag * x
      let u: [number, number] = [-1e-4, start - 1e-5]
      const e = 1e-6
      for (let step = 0; step < 60; step++) {
        const d = (i: 0 | 1): [number, number] => (i === 0 ? [e, 0] : [0, e])
        const f = (p: number, q: number, i: 0 | 1, j: 0 | 1): number => energy([u[0] + p * d(i)[0] + q * d(j)[0], u[1] + p * d(i)[1] + q * d(j)[1]])
        const g = ([0, 1] as const).map((i) => (f(1, 0, i, i) - f(-1, 0, i, i)) / (2 * e))
        const h = ([0, 1] as const).map((i) => ([0, 1] as const).map((j) => (f(1, 1, i, j) - f(1, -1, i, j) - f(-1, 1, i, j) + f(-1, -1, i, j)) / (4 * e * e)))
        const [[a, b], [c, dd]] = h as [[number, number], [number, number]]
        const det = a * dd - b * c
        const [gx, gb] = g as [number, number]
        u = [u[0] - (dd * gx - b * gb) / det, u[1] - (a * gb - c * gx) / det]
        if (Math.abs(gx) + Math.abs(gb) < 1e-7) break
      }
      found = { traceN: K * stretch(...u), shaftN: K * sunk(...u) }
      const rad = Math.atan2(ring[1] - hitch(...u)[1], ring[0] - hitch(...u)[0])
      drag = cart.resistance * (W * cos - found.traceN * Math.sin(rad) - found.shaftN)
    }
    return found
  }

  it('sixty carts pull and press alike within a tenth of a newton', () => {
    const random = seeded(4112)
    const between = (from: number, to: number): number => from + (to - from) * random()
    for (let n = 0; n < 60; n++) {
      const cart: Cart = {
        masses: [
          { massKg: between(6, 16), aheadMm: between(-80, 60), heightMm: between(250, 380) },
          { massKg: between(5, 45), aheadMm: between(-40, 90), heightMm: between(380, 700) },
        ],
        axleMm: between(180, 320),
        shafts: { aheadMm: between(900, 1300), levelMm: between(380, 560) },
        loopMm: between(360, 580),
        hitch: { aheadMm: between(200, 420), heightMm: between(220, 380) },
        ring: { aheadMm: between(800, 1000), heightMm: between(340, 560) },
        resistance: between(0.01, 0.08),
        gradePercent: between(1, 12),
      }
      const [ours, theirs] = [cartBalance(cart), bySprings(cart)]
      expect([n, Math.abs(ours.traceN - theirs.traceN) < 0.1, Math.abs(ours.shaftN - theirs.shaftN) < 0.1]).toEqual([n, true, true])
    }
  })
})

describe('traces against a registry’s solver', () => {
  it('nine cases share alike: forces on eye, bar and rings come to nothing by Levenberg and Marquardt', () => {
    const base: TraceQuestion = {
      pullN: 60,
      upper: { xMm: 55, yMm: 105, zMm: 480 },
      lower: { xMm: 15, yMm: 90, zMm: 345 },
      ringYMm: 145,
      bar: { widthMm: 440, zMm: 310, swings: true },
      lengthMm: { upperLeft: 430, upperRight: 430, lowerLeft: 372, lowerRight: 372, rearLeft: 640, rearRight: 640 },
      webbingN: 57_000,
      giveNpm: 1500,
    }
    const cases: TraceQuestion[] = ([true, false] as const).flatMap((swings) => [
      { ...base, bar: { ...base.bar, swings } },
      { ...base, bar: { ...base.bar, swings }, lengthMm: { ...base.lengthMm, rearLeft: 634 } },
      { ...base, bar: { ...base.bar, swings }, lengthMm: { ...base.lengthMm, upperRight: 424, rearRight: 643 } },
      { ...base, bar: { ...base.bar, swings }, giveNpm: 4000, lengthMm: { ...base.lengthMm, lowerLeft: 369 } },
    ])
    cases.push({ ...base, bar: { ...base.bar, eyeMm: 60 }, lengthMm: { ...base.lengthMm, rearLeft: 628 } })
    for (const [n, question] of cases.entries()) {
      const ours = traceBalance(question)
      const { bar } = question
      type Point = [number, number, number]
      const points = (u: readonly number[]): Record<'eye' | 'barL' | 'barR' | 'ringL' | 'ringR', Point> => {
        const s = bar.swings ? (u[1] ?? 0) / 100 : 0
        const eye = bar.eyeMm ?? 0
        const [x, w] = [u[0] ?? 0, bar.widthMm / 2]
        return {
          eye: [x, 0, bar.zMm],
          barL: [x + eye * Math.cos(s) - w * Math.sin(s), eye * Math.sin(s) + w * Math.cos(s), bar.zMm],
          barR: [x + eye * Math.cos(s) + w * Math.sin(s), eye * Math.sin(s) - w * Math.cos(s), bar.zMm],
          ringL: [u[2] ?? 0, question.ringYMm, u[3] ?? 0],
          ringR: [u[4] ?? 0, -question.ringYMm, u[5] ?? 0],
        }
      }
      const pull = (a: Point, b: Point, L: number, k: number): Point => {
        const r = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2])
        const f = (k * Math.max(0, r - L)) / r
        return [f * (b[0] - a[0]), f * (b[1] - a[1]), f * (b[2] - a[2])]
      }
      const primary = (L: number): number => 1 / (L / question.webbingN + 1000 / question.giveNpm)
      const anchor = (at: TraceQuestion['upper'], side: number): Point => [at.xMm, side * at.yMm, at.zMm]
      /** What is left over: pull on the eye, turning of the bar, both rings along and up. */
      const left = (u: readonly number[]): number[] => {
        const p = points(u)
        const L = question.lengthMm
        const [ul, ll, rl] = [
          pull(p.ringL, anchor(question.upper, 1), L.upperLeft, primary(L.upperLeft)),
          pull(p.ringL, anchor(question.lower, 1), L.lowerLeft, primary(L.lowerLeft)),
          pull(p.ringL, p.barL, L.rearLeft, question.webbingN / L.rearLeft),
        ]
        const [ur, lr, rr] = [
          pull(p.ringR, anchor(question.upper, -1), L.upperRight, primary(L.upperRight)),
          pull(p.ringR, anchor(question.lower, -1), L.lowerRight, primary(L.lowerRight)),
          pull(p.ringR, p.barR, L.rearRight, question.webbingN / L.rearRight),
        ]
        const turning = ([end, f]: [Point, Point]): number => (end[0] - p.eye[0]) * -f[1] - (end[1] - p.eye[1]) * -f[0]
        return [
          -rl[0] - rr[0] - question.pullN,
          bar.swings ? (turning([p.barL, rl]) + turning([p.barR, rr])) / 200 : 0,
          ul[0] + ll[0] + rl[0],
          ul[2] + ll[2] + rl[2],
          ur[0] + lr[0] + rr[0],
          ur[2] + lr[2] + rr[2],
        ]
      }
      const x = [0, 1, 2, 3, 4, 5]
      const L = question.lengthMm
      const ringX = 30 - (L.upperLeft + L.lowerLeft) / 2
      const fitted = levenbergMarquardt(
        { x, y: x.map(() => 0) },
        (u: number[]) => {
          const rest = left(u)
          return (i: number) => rest[Math.round(i)] ?? 0
        },
        {
          initialValues: [ringX - L.rearLeft - 40 - (bar.eyeMm ?? 0), 0, ringX - 20, 400, ringX - 20, 400],
          damping: 1,
          maxIterations: 4000,
          errorTolerance: 1e-14,
          gradientDifference: 1e-5,
          centralDifference: true,
        },
      ).parameterValues
      const p = points(fitted)
      const rest = left(fitted)
      expect([n, Math.hypot(...rest) < 0.05]).toEqual([n, true])
      const along = (ring: Point, end: Point, trace: 'rearLeft' | 'rearRight'): number => -pull(ring, end, L[trace], question.webbingN / L[trace])[0]
      const [l, r] = [along(p.ringL, p.barL, 'rearLeft'), along(p.ringR, p.barR, 'rearRight')]
      expect([n, l / (l + r)]).toEqual([n, expect.closeTo(ours.leftShare, 2)])
      expect([n, TRACES.every((trace) => ours.tensionN[trace] >= 0)]).toEqual([n, true])
    }
  })
})

describe('pull of a rolling load', () => {
  // F = W (C cos theta + sin theta): worked rows (derived).
  it.each([
    [60, 0.015, 0, 8.8],
    [60, 0.015, 5, 38.2],
    [60, 0.05, 0, 29.4],
    [60, 0.05, 8, 76.2],
    [100, 0.02, 0, 19.6],
    [100, 0.1, 3, 127.4],
    [150, 0.05, -4, 14.7],
    [80, 0.3, 0, 235.4],
  ])('%f kg, C %f, grade %f: %f N', (massKg, resistance, gradePercent, newton) => {
    expect(routeDraft({ massKg, stretches: [{ lengthM: 10, resistance, gradePercent }] }).worstN).toBeCloseTo(newton, 1)
  })
})
