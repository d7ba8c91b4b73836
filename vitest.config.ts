import { defineConfig } from 'vitest/config';

const alias = { '@': import.meta.dirname };
// Generous: a busy machine is no failure, and speed is measured by the bench alone.
const patience = {
  testTimeout: 60_000,
  hookTimeout: 60_000,
  expect: { poll: { timeout: 20_000 } },
};

export default defineConfig({
  test: {
    maxWorkers: 2,
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'pure',
          include: ['{core,formats,ui,workers,app,scripts}/**/*.test.{ts,tsx}'],
          // Modules are pure, so files may share them; to load them anew for each takes a third of the time.
          isolate: false,
          ...patience,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'database',
          include: ['db/**/*.test.ts'],
          // Repositories share one freshly migrated database.
          maxWorkers: 1,
          sequence: { groupOrder: 1 },
          ...patience,
        },
      },
    ],
  },
});
