import type { MatchedEntry } from '@which-way/contract';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { FoundLine } from './found-line.js';
import { NOTHING_SEARCHED } from './match-search.js';

afterEach(cleanup);

const listed = (may: number, no: number) =>
  [...Array<string>(may).fill('same-wiring'), ...Array<string>(no).fill('no')].map(
    (kind) => ({ result: { kind } }) as unknown as MatchedEntry,
  );

describe('what a search came to', () => {
  it.each([
    [
      'all that are possible are listed, of the others the first',
      [2, 60],
      '2 possible of 165 163 ruled out.',
    ],
    [
      'of those that are possible the first are listed',
      [60, 60],
      '75 possible of 165 90 ruled out. The first 60 are listed.',
    ],
  ] as const)('%s', (_, [may, no], says) => {
    const possible = Number(says.split(' ')[0]);
    const counts = { 'same-wiring': 1, 'fits-so-far': possible - 1, undecided: 0, no: 165 - possible };
    const matches = {
      ...NOTHING_SEARCHED,
      done: true,
      all: 165,
      looked: 165,
      counts,
      candidates: listed(may, no),
    };
    render(<FoundLine matches={matches} onStop={() => undefined} />);
    expect(screen.getByRole('status').textContent).toBe(says);
  });
});
