import { PassThrough } from 'node:stream'
import { expect, it } from 'vitest'
import { lossyLine } from './lossy-line.ts'

it('A26 a simulated device puts up no more than a little for a listener that does not read, and goes on when it does', async () => {
  const out = new PassThrough({ highWaterMark: 1024 })
  const say = lossyLine(out)
  for (let i = 0; i < 10_000; i++) say(Buffer.alloc(32, i % 250))
  expect(out.writableLength).toBeLessThan(70_000)
  let heard = 0
  out.on('data', (bytes: Buffer) => (heard += bytes.length))
  await new Promise((resolve) => setTimeout(resolve, 20))
  expect(heard).toBeGreaterThan(60_000)
  expect(heard).toBeLessThan(72_000)
  expect(out.writableLength).toBe(0)
  const before = heard
  say(Buffer.alloc(32))
  await new Promise((resolve) => setTimeout(resolve, 5))
  expect(heard).toBe(before + 32)
})
