import { defineConfig } from 'vitest/config'

/** A machine shared with others may take many times as long, ms: no test measures time. */
const PATIENCE = 240_000

export default defineConfig({
  test: {
    // Every core works: a test machine has nothing else to do.
    maxWorkers: '100%',
    projects: [
      // Core is pure functions: its files may share their modules.
      { test: { name: 'core', include: ['core/**/*.test.ts'], environment: 'node', testTimeout: PATIENCE, hookTimeout: PATIENCE, isolate: false } },
      // Each server of a test is an object of its own, on a book of its own.
      {
        test: {
          name: 'server',
          include: ['server/**/*.test.ts', 'demo/**/*.test.ts'],
          environment: 'node',
          testTimeout: PATIENCE,
          hookTimeout: PATIENCE,
          isolate: false,
        },
      },
      // The page's files share theirs too: loading them anew for each cost more than the tests. What replaces a module stands alone.
      {
        test: {
          name: 'web',
          include: ['web/**/*.test.{ts,tsx}'],
          exclude: ['web/**/*.alone.test.{ts,tsx}'],
          environment: 'jsdom',
          testTimeout: PATIENCE,
          hookTimeout: PATIENCE,
          isolate: false,
        },
      },
      { test: { name: 'web-alone', include: ['web/**/*.alone.test.{ts,tsx}'], environment: 'jsdom', testTimeout: PATIENCE, hookTimeout: PATIENCE } },
    ],
  },
})
