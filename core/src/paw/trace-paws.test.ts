import { describe, expect, it } from 'vitest'
import { pawSizeOf } from './paw-size.ts'
import { inventedPaw, renderedSheet, type Shot } from './rendered-sheet.ts'
import { tracePaws } from './trace-paws.ts'
import { seeded } from '../units/index.ts'

const SHOT: Shot = { width: 900, height: 1200, turnRad: 0.3, tiltRad: 0.25, sideRad: -0.1, lens: 0.03, light: 2.5, noise: 0.008, blurPx: 0.7, pencil: 0.5, pencilMm: 0.8, fill: 0.58 } // prettier-ignore
const WINDOW = { windowRad: (5 / 180) * Math.PI }
const placed = (points: readonly (readonly [number, number])[], dx: number, dy: number): [number, number][] => points.map(([x, y]) => [x + dx, y + dy])

/** What a photograph misses the drawn outline by, mm. */
function missOf(seed: number): { width: number; length: number } | string {
  const by = seeded(seed)
  const w = 38 + 50 * by()
  const paw = placed(inventedPaw(w, w * (1 + 0.3 * by()), 0.2 * (by() - 0.5)), 0, 5)
  const gaps = by() < 0.5 ? [] : [[40, 43 + 2 * by()] as const]
  const shot: Shot = { ...SHOT, turnRad: 6.28 * by(), tiltRad: 1.04 * (by() - 0.5), sideRad: 0.6 * (by() - 0.5), lens: 0.08 * (by() - 0.5), light: 1 + 3 * by(), noise: 0.012 * by(), pencil: 0.3 + 0.5 * by(), mirrored: by() < 0.2 } // prettier-ignore
  const traced = tracePaws(renderedSheet([{ points: paw, gaps }], shot, seed))
  if (!traced.ok) return traced.problem
  if (traced.frame.mirrored !== (shot.mirrored ?? false)) return 'mirrored'
  const [is, was] = [pawSizeOf(traced.paws[0]?.points ?? [], WINDOW), pawSizeOf(paw, WINDOW)]
  return { width: Math.abs(is.widthMm - was.widthMm), length: Math.abs(is.lengthMm - was.lengthMm) }
}

describe('a photograph of a traced paw', () => {
  it('of four, tilted to 30 degrees, in bad light, turned or mirrored, all are found within 0.6 and 0.8 mm', () => {
    const found = Array.from({ length: 4 }, (_, i) => missOf(31 + i))
    for (const each of found) {
      expect(typeof each === 'string' ? each : 'found').toBe('found')
      if (typeof each === 'string') continue
      expect(each.width).toBeLessThan(0.6)
      expect(each.length).toBeLessThan(0.8)
    }
  }, 60_000)

  it('several paws on one sheet are told apart, the largest first', () => {
    const [left, right] = [placed(inventedPaw(58, 66), -36, 10), placed(inventedPaw(46, 54), 36, 10)]
    const traced = tracePaws(renderedSheet([{ points: left }, { points: right }], { ...SHOT, width: 1050, height: 1400 }, 5))
    expect(traced.ok && traced.paws.map(({ points }) => Math.round(pawSizeOf(points, WINDOW).widthMm))).toEqual([58, 46])
  }, 20_000)

  it('a gap is closed and told; a wider one than 6 mm leaves no outline', () => {
    const paw = placed(inventedPaw(60, 70), 0, 5)
    const open = (mm: number) => tracePaws(renderedSheet([{ points: paw, gaps: [[50, 50 + mm]] }], SHOT, 9))
    const closed = open(5)
    expect(closed.ok && (closed.paws[0]?.closedMm ?? 0)).toBeGreaterThan(2)
    expect(closed.ok && (closed.paws[0]?.gapShare ?? 0)).toBeLessThan(0.05)
    expect(open(14)).toEqual({ ok: false, problem: 'no-outline' })
  }, 20_000)

  it('an empty sheet, a blank picture, a tiny or a cut-short one say what is missing', () => {
    expect(tracePaws(renderedSheet([], SHOT, 3))).toEqual({ ok: false, problem: 'no-outline' })
    const blank = (width: number, height: number) => ({ width, height, data: new Uint8ClampedArray(4 * width * height).fill(180) })
    expect(tracePaws(blank(600, 800))).toEqual({ ok: false, problem: 'no-frame' })
    expect(tracePaws(blank(20, 20))).toEqual({ ok: false, problem: 'no-frame' })
    expect(tracePaws({ ...blank(600, 800), data: new Uint8ClampedArray(40) })).toEqual({ ok: false, problem: 'no-frame' })
    // So blurred that no mark has an edge.
    expect(tracePaws(renderedSheet([], { ...SHOT, width: 480, height: 640, blurPx: 22 }, 3)).ok).toBe(false)
  }, 20_000)

  it('paper that was bent is not called flat', () => {
    const picture = renderedSheet([{ points: placed(inventedPaw(60, 70), 0, 5) }], SHOT, 11)
    const { width, height, data } = picture
    const bent = new Uint8ClampedArray(data.length)
    for (let y = 0; y < height; y++) {
      const shift = Math.round(9 * Math.sin((y / height) * Math.PI * 2))
      for (let x = 0; x < width; x++)
        for (let c = 0; c < 4; c++) bent[4 * (y * width + x) + c] = data[4 * (y * width + Math.min(width - 1, Math.max(0, x + shift))) + c] as number
    }
    const traced = tracePaws({ width, height, data: bent })
    expect(traced.ok && traced.frame.flat).toBe(false)
    expect(tracePaws(picture)).toMatchObject({ ok: true, frame: { flat: true, marks: 8 } })
  }, 20_000)
})
