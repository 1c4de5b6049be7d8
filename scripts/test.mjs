// npm test: sets up and runs everything, in the order in which a mistake is cheapest to find.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { build, chromiumPath, install, needChromium, root } from './setup.mjs'

const steps = [
  ['Formatting', 'node_modules/prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn', '--cache', '--cache-location', '.cache/prettier']],
  ['Types', 'node_modules/typescript7/bin/tsc', ['-p', '.']],
  [
    'Dependency rule',
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    ['core', 'server', 'web', 'demo', '--config', '.dependency-cruiser.cjs', '--output-type', 'err'],
  ],
  ['Dead code', 'node_modules/knip/bin/knip.js', ['--no-config-hints']],
  ['Lint', 'node_modules/eslint/bin/eslint.js', ['.', '--cache', '--cache-location', '.cache/eslint']],
  ['Unit and server tests', 'node_modules/vitest/vitest.mjs', ['run']],
]

/** Runs a tool with this Node; resolves to whether it succeeded. */
function step(name, script, args) {
  const started = Date.now()
  return new Promise((resolve) => {
    console.log(`\n== ${name}`)
    const child = spawn(process.execPath, [join(root, script), ...args], {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, CHROMIUM: chromiumPath() ?? '' },
    })
    child.on('exit', (code) => {
      console.log(`== ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(1)} s`)
      resolve(code === 0)
    })
  })
}

install()
needChromium()
const failed = []
for (const [name, script, args] of steps) if (!(await step(name, script, args))) failed.push(name)
build()
if (!(await step('Journeys in the browser', 'node_modules/@playwright/test/cli.js', ['test']))) failed.push('Journeys in the browser')
if (failed.length > 0) {
  console.error(`\nFailed: ${failed.join(', ')}`)
  process.exit(1)
}
console.log('\nAll passed.')
