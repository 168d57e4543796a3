import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['which-way-source'] },
  ssr: { resolve: { conditions: ['which-way-source', 'node'] } },
  test: {
    testTimeout: process.env['WHICH_WAY_DEEP'] ? 600_000 : 60_000,
    name: 'words',
    environment: 'node',
    include: ['src/**/*.test.ts'],
  },
});
