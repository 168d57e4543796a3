import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['which-way-source'] },
  ssr: { resolve: { conditions: ['which-way-source', 'node'] } },
  test: {
    name: 'server',
    environment: 'node',
    include: ['src/**/*.test.ts'],
    setupFiles: ['src/testing/setup.ts'],
  },
});
