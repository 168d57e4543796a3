import { vi } from 'vitest';

/** Milliseconds a test waits for what has to come: less than the runner lets it take, and no limit on a machine that is busy. */
export const PATIENCE_MS = 120_000;

/** Waits until what is checked holds. */
export const until = (check: () => void): Promise<void> => vi.waitFor(check, { timeout: PATIENCE_MS });
