import { describe, expect, it } from 'vitest'
import { checksFor } from '../gear/index.ts'
import type { FamilyId, Observation } from '../model/index.ts'
import { solveForm } from '../form/index.ts'
import { fittingLoop, judgeAnswer, lastStep, roundVerdict, underStrap } from './index.ts'

let n = 0
const answer = (check: string, state: Observation['state'], grade: Observation['grade'] = 'holds'): Observation => ({
  id: String((n += 1)), check, state, grade, asTyped: '', mm: null, fingers: null, at: '2026-10-05T10:00:00Z', by: '',
}) // prettier-ignore
const allHold = (family: FamilyId): Observation[] => checksFor(family).flatMap((check) => check.states.map((state) => answer(check.id, state)))
const at = (family: FamilyId, observations: Observation[] | null, moved = false): string =>
  fittingLoop({ family, rounds: observations === null ? [] : [{ observations, symptoms: [] }], moved })
    .map(({ step, state }) => `${step} ${state}`)
    .join(', ')

describe('the loop of a fitting (handbook 8.1, common practice)', () => {
  it('goes from loosening to tails, one step at a time', () => {
    expect(at('H01', null)).toBe('let-out now, put-on open, look open, set open, again open, safe-place open, tails-secured open')
    expect(at('H01', [])).toBe('let-out done, put-on done, look now, set open, again open, safe-place open, tails-secured open')
    expect(at('H01', [answer('sides-equal', 'slack', 'fails')])).toContain('look done, set now, again open')
    expect(at('H01', [answer('sides-equal', 'slack', 'fails')], true)).toContain('set done, again now, safe-place open')
    expect(at('H01', allHold('H01'))).toContain('again done, safe-place now, tails-secured open')
    expect(at('H01', [...allHold('H01'), answer('safe-place', 'moving')])).toContain('safe-place done, tails-secured now')
  })

  it('sewn straps have nothing to let out, set or tuck; a crate is not worn', () => {
    expect(at('H11', [])).toBe('put-on done, look now, again open, safe-place open')
    expect(at('H11', [answer('v-on-breastbone', 'pulling', 'fails')])).toBe('put-on done, look done, again now, safe-place open')
    expect(at('C3', [])).toBe('put-on done, look now, again open, safe-place open')
    expect(at('K1', [])).toBe('')
  })

  it('what slips in the safe place does not hold, and may be tried again', () => {
    const slipped = [...allHold('H01'), answer('safe-place', 'moving', 'fails')]
    const round = { observations: slipped, symptoms: [] }
    expect(roundVerdict('H01', round).grade).toBe('fails')
    expect(lastStep(round, 'safe-place')).toBe('fails')
    expect(at('H01', slipped)).toContain('safe-place fails')
    const again = { observations: [...slipped, answer('safe-place', 'moving')], symptoms: [] }
    expect(roundVerdict('H01', again).grade).toBe('holds')
  })
})

describe('fingers as strap', () => {
  const form = solveForm({}, {})

  it('more fingers want more strap, and the strap lets the same fingers in again', () => {
    const under = underStrap(form, 'H21', 'pulling-neck', null)
    expect(under).not.toBeNull()
    for (const fingers of [1, 2, 3]) {
      const mm = under?.slackOf(fingers) ?? 0
      expect(mm).toBeGreaterThan(under?.slackOf(fingers - 1) ?? 0)
      expect(under?.fingersOf(mm + 0.5)).toBeGreaterThanOrEqual(fingers)
    }
  })

  it('has no answer where no ring is, and none for a coat', () => {
    expect(underStrap(form, 'H01', 'blade-free', null)).toBeNull()
    expect(underStrap(form, 'C1', 'under-every-strap', null)).toBeNull()
  })

  it('the flat hand goes in by its four fingers: far too big under a pulling neck (handbook 7.2, common practice)', () => {
    const neck = checksFor('H11').find(({ id }) => id === 'pulling-neck')
    expect(neck && judgeAnswer(neck, 'hand', 'in')).toMatchObject({ ok: true, fingers: 4, grade: 'fails' })
  })
})
