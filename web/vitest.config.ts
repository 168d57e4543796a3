import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['which-way-source', 'module', 'browser', 'development|production'] },
  test: {
    // Tests leave nothing behind for each other; a world of its own for each file costs more than half the time.
    isolate: false,
    testTimeout: process.env['WHICH_WAY_DEEP'] ? 600_000 : 180_000,
    name: 'web',
    environment: 'jsdom',
    setupFiles: ['./src/testing/matchers.ts', './src/testing/patience.ts', './src/testing/observed-size.ts'],
    include: ['src/**/*.test.tsx', 'src/**/*.dom.test.ts'],
  },
});
