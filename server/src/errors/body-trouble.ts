import type { ApiError } from '@which-way/contract';
import type { NextFunction, Request, Response } from 'express';

const TROUBLE: Record<string, { status: number; code: string; message: string; hint: string }> = {
  'entity.parse.failed': {
    status: 400,
    code: 'bad-json',
    message: 'What was sent is not JSON.',
    hint: 'Send one JSON value. A file that was cut off while saving ends in the middle.',
  },
  'entity.too.large': {
    status: 413,
    code: 'too-large',
    message: 'What was sent is too large.',
    hint: 'Events: up to 1 MB at a time, in smaller batches. Files go to /api/imports.',
  },
};

/** Says in the one error shape why a body could not be read; other troubles go on to the next handler. */
export function bodyTrouble(
  thrown: unknown,
  _request: Request,
  response: Response,
  next: NextFunction,
): void {
  const type = typeof thrown === 'object' && thrown !== null && 'type' in thrown ? String(thrown.type) : '';
  const trouble = TROUBLE[type];
  if (!trouble) return next(thrown);
  const { status, code, message, hint } = trouble;
  const said = thrown instanceof SyntaxError ? ` (${thrown.message})` : '';
  const body: ApiError = { code, message: message.replace(/\.$/, `${said}.`), path: '', hint };
  response.status(status).json(body);
}
