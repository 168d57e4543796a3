import { describe, expect, it } from 'vitest';
import { atTheKeys } from '../testing/at-the-keys.js';
import { bench } from '../testing/generated.js';

/** A switch of which nothing joins, with ohms typed for each pair. */
function typed(terminals: number) {
  const on = bench(terminals, 1);
  const keys = atTheKeys(on, [Array.from({ length: terminals }, (_, at) => at)], { sense: 'ohms' });
  return {
    keys,
    type: (line: string) => keys.press(...line, 'Enter'),
    task: () => keys.moment().task?.kind,
    counts: () =>
      keys
        .moment()
        .map.tape.filter(({ standing }) => standing === 'counts')
        .map(({ reading }) => reading.value),
  };
}

describe('a value that may be skin', () => {
  it.each(['1M', '2M', '19M'])(
    'of %s is read again with the hands off, and the second takes the place of the first',
    (first) => {
      const { type, task, counts, keys } = typed(3);
      type(`1-2=${first}`);
      expect(task()).toBe('correct');
      type('OL');
      expect(task()).not.toBe('correct');
      expect(counts()).toEqual([{ kind: 'over' }]);
      expect(keys.moment().map.settings.size).toBe(1);
      keys.act({ do: 'undo' });
      expect(counts()).toHaveLength(1);
      expect(counts()[0]).toMatchObject({ kind: 'ohms' });
    },
  );

  it.each(['21M', '500M', 'OL'])('of %s is open, and asked no more', (value) => {
    const { type, task } = typed(3);
    type(`1-2=${value}`);
    expect(task()).not.toBe('correct');
  });

  it('never keeps a map from being complete, and neither contradicts: both part', () => {
    const { type, keys } = typed(2);
    type('1-2=2M');
    type('3M');
    const { map } = keys.moment();
    expect(map.complete).toBe(true);
    expect([...map.settings.values()][0]?.settled.contradictions).toEqual([]);
  });

  it('is asked three times where it repeats; then it is said once that the rest are kept as leaks', () => {
    const { type, task, keys, counts } = typed(5);
    ['1-2', '1-3', '1-4'].forEach((pair, at) => {
      type(`${pair}=2M`);
      expect(task()).toBe('correct');
      type('2M');
      expect(keys.moment().hands.message).toEqual(at === 2 ? { code: 'leaks-kept' } : null);
    });
    type('1-5=2M');
    expect(task()).not.toBe('correct');
    expect(keys.moment().hands.message).toBeNull();
    expect(counts()).toHaveLength(4);
    // What lies between closed and open is asked as before.
    type('2-3=0.3M');
    expect(task()).toBe('correct');
  });
});
