import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { describe, expect, it } from 'vitest'
import { inventedPaw } from '../paw/index.ts'
import { bootOutingsToCsv, loadSpaceToJson, readCsv, tracingFramePdf, tracingsToJson, tracingSvg } from './index.ts'

const AT = '2026-10-05T09:00:00Z'
const tracing = { paw: 'front-left' as const, points: inventedPaw(60, 72), toesRad: -Math.PI / 2, at: AT, by: 'Ylva' }

describe('the tracing sheet on paper', () => {
  it.each([['A4', 210, 297], ['Letter', 215.9, 279.4]] as const)('%s: one page of its size (ISO 216, ASME Y14.1), in true scale, the same bytes twice', async (paper, wide, high) => {
    const bytes = await tracingFramePdf(paper)
    expect(Buffer.from(await tracingFramePdf(paper)).equals(Buffer.from(bytes))).toBe(true)
    const doc = await getDocument({ data: bytes.slice(), useSystemFonts: true }).promise
    expect(doc.numPages).toBe(1)
    const page = await doc.getPage(1)
    const { width, height } = page.getViewport({ scale: 1 })
    expect(width / (72 / 25.4)).toBeCloseTo(wide, 2)
    expect(height / (72 / 25.4)).toBeCloseTo(high, 2)
    const { fnArray } = await page.getOperatorList()
    expect(fnArray.filter((op) => op === OPS.constructPath).length).toBeGreaterThan(12)
  }) // prettier-ignore
})

describe('outlines and outings taken out', () => {
  it('an outline is drawn in millimetres, as wide as it is', () => {
    const svg = tracingSvg(tracing)
    expect(svg).toMatch(/^<svg [^>]*width="70mm" height="82mm"/)
    const xs = [...svg.matchAll(/[ML](-?[\d.]+) /g)].map(([, x]) => Number(x))
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(60, 2)
  })
  it('as data it is what it was', () => {
    const out = JSON.parse(tracingsToJson([tracing])) as { tracings: unknown[] }
    expect(out.tracings).toEqual([tracing])
  })
  it('a load space is what it was, with its car’s name', () => {
    const space = { floor: [[0, 0], [900, 0], [900, 1000]] as [number, number][], side: [[0, 0], [900, 0], [0, 700]] as [number, number][], arches: [], opening: null, floorUpMm: 500, sillMm: 20, anchors: [] } // prettier-ignore
    expect(JSON.parse(loadSpaceToJson({ name: 'Van', space }))).toEqual({ format: 'merry-tailor/load-space', version: 1, name: 'Van', space })
  })
  it('outings are a row a paw; those taken off are left out', () => {
    const outing = { id: 'x', on: '2026-10-04', km: 12, footing: 'snow' as const, minutes: null, paws: { 'front-left': { worn: true, lost: false, seen: ['S63'] } }, note: '', at: AT, by: 'Ylva', removed: false } // prettier-ignore
    const { rows } = readCsv(bootOutingsToCsv([outing, { ...outing, removed: true }]))
    expect(rows).toHaveLength(2)
    expect(rows[1]).toEqual(['2026-10-04', '12', 'snow', '', 'front-left', 'yes', '', 'S63', 'Ylva'])
  })
})
