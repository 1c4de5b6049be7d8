import { describe, expect, it } from 'vitest'
import { swappedMm } from './causes.ts'
import { crossCheck, solveForm, type About } from './index.ts'

const about: About = { build: 'retriever', sex: 'male', coat: 'short-double' }
const IDS = ['M01', 'M02', 'M06', 'M07', 'M08', 'M10', 'M11', 'M12', 'M13', 'M14', 'M17', 'M21']
/** A dog whose tapes read exactly what its form has. */
const true14 = Object.fromEntries(IDS.map((id) => [id, solveForm({}, about).measures[id]?.mm ?? 0]))
const body = (values: Record<string, number>) => Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm, sigmaMm: Math.hypot(3, 0.01 * mm) }]))
const check = (over: Record<string, number>, options = {}) => crossCheck(body({ ...true14, ...over }), about, options)
const mm = (id: string): number => true14[id] ?? 0

describe('crossCheck', () => {
  it('agrees with a dog that is one', () => {
    expect(check({})).toEqual({ state: 'agrees', suspects: [] })
  })

  it('names the culprit first, with its cause and what the tape would read', () => {
    const cases = [
      ['M01', 0.5, 'one-side-not-doubled', 2],
      ['M01', 2, 'doubled-twice', 0.5],
      ['M07', 1 / 2.54, 'inches-for-centimetres', 2.54],
      ['M14', 2.54, 'centimetres-for-inches', 1 / 2.54],
    ] as const
    for (const [id, by, cause, back] of cases) {
      const { state, suspects } = check({ [id]: mm(id) * by })
      expect([state, suspects.map(({ measure }) => measure)]).toEqual(['unusual', [id]])
      expect([id, by, suspects[0]?.causes[0]?.cause]).toEqual([id, by, cause])
      expect(suspects[0]?.causes[0]?.wouldReadMm).toBeCloseTo(mm(id) * by * back, 6)
      expect(suspects[0]?.expectedMm).toBeGreaterThan(mm(id) * 0.93)
      expect(suspects[0]?.expectedMm).toBeLessThan(mm(id) * 1.07)
    }
  })

  it('sees two digits changed over, by the way the number was typed', () => {
    const girth = { ...true14, M07: 760 }
    const gross = crossCheck(body({ ...girth, M07: 1070 }), about, { asTyped: { M07: '107,0' } })
    expect(gross.suspects[0]?.measure).toBe('M07')
    expect(swappedMm(670, '67')).toEqual([760])
    expect(swappedMm(313.5, '31,35').map(Math.round)).toEqual([134, 332, 315])
    expect(swappedMm(550, '55')).toEqual([])
  })

  it('knows the path of another measure when it sees one', () => {
    const { suspects } = check({ M12: mm('M14') })
    expect(suspects[0]?.measure).toBe('M12')
    expect(suspects[0]?.causes.some(({ cause, measure }) => cause === 'other-path' && measure === 'M14')).toBe(true)
  })

  it('always allows that the dog is so, and never says more than weights', () => {
    const { suspects } = check({ M12: mm('M12') * 0.78 })
    const causes = suspects[0]?.causes ?? []
    expect(suspects[0]?.measure).toBe('M12')
    expect(causes.reduce((sum, { weight }) => sum + weight, 0)).toBeLessThanOrEqual(1.0001)
    expect(causes.every(({ weight }) => weight > 0)).toBe(true)
    expect(suspects[0]?.t).toBeLessThan(0)
  })

  it('finds two slips where there are two', () => {
    const { suspects } = check({ M07: mm('M07') * 2, M14: mm('M14') / 2.54 })
    expect(suspects.slice(0, 2).map(({ measure }) => measure).sort()).toEqual(['M07', 'M14']) // prettier-ignore
  })

  it('believes a slip less when the last visit read the same', () => {
    const odd = mm('M12') * 0.8
    const earlier = [{ body: body({ ...true14, M12: odd }), daysBefore: 60 }]
    const t = (options: object): number => Math.max(0, ...check({ M12: odd }, options).suspects.map((suspect) => Math.abs(suspect.t)))
    expect(t({ earlier })).toBeLessThan(t({}))
  })

  it('does not take the dog’s weight for a length', () => {
    expect(crossCheck({ ...body(true14), M00: { mm: 90, sigmaMm: 0.4 } }, about).suspects.every(({ measure }) => measure !== 'M00')).toBe(true)
  })
})
