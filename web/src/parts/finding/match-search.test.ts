import { describe, expect, it } from 'vitest';
import type { EntryId } from '@which-way/core/switch';
import { changeOf } from './match-search.js';

const named = (...names: string[]) => names.map((name) => ({ id: name as EntryId, name }));

describe('what a change of what is asked did to the list', () => {
  it('is told by name: who comes, who goes', () => {
    expect(changeOf(named('a', 'b', 'c'), named('b', 'd'))).toEqual({ come: ['d'], go: ['a', 'c'] });
    expect(changeOf(named('a'), named('a'))).toEqual({ come: [], go: [] });
  });

  it('is nothing before there was an answer to compare with', () => {
    expect(changeOf(null, named('a'))).toBeNull();
  });
});
