import type { RefusalCode } from '@which-way/words/refusals';
import type { NextFunction, Request, Response } from 'express';
import { told } from './refusal.js';

const TROUBLE: Readonly<Record<string, readonly [status: number, code: RefusalCode]>> = {
  'entity.parse.failed': [400, 'bad-json'],
  'entity.too.large': [413, 'too-large'],
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
  const [status, code] = trouble;
  const said = thrown instanceof SyntaxError ? thrown.message : '';
  response.status(status).json(told(code, { said }));
}
