import type { Problem } from '@which-way/core/switch';
import { problemWords } from '../../refusals.js';

/** A rule that a field breaks: its name, what it was set to, and what the core found where the core has looked. */
export interface BrokenRule {
  field: string;
  rule: string;
  limits: readonly unknown[];
  problems: readonly Problem[];
}

const listed = (values: unknown): string => (Array.isArray(values) ? values.join(', ') : String(values));

/** What each rule asks for, by its name. */
const RULES: Record<string, (limits: readonly unknown[]) => string> = {
  isString: () => 'a text',
  isInt: () => 'a whole number',
  isNumber: () => 'a number',
  isBoolean: () => 'true or false',
  isObject: () => 'an object',
  isArray: () => 'a list',
  isIn: ([values]) => `one of: ${listed(values)}`,
  min: ([least]) => `${listed(least)} or more`,
  max: ([most]) => `${listed(most)} or less`,
  maxLength: ([most]) => `at most ${listed(most)} characters long`,
  arrayMaxSize: ([most]) => `a list of at most ${listed(most)}`,
  matches: () => 'an id, as in ‘0197c3f2-1111-7000-8000-000000000001’',
};

/** The rules that have words. */
export const RULE_NAMES: readonly string[] = Object.keys(RULES);

/** What is wrong with a field, and what would be right. */
export function ruleWords({ field, rule, limits, problems }: BrokenRule): { message: string; hint: string } {
  if (rule === 'whitelistValidation')
    return { message: `${field}: this field is not known.`, hint: 'Remove it, or check its spelling.' };
  if (problems.length > 0) {
    const said = problems.slice(0, 3).map((problem) => problemWords(problem));
    return {
      message: `${field}: ${said.map(([message]) => message).join(' ')}`,
      hint: said.map(([, hint]) => hint).join(' '),
    };
  }
  const wanted = RULES[rule]?.(limits);
  return {
    message: wanted ? `${field} must be ${wanted}.` : `${field} is not valid.`,
    hint: 'GET /api/docs says what fits.',
  };
}
