import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: { include: ['core/**/*.test.ts', 'reference/**/*.test.ts', 'server/**/*.test.ts', 'app/**/*.test.ts', 'cli/**/*.test.ts', 'tests/{published,service}/**/*.test.ts'], testTimeout: 30_000, hookTimeout: 60_000, fileParallelism: true },
});
