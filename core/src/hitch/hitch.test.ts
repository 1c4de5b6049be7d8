import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { typicalForm } from '../form/index.ts'
import { families } from '../gear/index.ts'
import { HITCH_PLACES } from '../model/index.ts'
import { bandAt, elasticLine, FAMILIES_AT, HITCH_DEFAULTS, hitchFor, hitchLine, lineForBand, pullPointOf, USUAL_BANDS } from './index.ts'

const height = fc.double({ min: 50, max: 1500, noNaN: true })

describe('hitchLine', () => {
  it('rises from the dog with a higher hitch, and turns round with the heights', () => {
    fc.assert(
      fc.property(height, height, fc.double({ min: 200, max: 5000, noNaN: true }), (dog, hitch, level) => {
        const there = hitchLine({ pullPointMm: dog, hitchMm: hitch, horizontalMm: level })
        const back = hitchLine({ pullPointMm: hitch, hitchMm: dog, horizontalMm: level })
        expect(there.angleRad).toBeCloseTo(-back.angleRad, 12)
        expect(Math.sign(there.pressShare)).toBe(Math.sign(hitch - dog))
        expect(there.lineMm).toBeGreaterThanOrEqual(level)
        expect(there.risePerMetreMm).toBeCloseTo(((hitch - dog) / level) * 1000, 6)
      }),
    )
  })

  it('refuses lengths that can’t be', () => {
    expect(() => hitchLine({ pullPointMm: 500, hitchMm: 900, lineMm: 300 })).toThrow(RangeError)
    expect(() => hitchLine({ pullPointMm: 500, hitchMm: 900 })).toThrow(RangeError)
    expect(() => hitchLine({ pullPointMm: Number.NaN, hitchMm: 900, lineMm: 2000 })).toThrow(RangeError)
    expect(() => hitchLine({ pullPointMm: 500, hitchMm: 900, horizontalMm: -1, lineMm: 0 })).toThrow(RangeError)
  })

  it('finds the shortest line of a band: a hair shorter leaves it', () => {
    fc.assert(
      fc.property(height, height, (dog, hitch) => {
        for (const band of ['full-length', 'half-back'] as const) {
          const line = lineForBand({ pullPointMm: dog, hitchMm: hitch }, band)
          if (line === null || line < 1) continue
          const angle = (mm: number): number => hitchLine({ pullPointMm: dog, hitchMm: hitch, lineMm: mm }).angleRad
          expect(bandAt(angle(line * 1.0001))).toBe(band)
          expect(bandAt(angle(line * 0.999))).not.toBe(band)
        }
      }),
    )
    expect(lineForBand({ pullPointMm: 600, hitchMm: 200 }, 'half-back')).toBeNull()
    expect(lineForBand({ pullPointMm: 600, hitchMm: 900 }, 'too-steep')).toBeNull()
    expect(lineForBand({ pullPointMm: 600, hitchMm: 600 }, 'full-length')).toBe(0)
  })

  it('follows the shop’s own bands', () => {
    const angle = Math.atan2(400, 2500)
    expect(bandAt(angle)).toBe('half-back')
    expect(bandAt(angle, { ...USUAL_BANDS, fullToRad: 0.2 })).toBe('full-length')
  })

  it('names only pulling families to a band', () => {
    for (const ids of Object.values(FAMILIES_AT)) for (const id of ids) expect([id, families[id].pulls]).toEqual([id, true])
  })
})

describe('the dog’s end', () => {
  const form = typicalForm({ breed: 'Siberian Husky' })

  it('is the tail base, the middle of the back, the withers, or below the tail, by the harness', () => {
    const at = (family: 'H11' | 'H14' | 'H19' | 'H01') => pullPointOf(form, family)
    expect(at('H11').heightMm).toBeCloseTo(form.sections.tail.tz, 9)
    expect(at('H19').heightMm).toBeLessThan(at('H11').heightMm)
    expect(at('H14').xMm).toBeGreaterThan(at('H11').xMm)
    expect(at('H01').xMm).toBeGreaterThan(at('H14').xMm)
  })
})

describe('the other end', () => {
  it('has a height, a line and a kit for every hitch, and follows the activity', () => {
    // A waist belt's set from person to dog (handbook 8.6, common practice); a bike's side arm wants rings, a hand a lead alone.
    for (const hitch of ['belt', 'ski-belt'] as const) expect(HITCH_DEFAULTS[hitch].kit).toEqual(['belt', 'elastic', 'webbing', 'brass-snap', 'loop'])
    expect(HITCH_DEFAULTS['side-arm'].kit).toEqual(['elastic', 'brass-snap', 'ring-arm-side', 'rings-both-sides'])
    expect(HITCH_DEFAULTS.hand.kit).toEqual(['lead'])
    for (const hitch of HITCH_PLACES) expect([hitch, HITCH_DEFAULTS[hitch].heightMm >= 200, HITCH_DEFAULTS[hitch].lineMm >= 700]).toEqual([hitch, true, true])
    expect(hitchFor(['sled-team'])).toBe('sled')
    expect(hitchFor(['stroll', 'bike-front'])).toBe('bike-front')
    expect(hitchFor([])).toBe('hand')
  })

  it('refuses an elastic that is none', () => {
    expect(() => elasticLine({ massKg: 0, speedMps: 1, stiffnessNpm: 500, restMm: 0 })).toThrow(RangeError)
    expect(() => elasticLine({ massKg: 20, speedMps: -1, stiffnessNpm: 500, restMm: 0 })).toThrow(RangeError)
  })
})
