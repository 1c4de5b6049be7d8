import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    // Every core works: a test machine has nothing else to do.
    maxWorkers: '100%',
    projects: [
      // Core is pure functions: its files may share their modules.
      { test: { name: 'core', include: ['core/**/*.test.ts'], environment: 'node', testTimeout: 60_000, isolate: false } },
      { test: { name: 'server', include: ['server/**/*.test.ts', 'demo/**/*.test.ts'], environment: 'node', testTimeout: 60_000 } },
      // The page's files share theirs too: loading them anew for each cost more than the tests. What replaces a module stands alone.
      {
        test: {
          name: 'web',
          include: ['web/**/*.test.{ts,tsx}'],
          exclude: ['web/**/*.alone.test.{ts,tsx}'],
          environment: 'jsdom',
          testTimeout: 60_000,
          isolate: false,
        },
      },
      { test: { name: 'web-alone', include: ['web/**/*.alone.test.{ts,tsx}'], environment: 'jsdom', testTimeout: 60_000 } },
    ],
  },
})
