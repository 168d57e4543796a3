import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // What was transformed once is read from the disk the next time.
    experimental: { fsModuleCache: true, fsModuleCachePath: '.cache/vitest' },
    projects: ['core', 'words', 'drawing', 'server', 'web', 'web/vitest.plain.config.ts'],
    // As many as there are cores: of two, one would have nothing to do.
    maxWorkers: availableParallelism(),
  },
});
