import {
  AfterQuery,
  CORE_RULES,
  JobChange,
  LibraryQuery,
  NewJob,
  PostEvents,
  ShopChange,
} from '@which-way/contract';
import * as contract from '@which-way/contract';
import { RULE_NAMES } from '@which-way/words/server/errors/validation';
import { getMetadataStorage } from 'class-validator';
import { describe, expect, it } from 'vitest';
import type { Refusal } from './refusal.js';
import { strictValidation } from './validation.js';

const pipe = strictValidation();

/** What is said of a body or a query that does not fit its class. */
async function told(metatype: new () => object, value: unknown): Promise<Refusal['body']> {
  const refused = await pipe
    .transform(value, { type: 'body', metatype, data: undefined as never })
    .then(() => null)
    .catch((error: unknown) => error as Refusal);
  if (!refused) throw new Error('it was taken');
  return refused.body;
}

describe('what does not fit a class of the contract', () => {
  it('is said by rule, field and limit, in our own words', async () => {
    expect(await told(JobChange, { version: 0 })).toMatchObject({
      code: 'invalid-min',
      path: 'version',
      message: 'version must be 1 or more.',
    });
    expect(await told(LibraryQuery, { kind: 'lamp' })).toMatchObject({
      code: 'invalid-isIn',
      message: 'kind must be one of: switch, part.',
    });
    expect(await told(PostEvents, { after: 0, events: 'none' })).toMatchObject({
      message: 'events must be a list of at most 500.',
    });
    expect(
      await told(ShopChange, { version: 1.5, name: 3, safetyLists: {}, codeNotes: {}, meters: [] }),
    ).toMatchObject({
      message: 'version must be a whole number.',
      more: [{ path: 'name' }, { path: 'name', message: 'name must be a text.' }],
    });
    expect(await told(AfterQuery, { after: 'x' })).toMatchObject({ path: 'after' });
  });

  it('is said as the core says it, where the core has looked', async () => {
    const body = { id: 'x', title: '', outOfMachine: true };
    const { code, message, hint, more } = await told(NewJob, body);
    expect([code, more?.[0]?.code]).toEqual(['invalid-isOurId', 'invalid-isTitle']);
    expect(message).toMatch(/^id: .+/);
    expect(hint).not.toBe('');
  });

  it('is named where nobody knows it', async () => {
    expect(await told(JobChange, { version: 1, colour: 'red' })).toMatchObject({
      code: 'unknown-field',
      path: 'colour',
      hint: 'Remove it, or check its spelling.',
    });
  });

  it('has words for every rule that a request is checked by', () => {
    const requests = Object.entries(contract).filter(([name]) =>
      /^(New|.*(Change|Query|Ids)$|Post(?!ed))/.test(name),
    );
    expect(requests.length).toBeGreaterThan(10);
    const rules = requests.flatMap(([, made]) =>
      getMetadataStorage()
        .getTargetValidationMetadatas(made as new () => object, '', true, false)
        .flatMap(({ name }) => (name === undefined ? [] : [name])),
    );
    const worded = new Set(['isOptional', ...RULE_NAMES, ...Object.keys(CORE_RULES)]);
    expect(rules.length).toBeGreaterThan(40);
    expect([...new Set(rules)].filter((rule) => !worded.has(rule))).toEqual([]);
  });
});
