import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { placesBeside, roomFor, sideBySide, type LoadSpace } from './load-space.ts'
import { spaceProblem } from './space-problem.ts'
import { strapOver } from './strap-over.ts'
import { throughOpening } from './through-opening.ts'
import { clearanceOf, wayIn } from './way-in.ts'

const rect = (x: number, y: number): [number, number][] => [[0, 0], [x, 0], [x, y], [0, y]] // prettier-ignore
const plain: LoadSpace = { floor: rect(900, 1100), side: rect(900, 800), arches: [] }
const box = { lengthMm: 700, widthMm: 500, heightMm: 550 }

describe('room in a load space', () => {
  it('straight in a plain one: half of what is left of length or width, or all that is left of the height', () => {
    expect(roomFor(plain, box, 0)?.roomMm).toBeCloseTo(100, 6)
    expect(roomFor(plain, { ...box, heightMm: 770 }, 0)?.roomMm).toBeCloseTo(30, 6)
    expect(roomFor(plain, { ...box, lengthMm: 1000 }, 0)?.roomMm).toBeCloseTo(-50, 6)
    expect(roomFor(plain, box, Math.PI / 2)?.roomMm).toBeCloseTo(200, 6)
  })
  it('a leaning seat back takes the top', () => {
    // 45 degrees from 900 at the floor: at 550 high the back stands at 350.
    const leaning: LoadSpace = { ...plain, side: [[0, 0], [900, 0], [100, 800], [0, 800]] } // prettier-ignore
    const low = { lengthMm: 300, widthMm: 500, heightMm: 300 }
    // Along x: 300 + 2 g of floor and 300 + g of height make 900 together.
    expect(roomFor(leaning, low, 0)?.roomMm).toBeCloseTo(100, 6)
  })
  it('wheel arches stand in the way; between them it is as wide as they leave', () => {
    const arched: LoadSpace = { ...plain, arches: [{ xMm: [300, 700], yMm: [0, 150], heightMm: 300 }, { xMm: [300, 700], yMm: [950, 1100], heightMm: 300 }] } // prettier-ignore
    expect(roomFor(arched, { ...box, widthMm: 700 }, 0)?.roomMm).toBeCloseTo(50, 6)
    // Crosswise it goes in before them.
    expect(roomFor(arched, { lengthMm: 1000, widthMm: 280, heightMm: 400 }, Math.PI / 2)?.roomMm).toBeCloseTo(10, 6)
    expect(roomFor(arched, { lengthMm: 1000, widthMm: 400, heightMm: 400 }, Math.PI / 2)?.roomMm).toBeLessThan(0)
  })
  it('a larger box never has more room; car and box turned together have the same', () => {
    const shape = fc.record({ l: fc.double({ min: 200, max: 900, noNaN: true }), w: fc.double({ min: 200, max: 700, noNaN: true }), more: fc.double({ min: 0, max: 150, noNaN: true }), yaw: fc.double({ min: -1.5, max: 1.5, noNaN: true }) }) // prettier-ignore
    fc.assert(
      fc.property(shape, ({ l, w, more, yaw }) => {
        const arched: LoadSpace = { ...plain, arches: [{ xMm: [300, 600], yMm: [0, 120], heightMm: 300 }] }
        const small = roomFor(arched, { lengthMm: l, widthMm: w, heightMm: 400 }, yaw)?.roomMm ?? -Infinity
        const large = roomFor(arched, { lengthMm: l + more, widthMm: w + more, heightMm: 400 }, yaw)?.roomMm ?? -Infinity
        expect(large).toBeLessThanOrEqual(small + 1e-6)
        // Half round, the floor about its middle is the same car.
        const turned =
          roomFor(
            { ...arched, floor: arched.floor, arches: [{ xMm: [300, 600], yMm: [980, 1100], heightMm: 300 }] },
            { lengthMm: l, widthMm: w, heightMm: 400 },
            -yaw,
          )?.roomMm ?? -Infinity
        if (Number.isFinite(small)) expect(turned).toBeCloseTo(small, 4)
      }),
      { numRuns: 60 },
    )
  })
  it('where it stands it stands within floor and clear of the arch', () => {
    const arched: LoadSpace = { ...plain, arches: [{ xMm: [0, 500], yMm: [0, 200], heightMm: 300 }] }
    const found = roomFor(arched, box, 0.3)
    const [x, y] = found?.at ?? [0, 0]
    const [c, s] = [Math.cos(0.3), Math.sin(0.3)]
    for (const [u, v] of [[1, 1], [1, -1], [-1, 1], [-1, -1]] as const) {
      const corner = [x + (u * 350) * c - v * 250 * s, y + u * 350 * s + v * 250 * c] as const
      expect(corner[0]).toBeGreaterThan(-1)
      expect(corner[0]).toBeLessThan(901)
      expect(corner[1]).toBeGreaterThan(-1)
      expect(corner[1]).toBeLessThan(1101)
      expect(corner[0] < 500 && corner[1] < 200 - 1).toBe(false)
    }
  }) // prettier-ignore
  it('a floor that crosses itself, a box longer than the car, an arch outside: a word or a number, never nonsense', () => {
    expect(() => roomFor({ ...plain, floor: [[0, 0], [900, 1100], [900, 0], [0, 1100]] }, box, 0)).toThrow(RangeError) // prettier-ignore
    expect(() => roomFor({ ...plain, floor: [[0, 0], [900, 0]] }, box, 0)).toThrow(RangeError) // prettier-ignore
    expect(() => roomFor(plain, { ...box, widthMm: 0 }, 0)).toThrow(RangeError)
    expect(roomFor(plain, { ...box, lengthMm: 4000 }, 0)).toBeNull()
    expect(roomFor({ ...plain, arches: [{ xMm: [5000, 5200], yMm: [0, 100], heightMm: 300 }] }, box, 0)?.roomMm).toBeCloseTo(100, 6)
  })
  it('two boxes beside each other leave what is left', () => {
    expect(sideBySide(plain, box, { ...box, widthMm: 400 }, { yawRad: [0, 0], along: 'y' })).toBeCloseTo(200, 6)
    expect(sideBySide(plain, box, { ...box, widthMm: 700 }, { yawRad: [0, 0], along: 'y' })).toBeCloseTo(-100, 6)
    expect(sideBySide(plain, box, { ...box, lengthMm: 2000 }, { yawRad: [0, 0], along: 'y' })).toBeNull()
    // Only the narrow one passes beside the arch: the order counts.
    const arched: LoadSpace = { ...plain, arches: [{ xMm: [0, 900], yMm: [0, 100], heightMm: 300 }] }
    expect(sideBySide(arched, box, { ...box, widthMm: 400 }, { yawRad: [0, 0], along: 'y' })).toBeCloseTo(100, 6)
  })
  it('two beside each other stand where they are said to: each in the space, so much between them', () => {
    const other = { ...box, widthMm: 400, lengthMm: 600 }
    for (const along of ['x', 'y'] as const) {
      const wide: LoadSpace = { ...plain, floor: rect(1500, 1100), side: rect(1500, 800) }
      const found = placesBeside(wide, box, other, { yawRad: [0, 0], along })
      const k = along === 'x' ? 0 : 1
      const [a, b] = found?.at ?? [
        [0, 0],
        [0, 0],
      ]
      const half = ((along === 'x' ? box.lengthMm : box.widthMm) + (along === 'x' ? other.lengthMm : other.widthMm)) / 2
      expect(Math.abs(a[k] - b[k]) - half).toBeCloseTo(found?.betweenMm ?? NaN, 6)
      for (const [[x, y], { lengthMm, widthMm }] of [
        [a, box],
        [b, other],
      ] as const) {
        expect(x).toBeGreaterThanOrEqual(lengthMm / 2 - 1e-6)
        expect(x).toBeLessThanOrEqual(1500 - lengthMm / 2 + 1e-6)
        expect(y).toBeGreaterThanOrEqual(widthMm / 2 - 1e-6)
        expect(y).toBeLessThanOrEqual(1100 - widthMm / 2 + 1e-6)
      }
    }
  })
  it('says what is wrong with a space: a crossing floor, a side folded in, an arch outside', () => {
    expect(spaceProblem(plain)).toBeNull()
    expect(
      spaceProblem({
        ...plain,
        floor: [
          [0, 0],
          [900, 1100],
          [900, 0],
          [0, 1100],
        ],
      }),
    ).toBe('floor-crosses')
    expect(
      spaceProblem({
        ...plain,
        side: [
          [0, 0],
          [900, 0],
          [300, 300],
          [0, 800],
        ],
      }),
    ).toBe('side-crosses')
    expect(spaceProblem({ ...plain, arches: [{ xMm: [300, 700], yMm: [1100, 1250], heightMm: 300 }] })).toBe('arch-outside')
  })
})

describe('through an opening', () => {
  /** Whether p x q goes into a x b, p over a (Carver 1957). */
  const carver = (p: number, q: number, a: number): number => (2 * p * q * a + (p * p - q * q) * Math.sqrt(p * p + q * q - a * a)) / (p * p + q * q)
  it('straight it has half of what is left, rolled as much as Carver’s rectangle allows, to a tenth of a millimetre', () => {
    expect(throughOpening(rect(800, 600), { widthMm: 700, heightMm: 560 }).roomMm).toBeCloseTo(20, 6)
    // 900 x 100 goes obliquely into 800 x b: the least b has no room left.
    const b = carver(900, 100, 800)
    expect(Math.abs(throughOpening(rect(800, b), { widthMm: 900, heightMm: 100 }, Math.PI / 2).roomMm)).toBeLessThan(0.1)
    expect(throughOpening(rect(800, b + 20), { widthMm: 900, heightMm: 100 }, Math.PI / 2).roomMm).toBeGreaterThan(0.5)
  })
  it('level it is not rolled, and a sloping roof takes its corner', () => {
    expect(throughOpening(rect(800, 600), { widthMm: 850, heightMm: 100 }).rollRad).toBe(0)
    expect(throughOpening([[0, 0], [800, 0], [800, 500], [650, 650], [150, 650], [0, 500]], { widthMm: 700, heightMm: 600 }).roomMm).toBeLessThan(0) // prettier-ignore
    expect(() => throughOpening(rect(800, 0), { widthMm: 700, heightMm: 500 })).toThrow(RangeError)
  })
})

describe('a way in', () => {
  /** A corridor round a corner: 600 wide, then 600 wide, infinitely long. */
  const corner = (wide: number): [readonly [number, number], readonly [number, number]][] => [
    [[-2000, 0], [0, 0]], [[0, 0], [0, -2000]], [[-2000, wide], [wide, wide]], [[wide, wide], [wide, -2000]],
  ] // prettier-ignore
  const round = (lengthMm: number, wide: number) =>
    wayIn({ walls: corner(wide), lengthMm, heightMm: 10, start: [-600, wide / 2, 0], goal: [wide / 2, -600, -Math.PI / 2], within: { x: [-600, wide], y: [-600, wide], turnRad: [-Math.PI / 2, 0] }, stepMm: 20, stepRad: Math.PI / 90 }) // prettier-ignore
  it('a ladder goes round a corner as long as it may: (a^2/3 + b^2/3)^3/2', () => {
    const longest = (2 * 600 ** (2 / 3)) ** 1.5
    expect(round(longest * 0.9, 600)?.giveMm).toBeGreaterThan(0)
    expect(round(longest * 1.03, 600)).toBeNull()
  }, 20_000)
  it('a gap narrower than the box lets nothing through; a wider one gives half of what is left, without a turn', () => {
    const gap = (wide: number) =>
      wayIn({ walls: [[[0, -1000], [0, -wide / 2]], [[0, wide / 2], [0, 1000]]], lengthMm: 300, heightMm: 200, start: [-500, 0, 0], goal: [500, 0, 0], within: { x: [-500, 500], y: [-100, 100], turnRad: [-0.2, 0.2] } }) // prettier-ignore
    expect(gap(190)).toBeNull()
    const open = gap(260)
    expect(open?.giveMm).toBeGreaterThan(25)
    expect(open?.giveMm).toBeLessThanOrEqual(30 + 1e-6)
    expect(new Set(open?.path.map(([, , turn]) => turn)).size).toBe(1)
  }, 20_000)
  it('the way keeps its clearance at every place', () => {
    const found = round(1200, 700)
    for (const place of found?.path ?? [])
      for (const wall of corner(700)) expect(clearanceOf(place, 1200, 10, wall)).toBeGreaterThanOrEqual((found?.giveMm ?? 0) - 1e-3)
    expect(() => round(-1, 700)).toThrow(RangeError)
  }, 20_000)
  it('clearance is the larger gap at the nearest place, negative inside', () => {
    expect(clearanceOf([0, 0, 0], 200, 100, [[150, -500], [150, 500]])).toBeCloseTo(50, 9)
    expect(clearanceOf([0, 0, Math.PI / 2], 200, 100, [[150, -500], [150, 500]])).toBeCloseTo(100, 9)
    expect(clearanceOf([0, 0, 0], 200, 100, [[0, 0], [10, 10]])).toBeLessThan(0)
  }) // prettier-ignore
})

describe('a strap over a box', () => {
  const box3 = { x: [100, 600], y: [0, 400], heightMm: 500 } as const
  it('goes up, over and down in its own plane', () => {
    const over = strapOver(box3, [[0, 200, 0], [900, 200, 0]]) // prettier-ignore
    expect(over?.points).toHaveLength(4)
    expect(over?.lengthMm).toBeCloseTo(Math.hypot(100, 500) + 500 + Math.hypot(300, 500), 6)
  })
  it('a high anchor lifts it off an edge; past the box there is none', () => {
    expect(strapOver(box3, [[0, 200, 900], [900, 200, 0]])?.points).toHaveLength(3) // prettier-ignore
    expect(strapOver(box3, [[0, 700, 0], [900, 700, 0]])).toBeNull() // prettier-ignore
    expect(strapOver(box3, [[0, 200, 2000], [900, 200, 2000]])).toBeNull() // prettier-ignore
    expect(() => strapOver({ ...box3, heightMm: 0 }, [[0, 0, 0], [1, 1, 1]])).toThrow(RangeError) // prettier-ignore
  })
})
