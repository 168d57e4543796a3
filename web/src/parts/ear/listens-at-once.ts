/** How a page opens a Map that listens to its simulated beeper at once; silence counts there after a while, and no key is needed. */
export const LISTENS_AT_ONCE = { listens: true } as const;

/** Whether a Map was opened so. */
export const listensAtOnce = (state: unknown): boolean =>
  typeof state === 'object' && state !== null && 'listens' in state && state.listens === true;

/** So long without a beep counts as silent there, in milliseconds. */
export const LESSON_DWELL_MS = 1500;
