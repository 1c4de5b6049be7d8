import type { Rig, SetUp } from '../model/index.ts'
import { writeCsv } from './csv.ts'

/** One strap of a set-up, mm; `null` where it is not set. */
export interface SetUpStrap {
  strap: string
  startMm: number
  leastMm: number
  mostMm: number
  leftMm: number | null
  rightMm: number | null
}

const cell = (value: number | null): string => (value === null ? '' : String(Math.round(value * 10) / 10))

/** A set-up as CSV (docs/formats.md): the rig, its loads, the way, then every strap with its start and how it is set. Lengths mm. */
export const setUpToCsv = (setUp: SetUp, rig: Pick<Rig, 'name' | 'kind' | 'massKg'>, straps: readonly SetUpStrap[]): string =>
  writeCsv([
    ['what', 'name', 'kg', 'ahead mm', 'height mm', 'start mm', 'least mm', 'most mm', 'left mm', 'right mm', 'minutes', 'surface', 'grade in 100', 'metres'],
    ['rig', rig.name, cell(rig.massKg), '', cell(setUp.hitchMm), '', '', '', '', '', '', setUp.surface, cell(setUp.gradePercent), ''],
    ...setUp.loads.map((load) => ['load', load.name, cell(load.massKg), cell(load.aheadMm), cell(load.heightMm), '', '', '', '', '', '', '', '', '']),
    ...setUp.route.map((each, i) => ['stretch', String(i + 1), '', '', '', '', '', '', '', '', '', each.surface, cell(each.gradePercent), cell(each.lengthM)]),
    ...straps.map(({ strap, startMm, leastMm, mostMm, leftMm, rightMm }) => [
      'strap', strap, '', '', '', cell(startMm), cell(leastMm), cell(mostMm), cell(leftMm), cell(rightMm), cell(setUp.minutes[strap] ?? null), '', '', '',
    ]),
  ]) // prettier-ignore
