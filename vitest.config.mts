import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.ts', 'src/**/*.test.tsx', 'testing/**/*.test.ts'],
    environment: 'node',
    testTimeout: 30_000,
  },
});
