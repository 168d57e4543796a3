import { Worker } from 'node:worker_threads';

/** Starts a worker of the backroom; it opens the database when it is first asked something. */
export const startWorker = (entry: URL, database: string, name: string): Worker =>
  new Worker(entry, { workerData: { database }, name, execArgv: [] });
