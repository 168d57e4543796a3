import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['which-way-source'] },
  ssr: { resolve: { conditions: ['which-way-source', 'node'] } },
  test: {
    // Tests leave nothing behind for each other; a world of its own for each file costs more than half the time.
    isolate: false,
    testTimeout: process.env['WHICH_WAY_DEEP'] ? 600_000 : 180_000,
    name: 'drawing',
    environment: 'node',
    include: ['src/**/*.test.ts'],
  },
});
