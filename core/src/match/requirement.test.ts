import { describe, expect, it } from 'vitest';
import type { SwitchMap } from '../continuity/index.js';
import { partitionFromGroups, type Pattern } from '../partition/index.js';
import type { TerminalId } from '../switch/index.js';
import { bench, mapHidden } from '../testing/generated.js';
import { matchPattern } from './match.js';
import { proposedSource, requirementAsItShouldBe, requirementBy } from './requirement.js';

const nets = (...settings: number[][][]): Pattern => settings.map((groups) => partitionFromGroups(4, groups));
const ON_OFF = nets([], [[0, 1], [2, 3]]); // prettier-ignore

/** A switch of four lugs that does one thing and should do another; of some pairs nothing may be said. */
function mapped(does: Pattern, should: Pattern | null, unsaid: [number, number][] = []): SwitchMap {
  const on = bench(4, 2);
  if (should)
    on.add({
      kind: 'expected',
      table: {
        source: { kind: 'text' },
        settings: on.settings.map((setting, at) => ({
          setting,
          joined: [0, 2]
            .filter((a) => should[at]?.[a] === should[at]?.[a + 1])
            .map((a) => [on.terminals[a], on.terminals[a + 1]] as TerminalId[]),
          unsaid: unsaid.map((pair) => pair.map((a) => on.terminals[a]) as [TerminalId, TerminalId]),
        })),
      },
    });
  return mapHidden(does, on).map;
}

describe('where a requirement comes from', () => {
  it('a switch that never closes is matched by what it should do, and that is proposed', () => {
    const dead = mapped(nets([], []), ON_OFF);
    expect(requirementBy(dead, 'as-mapped')).toEqual({ kind: 'none', because: 'nothing-joins' });
    expect(proposedSource(dead)).toBe('should-be');
    const found = requirementBy(dead, 'should-be');
    if (found.kind === 'none') throw new Error(found.because);
    expect(found.requirement).toMatchObject({ terminals: [0, 1, 2, 3], known: null });
    expect(matchPattern(found.requirement, ON_OFF).kind).toBe('same-wiring');
    expect(matchPattern(found.requirement, nets([[0, 1], [2, 3]], [[0, 1], [2, 3]])).kind).toBe('no'); // prettier-ignore
  });

  it('a welded one too; a healthy one is matched as mapped', () => {
    expect(proposedSource(mapped(nets([[0, 1]], [[0, 1], [2, 3]]), ON_OFF))).toBe('should-be'); // prettier-ignore
    expect(proposedSource(mapped(ON_OFF, ON_OFF))).toBe('as-mapped');
    expect(proposedSource(mapped(ON_OFF, null))).toBe('as-mapped');
    expect(requirementAsItShouldBe(mapped(ON_OFF, null))).toEqual({
      kind: 'none',
      because: 'nothing-expected',
    });
  });

  it('what does not matter binds nothing', () => {
    const found = requirementAsItShouldBe(mapped(ON_OFF, ON_OFF, [[0, 2], [0, 3], [1, 2], [1, 3]])); // prettier-ignore
    if (found.kind === 'none') throw new Error(found.because);
    expect(found.unsettledPairs).toBe(8);
    // One whole switch of four lugs all joined: the poles need not be apart.
    expect(matchPattern(found.requirement, nets([], [[0, 1, 2, 3]])).kind).toBe('fits-so-far');
  });
});
