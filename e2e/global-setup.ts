import { execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { loadScenario } from '../demo/src/load.ts'
import { SERVER } from './own-server.ts'

/** The real server on a database of its own, with the demo scenario loaded through its API. */
export default async function setUp(): Promise<() => Promise<void>> {
  execFileSync(process.execPath, [join(import.meta.dirname, '..', 'scripts', 'bundle-server.mjs')])
  const folder = mkdtempSync(join(tmpdir(), 'merry-e2e-'))
  const child = spawn(process.execPath, [SERVER], {
    env: { ...process.env, MERRY_DATABASE: join(folder, 'shop.sqlite'), MERRY_PORT: '0', MERRY_SUPPLIER: 'stand-in', MERRY_DEVICES: 'stand-in' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const address = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/\S+/.exec(chunk.toString())?.[0]
      if (found) resolve(found)
    })
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
  })
  await loadScenario(address, new Date())
  process.env.MERRY_ADDRESS = address
  return async () => {
    const gone = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGTERM')
    await gone
    rmSync(folder, { recursive: true, force: true })
  }
}
