import 'reflect-metadata';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { DataSource } from 'typeorm';
import { createApplication } from './application.js';
import { DataFolderError, takeDataFolder } from './database/data-folder.js';
import { TransferService } from './transfer/transfer.service.js';

const HOST = '127.0.0.1';
const FIRST_PORT = 4170;
const PORTS_TO_TRY = 40;

const { values: options } = parseArgs({
  options: {
    data: { type: 'string' },
    demo: { type: 'boolean', default: false },
    fresh: { type: 'boolean', default: false },
    port: { type: 'string' },
  },
});

const root = fileURLToPath(new URL('../..', import.meta.url));

/** Loads the demo files through the same door as a user's, once per database. */
async function loadDemo(source: DataSource, transfer: TransferService): Promise<void> {
  const loaded: unknown[] = await source.query("SELECT value FROM note WHERE key = 'demo'");
  if (loaded.length > 0) return;
  const folder = join(root, 'demo');
  for (const name of readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .sort()) {
    await transfer.import(JSON.parse(readFileSync(join(folder, name), 'utf8')));
  }
  await source.query("INSERT INTO note (key, value) VALUES ('demo', 'loaded')");
}

async function listen(app: { listen(port: number, host: string): Promise<unknown> }): Promise<number> {
  const asked = options.port === undefined ? null : Number(options.port);
  if (asked !== null && !(Number.isInteger(asked) && asked > 0 && asked < 65536)) {
    throw new DataFolderError(`--port takes a number from 1 to 65535, not "${options.port}".`);
  }
  for (let port = asked ?? FIRST_PORT; ; port += 1) {
    try {
      await app.listen(port, HOST);
      return port;
    } catch (error) {
      const taken = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
      if (!taken || asked !== null || port >= FIRST_PORT + PORTS_TO_TRY) throw error;
    }
  }
}

async function main(): Promise<void> {
  const folder = resolve(options.data ?? join(root, 'data', options.demo ? 'demo' : 'own'));
  const taken = takeDataFolder(folder, options.fresh);
  const pages = join(root, 'web', 'dist');
  const packageFile = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
  const app = await createApplication({
    version: packageFile.version,
    database: taken.database,
    demo: options.demo,
    pages: existsSync(join(pages, 'index.html')) ? pages : null,
  });
  if (options.demo) await loadDemo(app.get(DataSource), app.get(TransferService));
  const port = await listen(app);
  process.stdout.write(
    `\nWhich Way is ready at http://${HOST}:${port}/\nData: ${folder}\nCtrl-C stops it.\n\n`,
  );
}

main().catch((error: unknown) => {
  const known = error instanceof DataFolderError;
  process.stderr.write(
    `\n${known ? error.message : error instanceof Error ? (error.stack ?? error.message) : String(error)}\n\n`,
  );
  process.exit(known ? 3 : 1);
});
