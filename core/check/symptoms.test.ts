import { describe, expect, it } from 'vitest'
import { checksFor, symptoms, symptomsFor, type RemedyKind } from '../src/index.ts'

/**
 * Handbook 7.3, common practice (S13, S33 and S37 partly from memory, unverified): the remedies of harness symptoms from
 * left to right. A adjust, R resize, C change style, P procedure; "feel by hand first" and "check pain" go first as
 * they say.
 */
const TABLE: Readonly<Record<string, string>> = {
  S01: 'PAR', S02: 'ARP', S03: 'R', S04: 'R', S05: 'CR', S06: 'RC', S07: 'P', S08: 'P', S09: 'R', S10: 'PCR', S11: 'RC', S12: 'C', S13: 'PC', S14: 'C', S15: 'C',
  S16: 'C', S17: 'C', S18: 'P', S19: 'C', S20: 'CA', S21: 'PP', S22: 'AC', S23: 'AC', S24: 'A', S25: 'A', S26: 'AR', S27: 'A', S28: 'ARC', S29: 'R', S30: 'AR', S31: 'R',
  S32: 'R', S33: 'AC', S34: 'P', S37: 'AC',
} // prettier-ignore
/** Two whose adjusting only a short type with a slider has: those that end at the tail are sewn fixed. */
const SEWN: Readonly<Record<string, string>> = { S01: 'PR', S02: 'RP' }
const LETTER: Readonly<Record<RemedyKind, string>> = { adjust: 'A', resize: 'R', change: 'C', procedure: 'P' }
const ours = (id: string): string => symptoms[id]?.remedies.map(({ kind }) => LETTER[kind]).join('') ?? ''

describe('symptoms and remedies, handbook 7.3', () => {
  it.each(Object.entries(TABLE))('%s is remedied by %s, from left to right', (id, letters) => {
    expect(ours(id)).toBe(SEWN[id] ?? letters)
  })

  it('every symptom has a cause to look for and something to do', () => {
    for (const { id, cause, remedies } of Object.values(symptoms)) {
      expect([id, cause.length > 4, remedies.length > 0]).toEqual([id, true, true])
      for (const remedy of remedies) expect([id, remedy.do.length > 4]).toEqual([id, true])
    }
  })

  it('breathing that suffers stops the work, in a pulling harness and on a lead', () => {
    expect(Object.values(symptoms).filter((each) => each.stop).map((each) => each.id)).toEqual(['S01', 'S23']) // prettier-ignore
  })

  it('what a failing check names comes first, the rest in order', () => {
    for (const check of checksFor('H11')) {
      const listed = symptomsFor('H11', check.symptoms).map((each) => each.id)
      expect(listed.slice(0, check.symptoms.length).sort()).toEqual([...check.symptoms].sort())
      const rest = listed.slice(check.symptoms.length)
      expect(rest).toEqual([...rest].sort())
    }
  })
})
