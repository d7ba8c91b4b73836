import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': import.meta.dirname } },
  test: {
    include: ['{core,db,formats,ui,app,scripts}/**/*.test.{ts,tsx}'],
    // Repositories share one freshly migrated database.
    fileParallelism: false,
    // Generous: a busy machine is no failure, and speed is measured by the bench alone.
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
});
