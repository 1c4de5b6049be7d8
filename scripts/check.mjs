// npm run check: types, and lint and unit tests of what changed against the last commit on main. Under a minute.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { install, root } from './setup.mjs'

install()
const git = (...args) => spawnSync('git', args, { cwd: root, encoding: 'utf8' }).stdout.split('\n').filter(Boolean)
const base = process.argv[2] ?? 'HEAD'
const changed = [...new Set([...git('diff', '--name-only', '--diff-filter=d', base), ...git('ls-files', '--others', '--exclude-standard')])]
const code = changed.filter((file) => /\.(ts|tsx|mjs|js)$/.test(file))
const run = (name, script, args) => {
  const from = Date.now()
  const { status } = spawnSync(process.execPath, [join(root, script), ...args], { cwd: root, stdio: 'inherit' })
  console.log(`${name}: ${status === 0 ? 'good' : 'not good'}, ${((Date.now() - from) / 1000).toFixed(1)} s`)
  return status === 0
}
const good = [
  run('Types', 'node_modules/typescript7/bin/tsc', ['-p', '.']),
  code.length === 0 || run('Lint', 'node_modules/oxlint/bin/oxlint', code),
  code.length === 0 || run('Unit tests', 'node_modules/vitest/vitest.mjs', ['related', '--run', '--passWithNoTests', ...code]),
]
process.exit(good.every(Boolean) ? 0 : 1)
