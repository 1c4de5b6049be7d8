import { describe, expect, it } from 'vitest'
import type { Observation } from '../model/index.ts'
import { checkById, checksFor, symptoms, symptomsFor, type Check } from '../gear/index.ts'
import { FITTERS_WORD, judgeAnswer, presentSymptoms, roundVerdict, wornAbout } from './index.ts'

const check = (id: string): Check => {
  const found = checkById(id)
  if (!found) throw new Error(id)
  return found
}
let n = 0
const seen = (id: string, state: Observation['state'], grade: Observation['grade'], at = '2026-10-05T10:00:00Z'): Observation => ({
  id: String((n += 1)).padStart(4, '0'),
  check: id,
  state,
  grade,
  asTyped: '',
  mm: null,
  fingers: null,
  at,
  by: '',
})

describe('judgeAnswer', () => {
  it.each([
    ['under-every-strap', '2', 'holds'],
    // T49, V07: one finger under a walking Y is a doubt, none a failure.
    ['under-every-strap', '1 finger', 'doubt'],
    ['under-every-strap', '0', 'fails'],
    ['under-every-strap', '3', 'doubt'],
    ['under-every-strap', '4', 'fails'],
    ['pulling-neck', '1 1/2', 'holds'],
    ['pulling-neck', '½', 'doubt'],
    ['pulling-neck', '3 fingers', 'fails'],
    ['girth-strap-behind-elbow', '2½', 'holds'],
    ['girth-strap-behind-elbow', '5 cm', 'holds'],
    ['girth-strap-behind-elbow', '1 in', 'fails'],
    ['girth-strap-behind-elbow', '3,5 cm', 'doubt'],
    ['v-on-breastbone', '0', 'holds'],
    ['v-on-breastbone', '-1 cm', 'holds'],
    ['v-on-breastbone', '-2 cm', 'doubt'],
    ['v-on-breastbone', '+2 cm', 'fails'],
    ['tug-at-tail-base', '−4 in', 'fails'],
    ['sides-on-ribs', '-1 in', 'holds'],
  ] as const)('%s answered %j: %s', (id, text, grade) => {
    expect(judgeAnswer(check(id), text, 'in')).toMatchObject({ ok: true, grade })
  })

  it('names what it cannot use', () => {
    expect(judgeAnswer(check('under-every-strap'), '2 cm', 'cm')).toEqual({ ok: false, problem: 'wants-fingers' })
    expect(judgeAnswer(check('v-on-breastbone'), '2 fingers', 'cm')).toEqual({ ok: false, problem: 'wants-length' })
    expect(judgeAnswer(check('under-every-strap'), '40', 'cm')).toEqual({ ok: false, problem: 'too-many' })
    expect(judgeAnswer(check('blade-free'), '2', 'cm')).toEqual({ ok: false, problem: 'unreadable' })
    expect(judgeAnswer(check('sides-equal'), ' ', 'cm')).toEqual({ ok: false, problem: 'empty' })
  })
})

describe('roundVerdict', () => {
  it('C10: a kind without checks of its own ends with the fitter’s word, which never speaks over checks that failed', () => {
    const word = (grade: Observation['grade'], id = '01900000-0000-7000-8000-0000000000f1'): Observation => ({ id, check: FITTERS_WORD, state: 'slack', grade, asTyped: '', mm: null, fingers: null, at: '2026-10-05T09:00:00Z', by: 'Ylva' }) // prettier-ignore
    for (const family of ['C1', 'B2', 'K1'] as const) {
      expect(roundVerdict(family, { observations: [], symptoms: [] }).grade).toBe('none')
      expect(roundVerdict(family, { observations: [word('holds')], symptoms: [] })).toMatchObject({ grade: 'holds', word: { by: 'Ylva' } })
      expect(roundVerdict(family, { observations: [word('holds'), word('fails', 'b')], symptoms: [] }).grade).toBe('fails')
      expect(roundVerdict(family, { observations: [{ ...word('holds'), struck: { why: '', at: '', by: '' } }], symptoms: [] }).grade).toBe('none')
    }
    // A kind with checks of its own holds by them alone.
    expect(roundVerdict('H11', { observations: [word('holds')], symptoms: [] })).toMatchObject({ grade: 'none', word: null })
  })

  const whole = () => checksFor('H11').flatMap((each) => each.states.map((state) => seen(each.id, state, 'holds')))

  it('holds only when every check in every state was seen to hold', () => {
    expect(roundVerdict('H11', { observations: whole(), symptoms: [] })).toMatchObject({ grade: 'holds', troubles: [] })
    expect(roundVerdict('H11', { observations: whole().slice(1), symptoms: [] }).grade).toBe('doubt')
    expect(roundVerdict('H11', { observations: [], symptoms: [] }).grade).toBe('none')
  })

  it('keeps slack and pulling apart, and lets a later answer replace an earlier', () => {
    const slackOnly = whole().filter((each) => !(each.check === 'pulling-neck' && each.state === 'pulling'))
    expect(roundVerdict('H11', { observations: slackOnly, symptoms: [] }).grade).toBe('doubt')
    const failed = [...whole(), seen('tug-at-tail-base', 'pulling', 'fails', '2026-10-05T11:00:00Z')]
    expect(roundVerdict('H11', { observations: failed, symptoms: [] })).toMatchObject({ grade: 'fails', troubles: [{ check: 'tug-at-tail-base' }] })
    const mended = [...failed, seen('tug-at-tail-base', 'pulling', 'holds', '2026-10-05T12:00:00Z')]
    expect(roundVerdict('H11', { observations: mended.reverse(), symptoms: [] }).grade).toBe('holds')
  })

  it('does not hold with a symptom there, but lets tolerance and the slack look pass', () => {
    const note = (symptom: string, present = true, at = '2026-10-05T10:00:00Z') => ({ id: symptom + at, symptom, remedy: null, present, at, by: '' })
    expect(roundVerdict('H11', { observations: whole(), symptoms: [note('S01')] })).toMatchObject({ grade: 'fails', stops: ['S01'] })
    expect(roundVerdict('H11', { observations: whole(), symptoms: [note('S07'), note('S08')] }).grade).toBe('holds')
    expect(presentSymptoms([note('S10'), note('S10', false, '2026-10-05T11:00:00Z')])).toEqual([])
  })
})

it('offers remedies in the handbook’s order and points checks only at symptoms that exist', () => {
  expect(symptoms.S10?.remedies.map((remedy) => remedy.kind)).toEqual(['procedure', 'change', 'resize'])
  expect(symptoms.S01?.remedies.map((remedy) => remedy.kind)).toEqual(['procedure', 'resize'])
  for (const family of ['H01', 'H11'] as const) {
    for (const each of checksFor(family)) for (const id of each.symptoms) expect([id, symptoms[id]?.families.includes(family)]).toEqual([id, true])
  }
  expect(symptomsFor('H11', ['S10'])[0]?.id).toBe('S10')
})

describe('on three legs', () => {
  it('straps slide to the empty side: left against right is not asked, and the round holds without it', () => {
    const dog = { sex: null }
    const readings: never[] = []
    const about = wornAbout({ dog, readings, ticket: { traits: ['three-legs'] } } as unknown as Parameters<typeof wornAbout>[0])
    expect(about.threeLegs).toBe(true)
    expect(wornAbout({ dog, readings, dogNotes: [{ kind: 'missing-limb', over: null }] } as unknown as Parameters<typeof wornAbout>[0]).threeLegs).toBe(true)
    for (const [family, id] of [
      ['H01', 'sides-equal'],
      ['H11', 'cross-sides-equal'],
    ] as const) {
      expect(checksFor(family, about).some((each) => each.id === id)).toBe(false)
      expect(checksFor(family).some((each) => each.id === id)).toBe(true)
      const observations = checksFor(family, about).flatMap((each) => each.states.map((state) => seen(each.id, state, 'holds')))
      expect(roundVerdict(family, { observations, symptoms: [] }, about).grade).toBe('holds')
      expect(roundVerdict(family, { observations, symptoms: [] }).grade).toBe('doubt')
    }
  })
})
