import { describe, expect, it } from 'vitest'
import { draftPlaces } from '../draft/index.ts'
import { typicalForm } from '../form/index.ts'
import type { Rig, SetUp } from '../model/index.ts'
import { readCsv } from './csv.ts'
import { draftSvg } from './draft-sheet.ts'
import { rigFromJson, rigToJson } from './rig-sheet.ts'
import { setUpToCsv } from './set-up-sheet.ts'

const rig: Rig = {
  id: '', createdAt: '', name: 'Ash "cart" & sons', kind: 'cart', massKg: 14, massAheadMm: -10, massHeightMm: 320, axleMm: 250, trackMm: 620, wheelbaseMm: null, lockRad: null,
  shafts: { aheadMm: 1150, levelMm: 450, thickMm: 25, stopMm: 45 }, hitch: { aheadMm: 380, heightMm: 285 }, bar: { widthMm: 400, swings: true },
  bed: { fromMm: -400, toMm: 360, heightMm: 390 }, brake: false, notes: '',
} // prettier-ignore
const { id: _, createdAt: __, ...fields } = rig
const load = { name: 'Sacks, two', massKg: 22.04, aheadMm: -35, heightMm: 540 }

describe('a rig as a document', () => {
  it('goes out and comes in the same', () => {
    expect(rigFromJson(rigToJson(rig))).toEqual({ ok: true, value: fields })
  })
  it.each([
    ['nonsense', 'file', 'not JSON'],
    ['{"format":"other"}', 'format', 'no rig'],
    [rigToJson(rig).replace('"version": 1', '"version": 2'), 'version', 'newer'],
    [rigToJson(rig).replace('"version": 1', '"version": "x"'), 'version', 'no version'],
    [rigToJson(rig).replace('"axleMm": 250', '"axleMm": -3'), 'rig', ''],
    [rigToJson(rig).replace('"stopMm": 45', '"stopMm": 20'), 'rig', 'thicker'],
  ])('refused with the place: %s', (text, at, message) => {
    const read = rigFromJson(text)
    expect(read.ok).toBe(false)
    if (read.ok) return
    expect(read.problems[0]?.message).toContain(message)
    expect(at === 'rig' ? ['rig', 'axleMm'] : [at]).toContain(read.problems[0]?.at)
  })
})

it('a set-up goes out line by line, and its drawing in true scale', () => {
  const setUp = {
    id: '', itemId: '', pieceId: null, rigId: '', loads: [load], surface: 'sand', gradePercent: 2, lasts: 'long', loopMm: null, hitchMm: null, rearMm: { left: 0, right: 6 },
    route: [{ lengthM: 300, surface: 'gravel', gradePercent: -3 }], pair: null, minutes: { Neck: 7.5 }, at: '', by: '',
  } satisfies SetUp // prettier-ignore
  const csv = readCsv(setUpToCsv(setUp, rig, [{ strap: 'Neck', startMm: 512.34, leastMm: 500, mostMm: 524, leftMm: 510, rightMm: null }]))
  expect(csv.rows.flat()).toEqual(expect.arrayContaining(['Ash "cart" & sons', 'Sacks, two', '512.3', '7.5', '300', '-3']))
  const form = typicalForm({ build: 'retriever' })
  const svg = draftSvg(
    { form, rig, places: draftPlaces({ form, body: {}, gauge: null, hitchMm: 285 }), loads: [load], offsetMm: 1200, pitchRad: 0.01, hitchMm: 285 },
    { dog: 'A <dog>', on: '2026' },
  )
  const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? []
  expect(svg).toContain(`viewBox="0 0 ${width} ${height}"`)
  expect(svg).toContain('&lt;dog&gt;')
  // The wheel is as large as the axle is high.
  expect(/r="([\d.]+)"/.exec(svg)?.[1]).toBe('250.0')
  expect(svg).not.toContain('NaN')
})
