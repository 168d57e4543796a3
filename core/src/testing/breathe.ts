import { setImmediate } from 'node:timers/promises';
import fc from 'fast-check';
import { afterEach } from 'vitest';

/**
 * The runner's worker must answer its parent within a minute. Tests that only compute, one after the other, would hold it
 * for longer than that on a slow machine: between two tests it gets its turn.
 */
afterEach(() => setImmediate());

// The ordinary tests try the same cases each time: red or green, they say something of the change. The deep ones try others.
if (!process.env['WHICH_WAY_DEEP']) fc.configureGlobal({ seed: 20_261_130 });
