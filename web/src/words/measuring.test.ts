import { measureIds, measures, PLAIN_CIRCUMSTANCES, plausible, type AgainReason, type Reading } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { platesOf } from '../ui/plates/plate-of'
import { spoken } from '../ticket/solo/speak'
import { findingWords } from './findings'
import { circumstances, tapeName } from './measuring'
import { againWords } from './reminders'

const look = { unit: 'cm', step: 0.5 } as const

describe('questions in words', () => {
  it.each([
    [{ M08: 720, M07: 700 }, 'Girth at sternum end: longer than girth, largest'],
    [{ M14: 560, M16: 550 }, 'Back length: longer than back length from neck base'],
    [{ M18: 380, M17: 460 }, 'Half drop of rug: not half of elbow over shoulder to elbow'],
    [{ M26: 320, M25: 310 }, 'Foreleg to wrist: longer than foreleg to floor'],
  ])('%o', (values, title) => {
    const body = Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm }]))
    const [finding] = plausible(body)
    expect(finding && findingWords(finding, body, look).title).toBe(title)
  })

  it('never blame and never correct', () => {
    const body = { M08: { mm: 720 }, M07: { mm: 700 }, M22: { mm: 690 }, M21: { mm: 600 }, M39: { mm: 720 }, M40: { mm: 700 } }
    for (const finding of plausible(body)) {
      const { text } = findingWords(finding, body, look)
      expect(text).not.toMatch(/wrong|invalid|error|must/i)
      expect(text).toMatch(/\?|\./)
    }
  })
})

it('names every tape, and draws every one on some plate', () => {
  for (const id of measureIds) {
    const place = measures[id]?.places[0] ?? null
    expect(tapeName(id, place)).toContain(measures[id]?.name ?? '')
    expect(platesOf(id, place).length).toBeGreaterThan(0)
  }
  expect(tapeName('M32', 'front-left')).toBe('Front paw width, left front')
  expect(platesOf('M36', 'rear-left')).toEqual(['hind leg'])
})

it('says of a reading what was out of the usual', () => {
  const reading: Reading = {
    ...PLAIN_CIRCUMSTANCES,
    id: 'x',
    measure: 'M10',
    mm: 430,
    side: 'both',
    asTyped: '43',
    unit: 'cm',
    takenAt: '2026-01-01T09:00:00Z',
    by: '',
  }
  expect(circumstances(reading)).toBe('')
  expect(circumstances({ ...reading, place: 'left', method: 'string', coat: 'wet', chalkMark: true, heldBy: 'Orrin' })).toBe(
    'left, string and ruler, wet, through the chalk mark, held by Orrin',
  )
})

it('says every reason to measure again', () => {
  const reason = (code: AgainReason['code'], facts: AgainReason['facts'] = {}): AgainReason => ({ code, urgency: 'now', since: '2026-10-03', facts })
  expect(againWords(reason('growing', { days: 30, months: 4 }), 'cm')).toBe('growing, 4 months old; tapes 30 days old')
  expect(againWords(reason('weight', { fromKg: 20, toKg: 22 }), 'cm')).toBe('weight 20 kg then, 22 kg now')
  expect(againWords(reason('surgery'), 'cm')).toContain('ask the vet')
  for (const code of [
    'tug-past-tail',
    'chafe',
    'cough',
    'gait',
    'refuses-gear',
    'season',
    'whelped',
    'neutered',
    'lay-off',
    'coat-change',
    'new-sport',
    'new-school',
    'new-maker',
  ] as const) {
    expect(againWords(reason(code), 'in').length).toBeGreaterThan(5)
  }
})

it('speaks fractions and units as people do', () => {
  expect(spoken('Harness neck, 11 3/8 in')).toBe('Harness neck, 11 and 3 eighths inches')
  expect(spoken('10 1/2 in')).toBe('10 and a half inches')
  expect(spoken('29.8 cm')).toBe('29.8 centimetres')
})
