import { describe, expect, it } from 'vitest'
import { checksFor, FAMILY_IDS, families, SYMPTOM_IDS, symptoms, symptomsFor, type FamilyId, type RemedyKind } from '../src/index.ts'

/**
 * Handbook 7.3, common practice (S13, S33, S37, S43, S44, S49 and all of boots partly or wholly from memory, unverified): the remedies from
 * left to right. A adjust, R resize, C change style, P procedure; "feel by hand first" and "check pain" go first as
 * they say.
 */
const TABLE: Readonly<Record<string, string>> = {
  S01: 'PAR', S02: 'ARP', S03: 'R', S04: 'R', S05: 'CR', S06: 'RC', S07: 'P', S08: 'P', S09: 'R', S10: 'PCR', S11: 'RC', S12: 'C', S13: 'PC', S14: 'C', S15: 'C',
  S16: 'C', S17: 'C', S18: 'P', S19: 'C', S20: 'CA', S21: 'PP', S22: 'AC', S23: 'AC', S24: 'A', S25: 'A', S26: 'AR', S27: 'A', S28: 'ARC', S29: 'R', S30: 'AR', S31: 'R',
  S32: 'R', S33: 'AC', S34: 'P', S35: 'C', S36: 'PC', S37: 'AC', S38: 'A', S39: 'P', S40: 'A', S41: 'A', S42: 'A', S43: 'AP', S44: 'A', S45: 'A', S46: 'A', S47: 'A', S48: 'P',
  S49: 'P', S50: 'P', S51: 'RP', S52: 'A', S53: 'AP', S54: 'C', S55: 'AR', S56: 'AR', S57: 'P', S58: 'CC', S59: 'R', S60: 'R', S61: 'A', S62: 'C', S63: 'RA', S64: 'AR', S65: 'RP',
  S66: 'AP', S67: 'PA', S68: 'RP', S69: 'R', S70: 'R', S71: 'A', S72: 'C', S73: 'PC', S74: 'P',
} // prettier-ignore
/** Two whose adjusting only a short type with a slider has: those that end at the tail are sewn fixed. */
const SEWN: Readonly<Record<string, string>> = { S01: 'PR', S02: 'RP' }
const LETTER: Readonly<Record<RemedyKind, string>> = { adjust: 'A', resize: 'R', change: 'C', procedure: 'P' }
const lettersOf = (remedies: readonly { kind: RemedyKind }[] = []): string => remedies.map(({ kind }) => LETTER[kind]).join('')
const ours = (id: string): string => lettersOf(symptoms[id]?.remedies)
const inFamily = (family: FamilyId, id: string): string => lettersOf(families[family].symptoms.find((each) => each.id === id)?.remedies)

describe('symptoms and remedies, handbook 7.3', () => {
  it.each(Object.entries(TABLE))('%s is remedied by %s, from left to right', (id, letters) => {
    if (id in SEWN) expect([inFamily('H11', id), inFamily('H21', id)]).toEqual([SEWN[id], letters])
    else expect(ours(id)).toBe(letters)
  })

  it('every symptom has a cause to look for and something to do', () => {
    for (const { id, cause, remedies } of Object.values(symptoms)) {
      expect([id, cause.length > 4, remedies.length > 0]).toEqual([id, true, true])
      for (const remedy of remedies) expect([id, remedy.do.length > 4]).toEqual([id, true])
    }
  })

  it('T04 choking and coughing stand on every harness and stop the work; squeezed toes and a swollen paw stop a boot', () => {
    expect(Object.values(symptoms).filter((each) => each.stop).map((each) => each.id)).toEqual(['S01', 'S23', 'S65', 'S67']) // prettier-ignore
    for (const family of FAMILY_IDS) {
      const ids: string[] = symptomsFor(family).map(({ id }) => id)
      const harness = family.startsWith('H')
      expect([family, ids.length > 0, ids.includes('S01'), ids.includes('S23'), ids.includes('S65')]).toEqual([
        family,
        true,
        harness,
        harness,
        family.startsWith('B'),
      ])
    }
  })

  it('T04 every symptom of 7.3 has a kind that can show it, by its group', () => {
    expect(Object.keys(symptoms)).toEqual([...SYMPTOM_IDS])
    const group = (from: number, to: number) => SYMPTOM_IDS.filter((id) => Number(id.slice(1)) >= from && Number(id.slice(1)) <= to)
    for (const [from, to, shelves] of [[38, 44, ['drafting']], [45, 50, ['car']], [51, 62, ['coat']], [63, 69, ['boot']], [70, 74, ['crate']]] as const)
      for (const id of group(from, to)) expect([id, symptoms[id]?.families.every((family) => (shelves as readonly string[]).includes(families[family].shelf))]).toEqual([id, true]) // prettier-ignore
    // A step-in’s own, the front clip’s own, and the shafts’.
    expect([symptoms.S35?.families, symptoms.S36?.families, symptoms.S40?.families]).toEqual([['H04', 'H06'], ['H08'], ['H23']])
    // What a check names can show on the same kind.
    for (const family of FAMILY_IDS) {
      const ids: string[] = symptomsFor(family).map(({ id }) => id)
      for (const check of checksFor(family)) expect([family, check.id, check.symptoms.some((id) => ids.includes(id))]).toEqual([family, check.id, true])
    }
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
