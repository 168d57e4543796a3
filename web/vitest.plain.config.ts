import { defineConfig } from 'vitest/config';

/** Tests of the pages' own code that render nothing: a page of their own for each file would cost more than they do. */
export default defineConfig({
  resolve: { conditions: ['which-way-source', 'module', 'browser', 'development|production'] },
  ssr: { resolve: { conditions: ['which-way-source', 'node'] } },
  test: {
    isolate: false,
    testTimeout: process.env['WHICH_WAY_DEEP'] ? 600_000 : 180_000,
    name: 'web-plain',
    environment: 'node',
    include: ['src/**/*.test.ts'],
    exclude: ['src/**/*.dom.test.ts'],
  },
});
