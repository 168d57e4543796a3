import { Refusal } from './errors/refusal.js';
import { DataFolderError } from './database/data-folder.js';
import { START_ERROR_TEXT } from '@which-way/words/server/start-error';

/** Why the program cannot start, in a sentence for the person who started it. */
export class StartError extends Error {}

/** What to print for whatever ended the start, and with which code the program ends. */
export function startTrouble(error: unknown): { text: string; code: number } {
  if (error instanceof StartError || error instanceof DataFolderError)
    return { text: error.message, code: 3 };
  const refusal = error instanceof Error ? Refusal.fromWire(error.message) : null;
  if (refusal) return { text: `${refusal.body.message}\n${refusal.body.hint}`, code: 3 };
  const code = typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
  const message = error instanceof Error ? error.message : String(error);
  if (code === 'EADDRINUSE') return { text: START_ERROR_TEXT.thePortIsTakenBy, code: 3 };
  if (code === 'EACCES' && /listen/.test(message))
    return { text: START_ERROR_TEXT.thisPortMayNotBe, code: 3 };
  if (code.startsWith('ERR_PARSE_ARGS')) return { text: `${message.split('\n')[0]}\n${USAGE}`, code: 2 };
  if (/FULL|ENOSPC/.test(code)) return { text: START_ERROR_TEXT.theDiskIsFullFree(message), code: 3 };
  return { text: error instanceof Error ? (error.stack ?? message) : message, code: 1 };
}

const USAGE = START_ERROR_TEXT.optionsDataFolderPortNumber;
