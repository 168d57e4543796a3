import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';

export const root = fileURLToPath(new URL('../..', import.meta.url));

/** The built code of the worker threads. */
export const BACKROOM = new URL('./backroom/backroom.worker.js', import.meta.url);

export const DATABASE_FILE = 'which-way.sqlite';

/** What the program was started with. @throws what parseArgs throws for a flag that is not known. */
export const readOptions = () =>
  parseArgs({
    options: {
      data: { type: 'string' },
      demo: { type: 'boolean', default: false },
      fresh: { type: 'boolean', default: false },
      yes: { type: 'boolean', default: false },
      port: { type: 'string' },
      lan: { type: 'boolean', default: false },
      'new-code': { type: 'boolean', default: false },
    },
  }).values;
export type Options = ReturnType<typeof readOptions>;

export const dataFolderOf = ({ data, demo }: Options): string =>
  resolve(data ?? join(root, 'data', demo ? 'demo' : 'own'));
