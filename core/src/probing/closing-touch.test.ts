import { describe, expect, it } from 'vitest';
import { PLAIN_APPROACH } from '../log/index.js';
import { partitionFromGroups } from '../partition/index.js';
import { atTheKeys, truthfulKeys, type AtTheKeys } from '../testing/at-the-keys.js';
import { bench } from '../testing/generated.js';
import { answersTo } from './answers-to.js';

/** Hands with clips enough, at the moment in which the clips are to come off. */
function beforeClipsComeOff() {
  const on = bench(8, 2);
  on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: 8 } });
  const hidden = [partitionFromGroups(8, [[2, 6]]), partitionFromGroups(8, [[1, 7]])];
  const keys = atTheKeys(on, hidden);
  answerUntil(keys, () => isClosing(keys));
  return { on, keys };
}

const isClosing = (keys: AtTheKeys): boolean => {
  const { task } = keys.moment();
  return task?.kind === 'clips' && task.change.closing;
};

function answerUntil(keys: AtTheKeys, done: () => boolean): void {
  for (let guard = 0; !done(); guard += 1) {
    if (guard > 200) throw new Error('it never came to that');
    keys.press(...truthfulKeys(keys));
  }
}

const planKind = (keys: AtTheKeys) => keys.moment().plan?.kind;

describe('before clips come off', () => {
  it('each is touched once more by one answer; then the map comes to its end', () => {
    const { keys } = beforeClipsComeOff();
    expect(keys.moment().map.clips.uses.every(({ standing }) => standing === 'on')).toBe(true);
    keys.press('Enter');
    expect(isClosing(keys)).toBe(false);
    expect(keys.moment().map.clips.uses.every(({ standing }) => standing === 'proved')).toBe(true);
    answerUntil(keys, () => planKind(keys) === 'done');
    expect(keys.moment().map.complete).toBe(true);
  });

  it('one that is silent loses what read open through it, is named, and one undo brings it back', () => {
    const { on, keys } = beforeClipsComeOff();
    const before = keys.moment().map.settings.get(on.settings[0] as never)?.coverage.unknown ?? 0;
    keys.press(...'3', 'Enter', 'Enter');
    const { hands, map } = keys.moment();
    expect(hands.message).toEqual({ code: 'clips-were-silent', terminals: [on.terminals[2]] });
    expect(map.clips.uses.map(({ standing }) => standing).sort()).toContain('silent');
    expect(map.settings.get(on.settings[0] as never)?.coverage.unknown).toBeGreaterThan(before);
    keys.press('Backspace');
    expect(isClosing(keys)).toBe(true);
    expect(keys.moment().map.settings.get(on.settings[0] as never)?.coverage.unknown).toBe(before);
  });

  it('they may be off already: then what read open through them is asked again', () => {
    const { on, keys } = beforeClipsComeOff();
    const off = answersTo(keys.moment()).find(({ label }) => label.code === 'off-already');
    if (!off) throw new Error('nothing to say that they are off');
    keys.act(off.act);
    const { map } = keys.moment();
    expect(map.clips.uses.every(({ standing }) => standing === 'silent')).toBe(true);
    expect(map.settings.get(on.settings[0] as never)?.coverage.follows).toBe(0);
    answerUntil(keys, () => planKind(keys) === 'done');
    expect(keys.moment().map.complete).toBe(true);
  });
});
