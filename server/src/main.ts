import 'reflect-metadata';
import type { PhotoId } from '@which-way/core/switch';
import { createReadStream, existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { toString } from 'qrcode';
import { DataSource } from 'typeorm';
import { createApplication } from './application.js';
import { DataFolderError, takeDataFolder } from './database/data-folder.js';
import { keptAccess } from './lan/access.js';
import { SIGN_IN } from './lan/gate.js';
import { ownAddresses } from './lan/own-hosts.js';
import { PhotoStore } from './photos/photo-store.js';
import { TransferService } from './transfer/transfer.service.js';

const LOOPBACK = '127.0.0.1';
const EVERYWHERE = '0.0.0.0';
const FIRST_PORT = 4170;
const PORTS_TO_TRY = 40;

const { values: options } = parseArgs({
  options: {
    data: { type: 'string' },
    demo: { type: 'boolean', default: false },
    fresh: { type: 'boolean', default: false },
    port: { type: 'string' },
    lan: { type: 'boolean', default: false },
    'new-code': { type: 'boolean', default: false },
  },
});

const root = fileURLToPath(new URL('../..', import.meta.url));

/** Loads the demo files through the same door as a user's, once per database. */
async function loadDemo(source: DataSource, transfer: TransferService, photos: PhotoStore): Promise<void> {
  const loaded: unknown[] = await source.query("SELECT value FROM note WHERE key = 'demo'");
  if (loaded.length > 0) return;
  const folder = join(root, 'demo');
  for (const name of readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .sort()) {
    await transfer.import(JSON.parse(readFileSync(join(folder, name), 'utf8')));
  }
  const pictures = join(folder, 'photos');
  for (const name of existsSync(pictures) ? readdirSync(pictures).sort() : [])
    await photos.put(name.replace(/\.jpg$/, '') as PhotoId, createReadStream(join(pictures, name)));
  await source.query("INSERT INTO note (key, value) VALUES ('demo', 'loaded')");
}

async function listen(app: { listen(port: number, host: string): Promise<unknown> }): Promise<number> {
  const asked = options.port === undefined ? null : Number(options.port);
  if (asked !== null && !(Number.isInteger(asked) && asked > 0 && asked < 65536)) {
    throw new DataFolderError(`--port takes a number from 1 to 65535, not "${options.port}".`);
  }
  for (let port = asked ?? FIRST_PORT; ; port += 1) {
    try {
      await app.listen(port, options.lan ? EVERYWHERE : LOOPBACK);
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
    photos: taken.photos,
    lan: options.lan,
    newCode: options['new-code'],
    demo: options.demo,
    pages: existsSync(join(pages, 'index.html')) ? pages : null,
  });
  if (options.demo) await loadDemo(app.get(DataSource), app.get(TransferService), app.get(PhotoStore));
  const port = await listen(app);
  process.stdout.write(
    `\nWhich Way is ready at http://${LOOPBACK}:${port}/\nData: ${folder}\nCtrl-C stops it.\n\n`,
  );
  if (options.lan) process.stdout.write(await lanWords(app.get(DataSource), port));
}

/** How a phone gets in: the address and the code, as text and as QR code. */
async function lanWords(source: DataSource, port: number): Promise<string> {
  const { code } = await keptAccess(source.manager, false);
  const addresses = ownAddresses();
  const [first] = addresses;
  if (!first) return `No local network was found. The shop's code for later is ${code}.\n\n`;
  const picture = await toString(`http://${first}:${port}${SIGN_IN}?code=${code}`, {
    type: 'terminal',
    small: true,
  });
  const list = addresses.map((address) => `  http://${address}:${port}/`).join('\n');
  return `In the local network:\n${list}\nThe shop's code: ${code}\nWhoever has it can read and change everything here.\n\n${picture}\n`;
}

main().catch((error: unknown) => {
  const known = error instanceof DataFolderError;
  process.stderr.write(
    `\n${known ? error.message : error instanceof Error ? (error.stack ?? error.message) : String(error)}\n\n`,
  );
  process.exit(known ? 3 : 1);
});
