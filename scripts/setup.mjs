// Brings a fresh clone to the point where everything can run. Plain Node, nothing installed before.
import { execFileSync, spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = join(dirname(fileURLToPath(import.meta.url)), '..')
/** The server as one file, as `build` makes it. */
export const SERVER = join(root, 'server', 'dist', 'main.mjs')
const STAMP = join(root, 'node_modules', '.merry-tailor-lock')

/** Runs a command with the terminal attached; throws when it fails. */
export function run(command, args, options = {}) {
  execFileSync(command, args, { cwd: root, stdio: 'inherit', ...options })
}

/** A tool's script from node_modules, run by this very Node: nothing is left behind when it is stopped. */
export const node = (script, args = [], options = {}) => run(process.execPath, [join(root, script), ...args], options)

const lockSum = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
const installed = () => existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lockSum()
/** Of the packages with scripts of their own, those that are let run theirs (allowScripts in package.json). */
const COMPILED = ['better-sqlite3', 'esbuild']
const CI = ['ci', '--no-audit', '--no-fund', '--prefer-offline']

/** Installs the packages of the lock file when they are missing or others. */
export function install() {
  if (installed()) return
  console.log('Installing packages (once, a few minutes: the database is compiled).')
  run('npm', CI)
  writeFileSync(STAMP, lockSum())
}

/**
 * The same in two: returns when the packages are there, and compiles the database beside what needs none.
 * @returns {Promise<boolean>} whether it could be compiled
 */
export function installInTwo() {
  if (installed()) return Promise.resolve(true)
  console.log('Installing packages; the database is compiled beside the first steps.')
  run('npm', [...CI, '--ignore-scripts'])
  return new Promise((resolve) => {
    const child = spawn('npm', ['rebuild', ...COMPILED], { cwd: root, stdio: 'inherit' })
    child.on('close', (code) => {
      if (code === 0) writeFileSync(STAMP, lockSum())
      resolve(code === 0)
    })
  })
}

/** Builds the interface, and the server as one file. */
export function build() {
  node('scripts/bundle-server.mjs')
  mkdirSync(join(root, '.cache'), { recursive: true })
  node('node_modules/vite/bin/vite.js', ['build', '--logLevel', 'warn'], { cwd: join(root, 'web') })
}

export const chromiumPath = () => ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path))

/** Debian's Chromium, installed when missing and allowed; otherwise stops with the one line to type. */
export function needChromium() {
  if (chromiumPath()) return
  const line = 'apt-get update && apt-get install -y chromium'
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Debian’s chromium for the tests in the browser.')
    const options = { cwd: root, stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } }
    const updated = spawnSync('apt-get', ['-o', 'DPkg::Lock::Timeout=400', 'update'], options)
    const installed =
      updated.status === 0 && spawnSync('apt-get', ['-o', 'DPkg::Lock::Timeout=400', 'install', '-y', '--no-install-recommends', 'chromium'], options)
    if (installed && installed.status === 0 && chromiumPath()) return
  }
  console.error(`The tests in the browser need Debian's chromium. Type as root:\n\n  ${line}\n`)
  process.exit(1)
}
