import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['which-way-source'] },
  ssr: { resolve: { conditions: ['which-way-source', 'node'] } },
  test: { name: 'core', environment: 'node', include: ['src/**/*.test.ts'] },
});
