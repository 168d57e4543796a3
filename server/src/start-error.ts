import { Refusal } from './errors/refusal.js';
import { DataFolderError } from './database/data-folder.js';

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
  if (code === 'EADDRINUSE')
    return { text: 'The port is taken by another program. Give another one with --port NUMBER.', code: 3 };
  if (code === 'EACCES' && /listen/.test(message))
    return { text: 'This port may not be used. Give one above 1023 with --port NUMBER.', code: 3 };
  if (code.startsWith('ERR_PARSE_ARGS')) return { text: `${message.split('\n')[0]}\n${USAGE}`, code: 2 };
  if (/FULL|ENOSPC/.test(code))
    return { text: `The disk is full: ${message}. Free some space and start again.`, code: 3 };
  return { text: error instanceof Error ? (error.stack ?? message) : message, code: 1 };
}

export const USAGE = `Options: --data FOLDER, --port NUMBER, --lan, --new-code, --demo, --fresh (moves what is there aside), --yes.`;
