import { ANSWER_KEYS, KEY_TABLE } from '@which-way/core/probing';
import { CYCLING_KEYS } from '@which-way/core/verify';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ANSWER_CAPS, KEY_WORDS, keyTable } from './keys.js';

/** A table without what a formatter may change: spaces and the dashes of its head. */
const plain = (text: string): string =>
  text
    .replace(/-{3,}/g, '---')
    .replace(/[ \t]+/g, ' ')
    .trim();

describe('the keys of the Map', () => {
  it('stand in the guide as the help shows them', () => {
    const guide = readFileSync(new URL('../../../docs/user-guide.md', import.meta.url), 'utf8');
    const [, shown] =
      /<!-- made from the definitions -->([^]*?)<!-- end of what is made -->/.exec(guide) ?? [];
    expect(plain(shown ?? '')).toBe(plain(keyTable()));
  });

  it('answer yes and no as on every other screen, and the caps say so', () => {
    const line = (key: string) => KEY_TABLE.find(({ keys }) => key in keys);
    expect([line(ANSWER_KEYS.yes)?.does, line(ANSWER_KEYS.no)?.does]).toEqual(['take', 'none']);
    expect([line(ANSWER_KEYS.yes)?.shown, line(ANSWER_KEYS.no)?.shown]).toEqual([
      ANSWER_CAPS.yes,
      ANSWER_CAPS.no,
    ]);
    // A cycle that missed is a no; what ends a run is a yes.
    const cycling = new Map(CYCLING_KEYS.map(({ key, does }) => [key, does]));
    expect([cycling.get(ANSWER_KEYS.yes), cycling.get(ANSWER_KEYS.no)]).toEqual(['end', 'miss']);
  });

  it('have words that no key lacks and none has to spare', () => {
    expect(KEY_TABLE.map(({ does }) => does).sort()).toEqual(Object.keys(KEY_WORDS).sort());
  });
});
