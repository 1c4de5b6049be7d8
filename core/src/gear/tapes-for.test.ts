import { expect, it } from 'vitest'
import { tapesFor } from './index.ts'

const ids = (...items: Parameters<typeof tapesFor>[0][number][]) => tapesFor(items).map((tape) => tape.measure)

it('wants the smallest set for each way and school, in station order', () => {
  expect(ids({ family: 'H01', way: 'stock' })).toEqual(['M01', 'M06', 'M07'])
  expect(ids({ family: 'H11', way: 'stock' })).toEqual(['M01', 'M13', 'M14'])
  expect(ids({ family: 'H11', way: 'made', school: 'A' })).toEqual(['M01', 'M10', 'M12'])
  expect(ids({ family: 'H11', way: 'made', school: 'B' })).toEqual(['M01', 'M13', 'M11'])
  expect(ids({ family: 'H11', way: 'undecided' })).toEqual(['M01', 'M10', 'M12', 'M13', 'M11', 'M14'])
  expect(ids()).toEqual([])
})

it('says who needs a tape, and lets a must win over a warning', () => {
  const walking = { family: 'H01', way: 'stock' } as const
  const stock = { family: 'H11', way: 'quick-ship' } as const
  const made = { family: 'H11', way: 'made', school: 'B' } as const
  const tapes = tapesFor([walking, stock, made])
  expect(tapes.find((tape) => tape.measure === 'M01')?.items).toEqual([walking, stock, made])
  expect(tapes.find((tape) => tape.measure === 'M13')).toMatchObject({ need: 'must', items: [stock, made] })
  expect(tapes.find((tape) => tape.measure === 'M14')).toMatchObject({ need: 'warning', either: 'M13' })
})
