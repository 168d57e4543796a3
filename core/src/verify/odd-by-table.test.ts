import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import type { Deed, ExpectedTable } from '../log/index.js';
import { partitionFromGroups } from '../partition/index.js';
import type { TerminalId } from '../switch/index.js';
import { bench, mapHidden } from '../testing/generated.js';
import { askedOdd, calledFault, isOddOpen, verdictOf } from './index.js';

/** A switch of four lugs in three positions, of which one lug joins nothing and two positions are alike; with a table of it. */
function odd(
  table: (on: ReturnType<typeof bench>) => Pick<ExpectedTable['settings'][0], 'unsaid'> | null,
  other = false,
) {
  const on = bench(4, 3);
  const nets = [[[0, 1]], [[0, 2]], [[0, 1]]];
  mapHidden(
    nets.map((groups) => partitionFromGroups(4, groups)),
    on,
  );
  const said = table(on);
  if (said)
    on.add({
      kind: 'expected',
      table: {
        source: { kind: 'text' },
        settings: on.settings.map((setting, at) => ({
          setting,
          ...said,
          joined: (other ? [] : (nets[at] ?? [])).map((net) =>
            net.map((place) => on.terminals[place] as TerminalId),
          ),
        })),
      },
    } as unknown as Deed);
  return deriveMap(on.events);
}

describe('something odd that the expected table has too', () => {
  it('is asked without a table, and answered by one that says the same in every cell', () => {
    const asked = askedOdd(odd(() => null));
    expect(asked.map(({ odd: { code } }) => code)).toEqual(expect.arrayContaining(['joins-nothing']));
    expect(asked.every(isOddOpen)).toBe(true);
    const answered = odd(() => ({ unsaid: [] }));
    expect(askedOdd(answered).some(isOddOpen)).toBe(false);
    expect(verdictOf(answered).pattern).toEqual({ outcome: 'pass', reasons: ['agrees'] });
  });

  it('is not answered where a cell that it rests on is not said', () => {
    const map = odd((on) => ({ unsaid: [[on.terminals[3], on.terminals[0]] as [TerminalId, TerminalId]] }));
    expect(
      askedOdd(map)
        .filter(isOddOpen)
        .map(({ odd: { code } }) => code),
    ).toEqual(['alike', 'joins-nothing']);
    expect(verdictOf(map).pattern.reasons).toContain('odd-open');
  });

  it('is in its cells alone when a person calls it the fault', () => {
    const on = bench(3, 2);
    mapHidden([partitionFromGroups(3, [[0, 2]]), partitionFromGroups(3, [[0, 1, 2]])], on);
    const cells = () => {
      const isFault = calledFault(deriveMap(on.events));
      return on.settings.map((setting) =>
        [0, 1].flatMap((a) =>
          [1, 2].filter(
            (b) => b > a && isFault(setting, on.terminals[b] as TerminalId, on.terminals[a] as TerminalId),
          ),
        ),
      );
    };
    const about = askedOdd(deriveMap(on.events)).find(({ about: { code } }) => code === 'both-closed')?.about;
    expect(about?.settings).toEqual([on.settings[1]]);
    expect(cells()).toEqual([[], []]);
    on.add({ kind: 'odd-answered', answers: [{ about, answer: 'meant' }] } as unknown as Deed);
    expect(cells()).toEqual([[], []]);
    on.add({ kind: 'odd-answered', answers: [{ about, answer: 'fault' }] } as unknown as Deed);
    expect(cells()).toEqual([[], [1, 2, 2]]);
  });

  it('is not answered by a table that differs there', () => {
    expect(askedOdd(odd(() => ({ unsaid: [] }), true)).some(isOddOpen)).toBe(true);
  });
});
