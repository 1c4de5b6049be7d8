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
  ['Lint', 'node_modules/oxlint/bin/oxlint', ['--type-aware', '.']],
  // The units of core are the other half of this time, on one core.
  ['Units of core', 'node_modules/vitest/vitest.mjs', ['run', '--project', 'core', '--maxWorkers=1']],
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

install()
needChromium()
const failed = []
/** The units of core take as long as all that reads: they run beside it. */
const lanes = [steps.filter(([name]) => name === 'Units of core'), steps.filter(([name]) => name !== 'Units of core')]
await Promise.all(
  lanes.map(async (lane) => {
    for (const [name, script, args] of lane) if (!(await step(name, script, args, true))) failed.push(name)
  }),
)
const others = ['server', 'web', 'web-alone'].flatMap((project) => ['--project', project])
if (!(await step('Unit and server tests', 'node_modules/vitest/vitest.mjs', ['run', ...others]))) failed.push('Unit and server tests')
build()
if (!(await step('Journeys in the browser', 'node_modules/@playwright/test/cli.js', ['test']))) failed.push('Journeys in the browser')
if (failed.length > 0) {
  console.error(`\nFailed: ${failed.join(', ')}`)
  process.exit(1)
}
console.log('\nAll passed.')
