import { existsSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { checkBackup, type CheckedBackup } from './backup/check-backup.js';
import { putInPlace } from './backup/put-in-place.js';
import { lockDataFolder } from './database/data-folder.js';
import { Refusal } from './errors/refusal.js';
import { StartError, startTrouble } from './start-error.js';
import { RESTORE_COMMAND_TEXT } from '@which-way/words/server/restore-command';

const root = fileURLToPath(new URL('../..', import.meta.url));

/**
 * `npm run restore -- FILE [--data FOLDER] [--demo]`: puts a backup back, after all of it was checked. What is there is moved
 * aside, not deleted. The server has to be stopped.
 */
async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    options: { data: { type: 'string' }, demo: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [file] = positionals;
  if (!file) throw new StartError(RESTORE_COMMAND_TEXT.sayWhichBackupNpmRun);
  if (!existsSync(file)) throw new StartError(RESTORE_COMMAND_TEXT.thereIsNoFile(resolve(file)));
  const folder = resolve(values.data ?? join(root, 'data', values.demo ? 'demo' : 'own'));
  const release = lockDataFolder(folder);
  const to = join(folder, 'restoring');
  try {
    await rm(to, { recursive: true, force: true });
    const checked = await check(resolve(file), to);
    const aside = putInPlace(folder, checked);
    const { jobs, events, made } = checked.manifest;
    process.stdout.write(RESTORE_COMMAND_TEXT.putBackIntoJobsEvents(folder, jobs, events, made));
    if (aside) process.stdout.write(RESTORE_COMMAND_TEXT.whatWasThereIsIn(aside));
  } finally {
    await rm(to, { recursive: true, force: true });
    release();
  }
}

async function check(file: string, to: string): Promise<CheckedBackup> {
  try {
    return await checkBackup(file, to, () => undefined);
  } catch (error) {
    const refusal = Refusal.fromWire(error instanceof Error ? error.message : '');
    if (!refusal) throw error;
    throw new StartError(RESTORE_COMMAND_TEXT.nothingWasChanged(refusal.body.message, refusal.body.hint));
  }
}

main().catch((error: unknown) => {
  const { text, code } = startTrouble(error);
  process.stderr.write(`\n${text}\n\n`);
  process.exit(code);
});
