import { HttpException } from '@nestjs/common';
import type { ApiError } from '@which-way/contract';
import { Refusal, told } from './refusal.js';
import { ERROR_BODY_TEXT } from '@which-way/words/server/errors/error-body';

/** What the operating system says when it is the store that fails, and not what was sent. */
const STORE =
  /^(SQLITE_(FULL|IOERR|READONLY|BUSY|CORRUPT|NOTADB|CANTOPEN)|ENOSPC|EDQUOT|EIO|EROFS|EACCES|EPERM|EMFILE|ENFILE|EFBIG)/;

/** Status and body for whatever was thrown; nothing of the inside leaks out. */
export function errorBody(thrown: unknown): [status: number, body: ApiError] {
  if (thrown instanceof Refusal) return [thrown.status, thrown.body];
  if (thrown instanceof HttpException) {
    const status = thrown.getStatus();
    const hint = status === 404 ? ERROR_BODY_TEXT.getApiDocsListsThe : ERROR_BODY_TEXT.getApiDocsSaysWhat;
    return [
      status,
      { code: status === 404 ? 'not-found' : 'refused', message: thrown.message, path: '', hint },
    ];
  }
  const code = storeTrouble(thrown);
  if (code) {
    // A file that may not grow any further is a full disk for whoever has to make room.
    return [503, told(/FULL|ENOSPC|EDQUOT|EFBIG/.test(code) ? 'disk-full' : 'cannot-store')];
  }
  return [500, told('internal')];
}

/** The code of an error of the store (database or file system); null when it is another. */
export function storeTrouble(thrown: unknown): string | null {
  for (const error of [thrown, causeOf(thrown, 'driverError'), causeOf(thrown, 'cause')]) {
    const code = causeOf(error, 'code');
    if (typeof code === 'string' && STORE.test(code)) return code;
  }
  const message = thrown instanceof Error ? thrown.message : '';
  // From a worker thread the message comes alone.
  if (/database or disk is full|no space left on device/i.test(message)) return 'SQLITE_FULL';
  if (/disk I\/O error/i.test(message)) return 'SQLITE_IOERR';
  return STORE.exec(message)?.[0] ?? null;
}

function causeOf(thrown: unknown, field: string): unknown {
  return typeof thrown === 'object' && thrown !== null && field in thrown
    ? (thrown as Record<string, unknown>)[field]
    : undefined;
}
