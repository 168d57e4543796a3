import { levelsOf } from '@which-way/core/formats';
import { MOST_LEVELS } from '@which-way/core/schema';
import type { NextFunction, Request, Response } from 'express';
import { inWords } from './refusal.js';

/** Refuses a body that is nested deeper than anything of ours: whoever walks it by calling itself would run out of stack. */
export function notTooDeep(request: Request, response: Response, next: NextFunction): void {
  if (levelsOf(request.body) <= MOST_LEVELS) return next();
  response.status(400).json(inWords({ code: 'too-deep', path: '', params: { most: MOST_LEVELS } }));
}
