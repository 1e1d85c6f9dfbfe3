import { defineConfig } from 'vitest/config';

/** Two projects: everything that needs nothing, and everything that needs a PostgreSQL, which is started for it. */
export default defineConfig({
  test: {
    // The longest of them wait for processes of their own: two cores take three at once.
    maxWorkers: 3,
    testTimeout: 120_000,
    hookTimeout: 60_000,
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['{core,reference,server,app,cli,demo}/**/*.test.{ts,tsx}', 'tests/published/**/*.test.ts'],
        },
      },
      {
        extends: true,
        test: { name: 'service', include: ['tests/service/**/*.test.ts'], globalSetup: ['tests/service/cluster.ts'] },
      },
    ],
  },
});
