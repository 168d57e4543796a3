import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { ApiError } from '@which-way/contract';
import type { Response } from 'express';
import { Refusal } from './refusal.js';

/** Turns whatever is thrown into the one error shape; nothing of the inside leaks out. */
@Catch()
export class ErrorFilter implements ExceptionFilter {
  readonly #log = new Logger('errors');

  catch(thrown: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const [status, body] = this.#read(thrown);
    if (status >= 500)
      this.#log.error(thrown instanceof Error ? (thrown.stack ?? thrown.message) : String(thrown));
    if (!response.headersSent) response.status(status).json(body);
  }

  #read(thrown: unknown): [number, ApiError] {
    if (thrown instanceof Refusal) return [thrown.status, thrown.body];
    if (thrown instanceof HttpException) {
      const status = thrown.getStatus();
      return [
        status,
        {
          code: status === 404 ? 'not-found' : 'refused',
          message: thrown.message,
          path: '',
          hint:
            status === 404
              ? 'GET /api/docs lists the addresses that there are.'
              : 'GET /api/docs says what is accepted.',
        },
      ];
    }
    const code = sqliteCode(thrown);
    if (code && /^SQLITE_(FULL|IOERR|READONLY|BUSY|CORRUPT)/.test(code)) {
      return [
        503,
        {
          code: 'cannot-store',
          message: `The database cannot be written: ${code}.`,
          path: '',
          hint: 'Nothing was saved. Free space on the disk or check the folder, then try again.',
        },
      ];
    }
    return [
      500,
      {
        code: 'internal',
        message: 'Something went wrong in the server.',
        path: '',
        hint: 'Nothing was half-saved. Try again; the log of the server has the details.',
      },
    ];
  }
}

function sqliteCode(thrown: unknown): string | null {
  const code = typeof thrown === 'object' && thrown !== null && 'code' in thrown ? thrown.code : null;
  return typeof code === 'string' ? code : null;
}
