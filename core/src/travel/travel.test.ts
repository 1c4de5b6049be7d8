import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { typicalForm } from '../form/index.ts'
import {
  beltReach, carFingers, carStops, crashRide, parkedCarC, PRE_DRIVE, PULSES, pulseOf, readClaim, restraintsFor, seatReach, slowingAt, speedAt, type CarQuestion, type PulseQuestion,
} from './index.ts' // prettier-ignore

const half: PulseQuestion = { shape: 'half-sine', speedKmh: 48, stopMm: 500 }

describe('how a car stops', () => {
  it('every shape takes away its speed in its way', () => {
    for (const shape of ['square', 'half-sine', 'triangle', 'trapezoid'] as const) {
      const pulse = { shape, speedKmh: 40, stopMm: 600, ramp: 0.25 }
      const { durationMs, peakG } = pulseOf(pulse)
      const slow = slowingAt(pulse)
      const steps = 20_000
      const dt = durationMs / 1000 / steps
      let [v, x, most] = [40 / 3.6, 0, 0]
      for (let i = 0; i < steps; i++) {
        const a = slow((i + 0.5) * dt)
        x += v * dt - (a * dt * dt) / 2
        v -= a * dt
        most = Math.max(most, a)
      }
      expect([shape, v, x * 1000]).toEqual([shape, expect.closeTo(0, 3), expect.closeTo(600, 0)])
      expect(most / 9.80665).toBeCloseTo(peakG, 2)
    }
    expect(PULSES.every((pulse) => pulseOf(pulse).meanG > 0)).toBe(true)
    expect(() => pulseOf({ ...half, stopMm: 0 })).toThrow(RangeError)
    expect(() => pulseOf({ shape: 'trapezoid', speedKmh: 50, stopMm: 500, ramp: 0.7 })).toThrow(RangeError)
  })
})

describe('a dog on a belt', () => {
  const ride = { massKg: 25, pulse: half, slackMm: 0, stiffnessNpm: 40_000 }

  it('slack makes it worse, and a light dog suffers most in its own weights', () => {
    const slack = [0, 50, 100, 150].map((slackMm) => crashRide({ ...ride, slackMm }).peakN)
    expect(slack.every((peak, i) => i === 0 || peak > (slack[i - 1] ?? 0))).toBe(true)
    expect(crashRide({ ...ride, massKg: 5 }).peakG).toBeGreaterThan(crashRide({ ...ride, massKg: 40 }).peakG)
    expect(crashRide(ride)).toMatchObject({ tautAtMs: 0, closingMps: 0 })
    expect(crashRide({ ...ride, slackMm: 100 }).tautAtMs).toBeGreaterThan(20)
    expect(() => crashRide({ ...ride, slackMm: -1 })).toThrow(RangeError)
    expect(() => crashRide({ ...ride, stiffnessNpm: 0 })).toThrow(RangeError)
  })

  it('finds the speed at which a limit is reached, or none', () => {
    const speed = speedAt({ ...ride, limitN: 5000 })
    expect(crashRide({ ...ride, pulse: { ...half, speedKmh: speed ?? 0 } }).peakN).toBeCloseTo(5000, -1)
    expect(speedAt({ ...ride, massKg: 0.5, limitN: 1e6 })).toBeNull()
  })
})

describe('belt and seat', () => {
  const belt = { outlet: [0, 250, 550], buckle: [60, -200, 250], loop: [150, 20, 420], toward: [1, 0, 0] } as const

  it('no slack lets it run a little, slack more; each half pulls at least half of the load', () => {
    const taut = beltReach({ ...belt, slackMm: 0 })
    expect(taut.forwardMm).toBeGreaterThanOrEqual(0)
    expect(beltReach({ ...belt, slackMm: 100 }).forwardMm).toBeGreaterThan(taut.forwardMm)
    expect(taut.tensionPerLoad).toBeGreaterThanOrEqual(0.5)
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -300, max: 300, noNaN: true }), { minLength: 3, maxLength: 3 }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        (loop, slackMm) => {
          const found = beltReach({ ...belt, loop: loop as unknown as typeof belt.loop, slackMm })
          expect(found.forwardMm).toBeGreaterThanOrEqual(-1e-6)
          expect(found.tensionPerLoad).toBeGreaterThanOrEqual(0.5 - 1e-9)
        },
      ),
      { numRuns: 60 },
    )
    expect(() => beltReach({ ...belt, slackMm: 0, toward: [0, 0, 0] })).toThrow(RangeError)
  })

  it('calm by its neck, in a crash side or head first', () => {
    const seat = { headMm: 330, halfWidthMm: 70, forwardMm: 72, travelMm: 246 }
    expect(seatReach({ ...seat, frontSeatMm: 700 })).toEqual({ calmMm: 402, crashMm: [316, 576], calm: 'holds', crash: 'holds' })
    expect(seatReach({ ...seat, frontSeatMm: 450 })).toMatchObject({ calm: 'holds', crash: 'doubt' })
    expect(seatReach({ ...seat, frontSeatMm: 300 })).toMatchObject({ calm: 'fails', crash: 'fails' })
  })
})

describe('fingers in the car', () => {
  it('V41 eight in front are two lots of four at the sides, one hand behind; on the dog a range', () => {
    const found = carFingers({ frontMm: 800, backMm: 700, gauge: null, form: typicalForm({ build: 'retriever' }) })
    expect(found.frontMm).toBeGreaterThan(40)
    expect(found.frontMm).toBeLessThan(75)
    expect(found.backMm).toBeLessThan(found.frontMm)
    const [least, most] = found.frontRangeMm ?? [0, 0]
    expect(least).toBeGreaterThan(10)
    expect(most).toBeGreaterThan(least)
    expect(carFingers({ frontMm: 800, backMm: 700, gauge: null }).frontRangeMm).toBeUndefined()
    expect(() => carFingers({ frontMm: 0, backMm: 700, gauge: null })).toThrow(RangeError)
  })
})

describe('a claim', () => {
  it.each([
    ['Crash tested at 30 mph with a 75 lb dummy, webbing 4,000 lbf', { speedKmh: 48.28, massKg: 34.02, forceN: 17_793 }],
    ['bis 50 km/h, 32 kg', { speedKmh: 50, massKg: 32, forceN: null }],
    ['webbing 14.7 kN', { speedKmh: null, massKg: null, forceN: 14_700 }],
    ['980 daN', { speedKmh: null, massKg: null, forceN: 9800 }],
    ['rated to 4,000 lbs tensile strength', { speedKmh: null, massKg: null, forceN: 17_793 }],
    ['4,000 lb', { speedKmh: null, massKg: null, forceN: 17_793 }],
    ['fits dogs to 90 lbs', { speedKmh: null, massKg: 40.82, forceN: null }],
    ['very strong, 5000', { speedKmh: null, massKg: null, forceN: null }],
    ['', { speedKmh: null, massKg: null, forceN: null }],
  ])('%s', (text, said) => {
    const read = readClaim(text)
    for (const [key, value] of Object.entries(said)) {
      const found = read[key as 'speedKmh']
      if (value === null) expect([key, found]).toEqual([key, null])
      else expect([key, Math.abs((found ?? 0) - value) < 0.001 * value]).toEqual([key, true])
    }
  })

  it('names the standards it points to, and reads any text without failing', () => {
    expect(readClaim('meets FMVSS 213 and ECE R44').standards).toEqual(['us-child-sled', 'un-child-sled'])
    expect(readClaim('seat belt webbing, DIN 75410').standards).toEqual(['belt', 'cargo'])
    fc.assert(fc.property(fc.string(), (text) => Array.isArray(readClaim(text).standards)))
  })
})

describe('before driving off', () => {
  const safe: CarQuestion = { seat: 'rear', airBag: 'unknown', tetherOn: false, crashed: false, dogKg: 20, testedKg: 25, held: 'loop' }
  const codes = (over: Partial<CarQuestion>) => carStops({ ...safe, ...over }).map(({ code, level }) => `${level} ${code}`)

  it('stops at an air bag, a tether, a crash, too heavy a dog, a collar and nothing; warns of what nobody tested', () => {
    expect(codes({})).toEqual([])
    expect(codes({ seat: 'front' })).toEqual(['stop air-bag'])
    expect(codes({ seat: 'front', airBag: 'on' })).toEqual(['stop air-bag'])
    expect(codes({ seat: 'front', airBag: 'off' })).toEqual(['caution front-seat'])
    expect(codes({ tetherOn: true, crashed: true })).toEqual(['stop tether', 'stop crashed'])
    expect(codes({ dogKg: 26 })).toEqual(['stop over-tested'])
    expect(codes({ testedKg: null })).toEqual(['caution tested-unknown'])
    expect(codes({ held: 'collar' })).toEqual(['stop collar'])
    expect(codes({ held: 'nothing' })).toEqual(['stop not-held'])
    expect(PRE_DRIVE.map(({ code }) => code)).toEqual(['buckles-home', 'sides-even', 'belt-through', 'slack-out', 'lead-off', 'rear-seat'])
  })

  it('a parked car only gets warmer, and ways to hold a dog stand side by side', () => {
    expect(parkedCarC({ airC: 20, minutes: 0 })).toBe(20)
    expect(parkedCarC({ airC: 20, minutes: 30 })).toBeCloseTo(20 + 22 * 0.8, 9)
    expect(() => parkedCarC({ airC: 20, minutes: -1 })).toThrow(RangeError)
    const ways = restraintsFor({ dogKg: 20, crateKg: 9, car: half })
    expect(ways.find(({ way }) => way === 'crate-lashed')?.forceN).toBeGreaterThan(ways.find(({ way }) => way === 'harness')?.forceN ?? 0)
    expect(ways.every(({ reasons }) => reasons.length > 0)).toBe(true)
  })
})
