import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'

const ROOT = join(import.meta.dirname, '..', '..')

it('X29 whatever the server can be told at its start stands in the README, and how another device gets in', () => {
  const readme = readFileSync(join(ROOT, 'README.md'), 'utf8')
  const code = readdirSync(import.meta.dirname)
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => readFileSync(join(import.meta.dirname, file), 'utf8'))
    .join('')
  const told = [...new Set(code.match(/MERRY_[A-Z_]+/g))]
  expect(told.length).toBeGreaterThan(7)
  expect(told.filter((name) => !readme.includes(`\`${name}`))).toEqual([])
  const devices = /^## Other devices$([\s\S]*?)^## /m.exec(readme)?.[1] ?? ''
  for (const word of ['passphrase', 'HTTPS', 'certificate', 'locked out', 'trusts']) expect(devices).toContain(word)
})
