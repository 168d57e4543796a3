import { Catch, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';
import { errorBody } from './error-body.js';

/** Turns whatever is thrown into the one error shape. */
@Catch()
export class ErrorFilter implements ExceptionFilter {
  readonly #log = new Logger('errors');

  catch(thrown: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const [status, body] = errorBody(thrown);
    if (status >= 500)
      this.#log.error(thrown instanceof Error ? (thrown.stack ?? thrown.message) : String(thrown));
    if (!response.headersSent) response.status(status).json(body);
  }
}
