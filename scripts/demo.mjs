// npm run demo: the application with the demo scenario. A second start keeps the data; --fresh starts over.
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { build, install, node, root } from './setup.mjs'
import { serve, stayWith } from './serve.mjs'

const folder = join(root, 'data', 'demo')
const database = join(folder, 'demo.sqlite')
const loaded = join(folder, 'loaded')

install()
build()
// A load that was cut short is no data to keep: without the mark it starts over.
if (process.argv.includes('--fresh') || !existsSync(loaded)) rmSync(folder, { recursive: true, force: true })
mkdirSync(folder, { recursive: true })
const { child, address } = serve({ MERRY_DATABASE: database, MERRY_SUPPLIER: 'stand-in', MERRY_DEVICES: 'stand-in' }, { quiet: true })
stayWith(child)
const url = await address.catch(() => process.exit(1))
if (!existsSync(loaded)) {
  node('node_modules/tsx/dist/cli.mjs', ['demo/src/load.ts', url])
  writeFileSync(loaded, '')
}
console.log(`Merry Tailor is open at ${url}`)
