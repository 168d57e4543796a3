import 'reflect-metadata';
import type { PhotoId } from '@which-way/core/switch';
import { createReadStream, existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import type { Worker } from 'node:worker_threads';
import { toString } from 'qrcode';
import { createApplication } from './application.js';
import { Backroom } from './backroom/backroom.js';
import { holdsSomething, NEEDS, takeDataFolder } from './database/data-folder.js';
import { readNote, writeNote } from './database/note.js';
import { Writer } from './database/writer.js';
import { keptAccess } from './lan/access.js';
import { SIGN_IN } from './lan/gate.js';
import { ownAddresses } from './lan/own-hosts.js';
import { PhotoStore } from './photos/photo-store.js';
import { BACKROOM, root, type Options } from './options.js';
import { StartError } from './start-error.js';
import { TransferService } from './transfer/transfer.service.js';
import { SERVE_TEXT } from '@which-way/words/server/serve';

const LOOPBACK = '127.0.0.1';
const EVERYWHERE = '0.0.0.0';
const FIRST_PORT = 4170;
const PORTS_TO_TRY = 40;
/** Milliseconds in which a server that cannot write any more still gives its answers. */
const LAST_WORDS_MS = 1000;

/** Loads the demo files through the same door as a user's, once per database. */
async function loadDemo(writer: Writer, transfer: TransferService, photos: PhotoStore): Promise<void> {
  if ((await writer.write((manager) => readNote(manager, 'demo'))) !== null) return;
  const folder = join(root, 'demo');
  for (const name of readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .sort())
    await transfer.import(createReadStream(join(folder, name)));
  const pictures = join(folder, 'photos');
  for (const name of existsSync(pictures) ? readdirSync(pictures).sort() : [])
    await photos.put(name.replace(/\.jpg$/, '') as PhotoId, createReadStream(join(pictures, name)));
  await writer.write((manager) => writeNote(manager, 'demo', 'loaded'));
}

async function listen(
  app: { listen(port: number, host: string): Promise<unknown> },
  { port: said, lan }: Options,
): Promise<number> {
  const asked = said === undefined ? null : Number(said);
  if (asked !== null && !(Number.isInteger(asked) && asked > 0 && asked < 65536))
    throw new StartError(SERVE_TEXT.portTakesANumberFrom(said ?? ''));
  for (let port = asked ?? FIRST_PORT; ; port += 1) {
    try {
      await app.listen(port, lan ? EVERYWHERE : LOOPBACK);
      return port;
    } catch (error) {
      const taken = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
      if (taken && asked !== null) throw new StartError(SERVE_TEXT.portIsTakenByAnother(asked));
      if (!taken || port >= FIRST_PORT + PORTS_TO_TRY) throw error;
    }
  }
}

/** Nobody loses a bench to a flag: beginning anew on one's own data is asked for, and moves it aside. */
async function mayBeginAnew(folder: string, { demo, fresh, yes }: Options): Promise<void> {
  if (!fresh || demo || yes || !holdsSomething(folder)) return;
  if (!process.stdin.isTTY) throw new StartError(SERVE_TEXT.freshWouldBeginAnewIn(folder));
  const asking = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await asking.question(SERVE_TEXT.thereIsABenchIn(folder));
  asking.close();
  if (answer.trim().toLowerCase() !== 'yes') throw new StartError(SERVE_TEXT.nothingWasChanged);
}

/**
 * Serves a data folder until the program is ended.
 * @param reading the worker that reads for the screens, which was started while this was being loaded.
 */
export async function serve(options: Options, folder: string, reading: Worker): Promise<void> {
  await mayBeginAnew(folder, options);
  const taken = takeDataFolder(folder, options.fresh);
  if (taken.aside && !options.demo) process.stdout.write(SERVE_TEXT.whatWasThereIsIn(taken.aside));
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
    backroom: BACKROOM,
    reading,
  });
  const writer = app.get(Writer);
  writer.onBroken = (reason) => {
    process.stderr.write(SERVE_TEXT.theServerHasStoppedEverything(reason));
    setTimeout(
      () =>
        void app
          .get(Backroom)
          .leave()
          .then(() => process.exit(4)),
      LAST_WORDS_MS,
    );
  };
  try {
    await writer.write((manager) => writeNote(manager, NEEDS, packageFile.version));
    if (options.demo) await loadDemo(writer, app.get(TransferService), app.get(PhotoStore));
    await announce(await listen(app, options), options, folder, writer);
  } catch (error) {
    // The program ends with what went wrong: no worker may be in the database then.
    await app.get(Backroom).leave();
    throw error;
  }
}

/** Says where it is served. */
async function announce(port: number, options: Options, folder: string, writer: Writer): Promise<void> {
  process.stdout.write(SERVE_TEXT.whichWayIsReadyAt(LOOPBACK, port, folder));
  if (options.lan) process.stdout.write(await lanWords(writer, port));
}

/** How a phone gets in: the address and the code, as text and as QR code. */
async function lanWords(writer: Writer, port: number): Promise<string> {
  const { code } = await writer.write((manager) => keptAccess(manager, false));
  const addresses = ownAddresses();
  const [first] = addresses;
  if (!first) return SERVE_TEXT.noLocalNetworkWasFound(code);
  const picture = await toString(`http://${first}:${port}${SIGN_IN}?code=${code}`, {
    type: 'terminal',
    small: true,
  });
  const list = addresses.map((address) => `  http://${address}:${port}/`).join('\n');
  return SERVE_TEXT.inTheLocalNetworkThe(list, code, picture);
}
