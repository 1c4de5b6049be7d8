import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    // Every core works: a test machine has nothing else to do.
    maxWorkers: '100%',
    projects: [
      // Core is pure functions: its files may share their modules.
      { test: { name: 'core', include: ['core/**/*.test.ts'], environment: 'node', testTimeout: 60_000, isolate: false } },
      { test: { name: 'server', include: ['server/**/*.test.ts', 'demo/**/*.test.ts'], environment: 'node', testTimeout: 60_000 } },
      { test: { name: 'web', include: ['web/**/*.test.{ts,tsx}'], environment: 'jsdom', testTimeout: 60_000 } },
    ],
  },
})
