import { defineConfig } from 'vitest/config';

/** What times the page or counts on its two seconds of search, and would time its neighbour as well. */
const timed = ['big', 'first-load', 'folded', 'levels', 'power', 'route'].map(
  (name) => `e2e/${name}.test.ts`,
);

/** A browser and a profile a file: two files at a time, the timed ones after them and alone. */
export default defineConfig({
  test: {
    globalSetup: ['e2e/serve.ts'],
    projects: [
      {
        extends: true,
        test: {
          name: 'together',
          include: ['e2e/**/*.test.ts'],
          exclude: timed,
          environment: 'node',
          testTimeout: 60_000,
          hookTimeout: 60_000,
          maxWorkers: 2,
          sequence: { groupOrder: 0 },
        },
      },
      {
        extends: true,
        test: {
          name: 'timed',
          include: timed,
          environment: 'node',
          testTimeout: 60_000,
          hookTimeout: 60_000,
          fileParallelism: false,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
