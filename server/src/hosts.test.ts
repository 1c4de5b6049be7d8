import { expect, it } from 'vitest'
import { allowedHosts } from './hosts.ts'

it('answers loopback at any port and the names given, nobody else', () => {
  const rule = allowedHosts(['Bench.Local'])
  expect(['127.0.0.1', '127.0.0.1:4787', 'localhost:1', '[::1]:4787', 'bench.local:80'].every(rule)).toBe(true)
  expect(['', 'evil.example', '127.0.0.1.evil.example', 'localhost.evil:4787'].some(rule)).toBe(false)
})
