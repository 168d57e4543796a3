import { ValidationPipe, type ValidationError } from '@nestjs/common';
import { CORE_RULES, type ApiError } from '@which-way/contract';
import { ruleWords } from '@which-way/words/server/errors/validation';
import { getMetadataStorage } from 'class-validator';
import { Refusal, told } from './refusal.js';

/** Checks every body and query by its class in the contract; unknown fields are refused. */
export function strictValidation(): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    transform: true,
    // For the limits of its rules: it is not sent.
    validationError: { target: true },
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
  const own = Object.keys(error.constraints ?? {}).map((rule) => ({
    code: rule === 'whitelistValidation' ? 'unknown-field' : `invalid-${rule}`,
    path,
    ...ruleWords({
      field: path,
      rule,
      limits: limitsOf(error, rule),
      problems: rule in CORE_RULES ? CORE_RULES[rule as keyof typeof CORE_RULES](error.value) : [],
    }),
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, path))];
}

/** What a rule was set to: class-validator gives names of rules alone. */
function limitsOf({ target, property }: ValidationError, rule: string): readonly unknown[] {
  if (!target) return [];
  const rules = getMetadataStorage().getTargetValidationMetadatas(target.constructor, '', true, false);
  return (
    rules.find(({ propertyName, name }) => propertyName === property && name === rule)?.constraints ?? []
  );
}
