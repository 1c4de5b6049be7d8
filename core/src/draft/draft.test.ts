import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hindLegOf, solveForm, typicalForm } from '../form/index.ts'
import {
  cartBalance, draftParts, draftPlaces, draftStart, dragPull, giveFrom, hindStride, loadFor, loadPlace, minutesByStep, nextRung, pairPull, pinFor, pullVerdict, routeDraft, shaftLoop, startPull, tipGrades,
  tipsAt, traceBalance, turnOf, type Cart, type OutingSaid, type TraceQuestion,
} from './index.ts' // prettier-ignore

const cart: Cart = {
  masses: [
    { massKg: 11, aheadMm: -30, heightMm: 320 },
    { massKg: 30, aheadMm: 20, heightMm: 520 },
  ],
  axleMm: 250,
  shafts: { aheadMm: 1150, levelMm: 470 },
  hitch: { aheadMm: 320, heightMm: 300 },
  ring: { aheadMm: 950, heightMm: 430 },
  resistance: 0.025,
}

describe('what each strap took', () => {
  const at = (minutes: number) => new Date(Date.UTC(2026, 2, 1, 9, minutes)).toISOString()
  it('is told from the one before, or from the beginning; what was left lying or taken back counts for nothing', () => {
    const settings = [
      { part: 'keel', at: at(12) },
      { part: 'neck', at: at(7) },
      { part: 'neck', at: at(9), struck: { why: 'slip', at: at(9), by: '' } },
      { part: 'back', at: at(140) },
      { part: 'keel', at: at(143) },
    ]
    expect(minutesByStep(settings, at(0))).toEqual({ neck: 7, keel: 8 })
    expect(minutesByStep(settings, null)).toEqual({ keel: 8 })
    expect(minutesByStep([], at(0))).toEqual({})
  })
})

describe('where it runs on the dog', () => {
  it('the ring lies between cinch and last rib, the cinch behind the elbow, the band ahead of the breastbone’s end', () => {
    for (const build of ['nordic', 'giant', 'toy'] as const) {
      const form = typicalForm({ build })
      const places = draftPlaces({ form, body: {}, gauge: null, hitchMm: 285 })
      const [elbow, rib, sternum] = [form.landmarks.L06?.[0] ?? 0, form.landmarks.L12?.[0] ?? 0, form.landmarks.L02?.[0] ?? 0]
      expect([build, places.cinch.xMm < elbow, places.ring[0] < places.cinch.xMm, places.ring[0] > rib, places.band.xMm > sternum - 30]).toEqual([
        build,
        true,
        true,
        true,
        true,
      ])
    }
    expect(() => draftPlaces({ form: typicalForm(null), body: {}, gauge: null, hitchMm: -5 })).toThrow(RangeError)
  })

  it('starts are less sure the less was taped, and their spread comes from the form', () => {
    const wide = (body: Parameters<typeof solveForm>[0]) => {
      const form = solveForm(body, { build: 'nordic' })
      return draftStart({ form, body, family: 'H23', gauge: null, rig: { shaftMm: 25, stopMm: 45, hitchMm: 285 } }).straps
    }
    const one = { M07: { mm: 720, sigmaMm: 5 } }
    const { measures } = solveForm(one, { build: 'nordic' })
    const [few, more] = [
      wide(one),
      wide({ ...one, ...Object.fromEntries(['M01', 'M06', 'M13', 'M14'].map((id) => [id, { mm: measures[id]?.mm ?? 0, sigmaMm: 5 }])) }),
    ]
    for (const part of ['neck', 'upper', 'lower', 'rear'] as const) expect([part, (more[part]?.sigmaMm ?? 0) < (few[part]?.sigmaMm ?? 0)]).toEqual([part, true])
  })
})

describe('a cart on the way', () => {
  it('a load moved a centimetre ahead rests its lever more: 30 kg on shafts of 1.15 m about 2.6 N', () => {
    const at = (aheadMm: number) => cartBalance({ ...cart, masses: [cart.masses[0]!, { ...cart.masses[1]!, aheadMm }] }).shaftN
    expect((at(30) - at(20)) / 1).toBeCloseTo((30 * 9.80665 * 10) / 1150, 1)
  })

  it('everything that presses down is carried: wheels, loops and what the traces bear', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -150, max: 300, noNaN: true }),
        fc.double({ min: -12, max: 12, noNaN: true }),
        fc.double({ min: 380, max: 560, noNaN: true }),
        (aheadMm, gradePercent, loopMm) => {
          const masses = [{ massKg: 25, aheadMm, heightMm: 480 }]
          const found = cartBalance({ ...cart, masses, gradePercent, loopMm })
          const cos = 100 / Math.hypot(gradePercent, 100)
          expect(found.wheelN + found.onDogN).toBeCloseTo(25 * 9.80665 * cos, 6)
          expect(found.traceN * found.holdBackN).toBe(0)
          expect(found.bellyBandN).toBe(Math.max(0, -found.shaftN))
        },
      ),
      { numRuns: 80 },
    )
  })

  it('pulls up and holds back down, tips with the loops’ height, and a load high and aft lifts the shafts uphill', () => {
    expect(cartBalance({ ...cart, gradePercent: 6 }).traceN).toBeGreaterThan(cartBalance(cart).traceN)
    const down = cartBalance({ ...cart, gradePercent: -8 })
    expect([down.traceN, down.holdBackN > 0]).toEqual([0, true])
    expect(cartBalance({ ...cart, brakeMps2: 1.5 }).holdBackN).toBeGreaterThan(0)
    expect(cartBalance({ ...cart, loopMm: 540 }).pitchRad).toBeGreaterThan(0)
    expect(cartBalance({ ...cart, loopMm: 540 }).shaftN).toBeLessThan(cartBalance(cart).shaftN)
    expect(cartBalance({ ...cart, loopMm: 470 }).pitchRad).toBeCloseTo(0, 12)
    const aft: Cart = { ...cart, masses: [{ massKg: 30, aheadMm: -10, heightMm: 700 }, { massKg: 11, aheadMm: 60, heightMm: 300 }] } // prettier-ignore
    expect(cartBalance({ ...aft, gradePercent: 12 }).shaftN).toBeLessThan(cartBalance(aft).shaftN)
  })

  it('says where the load goes for a wished weight, and at which grades the shafts lift', () => {
    for (const wished of [0, 12, 25]) {
      const place = loadPlace(cart, 1, wished)
      expect(cartBalance({ ...cart, masses: cart.masses.map((mass, i) => (i === 1 ? { ...mass, aheadMm: place } : mass)) }).shaftN).toBeCloseTo(wished, 6)
    }
    const { upPercent, downPercent } = tipGrades(cart)
    for (const [grade, way] of [[upPercent, 1], [downPercent, -1]] as const) if (grade !== null) expect(Math.abs(cartBalance({ ...cart, gradePercent: way * grade }).shaftN)).toBeLessThan(0.01) // prettier-ignore
    expect(upPercent).not.toBeNull()
  })

  it('a wagon’s shafts alone rest on the dog', () => {
    const wagon: Cart = { ...cart, pole: { massKg: 4, aheadMm: 575 } }
    const near = cartBalance(wagon)
    expect(near.shaftN).toBeCloseTo((4 * 9.80665 * 575) / 1150, 6)
    expect(cartBalance({ ...wagon, masses: [{ massKg: 60, aheadMm: 200, heightMm: 500 }] }).shaftN).toBeCloseTo(near.shaftN, 9)
  })

  it('refuses what no cart is', () => {
    expect(() => cartBalance({ ...cart, masses: [] })).toThrow(RangeError)
    expect(() => cartBalance({ ...cart, loopMm: 2000 })).toThrow(/do not reach/)
    expect(() => cartBalance({ ...cart, resistance: -0.1 })).toThrow(RangeError)
    expect(() => cartBalance({ ...cart, gradePercent: Number.NaN })).toThrow(RangeError)
    expect(() => loadPlace(cart, 7, 10)).toThrow(/no such load/)
  })
})

const traces = (over: Partial<TraceQuestion> = {}, shorter: Partial<TraceQuestion['lengthMm']> = {}): TraceQuestion => ({
  pullN: 40,
  upper: { xMm: 60, yMm: 110, zMm: 470 },
  lower: { xMm: 20, yMm: 95, zMm: 330 },
  ringYMm: 140,
  bar: { widthMm: 420, zMm: 300, swings: true },
  lengthMm: { upperLeft: 420, upperRight: 420, lowerLeft: 360, lowerRight: 360, rearLeft: 620, rearRight: 620, ...shorter },
  webbingN: 57_000,
  giveNpm: 1500,
  ...over,
})

describe('traces', () => {
  it('equal ones share alike, and the mirror of a case is its mirror', () => {
    const even = traceBalance(traces())
    expect([even.leftShare, even.skewRad]).toEqual([expect.closeTo(0.5, 6), expect.closeTo(0, 6)])
    const left = traceBalance(traces({}, { rearLeft: 612, upperLeft: 417 }))
    const right = traceBalance(traces({}, { rearRight: 612, upperRight: 417 }))
    expect(left.leftShare).toBeCloseTo(1 - right.leftShare, 5)
    expect(left.skewRad).toBeCloseTo(-right.skewRad, 6)
    expect(left.upperShare.left).toBeCloseTo(right.upperShare.right, 5)
  })

  it('a bar that swings levels two centimetres out to under a hundredth, and skews by them; a fixed one does not', () => {
    const swung = traceBalance(traces({}, { rearLeft: 600 }))
    expect(Math.abs(swung.leftShare - 0.5)).toBeLessThan(0.01)
    // The longer right end lies back: the left end does not.
    expect(swung.skewRad).toBeCloseTo(-Math.asin(20 / 420), 2)
    const shares = [4000, 1500].map((giveNpm) => traceBalance(traces({ giveNpm, bar: { widthMm: 420, zMm: 300, swings: false } }, { rearLeft: 615 })).leftShare)
    expect(shares[0]).toBeGreaterThan(0.8)
    expect(shares[1]).toBeGreaterThan(0.55)
    expect(shares[1]).toBeLessThan(0.75)
    expect(traceBalance(traces({ giveNpm: 10_000, bar: { widthMm: 420, zMm: 300, swings: false } }, { rearLeft: 615 })).leftShare).toBeGreaterThan(0.98)
  })

  it('the pull of the rear traces is the pull, and a trace far too long hangs slack', () => {
    const found = traceBalance(traces({}, { lowerLeft: 470, lowerRight: 470 }))
    expect(found.slack).toEqual(['lowerLeft', 'lowerRight'])
    expect(found.upperShare).toEqual({ left: 1, right: 1 })
    expect(() => traceBalance(traces({ giveNpm: 0 }))).toThrow(RangeError)
    expect(() => traceBalance(traces({}, { rearLeft: Number.NaN }))).toThrow(RangeError)
  })

  it('reads what this dog gives from its own pulls, whatever the scale’s zero', () => {
    expect(giveFrom([{ pullN: 20, mm: 10 }, { pullN: 50, mm: 30 }])).toBeCloseTo(1500, 6) // prettier-ignore
    expect(giveFrom([{ pullN: 25, mm: 110 }, { pullN: 55, mm: 130 }])).toBeCloseTo(1500, 6) // prettier-ignore
    expect(() => giveFrom([{ pullN: 20, mm: 10 }])).toThrow(RangeError)
    expect(() => giveFrom([{ pullN: 20, mm: 10 }, { pullN: 10, mm: 20 }])).toThrow(RangeError) // prettier-ignore
  })
})

describe('the hind leg in stride', () => {
  it.each(['nordic', 'retriever', 'toy', 'giant', 'sighthound'] as const)('reaches behind its tail base and keeps its joints together: %s', (build) => {
    const form = typicalForm({ build })
    const leg = hindLegOf(form)
    const stride = hindStride(leg)
    const back = form.sections.withers.tx - form.sections.tail.tx
    expect(stride.pawRearMm).toBeLessThan(stride.toeOffMm)
    const behind = (form.sections.tail.tx - stride.pawRearMm) / back
    expect(behind).toBeGreaterThan(0.12)
    expect(behind).toBeLessThan(0.6)
    // The hock segment keeps its length all the way round, and the hock stays short of the paw.
    const long = Math.hypot(leg.hock[0] - leg.paw[0], leg.hock[1] - leg.paw[1])
    stride.hockPath.forEach((hock, i) => {
      const paw = stride.pawPath[i] ?? [0, 0]
      expect(Math.hypot(hock[0] - paw[0], hock[1] - paw[1])).toBeCloseTo(long, 6)
      expect(hock[1]).toBeGreaterThan(paw[1])
    })
    expect(stride.hockRearMm).toBeGreaterThan(stride.pawRearMm - long)
  })

  it('refuses a leg that does not reach the floor', () => {
    expect(() => hindStride({ hip: [0, 900], stifle: [80, 700], hock: [0, 600], paw: [10, 0] } as unknown as Parameters<typeof hindStride>[0])).not.toThrow()
    expect(() => hindStride({ hip: [0, 0], stifle: [80, 10], hock: [0, 20], paw: [10, 300] } as unknown as Parameters<typeof hindStride>[0])).toThrow(
      RangeError,
    )
  })
})

describe('turning, pairs, drags and loops', () => {
  it('a cart turns as its dog can go across; a wagon by its lock; both tip where their middle is high', () => {
    const two = turnOf({ wheels: 2, trackMm: 700, loopAheadMm: 1150, noseAheadMm: 1700, dogHalfMm: 130, tailMm: 500 })
    expect(two.radiusMm).toBeCloseTo(1150 / Math.tan(Math.PI / 9), 6)
    expect(two.laneMm).toBeCloseTo(two.outsideMm - two.insideMm, 9)
    const wagon = turnOf({ wheels: 4, trackMm: 700, wheelbaseMm: 900, lockRad: 0.6, loopAheadMm: 1150, noseAheadMm: 1700, dogHalfMm: 130, tailMm: 300 })
    expect(wagon.radiusMm ** 2 + 900 ** 2).toBeCloseTo(Math.max(900 / Math.sin(0.6), 1150 / Math.tan(Math.PI / 9)) ** 2, 3)
    expect(() => turnOf({ wheels: 4, trackMm: 700, loopAheadMm: 1150, noseAheadMm: 1700, dogHalfMm: 130, tailMm: 300 })).toThrow(RangeError)
    expect(tipsAt({ trackMm: 700, heightMm: 700, radiusMm: 2500 })).toEqual({
      sidePercent: 50,
      speedMps: expect.closeTo(Math.sqrt(9.80665 * 2.5 * 0.5), 9) as number,
    })
  })

  it('a pair shares by its arms, and the one ahead by the pin', () => {
    const pair = {
      pullN: 100,
      armsMm: { left: 300, right: 300 },
      pinMm: 0,
      leadMm: 0,
      poleN: 40,
      yokeMm: { left: 250, right: 250 },
      heightsMm: { left: 500, right: 500 },
    }
    expect(pairPull(pair)).toEqual({ leftN: 50, rightN: 50, skewRad: 0, yokeLeftN: 20, yokeRightN: 20, tiltRad: 0 })
    const ahead = pairPull({ ...pair, leadMm: 60, pinMm: 40 })
    expect(ahead.skewRad).toBeGreaterThan(0)
    expect(ahead.leftN).toBeLessThan(50)
    expect(ahead.leftN + ahead.rightN).toBeCloseTo(100, 9)
    expect(pairPull({ ...pair, heightsMm: { left: 520, right: 500 } }).tiltRad).toBeGreaterThan(0)
    const left = pinFor({ acrossMm: 600, leftShare: 0.4 })
    expect(pairPull({ ...pair, armsMm: { left, right: 600 - left } }).leftN).toBeCloseTo(40, 9)
    expect(() => pairPull({ ...pair, leadMm: 700 })).toThrow(RangeError)
    expect(() => pinFor({ acrossMm: 600, leftShare: 1.2 })).toThrow(RangeError)
  })

  it('a drag is pulled least along the angle of its friction', () => {
    const level = dragPull({ massKg: 20, friction: 0.4, lineRad: 0 })
    expect(level.pullN).toBeCloseTo(20 * 9.80665 * 0.4, 6)
    expect(level.bestRad).toBeCloseTo(Math.atan(0.4), 12)
    expect(dragPull({ massKg: 20, friction: 0.4, lineRad: level.bestRad }).pullN).toBeCloseTo(level.leastN, 9)
    expect(level.leastN).toBeLessThan(level.pullN)
    expect(() => dragPull({ massKg: 20, friction: 0.4, lineRad: Math.PI / 2 })).toThrow(RangeError)
  })

  it('a loop passes the shaft and not its stop, or says that none does', () => {
    const loop = shaftLoop({ shaftMm: 25, stopMm: 45 })
    expect([loop.leastMm, loop.mostMm, loop.ok]).toEqual([Math.PI * 27, Math.PI * 41, true])
    expect(shaftLoop({ shaftMm: 40, stopMm: 42 }).ok).toBe(false)
    // Shaft thicker than its stop.
    expect(shaftLoop({ shaftMm: 50, stopMm: 30 }).ok).toBe(false)
    expect(() => shaftLoop({ shaftMm: 0, stopMm: 30 })).toThrow(RangeError)
  })

  it('V44 has four primary traces and two rear ones, in pairs (common practice)', () => {
    for (const family of ['H22', 'H23'] as const) {
      const parts = Object.fromEntries(draftParts(family).map(({ part, count }) => [part, count]))
      expect([(parts.upper ?? 0) + (parts.lower ?? 0), parts.rear]).toEqual([4, 2])
    }
    expect(draftParts('H22').some(({ part }) => part === 'belly')).toBe(false)
    expect(draftParts('H23').map(({ part }) => part)).toEqual(['neck', 'keel', 'back', 'upper', 'lower', 'cinch', 'loopDrop', 'loop', 'belly', 'rear'])
    expect(() => draftParts('H01')).toThrow(RangeError)
  })
})

describe('a way and its load', () => {
  it('adds work where it pulls and holding where it runs, over all its length', () => {
    const route = routeDraft({ massKg: 60, stretches: [{ lengthM: 100, resistance: 0.015, gradePercent: 5 }, { lengthM: 100, resistance: 0.015, gradePercent: -5 }] }) // prettier-ignore
    expect(route.holdBack).toEqual([1])
    expect([route.worst, route.worstN]).toEqual([0, expect.closeTo(38.2, 1)])
    expect(route.meanN).toBeCloseTo((route.worstN * 100) / 200, 9)
    expect(route.workKj).toBeCloseTo(route.worstN / 10, 6)
    expect(() => routeDraft({ massKg: 60, stretches: [] })).toThrow(RangeError)
  })

  it('judges the long pull by a tenth of the weight, the short by three twentieths; and finds the load that is a tenth', () => {
    const pull = (share: number, lasts: 'long' | 'short') => pullVerdict({ pullN: share * 30 * 9.80665, dogKg: 30, lasts }).grade
    expect([0.1, 0.13, 0.16].map((share) => pull(share, 'long'))).toEqual(['holds', 'doubt', 'fails'])
    expect([0.15, 0.19, 0.21].map((share) => pull(share, 'short'))).toEqual(['holds', 'doubt', 'fails'])
    const load = loadFor({ dogKg: 30, share: 0.1, vehicleKg: 12, resistance: 0.05, gradePercent: 2 })
    expect(routeDraft({ massKg: 12 + (load ?? 0), stretches: [{ lengthM: 1, resistance: 0.05, gradePercent: 2 }] }).worstN).toBeCloseTo(0.1 * 30 * 9.80665, 6)
    expect(loadFor({ dogKg: 30, share: 0.1, vehicleKg: 12, resistance: 0.02, gradePercent: -5 })).toBeNull()
    expect(loadFor({ dogKg: 5, share: 0.1, vehicleKg: 90, resistance: 0.1 })).toBe(0)
    expect(startPull({ massKg: 60, resistance: 0.02, toMps: 1.5, withinMm: 1500, stiction: 1.5 })).toBeCloseTo(60 * 9.80665 * 0.03 + (60 * 2.25) / 3, 6)
  })
})

describe('the ladder', () => {
  const on = (days: number, rung: OutingSaid['rung'], calm = true, loadKg?: number): OutingSaid => ({
    on: `2026-10-${String(days).padStart(2, '0')}`,
    rung,
    calm,
    ...(loadKg === undefined ? {} : { loadKg }),
  })
  const next = (outings: OutingSaid[], months: number | null = 40, giant = false) => {
    const { rung, loadKg, because } = nextRung({ outings, dogKg: 32, months, giant })
    return `${rung} ${loadKg ?? '-'} ${because}`
  }

  it('goes a rung up after three calm days, down after two troubled ones, and by a quarter of its weight', () => {
    expect(next([])).toBe('wear - first')
    expect(next([on(1, 'wear'), on(2, 'wear')])).toBe('wear - stay')
    expect(next([on(1, 'wear'), on(1, 'wear'), on(2, 'wear')])).toBe('wear - stay')
    expect(next([on(3, 'wear'), on(1, 'wear'), on(2, 'wear')])).toBe('lines - up')
    expect(next([on(1, 'empty'), on(2, 'empty'), on(3, 'empty')])).toBe('load 8 up')
    expect(next([on(1, 'load', true, 8), on(2, 'load', true, 8), on(3, 'load', true, 8)])).toBe('load 16 up')
    expect(next([on(1, 'load', true, 8), on(2, 'load', true, 16), on(3, 'load', true, 16)])).toBe('load 16 stay')
    expect(next([1, 2, 3].map((day) => on(day, 'load', true, 32)))).toBe('load 32 top')
    expect(next([on(1, 'load', true, 16), on(2, 'load', false, 16)])).toBe('load 16 again')
    expect(next([on(1, 'load', false, 16), on(2, 'load', false, 16)])).toBe('load 8 down')
    expect(next([on(1, 'load', false, 8), on(2, 'load', false, 8)])).toBe('empty - down')
    expect(next([on(1, 'wear', false), on(2, 'wear', false)])).toBe('wear - down')
  })

  it('draws nothing while it grows, nor while nobody knows that it does not', () => {
    const ready = [on(1, 'lines'), on(2, 'lines'), on(3, 'lines')]
    expect(next(ready, 12)).toBe('lines - growing')
    expect(next(ready, 18)).toBe('empty - up')
    expect(next(ready, 20, true)).toBe('lines - growing')
    expect(next(ready, null)).toBe('lines - age-unknown')
    expect(next([on(1, 'load', true, 8)], 8)).toBe('lines - growing')
    expect(() => nextRung({ outings: [], dogKg: 0, months: 30, giant: false })).toThrow(RangeError)
  })
})

describe('where drafting straps start', () => {
  const rig = { shaftMm: 25, stopMm: 45, hitchMm: 280 }
  const at = (build: 'nordic' | 'giant' | 'toy', body: Parameters<typeof draftStart>[0]['body'] = {}, family: 'H22' | 'H23' = 'H23') =>
    draftStart({ form: typicalForm({ build }), body, family, gauge: null, rig })

  it('has every part of its kind once, a start within its spread, and a bar behind the paw’s reach', () => {
    for (const family of ['H22', 'H23'] as const) {
      const found = at('nordic', {}, family)
      expect(Object.keys(found.straps)).toEqual(draftParts(family).map(({ part }) => part))
      for (const strap of Object.values(found.straps))
        expect([strap.leastMm < strap.startMm, strap.startMm < strap.mostMm, strap.sigmaMm > 0]).toEqual([true, true, true])
      expect(found.barBehindTailMm).toBeGreaterThan(found.reach.pawMm + 100)
    }
    // Longer round the trunk than the neck, loops between topline and shoulder.
    const { straps } = at('giant')
    expect(straps.cinch?.startMm).toBeGreaterThan(straps.neck?.startMm ?? 0)
    expect(straps.loop?.startMm).toBeCloseTo((Math.PI * (27 + 41)) / 2, 6)
    expect(at('giant').straps.rear?.startMm).toBeGreaterThan(at('toy').straps.rear?.startMm ?? 0)
  })

  it('goes by this dog’s own readings: a rear trace read in stride is no guess any more', () => {
    const [guess, read] = [at('nordic').straps.rear, at('nordic', { M47: { mm: 742, sigmaMm: 5 } }).straps.rear]
    expect([guess?.from, read?.from, read?.startMm]).toEqual(['form', 'read', 742])
    expect(read?.sigmaMm).toBeLessThan((guess?.sigmaMm ?? 0) / 3)
    expect(at('nordic', { M46: { mm: 430 } }).shaftMm).toBe(430)
    // Lower shoulders want a longer drop from the topline.
    expect(at('nordic', { M46: { mm: 380 } }).straps.loopDrop?.startMm).toBeGreaterThan(at('nordic', { M46: { mm: 430 } }).straps.loopDrop?.startMm ?? 0)
  })

  it('says where no loop passes, where no bone is left for a band, and refuses what draws nothing', () => {
    const thick = draftStart({ form: typicalForm({ build: 'giant' }), body: {}, family: 'H23', gauge: null, rig: { ...rig, stopMm: 27 } })
    expect(thick.misses.map(({ code }) => code)).toContain('no-loop')
    expect(at('toy').misses.map(({ code }) => code)).toContain('no-bone-for-band')
    expect(at('toy', {}, 'H22').misses).toEqual([])
    expect(() => draftStart({ form: typicalForm(null), body: {}, family: 'H01', gauge: null, rig })).toThrow(RangeError)
    expect(() => draftStart({ form: typicalForm(null), body: {}, family: 'H23', gauge: null, rig: { ...rig, shaftMm: 0 } })).toThrow(RangeError)
  })
})
