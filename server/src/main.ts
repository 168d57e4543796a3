import { join } from 'node:path';
import { leave, startWorker } from './backroom/start-worker.js';
import { BACKROOM, dataFolderOf, DATABASE_FILE, readOptions } from './options.js';

/** Starts the program: the worker that reads for the screens is loaded on one core while the server is on another. */
async function main(): Promise<void> {
  const options = readOptions();
  const folder = dataFolderOf(options);
  const reading = startWorker(BACKROOM, join(folder, DATABASE_FILE), 'reading');
  try {
    const { serve } = await import('./serve.js');
    await serve(options, folder, reading);
  } catch (error) {
    await leave(reading);
    throw error;
  }
}

main().catch(async (error: unknown) => {
  const { startTrouble } = await import('./start-error.js');
  const { text, code } = startTrouble(error);
  process.stderr.write(`\n${text}\n\n`);
  process.exit(code);
});
