import { defineConfig } from 'vitest/config'

/** Slow machines take their time: a test ends when it is done, and this only stops one that hangs. */
const testTimeout = 120_000

export default defineConfig({
  test: {
    // Left to itself it keeps a core free for whoever watches; here nobody does.
    maxWorkers: '100%',
    // API tests share one throwaway cluster; each file makes its own database in it.
    projects: [
      { test: { name: 'core', include: ['core/src/**/*.test.ts'], testTimeout } },
      {
        test: {
          name: 'contract',
          include: [
            'contract/src/**/*.test.ts',
            'model/src/**/*.test.ts',
            'words/src/**/*.test.ts',
            'demo/src/**/*.test.ts',
          ],
          testTimeout,
        },
      },
      { test: { name: 'devices', include: ['devices/src/**/*.test.ts'], testTimeout } },
      { test: { name: 'bin', include: ['bin/**/*.test.ts'], hookTimeout: testTimeout, testTimeout } },
      { test: { name: 'web', include: ['web/src/**/*.test.ts'], testTimeout } },
      {
        test: { name: 'screens', include: ['web/src/**/*.test.tsx'], environment: 'jsdom', testTimeout },
      },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          globalSetup: './server/src/testing/throwawayCluster.ts',
          hookTimeout: testTimeout,
          testTimeout,
        },
      },
    ],
  },
})
