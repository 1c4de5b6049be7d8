import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', include: ['core/**/*.test.ts'], environment: 'node', testTimeout: 60_000 } },
      { test: { name: 'server', include: ['server/**/*.test.ts', 'demo/**/*.test.ts'], environment: 'node', testTimeout: 60_000 } },
      { test: { name: 'web', include: ['web/**/*.test.{ts,tsx}'], environment: 'jsdom', testTimeout: 60_000 } },
    ],
  },
})
