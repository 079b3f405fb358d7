import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    // API tests share one throwaway cluster; each file makes its own database in it.
    projects: [
      { test: { name: 'core', include: ['core/src/**/*.test.ts'] } },
      { test: { name: 'contract', include: ['contract/src/**/*.test.ts', 'demo/src/**/*.test.ts'] } },
      { test: { name: 'devices', include: ['devices/src/**/*.test.ts'] } },
      { test: { name: 'bin', include: ['bin/**/*.test.ts'], testTimeout: 60_000 } },
      { test: { name: 'web', include: ['web/src/**/*.test.ts'] } },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          globalSetup: './server/src/testing/throwawayCluster.ts',
          hookTimeout: 60_000,
          testTimeout: 60_000,
        },
      },
    ],
  },
})
