import {
  disagreements,
  endangeredBy,
  families,
  hitchLine,
  HITCH_DEFAULTS,
  HITCH_PLACES,
  measures,
  SURFACES,
  betweenRule,
  type Conflict,
  type FamilyId,
} from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { bootOrderWords } from './boots'
import { conflictWords } from './conflicts'
import { dangerWords } from './dangers'
import { BAND_NAMES, HITCH_NAMES, KIT_NAMES, lineWords, pressWords, pullWords, riseWords, SURFACE_NAMES } from './hitch'
import { adviceWords, betweenWords, madeWords } from './sizes'
import { WAY_REASONS } from './ways'

const ids = Object.keys(families) as FamilyId[]

describe('what a miss endangers', () => {
  it('has words for every symptom a measure of any family can lead to', () => {
    let said = 0
    for (const family of ids) {
      for (const measure of Object.keys(measures)) {
        for (const way of ['small', 'big'] as const) {
          const danger = endangeredBy(family, measure, way)
          if (!danger) continue
          said += 1
          expect([family, measure, way, danger.symptom, dangerWords(danger) !== '']).toEqual([family, measure, way, danger.symptom, true])
        }
      }
    }
    expect(said).toBeGreaterThan(200)
  })
})

describe('measures that disagree', () => {
  const of = (code: Conflict['code']): Conflict => ({ code, measures: ['M01', 'M13'], byMm: -40 })
  const length = (mm: number): string => `${mm} mm`

  it('each have a sentence of their own that says what practitioners do', () => {
    const codes = ['length-veto', 'past-tail-accept', 'armpit', 'girth-decides', 'neck-decides', 'neck-over-head', 'girth-alone-short-dog'] as const
    const said = codes.map((code) => conflictWords(of(code), length))
    expect(new Set(said).size).toBe(codes.length)
    for (const words of said) expect(words).not.toMatch(/-40|undefined/)
    expect(said[0]).toBe(
      'Harness neck fits, but it would run 40 mm past where it should end (Overall pulling length). Whatever the neck says, leave this family: a short pull harness with an adjustable girth, or made to measure.',
    )
  })
})

describe('between two sizes', () => {
  it('says whose rule it is, for every family', () => {
    for (const family of ids) {
      const own = betweenWords(betweenRule({ family, between: null }), 'Lee Loft')
      expect([family, own.endsWith('Lee Loft says nothing about it.')]).toEqual([family, true])
      expect(madeWords(family).length).toBeGreaterThan(20)
    }
    expect(betweenWords(betweenRule({ family: 'H01', between: 'up' }), 'Lee Loft')).toBe('Lee Loft says: between two sizes go up.')
    expect(betweenWords(betweenRule({ family: 'H01', between: null, rules: { cut: 'roomy' } }), 'Lee Loft')).toBe(
      'Lee Loft cuts roomy: between two sizes go down.',
    )
  })

  it('names what to put on the dog', () => {
    expect(adviceWords({ kind: 'both', labels: ['4', '5'] }, { family: 'H01' })).toBe('Try 4, then 5')
    expect(adviceWords({ kind: 'nothing', labels: [] }, { family: 'H01' })).toBe('No size here is near')
    expect(adviceWords({ kind: 'guess', labels: ['4'] }, { family: 'H01' })).toBe('Start with 4')
    expect(adviceWords({ kind: 'guess', labels: [] }, { family: 'C3' })).toBe('Made to measure')
  })
})

describe('boots', () => {
  it('are counted by size, and what is not read is said', () => {
    expect(bootOrderWords([['Whelk', 2], ['Mussel', 2]], 0)).toBe('2 Whelk, 2 Mussel.') // prettier-ignore
    expect(bootOrderWords([['Whelk', 1]], 3)).toBe('1 Whelk. 3 paws are not read: they may differ.')
    expect(bootOrderWords([], 4)).toContain('No paw is read yet')
  })
})

describe('the line', () => {
  const falling = hitchLine({ pullPointMm: 500, hitchMm: 200, horizontalMm: 3000 })
  const rising = hitchLine({ pullPointMm: 500, hitchMm: 900, horizontalMm: 2000 })

  it('falls or rises by what a tape shows, over a foot or over 30 cm', () => {
    expect(riseWords(falling, { unit: 'cm', step: 0.5 })).toBe('Line falls 3.0 cm per 30 cm')
    expect(riseWords(falling, { unit: 'in', step: 0.125 })).toBe('Line falls 1 1/4 in per foot')
    expect(riseWords(rising, { unit: 'in', step: 0.125 })).toMatch(/^Line rises 2 \d\/8 in per foot$/)
    expect(riseWords(hitchLine({ pullPointMm: 500, hitchMm: 501, horizontalMm: 3000 }), { unit: 'cm', step: 0.5 })).toBe('Line runs level')
  })

  it('says what of the pull presses or lifts, in weights a hand knows', () => {
    expect(pressWords(falling, 'cm')).toMatch(/^Of every 10 kg of pull 1\.0 kg presses it down\.$/)
    expect(pressWords(rising, 'in')).toMatch(/^Of every 20 lb of pull \d\.\d lb lifts the harness\.$/)
    expect(pressWords(hitchLine({ pullPointMm: 500, hitchMm: 500, horizontalMm: 3000 }), 'cm')).toBe('All of the pull goes forward.')
  })

  it('is as long as it is said on a coil', () => {
    expect([2500, 304.8, 254, 609.6 + 25.4].map((mm) => lineWords(mm, 'in'))).toEqual(['8 ft 3 in', '1 ft', '10 in', '2 ft 1 in'])
    expect(lineWords(2460, 'cm')).toBe('2.5 m')
    expect([pullWords(98.0665, 'cm'), pullWords(98.0665, 'in')]).toEqual(['10 kg', '22 lb'])
  })

  it('has names for every hitch, band, part and ground', () => {
    for (const hitch of HITCH_PLACES) {
      expect(HITCH_NAMES[hitch].length).toBeGreaterThan(3)
      for (const part of HITCH_DEFAULTS[hitch].kit) expect(KIT_NAMES[part].length).toBeGreaterThan(3)
    }
    for (const surface of Object.keys(SURFACES)) expect(SURFACE_NAMES[surface as keyof typeof SURFACE_NAMES]).toBeTruthy()
    expect(BAND_NAMES[falling.band]).toContain('for a')
  })
})

it('what speaks for or against a way has words, and no disagreement is without its two sides', () => {
  for (const [code, both] of Object.entries(WAY_REASONS)) expect([code, both.some((words) => words !== '')]).toEqual([code, true])
  for (const { id, topic, a, b, ours } of disagreements) expect([id, [topic, a, b, ours].every((words) => words.length > 3), a !== b]).toEqual([id, true, true])
})
