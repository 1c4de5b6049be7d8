import { describe, expect, it } from 'vitest'
import { bodyOf, breeds, crossCheck, measures, PLAIN_CIRCUMSTANCES, plausible, solveForm, typicalForm, type Reading, type MeasureId } from '../src/index.ts'

/** What the bench agrees on and what the form expects must mean the same path, doubled or not. */
let n = 0
const tape = (measure: MeasureId, mm: number, side: Reading['side'] = 'both'): Reading => ({
  ...PLAIN_CIRCUMSTANCES,
  id: String((n += 1)),
  measure,
  mm,
  side,
  asTyped: String(mm),
  unit: 'mm',
  takenAt: '2026-10-05T09:00:00Z',
  by: '',
})
const twice = (measure: MeasureId, mm: number, side: Reading['side'] = 'both'): Reading[] =>
  [tape(measure, mm), tape(measure, mm)].map((each) => ({ ...each, side }))

describe('the form beside the bench', () => {
  it('no dog of the middle raises a question of the handbook’s orders about itself, whatever its breed', () => {
    for (const breed of breeds) {
      // Two measures of one value happen; they are asked about softly and contradict nothing.
      const found = plausible(typicalForm({ breed: breed.name }).measures).filter(({ rule }) => rule !== 'same-value')
      expect([breed.name, found.map(({ rule, measures: of }) => `${rule} ${of.join(' ')}`)]).toEqual([breed.name, []])
    }
  })

  it('takes a rug’s half drop as the bench counts it, doubled, and leaves the girth alone', () => {
    const body = bodyOf([...twice('M07', 701), ...twice('M18', 290, 'one')])
    expect(body.M18?.mm).toBe(580)
    const form = solveForm(body, { breed: 'Border Collie' })
    expect(Math.abs((form.measures.M07?.mm ?? 0) - 701)).toBeLessThan(12)
    expect(Math.abs((form.measures.M18?.mm ?? 0) - 580)).toBeLessThan(12)
    expect(crossCheck(body, { breed: 'Border Collie' }).suspects.filter((each) => each.measure === 'M18')).toEqual([])
  })

  it('whatever may be read one side and doubled is in the form as its whole, so that one reading never pulls the dog apart', () => {
    const about = { breed: 'Border Collie' }
    const typical = solveForm({}, about)
    for (const measure of Object.values(measures).filter((each) => each.doubling)) {
      const whole = typical.measures[measure.id]?.mm
      if (whole === undefined) continue
      const form = solveForm(bodyOf(twice(measure.id, whole / 2, 'one')), about)
      for (const id of ['M07', 'M14', measure.id]) {
        const share = (form.measures[id]?.mm ?? 0) / (typical.measures[id]?.mm ?? 1)
        expect([measure.id, id, Math.abs(share - 1) < 0.02]).toEqual([measure.id, id, true])
      }
    }
  })

  it('a dog drawn from its own middle is read back as that dog, measure by measure', () => {
    for (const breed of ['Chihuahua', 'Dachshund', 'Siberian Husky', 'Greyhound', 'Great Dane']) {
      const middle = typicalForm({ breed })
      const body = Object.fromEntries(['M01', 'M06', 'M07', 'M10', 'M12', 'M14', 'M18'].map((id) => [id, { mm: middle.measures[id]?.mm ?? 0, sigmaMm: 4 }]))
      const again = solveForm(body, { breed })
      for (const [id, { mm }] of Object.entries(middle.measures)) {
        // What was not read may move a little: readings speak louder than the breed's height and weight.
        const within = id in body ? 0.015 : 0.08
        expect([breed, id, Math.abs((again.measures[id]?.mm ?? 0) / mm - 1) < within]).toEqual([breed, id, true])
      }
    }
  })
})
