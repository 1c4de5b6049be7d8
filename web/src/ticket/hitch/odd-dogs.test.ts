import { draftPlaces, parseLength, solveForm, typicalForm, type Form, type Rig } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { FIRST_CART } from '../../rigs'
import { seatNow, slacksOf, USUAL_SEAT } from '../seat/seat-now'
import { draftNow } from './draft-now'
import { FRESH } from './kept-draft'
import { headline, secondLine } from './draft-words'

const base: Rig = { ...FIRST_CART, name: 'Cart', id: 'r', createdAt: '' }
const rigs: Rig[] = [
  base,
  { ...base, kind: 'wagon', wheelbaseMm: 860, lockRad: 0.6, shafts: base.shafts && { ...base.shafts, massKg: 4 } },
  { ...base, kind: 'drag', shafts: null, axleMm: 60, bed: { fromMm: -300, toMm: 300, heightMm: 60 } },
  { ...base, kind: 'runners', shafts: null, axleMm: 40 },
]
/** Odd dogs: a toy of 1.2 kg, a giant of 90, a puppy of eight weeks, a sighthound, long and low, flat in the face, one with nothing known. */
const dogs: [string, Form, number][] = [
  ['toy', solveForm({ M00: { mm: 1.2, sigmaMm: 0.05 } }, { build: 'toy' } as never), 1.2],
  ['giant', solveForm({ M00: { mm: 90, sigmaMm: 1 } }, { build: 'giant' } as never), 90],
  ['puppy', solveForm({ M00: { mm: 5, sigmaMm: 0.1 }, M07: { mm: 380, sigmaMm: 5 } }, { breed: 'Labrador Retriever' }), 5],
  ['sighthound', typicalForm({ build: 'sighthound' } as never), 28],
  ['long and low', typicalForm({ build: 'long-low' } as never), 9],
  ['flat face', solveForm({}, { breed: 'Pug' }), 8],
  ['nothing known', solveForm({}, null), 25],
  ['inches typed as centimetres', solveForm({ M07: { mm: parseLength('28', 'cm').ok ? 280 : 0, sigmaMm: 4 }, M14: { mm: 560, sigmaMm: 6 } }, null), 25],
]
const isFinite = (value: unknown): boolean =>
  typeof value === 'number' ? Number.isFinite(value) : value === null || typeof value !== 'object' || Object.values(value).every(isFinite)

describe('odd dogs', () => {
  it.each(dogs)('%s before every rig: numbers, or a plain word that it is none', (_, form, kg) => {
    const places = draftPlaces({ form, body: {}, gauge: null, hitchMm: 285 })
    expect(isFinite(places)).toBe(true)
    for (const rig of rigs)
      for (const gradePercent of [-12, 0, 20]) {
        const state = { ...FRESH, gradePercent, loads: [{ name: 'Load', massKg: 0.6 * kg, aheadMm: 20, heightMm: rig.bed.heightMm + 120 }], rearLeftMm: 9 }
        try {
          const now = draftNow(form, kg, rig, state, places)
          const { cart: _cart, ...said } = now
          expect([rig.kind, gradePercent, isFinite(said)]).toEqual([rig.kind, gradePercent, true])
          expect(`${headline(now, rig, 'Tern', String)} ${secondLine(now, String, 'Tern')}`).not.toMatch(/NaN|undefined|Infinity/)
        } catch (problem) {
          expect(problem).toBeInstanceOf(RangeError)
        }
      }
  })

  it.each(dogs)('%s in a seat, in every posture and with any slack', (_, form, massKg) => {
    const pulse = { id: '', source: '', mark: 'value from memory' as const, shape: 'half-sine' as const, speedKmh: 48, stopMm: 500 }
    for (const posture of ['lying', 'sitting', 'standing'] as const)
      for (const slackMm of [0, 60, 600]) {
        const now = seatNow({ form, seat: USUAL_SEAT, posture, slackMm, massKg, pulse })
        expect([posture, slackMm, isFinite({ ...now, belt: { ...now.belt, tensionPerLoad: 0 } })]).toEqual([posture, slackMm, true])
        expect(now.slacks).toEqual(slacksOf(slackMm))
        // Slack never lets it come less far.
        expect(now.belt.forwardMm).toBeGreaterThanOrEqual(-1e-6)
      }
  })
})
