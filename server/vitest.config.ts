import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['which-way-source'] },
  ssr: { resolve: { conditions: ['which-way-source', 'node'] } },
  test: {
    name: 'server',
    // Loading the framework anew for each file costs more than most of its tests.
    isolate: false,
    environment: 'node',
    include: ['src/**/*.test.ts'],
    setupFiles: ['src/testing/setup.ts'],
    globalSetup: ['src/testing/built.ts'],
    testTimeout: process.env['WHICH_WAY_DEEP'] ? 1_800_000 : 180_000,
    hookTimeout: 180_000,
  },
});
