import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: ['core', 'words', 'drawing', 'server', 'web'],
    // As many as there are cores: of two, one would have nothing to do.
    maxWorkers: availableParallelism(),
  },
});
