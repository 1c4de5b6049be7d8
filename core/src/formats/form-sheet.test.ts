import { describe, expect, it } from 'vitest'
import { plates, solveForm } from '../form/index.ts'
import { readCsv } from './csv.ts'
import { formSheetToCsv, formSheetToJson, sidePlateSvg } from './index.ts'

const form = solveForm({ M07: { mm: 702, sigmaMm: 8 }, M00: { mm: 24.3, sigmaMm: 0.2 } }, { build: 'nordic', sex: 'male' })
const head = { dog: 'Tern & <Gull>', breed: 'Cross', on: '2026-10-05' }

describe('a form on paper', () => {
  it('as JSON has every measure with its spread, and the reading beside what the form makes of it', () => {
    const sheet = JSON.parse(formSheetToJson(form, head)) as {
      measures: { measure: string; value: number; sigma: number; unit: string; taken: boolean; read: number | null }[]
    }
    expect(sheet.measures.map(({ measure }) => measure)).toEqual(Object.keys(form.measures))
    expect(sheet.measures.find(({ measure }) => measure === 'M07')).toMatchObject({ unit: 'mm', taken: true, read: 702 })
    expect(sheet.measures.find(({ measure }) => measure === 'M00')).toMatchObject({ unit: 'kg', read: 24.3 })
    expect(sheet.measures.every(({ value, sigma }) => value > 0 && sigma > 0)).toBe(true)
  })

  it('as CSV says the same, a line to a measure', () => {
    const [title, ...rows] = readCsv(formSheetToCsv(form, head)).rows
    expect(title).toEqual(['dog', 'on', 'measure', 'name', 'value', 'sigma', 'unit', 'basis', 'read'])
    expect(rows).toHaveLength(Object.keys(form.measures).length)
    expect(rows.filter((row) => row[7] === 'read').map((row) => row[2])).toEqual(['M00', 'M07'])
  })

  it('as a side plate is in true scale: the drawing’s back is the dog’s, in millimetres', () => {
    const svg = sidePlateSvg(form, head)
    const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? []
    const box = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)
    expect([width, height]).toEqual([box?.[1], box?.[2]])
    const { box: drawn } = plates(form, 'side')
    expect(Number(width)).toBeCloseTo(drawn.right - drawn.left + 40, 0)
    const xs = [...(/id="ribs" d="M([^Z]*)Z/.exec(svg)?.[1] ?? '').matchAll(/([\d.]+) [\d.]+/g)].map((match) => Number(match[1]))
    const ribs =
      plates(form, 'side')
        .plates.find(({ name }) => name === 'ribs')
        ?.points.map(([x]) => x) ?? []
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(Math.max(...ribs) - Math.min(...ribs), 0)
    expect(svg.includes('Tern &amp; &lt;Gull&gt;')).toBe(true)
    expect(svg.includes('NaN')).toBe(false)
  })
})
