// npm test: sets up and runs everything. What only reads the code runs beside the units; journeys come last.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { build, chromiumPath, installInTwo, needChromium, root } from './setup.mjs'

const steps = [
  ['Formatting', 'node_modules/prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn', '--cache', '--cache-location', '.cache/prettier']],
  ['Types', 'node_modules/typescript7/bin/tsc', ['-p', '.']],
  [
    'Dependency rule',
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    ['core', 'server', 'web', 'demo', '--config', '.dependency-cruiser.cjs', '--output-type', 'err'],
  ],
  ['Dead code', 'node_modules/knip/bin/knip.js', ['--no-config-hints']],
  ['Lint', 'node_modules/oxlint/bin/oxlint', ['.']],
]

/** Runs a tool with this Node; resolves to whether it succeeded. A quiet one says what it has to say at its end. */
function step(name, script, args, quiet = false) {
  const started = Date.now()
  return new Promise((resolve) => {
    if (!quiet) console.log(`\n== ${name}`)
    const child = spawn(process.execPath, [join(root, script), ...args], {
      cwd: root,
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
      env: { ...process.env, CHROMIUM: chromiumPath() ?? '' },
    })
    let said = ''
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => (said += chunk))
    child.on('close', (code) => {
      console.log(`${quiet ? `\n${said}` : ''}== ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(1)} s`)
      resolve(code === 0)
    })
  })
}

const compiled = installInTwo()
needChromium()
const failed = []
const must = async (name, script, args, quiet) => {
  if (!(await step(name, script, args, quiet))) failed.push(name)
}
async function read() {
  for (const [name, script, args] of steps) await must(name, script, args, true)
}
async function units() {
  if (await compiled) await must('Unit tests', 'node_modules/vitest/vitest.mjs', ['run'])
  else failed.push('Compiling the database')
}
await Promise.all([read(), units()])
build()
if (!(await step('Journeys in the browser', 'node_modules/@playwright/test/cli.js', ['test']))) failed.push('Journeys in the browser')
if (failed.length > 0) {
  console.error(`\nFailed: ${failed.join(', ')}`)
  process.exit(1)
}
console.log('\nAll passed.')
