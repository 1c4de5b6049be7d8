import { describe, expect, it } from 'vitest'
import { sectionAt, tapesOn, trunkOf, typicalForm, type Skin } from '../src/form/index.ts'
import { pointOn } from '../src/form/point-on.ts'
import { pullAlong, pullAround, stringAlong, stringAround } from '../src/lay/taut-string.ts'

/** Strings of the lay beside other ways to the same number. */
const QUARTER = Math.PI / 2
const BUILDS = ['nordic', 'toy', 'sighthound', 'long-low', 'molosser'] as const
const far = (a: readonly number[], b: readonly number[]): number => Math.hypot((a[0] ?? 0) - (b[0] ?? 0), (a[1] ?? 0) - (b[1] ?? 0), (a[2] ?? 0) - (b[2] ?? 0))

/** Half a ring by a dynamic programme: the shortest way over a grid of cuts, angle after angle. */
function ringByGrid(skin: Skin, under: number, top: number): number {
  const [angles, cuts] = [48, 141]
  const [low, high] = [Math.min(under, top) - 0.5, Math.max(under, top) + 0.5]
  const cutAt = (j: number): number => low + ((high - low) * j) / (cuts - 1)
  const sections = Array.from({ length: cuts }, (_, j) => sectionAt(skin, cutAt(j)))
  let reach = [{ at: pointOn(sectionAt(skin, under), -QUARTER), mm: 0 }]
  for (let i = 1; i < angles; i++) {
    const angle = -QUARTER + (Math.PI * i) / angles
    reach = sections.map((section) => {
      const at = pointOn(section, angle)
      return { at, mm: reach.reduce((best, before) => Math.min(best, before.mm + far(before.at, at)), Infinity) }
    })
  }
  const end = pointOn(sectionAt(skin, top), QUARTER)
  return reach.reduce((best, before) => Math.min(best, before.mm + far(before.at, end)), Infinity)
}

describe('strings of the lay, beside other ways to the same number', () => {
  it('the whole side strap is as long as the tape that runs there reads (M13), within 0.5 %', () => {
    for (const build of BUILDS) {
      const form = typicalForm({ build })
      const string = stringAlong()
      pullAlong(trunkOf(form).skin, string, 3, -QUARTER, 11, QUARTER, true, null)
      expect(Math.abs(string.length / (tapesOn(form, ['M13']).M13 ?? 1) - 1), build).toBeLessThan(0.005)
    }
  })

  it('half a neck ring is no longer than a dynamic programme’s over a grid, and no more than 0.4 % shorter', () => {
    for (const build of BUILDS) {
      const { skin } = trunkOf(typicalForm({ build }))
      for (const [under, top] of [
        [3.1, 2.9],
        [3.5, 2.6],
      ] as const) {
        const string = stringAround()
        pullAround(skin, string, under, top)
        const grid = ringByGrid(skin, under, top)
        expect(string.length / grid, build).toBeLessThan(1.001)
        expect(string.length / grid, build).toBeGreaterThan(0.996)
      }
    }
  })
})
