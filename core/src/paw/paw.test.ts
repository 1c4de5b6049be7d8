import fc from 'fast-check'
import { Mask } from 'image-js'
import { describe, expect, it } from 'vitest'
import { hullOf, strapSlackMm } from '../fit/index.ts'
import { breakIn } from './break-in.ts'
import { dragOutline, pawSizeOf, type OutlinePoint } from './paw-size.ts'
import { pawReading } from './paw-reading.ts'
import { inventedPaw } from './rendered-sheet.ts'
import { strapPlace } from './strap-place.ts'
import { mmOf, pxOf, viewFrom, type SheetPoint } from './view.ts'

const rectangle: OutlinePoint[] = [[-20, -30], [20, -30], [20, 30], [-20, 30]] // prettier-ignore
const turned = (points: readonly OutlinePoint[], at: number): OutlinePoint[] => points.map(([x, y]) => [x * Math.cos(at) - y * Math.sin(at), x * Math.sin(at) + y * Math.cos(at)]) // prettier-ignore

describe('width and length of an outline', () => {
  it('a rectangle is as wide and long as it is', () => {
    expect(pawSizeOf(rectangle)).toEqual({ widthMm: 40, lengthMm: 60, axisRad: -Math.PI / 2, atWindowEnd: false })
  })
  it('laid askew within the window it is the same; farther it is read at the window’s end', () => {
    const askew = pawSizeOf(turned(rectangle, 0.1))
    expect(askew.widthMm).toBeCloseTo(40, 9)
    expect(askew.lengthMm).toBeCloseTo(60, 9)
    expect(askew.axisRad).toBeCloseTo(-Math.PI / 2 + 0.1, 9)
    expect(pawSizeOf(turned(rectangle, 0.5)).atWindowEnd).toBe(true)
  })
  it('turned or mirrored with its arrow, it is of the same size', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 90, noNaN: true }),
        fc.double({ min: 1, max: 1.4, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (w, by, at) => {
          const paw = inventedPaw(w, w * by, 0.03)
          const plain = pawSizeOf(paw)
          const round = pawSizeOf(turned(paw, at), { toesRad: -Math.PI / 2 + at })
          const mirrored = pawSizeOf(paw.map(([x, y]) => [-x, y]))
          for (const other of [round, mirrored]) {
            expect(other.widthMm).toBeCloseTo(plain.widthMm, 6)
            expect(other.lengthMm).toBeCloseTo(plain.lengthMm, 6)
          }
        },
      ),
      { numRuns: 60 },
    )
  })
  it('agrees with the least Feret diameter of image-js on a drawn mask', () => {
    for (const [w, l, lean] of [[50, 70, 0], [38, 80, -0.2]] as const) {
      const paw = inventedPaw(w, l, lean)
      const mask = new Mask(600, 600)
      const inside = (x: number, y: number): boolean => {
        let odd = false
        for (let i = 0, j = paw.length - 1; i < paw.length; j = i++) {
          const [a, b] = [paw[i] as OutlinePoint, paw[j] as OutlinePoint]
          if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) odd = !odd
        }
        return odd
      }
      for (let y = 0; y < 600; y += 1) for (let x = 0; x < 600; x += 1) if (inside((x + 0.5) / 5 - 60, (y + 0.5) / 5 - 60)) mask.setBit(x, y, 1)
      const feret = mask.getFeret()
      // Five cells a millimetre: theirs counts whole cells.
      expect(Math.abs(pawSizeOf(paw, { windowRad: Math.PI / 2 }).widthMm - feret.minDiameter.length / 5)).toBeLessThan(0.4)
    }
  }, 30_000) // prettier-ignore
  it('an outline of two points, or on one line, is none', () => {
    expect(() => pawSizeOf([[0, 0], [1, 1]])).toThrow(RangeError) // prettier-ignore
    expect(() => pawSizeOf([[0, 0], [1, 1], [2, 2]])).toThrow(RangeError) // prettier-ignore
    expect(hullOf([[0, 0], [2, 0], [2, 2], [0, 2], [1, 1]])).toHaveLength(4) // prettier-ignore
  })
})

describe('dragging an outline', () => {
  const paw = inventedPaw(60, 70)
  it('the point goes all the way, its neighbours less, and none beyond the reach', () => {
    const moved = dragOutline(paw, 40, [3, -2], 10)
    const far = moved.map(([x, y], i) => Math.hypot(x - (paw[i]?.[0] ?? 0), y - (paw[i]?.[1] ?? 0)))
    expect(far[40]).toBeCloseTo(Math.hypot(3, 2), 9)
    for (let k = 1; k < 10; k++) expect(far[40 + k]).toBeLessThanOrEqual(far[40 + k - 1] ?? 0)
    let past = 0
    for (let i = 40; i < 80; i++) {
      past += Math.hypot((paw[i + 1]?.[0] ?? 0) - (paw[i]?.[0] ?? 0), (paw[i + 1]?.[1] ?? 0) - (paw[i]?.[1] ?? 0))
      if (past >= 10) expect(far[i + 1]).toBe(0)
    }
  })
  it('over the seam of the outline too; a point there is not is refused', () => {
    const moved = dragOutline(paw, 0, [1, 0], 8)
    expect(moved.at(-1)?.[0]).not.toBe(paw.at(-1)?.[0])
    expect(() => dragOutline(paw, 999, [1, 0], 8)).toThrow(RangeError)
    expect(dragOutline(paw, 3, [1, 1], 0).filter(([x], i) => x !== paw[i]?.[0])).toHaveLength(1)
  })
})

describe('what a tracing reads', () => {
  const paw = { points: inventedPaw(60, 70), closedMm: 0 }
  it('takes the pencil off both sides, and is less sure where it was not measured', () => {
    const [known, guessed] = [
      pawReading(paw, { rmsMm: 0.05 }, { pencilMm: 1.5, lineRead: true }),
      pawReading(paw, { rmsMm: 0.05 }, { pencilMm: null, lineRead: true }),
    ]
    const bare = pawSizeOf(paw.points, { windowRad: (5 / 180) * Math.PI })
    expect(known.width.mm).toBeCloseTo(bare.widthMm - 3, 9)
    expect(guessed.width.mm).toBeCloseTo(bare.widthMm - 2, 9)
    expect(guessed.width.sigmaMm).toBeGreaterThan(2)
    expect(known.width.sigmaMm).toBeLessThan(0.8)
  })
  it('an unread line, a gap and paper that was not flat each widen it', () => {
    const sigma = (over: { closedMm?: number; rmsMm?: number; lineRead?: boolean }) =>
      pawReading({ ...paw, closedMm: over.closedMm ?? 0 }, { rmsMm: over.rmsMm ?? 0.05 }, { pencilMm: 1, lineRead: over.lineRead ?? true }).width.sigmaMm
    const least = sigma({})
    for (const over of [{ closedMm: 6 }, { rmsMm: 0.8 }, { lineRead: false }]) expect(sigma(over)).toBeGreaterThan(least)
    expect(() => pawReading(paw, { rmsMm: 0 }, { pencilMm: -1, lineRead: true })).toThrow(RangeError)
  })
})

describe('a strap on the leg', () => {
  const gauge = { widthMm: 20, thicknessMm: 16 }
  const leg = { pasternMm: 130, pawTopMm: 40, wristMm: 100, dewclaw: true, dewclawMm: 78, strapMm: 25, gauge }
  it('lies below the dewclaw where it fits clear of it, else above it, else nowhere (S66)', () => {
    expect(strapPlace(leg)).toMatchObject({ at: 'below', fromMm: 40, toMm: 73, symptom: null })
    expect(strapPlace({ ...leg, dewclawMm: 60 })).toMatchObject({ at: 'above', fromMm: 65, toMm: 100 })
    expect(strapPlace({ ...leg, dewclawMm: 60, wristMm: 85 })).toMatchObject({ at: null, symptom: 'S66' })
    expect(strapPlace({ ...leg, dewclaw: false, dewclawMm: 0 })).toMatchObject({ at: 'free', fromMm: 40, toMm: 100 })
  })
  it('is as long as its ring and one finger’s slack (facts 9b), and by hand where the finger is wider than the leg', () => {
    expect(strapPlace(leg).lengthMm).toBeCloseTo(130 + strapSlackMm(130, gauge), 9)
    // Computed row of 9b: R 40 mm, one finger 20 x 16, 23.481 mm.
    expect(strapPlace({ ...leg, pasternMm: 2 * Math.PI * 40 }).lengthMm).toBeCloseTo(2 * Math.PI * 40 + 23.481, 3)
    expect(strapPlace({ ...leg, pasternMm: 60 }).lengthMm).toBeNull()
    expect(() => strapPlace({ ...leg, strapMm: 0 })).toThrow(RangeError)
  })
})

describe('getting used to boots', () => {
  it('goes on after a clean full round, repeats what was seen, goes a step back from what hurts', () => {
    expect(breakIn([])).toMatchObject({ step: 1, paws: 'one-pair', where: 'indoors', minutes: [2, 2], stop: null })
    expect(breakIn([{ minutes: 2, seen: [] }])).toMatchObject({ step: 2, paws: 'all-four', minutes: [5, 5] })
    expect(breakIn([{ minutes: 1, seen: [] }]).step).toBe(1)
    expect(breakIn([{ minutes: 2, seen: [] }, { minutes: 5, seen: ['S64'] }])).toMatchObject({ step: 2, stop: null }) // prettier-ignore
    expect(breakIn([{ minutes: 2, seen: [] }, { minutes: 5, seen: [] }, { minutes: 12, seen: ['S67'] }])).toMatchObject({ step: 2, stop: 'S67' }) // prettier-ignore
    expect(breakIn(Array.from({ length: 9 }, () => ({ minutes: 30, seen: [] }))).step).toBe(4)
    expect(() => breakIn([{ minutes: -1, seen: [] }])).toThrow(RangeError)
  })
})

describe('a view of the sheet', () => {
  const size = { width: 1500, height: 2000 }
  const view = { h: [2.1e-3, 2e-4, 0.02, -1.5e-4, 2.2e-3, -0.03, 1e-4, 2.4e-4, 1], lens: -0.03, middle: [750, 1000] as [number, number], half: 1250 }
  const sheet: SheetPoint[] = Array.from({ length: 32 }, (_, i): SheetPoint => [((i * 37) % 170) - 85, ((i * 61) % 240) - 120])
  it('goes there and back', () => {
    for (const point of sheet) {
      const [x, y] = mmOf(view, pxOf(view, point))
      expect(Math.hypot(x - point[0], y - point[1])).toBeLessThan(1e-6)
    }
  })
  it('is found again from its points, lens and all; from four without the lens', () => {
    const found = viewFrom(sheet, sheet.map((point) => pxOf(view, point)), size)
    expect(found?.rmsPx).toBeLessThan(1e-4)
    expect(found?.view.lens).toBeCloseTo(-0.03, 6)
    const straight = { ...view, lens: 0 }
    const corners: SheetPoint[] = [[-85, -120], [85, -120], [85, 120], [-85, 120]] // prettier-ignore
    const four = viewFrom(corners, corners.map((point) => pxOf(straight, point)), size)
    const [x, y] = mmOf(four!.view, pxOf(straight, [30, -40]))
    expect(Math.hypot(x - 30, y + 40)).toBeLessThan(1e-6)
  }) // prettier-ignore
  it('from three points, points in a line or no numbers there is none', () => {
    expect(viewFrom(sheet.slice(0, 3), sheet.slice(0, 3), size)).toBeNull()
    const row: SheetPoint[] = [[0, 0], [1, 1], [2, 2], [3, 3]] // prettier-ignore
    expect(viewFrom(row, row, size)).toBeNull()
    expect(viewFrom(sheet, sheet.map(() => [Number.NaN, 0] as const), size)).toBeNull()
  }) // prettier-ignore
})
