import { Worker } from 'node:worker_threads';

/** What a worker hears when it should end. */
export const LEAVE = 'leave';

/** The thread of a worker that has ended, as Node.js tells it. */
const ENDED = -1;

/** Milliseconds after which a worker that has not ended by itself is cut off. */
const LEAVING_MS = 30_000;

/** Starts a worker of the backroom; it opens the database when it is first asked something. */
export const startWorker = (entry: URL, database: string, name: string): Worker =>
  new Worker(entry, { workerData: { database }, name, execArgv: [] });

/**
 * Asks a worker to end, and waits until it has. It is not cut off: in the middle of a call to the database that takes the
 * whole program down, as ending the program does while a worker is in one.
 */
export function leave(worker: Worker): Promise<void> {
  if (worker.threadId === ENDED) return Promise.resolve();
  return new Promise((resolve) => {
    const late = setTimeout(() => void worker.terminate(), LEAVING_MS);
    worker.once('exit', () => {
      clearTimeout(late);
      resolve();
    });
    worker.postMessage(LEAVE);
  });
}
