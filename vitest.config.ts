import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': import.meta.dirname } },
  test: {
    include: ['{core,db,ui,app,scripts}/**/*.test.{ts,tsx}'],
    // Repositories share one freshly migrated database.
    fileParallelism: false,
  },
});
