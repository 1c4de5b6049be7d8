import { foretell, laysOf, layGear, madeToMeasure, predictChecks, solveForm, type FamilyId, type Form } from '../core/src/index.ts'
import { generate, taped } from './form/generator.ts'
import { normal, seeded } from './form/random.ts'
import { median } from 'simple-statistics'

/*
 * Laying gear beside solving a form of nine readings, in one run: both states with their spread, one strap dragged, six
 * sizes one after another without spread; then how often positions lie in their four-in-five interval on dogs that the
 * solver's prior does not know.
 */
const NINE = ['M01', 'M02', 'M06', 'M07', 'M10', 'M13', 'M14', 'M17', 'M21']
const DOGS = Number(process.env.DOGS ?? 24)
const gauss = normal(seeded(31))
const dogs = generate(DOGS, 909)
const row = (name: string, reached: string, aim: string): void => console.log(`${name.padEnd(62)} ${reached.padStart(22)}   aim ${aim}`)
const LEVEL = { riseRad: 0 }

const strapsOf = (form: Form, family: FamilyId): Record<string, number> =>
  Object.fromEntries(Object.entries(madeToMeasure({ form, family, gauge: null }).straps).map(([id, { mm }]) => [id, mm]))
const timed = (work: () => unknown): number => {
  const from = performance.now()
  work()
  return performance.now() - from
}

console.log(`Gear laid on ${DOGS} invented dogs (seed 909), cross-back and walking Y:`)
const solving: number[] = []
const whole: Record<string, number[]> = { H11: [], H01: [] }
const dragged: number[] = []
const sixSizes: number[] = []
for (const [i, dog] of dogs.entries()) {
  const body = taped(dog, NINE, gauss)
  const form = solveForm(body, dog.about)
  for (const family of ['H11', 'H01'] as const) {
    const straps = strapsOf(form, family)
    const asked = { form, family, straps, pull: LEVEL, gauge: null }
    const first = layGear({ form, family, straps, pull: LEVEL, withoutSpread: true })
    // The first of all set the code up and are left out.
    if (i < 4) {
      predictChecks(asked)
      foretell(asked)
      continue
    }
    whole[family]?.push(timed(() => laysOf(asked)))
    if (family === 'H11') {
      solving.push(timed(() => solveForm(body, dog.about)))
      dragged.push(timed(() => layGear({ form, family, straps: { ...straps, side: (straps.side ?? 0) + 6 }, pull: LEVEL, withoutSpread: true, near: first })))
      sixSizes.push(
        timed(() => {
          let near = first
          for (const by of [0.9, 0.94, 0.97, 1, 1.03, 1.06])
            near = layGear({
              form,
              family,
              straps: Object.fromEntries(Object.entries(straps).map(([id, mm]) => [id, mm * by])),
              pull: LEVEL,
              withoutSpread: true,
              near,
            })
        }),
      )
    }
  }
}
const solve = median(solving)
const times = (values: readonly number[]): string => `${(median(values) / solve).toFixed(2)} x`
row('Solving a form of nine readings', `${solve.toFixed(1)} ms`, '')
row('Cross-back, both states with spread', times(whole.H11 ?? []), '1.5 x')
row('Walking Y, both states with spread', times(whole.H01 ?? []), '1.5 x')
row('A strap dragged by 6 mm', times(dragged), '0.25 x')
row('Six sizes one after another, without spread', times(sixSizes), '2 x')

// Positions on dogs the prior does not know: the truth is the lay on their own shape.
const within: Record<string, [inside: number, n: number]> = { v: [0, 0], ribs: [0, 0], tug: [0, 0] }
const halved: number[] = []
for (const dog of generate(90, 411).filter(({ known }) => !known)) {
  const truth = solveForm(Object.fromEntries(Object.entries(dog.truth).map(([id, mm]) => [id, { mm, sigmaMm: Math.max(0.05, 0.0015 * mm) }])), {
    sex: dog.about.sex ?? null,
  })
  const form = solveForm(taped(dog, NINE, gauss), dog.about)
  const straps = strapsOf(truth, 'H11')
  const real = layGear({ form: truth, family: 'H11', straps, pull: LEVEL, withoutSpread: true })
  const laid = layGear({ form, family: 'H11', straps, pull: LEVEL })
  for (const id of ['v', 'ribs', 'tug'] as const) {
    const [is, told] = [real.figures[id]?.mm ?? 0, laid.figures[id] ?? { mm: 0, sigmaMm: 0 }]
    const count = within[id] as [number, number]
    count[1] += 1
    if (Math.abs(told.mm - is) <= 1.2816 * told.sigmaMm) count[0] += 1
    if (id === 'v') halved.push(Math.abs(told.mm - is))
  }
}
for (const [id, [inside, n]] of Object.entries(within))
  row(`In the 80 % interval, ${id} (unknown kinds, ${n} dogs)`, `${((100 * inside) / n).toFixed(0)} %`, '70 to 92 %')
row('Median error of the V, nine tapes, unknown kinds', `${median(halved).toFixed(1)} mm`, '')
