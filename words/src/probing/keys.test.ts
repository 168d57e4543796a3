import { KEY_TABLE } from '@which-way/core/probing';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { KEY_WORDS, keyTable } from './keys.js';

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

  it('have words that no key lacks and none has to spare', () => {
    expect(KEY_TABLE.map(({ does }) => does).sort()).toEqual(Object.keys(KEY_WORDS).sort());
  });
});
