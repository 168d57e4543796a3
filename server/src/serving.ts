import type { Worker } from 'node:worker_threads';
import type { DatabaseDriver } from './database/data-source.js';

/** How this server was started. */
export interface Serving {
  version: string;
  /** Path of the database file. */
  database: string;
  /** Folder of the photos. */
  photos: string;
  demo: boolean;
  /** Folder of the built pages; null serves the API alone. */
  pages: string | null;
  /** Served to the local network, behind the shop's code. */
  lan: boolean;
  /** Makes a new code, which ends all sessions. */
  newCode: boolean;
  /** The built code of the worker threads. */
  backroom: URL;
  /** One of them that was started already; absent: it is started when it is first asked. */
  reading?: Worker;
  /** What opens the database; libsql unless a test wants it to fail. */
  driver?: DatabaseDriver;
}

/** Under this name a module can ask for it. */
export const SERVING = Symbol('serving');
