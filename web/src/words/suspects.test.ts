import type { Suspect } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { expectedRange, rangeWords } from './expected'
import { suspectCode, suspectWords } from './suspects'

const inches = { unit: 'in', step: 0.125 } as const
const suspect = (over: Partial<Suspect> = {}): Suspect => ({
  measure: 'M12',
  readMm: 266.7,
  expectedMm: 330.2,
  expectedSigmaMm: 19.8,
  t: -4,
  causes: [
    { cause: 'plain-slip', wouldReadMm: 330.2, weight: 0.8 },
    { cause: 'unusual-build', wouldReadMm: 266.7, weight: 0.1 },
  ],
  ...over,
})

describe('a doubt of the form in words', () => {
  it('says what was expected, from what, what was read, what may have been, and that the dog may be so', () => {
    const { title, text, keep, expected } = suspectWords(suspect(), inches)
    expect(title).toBe('Rib to tail: shorter than expected')
    expect(text).toBe('Expected 12 to 14, from your other tapes; you read 10 1⁄2. Began in the soft flank, or ended on the croup? Or a short loin.')
    expect(keep).toBe('short loin')
    expect(expected.fromMm).toBeLessThan(expected.toMm)
  })

  it('names the likelier slips with what the tape would then read, never more than two', () => {
    const causes = [
      { cause: 'one-side-not-doubled' as const, wouldReadMm: 508, weight: 0.5 },
      { cause: 'swapped-digits' as const, wouldReadMm: 520.7, weight: 0.3 },
      { cause: 'plain-slip' as const, wouldReadMm: 560, weight: 0.2 },
    ]
    const { text } = suspectWords(suspect({ measure: 'M01', readMm: 254, expectedMm: 520, causes }), inches)
    expect(text).toContain('One side, not doubled? Doubled it reads 20.')
    expect(text).toContain('Two digits changed over? It would be 20 1⁄2.')
    expect(text).not.toContain('lump')
    expect(text).toContain('Or a slender neck.')
  })

  it('asks of every measure and cause without a hole, and never says wrong', () => {
    const causes = [
      'one-side-not-doubled',
      'doubled-twice',
      'inches-for-centimetres',
      'centimetres-for-inches',
      'swapped-digits',
      'other-path',
      'plain-slip',
      'unusual-build',
    ] as const
    for (const cause of causes) {
      for (const measure of ['M01', 'M07', 'M31', 'M44']) {
        const { title, text } = suspectWords(suspect({ measure, causes: [{ cause, wouldReadMm: 300, weight: 0.9, measure: 'M14' }] }), inches)
        expect(`${title} ${text}`).not.toMatch(/undefined|NaN|wrong|invalid| {2}/)
        expect(text.endsWith('.')).toBe(true)
      }
    }
  })

  it('remembers a kept one by measure and value', () => {
    expect(suspectCode(suspect())).toBe('form:M12:267')
    expect(suspectCode(suspect({ readMm: 270 }))).not.toBe(suspectCode(suspect()))
  })
})

describe('an expected range', () => {
  it('is four in five, coarse, and rounded outward', () => {
    const expected = { mm: 330.2, sigmaMm: 19.8, taken: false }
    expect(rangeWords('M12', expected, inches)).toBe('12 to 14')
    expect(rangeWords('M12', expected, { unit: 'cm', step: 0.5 })).toBe('30.0 to 36.0')
    expect(expectedRange({ mm: 5, sigmaMm: 30, taken: false }).fromMm).toBe(1)
    expect(rangeWords('M00', { mm: 20, sigmaMm: 1, taken: false }, { unit: 'cm', step: 0.5 })).toMatch(/kg to .*kg/)
  })
})
