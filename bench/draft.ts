import { crashRide, draftPlaces, draftStart, PULSES, solveForm, STIFFNESSES, type Rig } from '../core/src/index.ts'
import { draftNow, type DraftState } from '../web/src/ticket/hitch/draft-now.ts'
import { generate, taped } from './form/generator.ts'
import { normal, seeded } from './form/random.ts'
import { median } from 'simple-statistics'

/*
 * The drafting bench beside solving a form of nine readings, in one run: everything said of a set-up while a load is
 * dragged, where the straps start with their spreads, a hundred rides on a belt; then how often starts lie within what
 * they are told to, on dogs drawn for it.
 */
const NINE = ['M01', 'M02', 'M06', 'M07', 'M10', 'M13', 'M14', 'M17', 'M21']
const DOGS = Number(process.env.DOGS ?? 40)
const FRAME_MS = 16.7
const gauss = normal(seeded(31))
const row = (name: string, reached: string, aim: string): void => console.log(`${name.padEnd(62)} ${reached.padStart(22)}   aim ${aim}`)
const timed = (work: () => unknown): number => {
  const from = performance.now()
  work()
  return performance.now() - from
}
const rig: Rig = {
  id: '', createdAt: '', name: 'Bench cart', kind: 'cart', massKg: 14.5, massAheadMm: -15, massHeightMm: 330, axleMm: 255, trackMm: 620, wheelbaseMm: null, lockRad: null,
  shafts: { aheadMm: 1150, levelMm: 465, thickMm: 25, stopMm: 45 }, hitch: { aheadMm: 350, heightMm: 285 }, bar: { widthMm: 400, swings: false },
  bed: { fromMm: -400, toMm: 360, heightMm: 390 }, brake: false, notes: '',
} // prettier-ignore
const setUp: DraftState = {
  rigId: '', loads: [{ name: 'Churns', massKg: 30, aheadMm: 20, heightMm: 560 }], surface: 'gravel', gradePercent: 3, lasts: 'long', loopMm: null, rearLeftMm: 6, rearRightMm: 0, hitchMm: null, route: [], giveNpm: null,
} // prettier-ignore

console.log(`The drafting bench on ${DOGS} invented dogs (seed 909), a cart with a fixed bar:`)
const [solving, dragged, starting]: [number[], number[], number[]] = [[], [], []]
const inside: Record<string, [within: number, of: number]> = {}
for (const [i, dog] of generate(DOGS, 909).entries()) {
  const body = taped(dog, NINE, gauss)
  const form = solveForm(body, dog.about)
  const kg = dog.truth.M00 ?? 25
  const ask = { form, body, family: 'H23' as const, gauge: null, rig: { shaftMm: 25, stopMm: 45, hitchMm: 285 } }
  // The first of all set the code up and are left out.
  const places = draftPlaces({ form, body, gauge: null, hitchMm: rig.hitch.heightMm })
  const drag = (step: number): unknown =>
    draftNow(
      form,
      kg,
      { ...rig, shafts: rig.shafts && { ...rig.shafts, levelMm: form.measures.M46?.mm ?? 465 } },
      {
        ...setUp,
        loads: setUp.loads.map((load) => ({ ...load, aheadMm: load.aheadMm + step })),
      },
      places,
    )
  if (i >= 4) {
    solving.push(timed(() => solveForm(body, dog.about)))
    dragged.push(timed(() => drag(i)))
    starting.push(timed(() => draftStart(ask)))
  } else {
    drag(i)
    draftStart(ask)
  }
  const truth = solveForm(Object.fromEntries(Object.entries(dog.truth).map(([id, mm]) => [id, { mm, sigmaMm: Math.max(0.05, 0.0015 * mm) }])), {
    sex: dog.about.sex ?? null,
  })
  const real = draftStart({ ...ask, form: truth, body: {} }).straps
  for (const [part, { leastMm, mostMm }] of Object.entries(draftStart(ask).straps)) {
    const is = real[part as keyof typeof real]?.startMm ?? 0
    const count = (inside[part] ??= [0, 0])
    count[1] += 1
    if (is >= leastMm && is <= mostMm) count[0] += 1
  }
}
const solve = median(solving)
const worst = [...dragged].sort((a, b) => a - b)[Math.floor(0.95 * dragged.length)] ?? 0
row('Solving a form of nine readings', `${solve.toFixed(1)} ms`, '')
row('A load dragged: all that is said of a set-up', `${(median(dragged) / solve).toFixed(2)} x`, '1 x')
row('... of a frame, median and 95 in 100', `${(median(dragged) / FRAME_MS).toFixed(2)}, ${(worst / FRAME_MS).toFixed(2)}`, '1')
row('Where straps start, with their spreads', `${(median(starting) / solve).toFixed(2)} x`, '3 x')

// A hundred rides beside a loop that does 20 us of plain arithmetic a ride.
const pulse = PULSES[0] ?? { shape: 'half-sine' as const, speedKmh: 48, stopMm: 500 }
const rides = (): number => {
  let sum = 0
  for (let i = 0; i < 100; i++)
    sum += crashRide({ massKg: 5 + (i % 40), pulse, slackMm: i % 150, stiffnessNpm: STIFFNESSES[i % STIFFNESSES.length] ?? 40_000 }).peakN
  return sum
}
const plain = (ms: number): number => {
  let [sum, turns] = [0, 0]
  const until = performance.now() + ms
  while (performance.now() < until) for (let i = 0; i < 200; i++) sum += Math.sqrt((turns += 1))
  return sum
}
for (let i = 0; i < 5; i++) rides()
const took = median(Array.from({ length: 9 }, () => timed(rides)))
const beside = median(Array.from({ length: 9 }, () => timed(() => plain(2))))
row('A hundred rides on a belt beside 100 x 20 us', `${(took / beside).toFixed(1)} x`, '')

console.log('Starts that lie in their nine-in-ten range on the dog itself:')
for (const [part, [within, of]] of Object.entries(inside)) row(`  ${part}`, `${Math.round((100 * within) / of)} %`, '90 %')
