import { describe, expect, it } from 'vitest'
import { besideRuler, frameByHand, KNOWN_CORNERS, pawsIn } from './by-hand.ts'
import { pawReading } from './paw-reading.ts'
import { pawSizeOf, READING_WINDOW } from './paw-size.ts'
import { inventedPaw, renderedSheet, viewOf, type Shot } from './rendered-sheet.ts'
import { tracePaws } from './trace-paws.ts'
import { mmOf, pxOf } from './view.ts'

const SHOT: Shot = { width: 900, height: 1200, turnRad: 0.12, tiltRad: 0.3, sideRad: -0.15, lens: 0, light: 1.8, noise: 0.006, blurPx: 0.6, pencil: 0.6, pencilMm: 0.8, fill: 0.58 } // prettier-ignore
const size = { width: SHOT.width, height: SHOT.height }
const WINDOW = { windowRad: READING_WINDOW }
const placed = (points: readonly (readonly [number, number])[], dx: number, dy: number): [number, number][] => points.map(([x, y]) => [x + dx, y + dy])
const paw = placed(inventedPaw(60, 72), 4, 8)
/** Corners where they truly are, as a careful hand sets them. */
const set = (what: keyof typeof KNOWN_CORNERS, shot = SHOT, dx = 0, dy = 0) => KNOWN_CORNERS[what].map(([x, y]) => pxOf(viewOf(shot), [x + dx, y + dy]))

describe('corners set by hand', () => {
  it('on the sheet’s squares, the paper or a card beside the paw, the paw reads as it was drawn', () => {
    const picture = renderedSheet([{ points: paw }], SHOT, 4)
    const pawPx = pxOf(viewOf(SHOT), [4, 8])
    for (const [what, px] of [['frame', set('frame')], ['A4', set('A4')], ['card', set('card', SHOT, -30, 80)]] as const) {
      const frame = frameByHand(px, what, size, { pawPx })
      const [found] = frame ? pawsIn(picture, frame) : []
      const read = pawSizeOf(found?.points ?? [], WINDOW)
      expect(Math.abs(read.widthMm - 60), what).toBeLessThan(0.7)
      expect(Math.abs(read.lengthMm - 72), what).toBeLessThan(0.9)
      // Its middle is where the hand set it.
      expect(Math.hypot(...mmOf(frame?.view ?? viewOf(SHOT), pawPx))).toBeLessThan(1e-6)
    }
  }, 30_000) // prettier-ignore

  it('what a hand is off widens the reading: a card more than a sheet, a clumsy hand more than a careful one', () => {
    const off = (what: 'frame' | 'card', handPx: number): number => frameByHand(set(what), what, size, { handPx })?.rmsMm ?? NaN
    expect(off('card', 4)).toBeGreaterThan(2 * off('frame', 4))
    expect(off('frame', 8)).toBeCloseTo(2 * off('frame', 4), 1)
    const spread = (rmsMm: number) => pawReading({ points: paw, closedMm: 0 }, { rmsMm }, { pencilMm: 1, lineRead: true }).width.sigmaMm
    expect(spread(off('card', 6))).toBeGreaterThan(1.5 * spread(off('frame', 1)))
    // Nudged corners, 300 of them: what is told is what happens, within a third.
    const told = off('card', 4)
    let sum = 0
    for (let i = 0; i < 300; i++) {
      const chance = (k: number): number => Math.sin(12.9898 * (i * 8 + k) + 78.233 * k) * 43_758.5453
      const gauss = (k: number): number => [0, 1, 2, 3, 4, 5].reduce((all, j) => all + ((chance(k + 9 * j) % 1) + 1) % 1, -3) * Math.SQRT2
      const nudged = set('card').map(([x, y], k): [number, number] => [x + 4 * gauss(2 * k), y + 4 * gauss(2 * k + 1)])
      const view = frameByHand(nudged, 'card', size)?.view
      const [a, b] = [[-32.5, 0], [32.5, 0]].map((p) => mmOf(view ?? viewOf(SHOT), pxOf(viewOf(SHOT), p as [number, number]))) as [[number, number], [number, number]]
      sum += (Math.hypot(b[0] - a[0], b[1] - a[1]) - 65) ** 2
    }
    expect(Math.sqrt(sum / 300)).toBeLessThan(1.34 * told)
    expect(Math.sqrt(sum / 300)).toBeGreaterThan(0.4 * told)
  }) // prettier-ignore

  it('a mirrored picture is told; crossed or folded corners are none', () => {
    const mirrored = { ...SHOT, mirrored: true }
    expect(frameByHand(set('A4', mirrored), 'A4', size)?.mirrored).toBe(true)
    expect(frameByHand(set('A4'), 'A4', size)?.mirrored).toBe(false)
    const [a, b, c, d] = set('A4') as [[number, number], [number, number], [number, number], [number, number]]
    expect(frameByHand([a, c, b, d], 'A4', size)).toBeNull()
    expect(frameByHand([a, b, c, [(a[0] + b[0] + c[0]) / 3, (a[1] + b[1] + c[1]) / 3]], 'A4', size)).toBeNull()
    expect(frameByHand([a, b, c], 'A4', size)).toBeNull()
    expect(frameByHand([a, b, c, [NaN, 0]], 'A4', size)).toBeNull()
  })

  it('two points of a ruler give a length as if seen from straight above', () => {
    expect(besideRuler([[0, 0], [0, 300]], 150, [[10, 10], [130, 10]])).toBe(60)
    expect(() => besideRuler([[5, 5], [5, 5]], 150, [[0, 0], [1, 1]])).toThrow(RangeError)
    expect(() => besideRuler([[0, 0], [5, 5]], -3, [[0, 0], [1, 1]])).toThrow(RangeError)
  }) // prettier-ignore
})

describe('what else lies in a photograph', () => {
  it('of two sheets side by side one is read, or none: never a mixture', () => {
    const one = { ...SHOT, width: 800, height: 1100, turnRad: 0, tiltRad: 0.1, sideRad: 0 }
    const [left, right] = [renderedSheet([{ points: paw }], one, 4), renderedSheet([{ points: placed(inventedPaw(44, 52), 0, 5) }], one, 6)]
    const data = new Uint8ClampedArray(8 * one.width * one.height)
    for (let y = 0; y < one.height; y++)
      [left, right].forEach((each, i) => data.set(each.data.subarray(4 * y * one.width, 4 * (y + 1) * one.width), 4 * (2 * y + i) * one.width))
    const traced = tracePaws({ width: 2 * one.width, height: one.height, data })
    if (traced.ok) {
      const { widthMm } = pawSizeOf(traced.paws[0]?.points ?? [], WINDOW)
      expect(Math.min(Math.abs(widthMm - 60), Math.abs(widthMm - 44))).toBeLessThan(1)
      expect(traced.frame.flat).toBe(true)
    } else expect(traced.problem).toBe('no-frame')
  }, 30_000)

  it('writing that crosses the line moves it by no more than a pencil’s width', () => {
    // A name written over the left side: open strokes, crossing the outline four times.
    const stroke = Array.from({ length: 60 }, (_, i): [number, number] => [-48 + i * 0.7, 20 + 9 * Math.sin(i / 4)])
    const long = stroke.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - (stroke[i]?.[0] ?? 0), y - (stroke[i]?.[1] ?? 0)), 0)
    const traced = tracePaws(renderedSheet([{ points: paw }, { points: stroke, gaps: [[long - 0.4, 1e9]] }], SHOT, 4))
    expect(traced.ok).toBe(true)
    if (!traced.ok) return
    const read = pawSizeOf(traced.paws[0]?.points ?? [], WINDOW)
    expect(Math.abs(read.widthMm - 60)).toBeLessThan(1.6)
    expect(Math.abs(read.lengthMm - 72)).toBeLessThan(1.6)
  }, 20_000)
})
