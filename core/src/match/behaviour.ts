import { partitionFromGroups, type Pattern } from '../partition/index.js';
import { PairBits } from './pair-bits.js';
import { MOST_POSITIONS, MOST_WIRES, type Requirement } from './match.js';

/** What a switch should do, as somebody wrote it down without a job. */
export interface WrittenBehaviour {
  /** Names of its terminals, in the order in which they were met. */
  terminals: string[];
  /** Names of its positions, in handle order. */
  positions: string[];
  requirement: Requirement;
}

/** Why a text says no behaviour: the line, from 1, and what of it is wrong. */
export interface BehaviourTrouble {
  code: 'no-colon' | 'not-a-join' | 'nothing-joins' | 'too-many';
  line: number;
  at: string;
}

export type ReadBehaviour =
  { ok: true; behaviour: WrittenBehaviour } | { ok: false; trouble: BehaviourTrouble };

/**
 * Reads a behaviour, a position a line or apart by semicolons: `LOW: 1-2 3-4`, nothing behind the colon where all is open. `?1-3`:
 * of that pair nothing is known there.
 */
export function readBehaviour(text: string): ReadBehaviour {
  const terminals: string[] = [];
  const positions: { name: string; joined: number[][]; unsaid: [number, number][] }[] = [];
  const placeOf = (label: string) => {
    const at = terminals.findIndex((one) => one.toLowerCase() === label.toLowerCase());
    return at >= 0 ? at : terminals.push(label) - 1;
  };
  const trouble = (code: BehaviourTrouble['code'], line: number, at: string): ReadBehaviour => ({
    ok: false,
    trouble: { code, line, at },
  });
  for (const [index, whole] of text.split(/[\n;]/).entries()) {
    const line = whole.trim();
    if (line === '') continue;
    const colon = line.lastIndexOf(':');
    if (colon < 0) return trouble('no-colon', index + 1, line);
    const position = {
      name: line.slice(0, colon).trim(),
      joined: [] as number[][],
      unsaid: [] as [number, number][],
    };
    for (const word of line
      .slice(colon + 1)
      .split(/[\s,]+/)
      .filter((one) => one !== '' && one !== '-')) {
      const labels = word.replace(/^\?/, '').split(/[-–]/);
      if (labels.some((label) => label === '') || (word.startsWith('?') && labels.length !== 2))
        return trouble('not-a-join', index + 1, word);
      const places = labels.map(placeOf);
      if (!word.startsWith('?')) position.joined.push(places);
      else position.unsaid.push([places[0] as number, places[1] as number]);
    }
    positions.push(position);
  }
  if (terminals.length > MOST_WIRES || positions.length > MOST_POSITIONS) return trouble('too-many', 1, '');
  if (!positions.some(({ joined }) => joined.some((group) => group.length > 1)))
    return trouble('nothing-joins', 1, '');
  const size = terminals.length;
  const pattern: Pattern = positions.map(({ joined }) => partitionFromGroups(size, joined));
  const partial = positions.some(({ unsaid }) => unsaid.length > 0);
  const known = new PairBits(size, positions.length);
  positions.forEach(({ unsaid }, at) => {
    const silent = new Set(unsaid.flatMap(([a, b]) => [a * size + b, b * size + a]));
    for (let a = 0; a < size; a += 1)
      for (let b = a; b < size; b += 1) if (!silent.has(a * size + b)) known.add(a, b, at);
  });
  return {
    ok: true,
    behaviour: {
      terminals,
      positions: positions.map(({ name }, at) => name || String(at + 1)),
      requirement: { pattern, terminals: terminals.map((_, at) => at), known: partial ? known.bits : null },
    },
  };
}
