import fc from 'fast-check'
import { expect, it } from 'vitest'
import { figure } from './index.ts'

const about = { breed: '', crossWith: '', weightKg: null, flatFace: null }
const body = (values: Record<string, number>) => Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm }]))

it('lets each reading move its own part and vouch for it', () => {
  const plain = figure({}, about)
  expect(plain.vouched).toEqual([])
  expect(figure(body({ M14: 700 }), about)).toMatchObject({ backMm: 700, vouched: ['haunch', 'loin'] })
  expect(figure(body({ M14: 560, M07: 820 }), about).depthMm).toBeGreaterThan(figure(body({ M14: 560, M07: 700 }), about).depthMm)
  const near = figure(body({ M14: 560, M01: 560 }), about).breastbone.x
  const far = figure(body({ M14: 560, M01: 640 }), about).breastbone.x
  expect(far).toBeGreaterThan(near)
  expect(figure(body({ M14: 560, M06: 330 }), about).sternumEnd.x).toBeLessThan(figure(body({ M14: 560, M06: 270 }), about).sternumEnd.x)
  expect(figure(body({ M14: 560, M10: 480 }), about).lastRib.x).toBeLessThan(figure(body({ M14: 560, M10: 400 }), about).lastRib.x)
  expect(figure(body({ M01: 560, M07: 700 }), about).vouched).toEqual(['neck', 'ribs'])
})

it('follows build and weight where nothing was read', () => {
  expect(figure({}, { ...about, breed: 'Dachshund' }).legMm / figure({}, { ...about, breed: 'Dachshund' }).backMm).toBeLessThan(0.3)
  expect(figure({}, { ...about, breed: 'Pug' }).flatFace).toBe(true)
  expect(figure({}, { ...about, weightKg: 40 }).backMm).toBeGreaterThan(figure({}, { ...about, weightKg: 12 }).backMm)
})

it('stays a finite dog on any readings', () => {
  const reading = fc.double({ min: -10, max: 5000 })
  fc.assert(
    fc.property(fc.dictionary(fc.constantFrom('M01', 'M06', 'M07', 'M10', 'M11', 'M12', 'M13', 'M14'), reading), (values) => {
      const shape = figure(body(values), { ...about, weightKg: 20 })
      const points = [shape.withers, shape.breastbone, shape.underLegs, shape.sternumEnd, shape.lastRib, shape.tailBase]
      expect(points.every((point) => Number.isFinite(point.x) && Number.isFinite(point.y))).toBe(true)
      expect(shape.tailBase.x).toBeLessThan(shape.lastRib.x)
      expect(shape.breastbone.x).toBeGreaterThan(0)
    }),
  )
})
