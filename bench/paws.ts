import { chromium } from '@playwright/test'
import {
  bootStock,
  inventedPaw,
  pawSizeOf,
  planOf,
  renderedSheet,
  roomFor,
  solveForm,
  tracePaws,
  turningRoom,
  wayIn,
  type LoadSpace,
  type Picture,
  type Shot,
} from '../core/src/index.ts'
import { generate, taped } from './form/generator.ts'
import { normal, seeded } from './form/random.ts'
import { median } from 'simple-statistics'

/*
 * Paws, crates and cars, in one run: forty rendered photographs traced, a 12-megapixel one beside decoding it, turning
 * beside one solve of the form, spares of four sizes beside 20 000 simulated seasons, ninety turns of a box beside a
 * frame, a way in beside a plain flood of its lattice.
 */
const FRAME_MS = 1000 / 60
const WINDOW = { windowRad: (5 / 180) * Math.PI }
const row = (name: string, reached: string, aim: string): void => console.log(`${name.padEnd(66)} ${reached.padStart(18)}   ${aim}`)
const timed = (work: () => unknown): number => {
  const from = performance.now()
  work()
  return performance.now() - from
}
const at = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? 0

const misses: { width: number; length: number }[] = []
for (let seed = 1; seed <= 40; seed++) {
  const by = seeded(seed * 977)
  const w = 38 + 55 * by()
  const paw = inventedPaw(w, w * (1 + 0.35 * by()), 0.25 * (by() - 0.5)).map(([x, y]): [number, number] => [x, y + 5])
  const gaps = Array.from({ length: Math.floor(by() * 4) }, () => {
    const from = by() * 2.4 * w
    return [from, from + 3 + 2.5 * by()] as const
  })
  const shot: Shot = { width: 1500, height: 2000, turnRad: 6.28 * by(), tiltRad: 1.04 * (by() - 0.5), sideRad: 0.6 * (by() - 0.5), lens: 0.08 * (by() - 0.5), light: 1 + 3 * by(), noise: 0.004 + 0.01 * by(), blurPx: 0.4 + by(), pencil: 0.3 + 0.5 * by(), pencilMm: 0.6 + 0.5 * by(), fill: 0.54, mirrored: by() < 0.2 } // prettier-ignore
  const traced = tracePaws(renderedSheet([{ points: paw, gaps }], shot, seed))
  if (!traced.ok) continue
  const [is, was] = [pawSizeOf(traced.paws[0]?.points ?? [], WINDOW), pawSizeOf(paw, WINDOW)]
  misses.push({ width: Math.abs(is.widthMm - was.widthMm), length: Math.abs(is.lengthMm - was.lengthMm) })
}
console.log('Forty rendered photographs of invented paws, tilted to 30 degrees, light to 1 : 4, noise, gaps:')
row('found', `${misses.length} of 40`, 'aim 39')
row(
  'width, median and 95 in 100',
  `${at(
    misses.map(({ width }) => width),
    0.5,
  ).toFixed(2)}, ${at(
    misses.map(({ width }) => width),
    0.95,
  ).toFixed(2)} mm`,
  'aim 0.6 mm',
)
row('length, median and 95 in 100', `${at(misses.map(({ length }) => length), 0.5).toFixed(2)}, ${at(misses.map(({ length }) => length), 0.95).toFixed(2)} mm`, 'aim 0.8 mm') // prettier-ignore

const large = renderedSheet([{ points: inventedPaw(60, 70) }], { width: 3000, height: 4000, turnRad: 0.2, tiltRad: 0.2, sideRad: 0.1, lens: 0.02, light: 2, noise: 0.008, blurPx: 0.8, pencil: 0.5, pencilMm: 0.8, fill: 0.6 }, 3) // prettier-ignore
const tracing = median([0, 1, 2, 3].map(() => timed(() => tracePaws(large))).slice(1))
row(
  'a 12-megapixel photograph traced beside decoding it',
  `${(tracing / (await decoding(large))).toFixed(1)} times`,
  `aim at most 4 (${tracing.toFixed(0)} ms)`,
)

const gauss = normal(seeded(61))
const [solving, turning]: [number[], number[]] = [[], []]
for (const [i, dog] of generate(14, 77).entries()) {
  const body = taped(dog, ['M42', 'M44', 'M39', 'M07'], gauss)
  const form = solveForm(body, dog.about)
  const solve = timed(() => solveForm(body, dog.about))
  const turn = timed(() => turningRoom(planOf(form), (form.measures.M42?.mm ?? 800) + 60))
  if (i < 4) continue
  solving.push(solve)
  turning.push(turn)
}
row('turning round beside one solve of the form', `${(median(turning) / median(solving)).toFixed(2)} times`, `aim at most 2 (${median(turning).toFixed(0)} ms)`)

const means = { S: 13, M: 22, L: 9, XL: 4 }
const stocking = median([0, 1, 2, 3, 4].map(() => timed(() => bootStock({ means, shape: 6, risk: 0.05 }))).slice(1))
const seasons = median([0, 1, 2, 3].map((k) => timed(() => simulated(means, 6, 20_000, k))).slice(1))
row('spares of four sizes beside 20 000 simulated seasons', `${(stocking / seasons).toFixed(2)} times`, `aim at most 1 (${stocking.toFixed(0)} ms)`)

const space: LoadSpace = {
  floor: [[0, 0], [1050, 0], [1050, 1120], [0, 1120]],
  side: [[0, 0], [1050, 0], [900, 830], [0, 860]],
  arches: [{ xMm: [430, 930], yMm: [0, 95], heightMm: 290 }, { xMm: [430, 930], yMm: [1025, 1120], heightMm: 290 }],
} // prettier-ignore
const box = { lengthMm: 920, widthMm: 600, heightMm: 660 }
const yaws = (): void => {
  for (let i = 0; i < 90; i++) roomFor(space, box, (i * Math.PI) / 90)
}
const ninety = median([0, 1, 2, 3, 4].map(() => timed(yaws)).slice(1))
row('a box turned through ninety angles beside a frame', `${(ninety / FRAME_MS).toFixed(2)} frames`, 'aim 1')

const walls = [[[-2000, 0], [0, 0]], [[0, 0], [0, -2000]], [[-2000, 700], [700, 700]], [[700, 700], [700, -2000]]] as const // prettier-ignore
const within = { x: [-700, 700], y: [-700, 700], turnRad: [-Math.PI / 2, 0] } as const
const way = median([0, 1, 2].map(() => timed(() => wayIn({ walls, lengthMm: 900, heightMm: 500, start: [-650, 350, 0], goal: [350, -650, -Math.PI / 2], within, stepMm: 20, stepRad: Math.PI / 90 }))).slice(1)) // prettier-ignore
const flooding = median([0, 1, 2].map(() => timed(flood)).slice(1))
row('a way in beside a plain flood of its lattice', `${(way / flooding).toFixed(2)} times`, `aim at most 3 (${way.toFixed(0)} ms)`)

/** Every place of the same lattice asked once for its clearance, and spread from the start. */
function flood(): number {
  const [n, turns] = [71, 46]
  const clear = new Float32Array(n * n * turns)
  for (let t = 0; t < turns; t++)
    for (let j = 0; j < n; j++)
      for (let i = 0; i < n; i++) {
        const [x, y, a] = [-700 + 20 * i, -700 + 20 * j, -Math.PI / 2 + (t * Math.PI) / 90]
        const [c, s] = [Math.cos(a), Math.sin(a)]
        let least = 1e6
        for (const [p, q] of walls) {
          const [u0, v0] = [(p[0] - x) * c + (p[1] - y) * s, -(p[0] - x) * s + (p[1] - y) * c]
          const [u1, v1] = [(q[0] - x) * c + (q[1] - y) * s, -(q[0] - x) * s + (q[1] - y) * c]
          for (let k = 0; k <= 8; k++) least = Math.min(least, Math.max(Math.abs(u0 + ((u1 - u0) * k) / 8) - 450, Math.abs(v0 + ((v1 - v0) * k) / 8) - 250))
        }
        clear[t * n * n + j * n + i] = least
      }
  const seen = new Uint8Array(clear.length)
  const stack = [0]
  let count = 0
  while (stack.length > 0) {
    const node = stack.pop() as number
    if (seen[node] || (clear[node] as number) < 0) continue
    seen[node] = 1
    count++
    for (const step of [1, -1, n, -n, n * n, -n * n]) if (node + step >= 0 && node + step < clear.length) stack.push(node + step)
  }
  return count
}

/** Seasons played out one by one: a gamma's hardness, then each size's count. */
function simulated(of: Readonly<Record<string, number>>, shape: number, count: number, seed: number): number {
  const by = seeded(seed + 1)
  let most = 0
  for (let i = 0; i < count; i++) {
    let hard = 0
    for (let k = 0; k < shape; k++) hard -= Math.log(1 - by()) / shape
    for (const mean of Object.values(of)) {
      let [used, sum] = [0, -Math.log(1 - by())]
      while (sum < mean * hard) {
        used++
        sum -= Math.log(1 - by())
      }
      most = Math.max(most, used)
    }
  }
  return most
}

/** How long the page takes to decode the same picture, ms. */
async function decoding({ width, height, data }: Picture): Promise<number> {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] })
  const page = await browser.newPage()
  const grey = Buffer.from(data.filter((_, i) => i % 4 === 0)).toString('base64')
  const times = await page.evaluate(
    async ([text, w, h]) => {
      const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0))
      const canvas = new OffscreenCanvas(w, h)
      const draw = canvas.getContext('2d')
      const image = new ImageData(w, h)
      bytes.forEach((v, i) => image.data.set([v, v, v, 255], 4 * i))
      draw?.putImageData(image, 0, 0)
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
      const out: number[] = []
      for (let k = 0; k < 5; k++) {
        const from = performance.now()
        const bitmap = await createImageBitmap(blob)
        const to = new OffscreenCanvas(w, h).getContext('2d')
        to?.drawImage(bitmap, 0, 0)
        to?.getImageData(0, 0, w, h)
        out.push(performance.now() - from)
      }
      return out
    },
    [grey, width, height] as const,
  )
  await browser.close()
  return median(times.slice(1))
}
