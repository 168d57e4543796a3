import { describe, expect, it } from 'vitest';
import { changeOf } from './match-search.js';

const answered = (does: string[], ...listed: string[]) => ({
  does,
  whole: true,
  names: new Map(listed.map((one) => [one, `the ${one}`])),
});

describe('what a change of what is asked did to the list', () => {
  it('is told by number, and by name where it was listed: who comes, who goes', () => {
    expect(changeOf(answered(['a', 'b', 'c'], 'a', 'b'), answered(['b', 'd', 'e'], 'd'))).toEqual({
      come: { count: 2, names: ['the d'] },
      go: { count: 2, names: ['the a'] },
    });
    const nothing = { count: 0, names: [] };
    expect(changeOf(answered(['a']), answered(['a']))).toEqual({ come: nothing, go: nothing });
  });

  it('is nothing where more do than are told one by one: nobody knows how many come and go', () => {
    const some = { ...answered(['a', 'b']), whole: false };
    expect(changeOf(some, answered(['a']))).toBeNull();
    expect(changeOf(answered(['a']), some)).toBeNull();
  });

  it('is nothing before there was an answer to compare with', () => {
    expect(changeOf(null, answered(['a']))).toBeNull();
  });
});
