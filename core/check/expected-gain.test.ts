import { describe, expect, it } from 'vitest'
import { chanceWithin, normalCdf, seeded, settle, type SizedBody, type SizeTable } from '../src/index.ts'

/** A small generator with a seed, and normal draws by Box and Muller's transform. */
function normals(seed: number): () => number {
  const uniform = seeded(seed)
  return () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform())
}

const sizes: SizeTable['sizes'] = [
  { label: 'x', bands: { M01: [560, 600], M13: [640, 690], M14: [560, 620] } },
  { label: 'y', bands: { M01: [595, 640], M13: [685, 740], M14: [610, 670] } },
  { label: 'z', bands: { M01: [640, 690], M13: [738, 800], M14: [668, 730] } },
]
const ids = ['M01', 'M13', 'M14'] as const
const at = (id: string): number => ids.findIndex((each) => each === id)

describe('what would settle it, beside a Monte Carlo of its own', () => {
  // Three guesses that hang together, and one reading between two sizes: the mean of the best answer after a simulated reading.
  const cases: { body: SizedBody; rho: number; read: string; error: number }[] = [
    {
      body: { M01: { mm: 597, sigmaMm: 9 }, M13: { mm: 688, sigmaMm: 24, guess: true }, M14: { mm: 612, sigmaMm: 22, guess: true } },
      rho: 0.6,
      read: 'M13',
      error: 9,
    },
    {
      body: { M01: { mm: 597, sigmaMm: 9 }, M13: { mm: 687, sigmaMm: 7, guess: true }, M14: { mm: 615, sigmaMm: 6, guess: true } },
      rho: 0.6,
      read: 'M01',
      error: 7,
    },
    {
      body: { M01: { mm: 620, sigmaMm: 30, guess: true }, M13: { mm: 720, sigmaMm: 40, guess: true }, M14: { mm: 650, sigmaMm: 33, guess: true } },
      rho: 0.85,
      read: 'M14',
      error: 6,
    },
  ]
  it.each(cases)('agrees within its error for $read', ({ body, rho, read, error }) => {
    const belief = ids.map((id) => ({ id, mm: body[id]!.mm!, s: body[id]!.sigmaMm!, guess: body[id]!.guess === true }))
    const cov = (a: number, b: number): number => (a === b ? belief[a]!.s ** 2 : belief[a]!.guess && belief[b]!.guess ? rho * belief[a]!.s * belief[b]!.s : 0)
    const m = at(read)
    const whole = cov(m, m) + error ** 2
    const normal = normals(20_261)
    const N = 40_000
    let [sum, squares] = [0, 0]
    const alone = [0, 0, 0, 0]
    for (let n = 0; n < N; n++) {
      const y = Math.sqrt(whole) * normal()
      const chances = sizes.map((size) =>
        ids.reduce((product, id, i) => {
          const mean = belief[i]!.mm + (cov(i, m) / whole) * y
          const sd = Math.sqrt(cov(i, i) - cov(i, m) ** 2 / whole)
          const [from, to] = size.bands[id]!
          return product * (normalCdf((to - mean) / sd) - normalCdf((from - mean) / sd))
        }, 1),
      )
      const answers = [...chances, 1 - chances.reduce((a, b) => a + b, 0)]
      answers.forEach((chance, i) => (alone[i]! += chance))
      const best = Math.max(...answers)
      sum += best
      squares += best ** 2
    }
    const mean = sum / N
    const standardError = Math.sqrt((squares / N - mean ** 2) / N)
    const found = settle({ family: 'H11', between: null, sizes }, body, { covarianceMm: (a, b) => cov(at(a), at(b)), errorMm: () => error })
    const gain = found.gains.find((each) => each.measure === read)!
    expect(Math.abs(gain.after - mean)).toBeLessThan(4 * standardError + 0.002)
    expect(Math.abs(gain.gain - (mean - Math.max(...alone) / N))).toBeLessThan(6 * standardError + 0.002)
  })
})

describe('normal probabilities', () => {
  it('are those of the power series (Abramowitz & Stegun 26.2.11, formula from memory)', () => {
    const series = (x: number): number => {
      let [term, sum] = [x, x]
      for (let i = 1; i < 400; i++) sum += term *= (x * x) / (2 * i + 1)
      return 0.5 + (sum * Math.exp((-x * x) / 2)) / Math.sqrt(2 * Math.PI)
    }
    for (let x = -6; x <= 6; x += 0.125) expect(Math.abs(normalCdf(x) - series(x))).toBeLessThan(2e-15)
  })
  it('keep their digits in a far tail', () => {
    // Phi(-10) = 7.61985302416052e-24 (published tables, value from memory).
    expect(normalCdf(-10) / 7.61985302416052e-24).toBeCloseTo(1, 6)
    // Phi(9) - Phi(8) = 6.2198e-16 (published tables, value from memory).
    expect(chanceWithin(500, 5, 540, 545) / 6.2198e-16).toBeCloseTo(1, 3)
    expect(chanceWithin(500, 5, 540, 545)).toBeCloseTo(chanceWithin(500, 5, 455, 460), 20)
  })
})
