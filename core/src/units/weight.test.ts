import { expect, it } from 'vitest'
import { formatWeight, parseWeight } from './index.ts'

it('reads kilograms and pounds', () => {
  expect(parseWeight('27,3')).toEqual({ ok: true, kg: 27.3 })
  expect(parseWeight('60 lb')).toMatchObject({ ok: true, kg: 60 * 0.45359237 })
  expect(parseWeight('-2')).toEqual({ ok: false, problem: 'not-positive' })
  expect(parseWeight('273')).toEqual({ ok: false, problem: 'too-heavy' })
  expect(parseWeight('heavy')).toEqual({ ok: false, problem: 'unreadable' })
  expect(formatWeight(27.34)).toBe('27.3 kg')
})
