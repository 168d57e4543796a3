import { describe, expect, it } from 'vitest';
import { readBehaviour } from './behaviour.js';
import { matchPattern } from './match.js';

const behaviour = (text: string) => {
  const read = readBehaviour(text);
  if (!read.ok) throw new Error(read.trouble.code);
  return read.behaviour;
};

describe('a behaviour that is written down', () => {
  it('is matched as a map is; a pair of which nothing is known binds nothing', () => {
    const changeover = behaviour('UP: 1-2\nDOWN: 1-3');
    expect(changeover).toMatchObject({ terminals: ['1', '2', '3'], positions: ['UP', 'DOWN'] });
    const own = [
      [0, 0, 2],
      [0, 1, 0],
    ];
    const shorts = [
      [0, 0, 0],
      [0, 1, 0],
    ];
    expect(matchPattern(changeover.requirement, own).kind).toBe('same-wiring');
    expect(matchPattern(changeover.requirement, shorts).kind).toBe('no');
    // What joins two that part from a third cannot be left open by half: both pairs have to be unsaid.
    const partial = behaviour('UP: 1-2 ?1-3 ?2-3; DOWN: 1-3');
    expect(matchPattern(partial.requirement, shorts).kind).toBe('fits-so-far');
  });

  it.each([
    ['UP 1-2', 'no-colon', 1],
    ['OFF:\nON: 1-', 'not-a-join', 2],
    ['OFF:\nON: ?1-2-3', 'not-a-join', 2],
    ['OFF:\nON: -', 'nothing-joins', 1],
    ['', 'nothing-joins', 1],
  ])('%s is refused: %s', (text, code, line) =>
    expect(readBehaviour(text)).toMatchObject({ ok: false, trouble: { code, line } }),
  );
});
