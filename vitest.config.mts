import { defineConfig } from 'vitest/config';

/** Files that put something in the place of a module, or of what the machine has, and so want a world of their own. */
const alone = ['src/core/renaming.test.ts'];

/**
 * Two files at a time: by itself Vitest leaves one core of a small machine idle. The core keeps nothing from one question to the
 * next but what it may know again, so its files share a thread, which reads the catalogue and the engine once and not 140 times.
 */
export default defineConfig({
  test: {
    environment: 'node',
    testTimeout: 60_000,
    hookTimeout: 60_000,
    maxWorkers: 2,
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['src/core/**/*.test.ts', 'testing/**/*.test.ts'],
          exclude: alone,
          isolate: false,
          pool: 'threads',
        },
      },
      {
        extends: true,
        test: {
          name: 'around',
          include: ['src/**/*.test.ts', 'src/**/*.test.tsx', ...alone],
          exclude: ['src/core/**/!(renaming).test.ts'],
        },
      },
    ],
  },
});
