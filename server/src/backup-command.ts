import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { backUp } from './backup/back-up.js';
import { noteBackup } from './backup/backed-up.js';
import { StartError, startTrouble } from './start-error.js';
import { BACKUP_COMMAND_TEXT } from '@which-way/words/server/backup-command';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** `npm run backup [-- FILE] [--data FOLDER] [--demo]`: a backup of the whole bench as one zip, also while the server runs. */
async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    options: { data: { type: 'string' }, demo: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const folder = resolve(values.data ?? join(root, 'data', values.demo ? 'demo' : 'own'));
  const database = join(folder, 'which-way.sqlite');
  if (!existsSync(database)) throw new StartError(BACKUP_COMMAND_TEXT.thereIsNoBenchIn(folder));
  const stamp = new Date().toISOString().slice(0, 16).replace('T', '-').replace(':', '');
  const to = resolve(positionals[0] ?? `which-way-backup-${stamp}.zip`);
  if (existsSync(to)) throw new StartError(BACKUP_COMMAND_TEXT.isThereAlreadyNameAnother(to));
  const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
  const manifest = await backUp(
    { database, photos: join(folder, 'photos'), program: version },
    to,
    () => undefined,
  );
  noteBackup(folder, manifest.made);
  const photos = Object.keys(manifest.files).length - 1;
  process.stdout.write(
    BACKUP_COMMAND_TEXT.jobsEventsFilesOfPhotos(to, manifest.jobs, manifest.events, photos),
  );
}

main().catch((error: unknown) => {
  const { text, code } = startTrouble(error);
  process.stderr.write(`\n${text}\n\n`);
  process.exit(code);
});
