import { cautionsFor, plausible, type Finding } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { overlapWords } from '../ticket/choose/overlap-words'
import { cautionWords } from './cautions'
import { findingWords } from './findings'
import { atHomeWords } from './at-home'
import { adviceWords } from './sizes'
import { titleWords } from './titles'
import { verdictWord } from './verdicts'

const look = { unit: 'in', step: 0.125 } as const
const inch = (value: number): number => value * 25.4

describe('words', () => {
  it('never lend a finding’s word to a prediction', () => {
    for (const grade of ['holds', 'doubt', 'fails'] as const) expect(verdictWord(grade, 'seen')).not.toBe(verdictWord(grade, 'predicted'))
    expect(verdictWord('holds', 'predicted')).toBe('Should hold')
  })

  it('say of a finding what was expected, from what, what was read, and why', () => {
    const body = { M01: { mm: inch(50.75) }, M07: { mm: inch(30.125) } }
    const [finding] = plausible(body)
    const words = findingWords(finding as Finding, body, look)
    expect(words.title).toBe('Harness neck: longer than expected')
    expect(words.text).toContain('from a girth of 30 1⁄8')
    expect(words.text).toContain('Doubled twice?')
    expect(words.text).toContain('Halved it reads 25 3⁄8')
    expect(words.expected).toMatchObject({ measure: 'M01' as const, mm: inch(50.75) })
  })

  it('V48 say of a crate that shops take one back for about 30 days, longer for another; of no other kind (common practice)', () => {
    expect(atHomeWords('K1').looks).toMatch(/take one back for about 30 days, and change it for longer/)
    for (const family of ['H01', 'C1', 'B1', 'H24'] as const) expect(atHomeWords(family).looks).not.toMatch(/30 days/)
  })

  it('give overlaps as lengths, never as shares', () => {
    const fit = {
      measure: 'M01' as const,
      mm: inch(22.75),
      spreadMm: inch(0.5),
      fromMm: inch(21),
      toMm: inch(22.5),
      byMm: inch(0.25),
      grade: 'doubt' as const,
      chance: 0.2,
      guess: false,
      danger: null,
    }
    expect(overlapWords(fit, 'Cedar', 'Tern', look)).toBe('Your readings leave 1 in open; at its far end Cedar would be 3/4 in too tight.')
    expect(overlapWords({ ...fit, grade: 'holds', mm: inch(21.75) }, 'Cedar', 'Tern', look)).toBe(
      'Cedar should sit here with 1/4 in to spare. Your readings leave 1 in open.',
    )
    expect(overlapWords({ ...fit, grade: 'fails', mm: inch(24) }, 'Cedar', 'Tern', look)).toContain('Cedar would be about')
  })

  it('count a title, name both sizes, and give every caution its reason', () => {
    const perMeasure = (['holds', 'holds', 'doubt', 'none'] as const).map((grade) => ({
      measure: 'M01' as const,
      mm: 1,
      spreadMm: 1,
      fromMm: 1,
      toMm: 1,
      byMm: 0,
      grade,
      chance: 1,
      guess: false,
      danger: null,
    }))
    expect(titleWords({ perMeasure })).toBe('should hold in 2, could go either way in 1, no tape yet for 1.')
    expect(adviceWords({ kind: 'both', labels: ['5', '6'] }, { family: 'H11' })).toBe('Try 5, then 6, pulled back by hand')
    const dog = { born: '2026-06-01', ageMonths: null, ageSaidOn: null, flatFace: true, breed: '', crossWith: '', sparing: true, weightKg: 9 }
    const found = cautionsFor({ dog, activities: ['sled-team', 'car'], families: ['H01', 'H11'], on: '2026-10-05' })
    expect(found.length).toBeGreaterThan(6)
    for (const caution of found) expect(cautionWords(caution).text.length).toBeGreaterThan(20)
  })
})
