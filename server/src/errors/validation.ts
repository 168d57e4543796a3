import { ValidationPipe, type ValidationError } from '@nestjs/common';
import type { ApiError } from '@which-way/contract';
import { Refusal, told } from './refusal.js';
import { VALIDATION_TEXT } from '@which-way/words/server/errors/validation';

/** Checks every body and query by its DTO class; unknown fields are refused. */
export function strictValidation(): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    transform: true,
    exceptionFactory: (errors) => {
      const [first, ...more] = errors.flatMap((error) => flatten(error, ''));
      return new Refusal(400, {
        ...(first ?? told('invalid')),
        ...(more.length > 0 ? { more: more.slice(0, 20) } : {}),
      });
    },
  });
}

function flatten(error: ValidationError, above: string): ApiError[] {
  const path = above === '' ? error.property : `${above}.${error.property}`;
  const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
    code: rule === 'whitelistValidation' ? 'unknown-field' : `invalid-${rule}`,
    message: `${path}: ${rule === 'whitelistValidation' ? VALIDATION_TEXT.thisFieldIsNotKnown : message}.`,
    path,
    hint:
      rule === 'whitelistValidation'
        ? VALIDATION_TEXT.removeItOrCheckIts
        : VALIDATION_TEXT.getApiDocsSaysWhat,
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, path))];
}
