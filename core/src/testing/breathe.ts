import { setImmediate } from 'node:timers/promises';
import { afterEach } from 'vitest';

/**
 * The runner's worker must answer its parent within a minute. Tests that only compute, one after the other, would hold it
 * for longer than that on a slow machine: between two tests it gets its turn.
 */
afterEach(() => setImmediate());
