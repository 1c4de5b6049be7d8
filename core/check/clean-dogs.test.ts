import { describe, expect, it } from 'vitest'
import {
  breeds,
  keysOf,
  measures,
  plausible,
  solveForm,
  technicalErrorMm,
  type Finding,
  PLAIN_CIRCUMSTANCES,
  type Reading,
  type MeasureId,
} from '../src/index.ts'
import { normal, seeded } from '../../bench/form/random.ts'

/** Sheets of dogs of all builds and ages, made by our own form with the tapes' own errors, typed in half centimetres: no slip in any. */
const AGES = [2, 4, 8, 40] as const
const ON = '2026-10-05'
const gauss = normal(seeded(2026))

const aReadingOf = (measure: MeasureId, typed: number, unit: 'kg' | 'cm', takenAt: string): Reading => ({
  ...PLAIN_CIRCUMSTANCES, id: `${measure} ${takenAt}`, measure, mm: unit === 'kg' ? typed : typed * 10, side: 'both', asTyped: String(typed), unit, takenAt, by: '',
}) // prettier-ignore

interface Clean {
  name: string
  about: { breed: string; crossWith: string; sex: 'male' | 'female'; weightKg: number | null; ageMonths: number; ageSaidOn: string; born: null }
  readings: Reading[]
}

const TAKEN: readonly MeasureId[] = keysOf(measures as Readonly<Record<MeasureId, unknown>>).filter((id) => !/^M(?:3[2-8]|4[6-9])$/.test(id))

function cleanDogs(count: number): Clean[] {
  const forms = breeds.flatMap((breed, i) => {
    const sex = i % 2 === 0 ? ('male' as const) : ('female' as const)
    const ageMonths = AGES[i % AGES.length] ?? 40
    return [{ breed: breed.name, sex, ageMonths, values: solveForm({}, { breed: breed.name, sex, ageMonths }).measures }]
  })
  return Array.from({ length: count }, (_, n): Clean => {
    const { breed, sex, ageMonths, values } = forms[n % forms.length] as (typeof forms)[number]
    const readings = TAKEN.flatMap((id, i): Reading[] => {
      const mm = values[id]?.mm
      if (mm === undefined || (id === 'M30' && sex === 'female')) return []
      const mass = id === 'M00'
      const value = mass ? mm * (1 + 0.01 * gauss()) : mm + technicalErrorMm(id, mm) * gauss()
      const typed = mass ? Math.round(value * 10) / 10 : Math.max(0.5, Math.round(value / 5) / 2)
      return [aReadingOf(id, typed, mass ? 'kg' : 'cm', new Date(Date.parse(`${ON}T09:00:00Z`) + i * 40_000).toISOString())]
    })
    return { name: `${breed}, ${ageMonths} months`, about: { breed, crossWith: '', sex, weightKg: null, ageMonths, ageSaidOn: ON, born: null }, readings }
  })
}

const valuesOf = (readings: readonly Reading[]) => Object.fromEntries(readings.map(({ measure, mm }) => [measure, { mm }]))
const questions = ({ about, readings }: Pick<Clean, 'about' | 'readings'>): Finding[] => plausible(valuesOf(readings), { readings, about, on: ON })

describe('the rules of 3.3 on 2,000 invented clean dogs of all builds and ages', () => {
  const dogs = cleanDogs(2000)

  it('T28, T29 raise a red question on fewer than 4 in 100, and "the same number" at most once a sheet', () => {
    const asked = dogs.map((dog) => ({
      dog,
      red: questions(dog).filter(({ soft }) => !soft),
      same: questions(dog).filter(({ rule }) => rule === 'same-value').length,
    }))
    const wrong = asked.filter(({ red }) => red.length > 0)
    const byRule = wrong.flatMap(({ red }) => red.map(({ rule, measures: [first] }) => `${rule} ${first ?? ''}`))
    const tally = new Map<string, number>()
    for (const rule of byRule) tally.set(rule, (tally.get(rule) ?? 0) + 1)
    const counts = [...tally].sort((a, b) => b[1] - a[1]).map(([rule, n]) => `${rule}: ${n}`)
    expect([wrong.length / dogs.length < 0.04, counts.slice(0, wrong.length / dogs.length < 0.04 ? 0 : 20)]).toEqual([true, []])
    expect(Math.max(...asked.map(({ same }) => same))).toBeLessThanOrEqual(1)
  })

  it('name gross slips of unit and decimal point 99 times in 100', () => {
    let [slips, named] = [0, 0]
    for (const [i, dog] of dogs.filter((_, n) => n % 4 === 0).entries()) {
      const rings = dog.readings.filter(({ measure }) => ['M01', 'M02', 'M07', 'M08', 'M13', 'M14', 'M06', 'M45'].includes(measure))
      const hurt = rings[i % rings.length]
      if (!hurt) continue
      const factor = [2.54, 1 / 2.54, 10, 0.1][i % 4] ?? 1
      const readings = dog.readings.map((reading) =>
        reading === hurt ? { ...reading, mm: reading.mm * factor, asTyped: String((reading.mm * factor) / 10) } : reading,
      )
      slips += 1
      if (questions({ ...dog, readings }).some((finding) => !finding.soft && finding.measures.includes(hurt.measure))) named += 1
    }
    expect(slips).toBeGreaterThan(450)
    expect(named / slips).toBeGreaterThanOrEqual(0.99)
  })

  it('T22 name five tapes in the wrong unit as one slip', () => {
    let [all, one] = [0, 0]
    for (const [n, dog] of dogs.filter((_, i) => i % 10 === 0).entries()) {
      const readings = dog.readings
        .filter(({ measure }) => ['M01', 'M07', 'M06', 'M13', 'M14'].includes(measure))
        .map((reading): Reading => (n % 2 === 0 ? { ...reading, mm: reading.mm * 2.54, unit: 'in' } : { ...reading, mm: reading.mm / 2.54, unit: 'cm' }))
      const weight = dog.readings.filter(({ measure }) => measure === 'M00')
      const found = questions({ ...dog, readings: [...readings, ...weight] }).filter(({ soft }) => !soft)
      all += 1
      if (found.length === 1 && found[0]?.rule === 'unit-of-all' && found[0].measures.length === 5) one += 1
    }
    expect(one / all).toBeGreaterThanOrEqual(0.95)
  })
})
