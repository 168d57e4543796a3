import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factAt } from '../continuity/index.js';
import { liveEvents, EXTENTS, ORDERS, type Approach } from '../log/index.js';
import type { Pattern } from '../partition/index.js';
import type { SettingId } from '../switch/index.js';
import { atTheKeys, truthfulKeys, type AtTheKeys } from '../testing/at-the-keys.js';
import { bench, byRows, CLOSED, OPEN, switchLikePattern, type Bench } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import { advance, answersTo, keyName, KEY_TABLE, pressed, type Moment } from './index.js';

const ENDS = ['done', 'rechecked', 'working-pairs-done', 'named-pairs-done', 'disputed', 'look-again'];
const ended = ({ task }: Moment): boolean => task?.kind === 'plan' && ENDS.includes(task.plan.kind);

/** Answers truthfully until nothing is asked any more; how many answers it took. */
function mapByKeys(keys: AtTheKeys, most = 2000): number {
  for (let answers = 0; answers < most; answers += 1) {
    if (ended(keys.moment())) return answers;
    keys.press(...truthfulKeys(keys));
    keys.measure();
  }
  throw new Error('it never came to an end');
}

function expectTruth({ map }: Moment, hidden: Pattern, on: Bench): void {
  hidden.forEach((truth, index) => {
    const settled = map.settings.get(on.settings[index] as SettingId)?.settled;
    if (!settled) throw new Error('no such setting');
    truth.forEach((net, a) => {
      for (let b = 0; b < a; b += 1) expect(factAt(settled, a, b).joined).toBe(net === truth[b]);
    });
  });
}

/** A bench as it is before the meter was looked at. */
function fresh(terminals: number, settings: number, approach?: Partial<Approach>): Bench {
  const on = bench(terminals, settings);
  on.events.length = 1;
  if (approach)
    on.add({
      kind: 'approached',
      approach: { order: 'position', extent: 'everything', clips: 0, hands: null, ...approach },
    });
  return on;
}

const anyApproach = fc.record({
  order: fc.constantFrom(...ORDERS),
  clips: fc.constantFrom(0, 8),
  extent: fc.constant(EXTENTS[0]),
});

describe('whole maps, by keys alone', () => {
  it.each(['tone', 'ohms'] as const)('are complete and true by %s, whatever the way', (sense) => {
    fc.assert(
      fc.property(switchLikePattern(7, 3), anyApproach, (hidden, approach) => {
        const on = fresh(hidden[0]?.length ?? 0, hidden.length, approach);
        const keys = atTheKeys(on, hidden, { sense });
        mapByKeys(keys);
        expect(keys.moment().map.complete).toBe(true);
        expectTruth(keys.moment(), hidden, on);
      }),
      { numRuns: runs(25) },
    );
  });

  it('are the same where a meter answers by itself: Enter alone, and what follows is not touched', () => {
    fc.assert(
      fc.property(switchLikePattern(7, 3), anyApproach, (hidden, approach) => {
        const [typed, metered] = (['typed', 'metered'] as const).map((how) => {
          const on = fresh(hidden[0]?.length ?? 0, hidden.length, approach);
          const keys = atTheKeys(on, hidden, how === 'metered' ? { meter: 'simulated', sense: 'ohms' } : {});
          mapByKeys(keys);
          expectTruth(keys.moment(), hidden, on);
          return keys.moment().map.tape.length;
        });
        // A hand taps what sounded all at once; a meter has by then touched what only follows from what sounds after it.
        expect(metered).toBeGreaterThanOrEqual(typed ?? 0);
        expect(metered).toBeLessThanOrEqual((typed ?? 0) * 1.2);
      }),
      { numRuns: runs(15) },
    );
  });

  it('by two pedals, touch by touch', () => {
    fc.assert(
      fc.property(switchLikePattern(6, 2), (hidden) => {
        const on = fresh(hidden[0]?.length ?? 0, hidden.length);
        const keys = atTheKeys(on, hidden, { pedals: true });
        for (let steps = 0; steps < 500 && !ended(keys.moment()); steps += 1) {
          const { stepAt, many, task } = keys.moment();
          const ask = task?.kind === 'prompt' ? task.prompt.ask : null;
          if (stepAt !== null && many?.kind === 'sweep')
            keys.act({
              do: 'step',
              sounded: keys.joins(
                many.setting,
                [many.red],
                many.black.filter((id) => id === stepAt),
              ),
            });
          else if (stepAt !== null && many?.kind === 'turn')
            keys.act({ do: 'step', sounded: keys.joins(stepAt as SettingId, [many.red], [many.black]) });
          else if (ask?.kind === 'pair')
            keys.act({ do: 'step', sounded: keys.joins(ask.setting, [ask.red], [ask.black]) });
          else keys.act({ do: 'step', sounded: true });
        }
        expect(keys.moment().map.complete).toBe(true);
        expectTruth(keys.moment(), hidden, on);
      }),
      { numRuns: runs(20) },
    );
  });

  it('undone to the beginning by one key and made again by another, they are the same', () => {
    const hidden: Pattern = [
      [0, 0, 2, 3, 2],
      [0, 1, 0, 3, 4],
    ];
    const on = fresh(5, 2);
    const keys = atTheKeys(on, hidden);
    const answers = mapByKeys(keys);
    for (let back = 0; back < answers; back += 1) keys.press('Backspace');
    expect(liveEvents(keys.moment().map.log, 'answered')).toEqual([]);
    for (let again = 0; again < answers; again += 1) keys.press('Shift+Backspace');
    expect(keys.moment().map.complete).toBe(true);
    expectTruth(keys.moment(), hidden, on);
  });
});

describe('every answer that is offered', () => {
  it('does something, and its key does the same', () => {
    fc.assert(
      fc.property(switchLikePattern(6, 3), anyApproach, fc.nat(40), (hidden, approach, after) => {
        const on = fresh(hidden[0]?.length ?? 0, hidden.length, approach);
        const keys = atTheKeys(on, hidden);
        for (let answer = 0; answer < after && !ended(keys.moment()); answer += 1)
          keys.press(...truthfulKeys(keys));
        const moment = keys.moment();
        const { newId } = on;
        for (const { act, key, off } of answersTo(moment)) {
          if (off) continue;
          const step = advance(moment, act, { newId });
          expect(step.deeds.length > 0 || step.wants !== null || step.hands.message !== null).toBe(true);
          if (key !== null) expect(pressed(moment, key)).toEqual(act);
        }
      }),
      { numRuns: runs(40) },
    );
  });

  it('has its key in the one table, each key once', () => {
    const keys = KEY_TABLE.flatMap((line) => Object.keys(line.keys));
    expect(new Set(keys).size).toBe(keys.length);
    expect(new Set(KEY_TABLE.map(({ does }) => does)).size).toBe(KEY_TABLE.length);
    expect(keyName({ key: 'Z', shift: true, control: true })).toBe('Ctrl+Shift+z');
    expect(keyName({ key: '?', shift: true, control: false })).toBe('?');
    expect(keyName({ key: 'Backspace', shift: true, control: false })).toBe('Shift+Backspace');
  });
});

describe('what the meter says after the hands have gone on', () => {
  it('is dropped', () => {
    const on = bench(3, 1);
    const keys = atTheKeys(on, [[0, 1, 2]], { meter: 'simulated', sense: 'ohms' });
    keys.press('Enter');
    const late = keys.wanted();
    keys.press('ArrowDown');
    const before = on.events.length;
    if (!late) throw new Error('Enter asks the meter');
    keys.act({ do: 'measured', measured: { measurement: late, values: new Map([[0, CLOSED]]) } });
    expect(on.events).toHaveLength(before);
    // What is wanted now still counts.
    keys.press('Enter');
    keys.measure();
    expect(on.events.at(-1)?.what.kind).not.toBe('skipped');
  });
});

describe('what cannot be', () => {
  const at = (...keys: string[]) => {
    const on = byRows(bench(4, 2));
    const hands = atTheKeys(on, [
      [0, 0, 2, 3],
      [0, 1, 0, 3],
    ]);
    hands.press(...keys);
    return { on, hands, message: hands.moment().hands.message };
  };

  it.each([
    ['a label that is none', ['9', 'Enter'], 'no-such-terminal'],
    ['the terminal on which red stays', ['1', 'Enter'], 'red-stays'],
    ['done with nothing tapped', ['Enter'], 'nothing-tapped'],
    ['none with something tapped', ['2', 'Enter', ' '], 'some-tapped'],
    ['a value that is none', [...'2=soft', 'Enter'], 'not-a-value'],
    ['a value below nothing', [...'2=-1', 'Enter'], 'negative-value'],
    ['an unsteady sweep', ['~'], 'which-flickers'],
    ['a sweep from the other side', ['<'], 'one-pair-only'],
  ])('%s is told, and nothing is written', (_, keys, code) => {
    const before = at().on.events.length;
    const { on, message } = at(...keys);
    expect(message?.code).toBe(code);
    expect(on.events).toHaveLength(before);
  });

  it('in ohms a value alone is of the touch that is asked, row after row, and no slip of it is another lug', () => {
    const truth = [[0, 0, 2, 3], [0, 1, 0, 3]]; // prettier-ignore
    const on = byRows(bench(4, 2));
    const keys = atTheKeys(on, truth, { sense: 'ohms' });
    expect(keys.moment().stepAt).toBe(on.terminals[1]);
    // Two ohms, not lug 2; what follows from it is not asked.
    keys.press(...'2', 'Enter', ...'ol', 'Enter');
    expect(keys.moment().stepAt).toBe(on.terminals[3]);
    keys.press(...'4k7', 'Enter');
    const { tape } = keys.moment().map;
    expect(tape.map(({ reading }) => [reading.black[0], reading.value])).toEqual([
      [on.terminals[1], { kind: 'ohms', ohms: 2 }],
      [on.terminals[2], { kind: 'over' }],
      [on.terminals[3], { kind: 'ohms', ohms: 4700 }],
    ]);
  });

  it('in ohms a pair held while the handle turns takes a value in each position, by its name too', () => {
    const on = bench(2, 2);
    const keys = atTheKeys(on, [[0, 1], [0, 0]], { sense: 'ohms' }); // prettier-ignore
    expect(keys.moment().many?.kind).toBe('turn');
    keys.press(...'ol', 'Enter', ...'2=0.3', 'Enter', 'Enter');
    expect(keys.moment().map.tape.map(({ reading }) => reading.value)).toEqual([{ kind: 'over' }, { kind: 'ohms', ohms: 0.3 }]); // prettier-ignore
    expect(keys.moment().map.complete).toBe(true);
  });

  it('escape leaves what was begun, and a pair of one’s own choice goes back to the plan', () => {
    const { hands } = at('2', 'Enter', '3');
    hands.press('Escape');
    expect(hands.moment()).toMatchObject({ found: new Map(), hands: { typed: '', message: null } });
    hands.press(...'3-4', 'Enter');
    expect(hands.moment().task).toMatchObject({ prompt: { ask: { kind: 'pair' } } });
    hands.press('Escape');
    expect(hands.moment().task).toMatchObject({ prompt: { ask: { kind: 'sweep' } } });
  });

  it('a typed pair with its value is read at once, and a sweep that waits stays', () => {
    const { on, hands } = at(...'3-4=OL', 'Enter');
    const { tape } = hands.moment().map;
    expect(tape.at(-1)?.reading.value).toEqual(OPEN);
    expect(on.events.at(-1)?.what.kind).toBe('prompt-shown');
  });
});

describe('a meter set by hand', () => {
  it('wants its leads together again, refuses ohms it cannot show, and parts as silently as a beeper', () => {
    const on = fresh(2, 1);
    const keys = atTheKeys(on, [[0, 1]], { sense: 'ohms' });
    keys.press('0', '.', '2', 'Enter');
    keys.act({ do: 'range', rangeOhms: 200 });
    expect(keys.moment().task).toMatchObject({ plan: { kind: 'check-meter', why: 'ranged' } });
    keys.press('0', '.', '3', 'Enter');
    expect(liveEvents(keys.moment().map.log, 'meter-checked').at(-1)?.what.meter.rangeOhms).toBe(200);
    keys.press('5', 'k', 'Enter');
    expect(keys.moment().hands.message).toEqual({ code: 'beyond-range', ohms: 5000, rangeOhms: 200 });
    expect(keys.moment().map.tape).toHaveLength(0);
    keys.act({ do: 'type-instead', text: '' });
    keys.press('o', 'l', 'Enter');
    const [line] = keys.moment().map.tape;
    expect(line?.evidence).toMatchObject({ says: 'parts', by: 'tone', because: 'above-range' });
  });
});
