import { describe, expect, it } from 'vitest';
import { bench, CLOSED } from '../testing/generated.js';
import { newTerminal, type TerminalId } from '../switch/index.js';
import { dependentsOf } from './references.js';
import { movedAct, strandedActs } from './stranded.js';
import { readLog } from './log.js';

describe('readings on a lug that was never added', () => {
  const onLost = () => {
    const on = bench(3, 1);
    const lost = newTerminal('4', on.newId);
    const sure = on.read(0, 0, 1, CLOSED);
    const added = on.add({
      kind: 'restructured',
      change: { change: 'terminal-added', terminal: lost },
      basedOn: null,
    });
    const act = on.add({
      kind: 'answered',
      act: 'pair',
      prompt: null,
      source: 'typed',
      inCircuit: false,
      readings: [
        {
          id: on.newId(),
          setting: on.settings[0] as never,
          red: [on.terminals[0] as never],
          black: [lost.id],
          value: CLOSED,
        },
      ],
    });
    const undo = on.add({ kind: 'withdrawn', target: act.id, basedOn: null });
    return { on, lost, sure, added, act, undo };
  };

  it('are stranded where no event brings the lug in, and only parked where its addition was taken back', () => {
    const { on, lost, added, act, undo } = onLost();
    const without = on.events.filter((event) => event !== added && event !== undo);
    expect(strandedActs(readLog(without))).toEqual([{ act, terminals: [lost.id], settings: [] }]);
    expect(strandedActs(readLog(on.events.filter((event) => event !== undo)))).toEqual([]);
    const back = on.add({ kind: 'withdrawn', target: added.id, basedOn: null });
    expect(strandedActs(readLog([...without, added, back]))).toEqual([]);
    expect(strandedActs(readLog(on.events.filter((event) => event !== added)))).toEqual([]);
  });

  it('move to a lug that is there with their values, under ids of their own', () => {
    const { on, lost, act } = onLost();
    const there = on.terminals[2] as TerminalId;
    const moved = movedAct(
      act as never,
      { terminals: new Map([[lost.id, there]]), settings: new Map() },
      on.newId,
    );
    const [before] = (act.what as typeof moved).readings;
    expect(moved.readings).toEqual([{ ...before, id: expect.any(String), black: [there] }]);
    expect(moved.readings[0]?.id).not.toBe(before?.id);
  });

  it('hang on the refused addition, and so does the undo of such a reading; what stands by itself does not', () => {
    const { on, added, act, undo } = onLost();
    const later = on.events.slice(on.events.indexOf(added) + 1);
    expect(dependentsOf(added, on.events.slice(0, on.events.indexOf(added)), later)).toEqual([act, undo]);
    const free = on.read(0, 1, 2, CLOSED);
    expect(free).toBeDefined();
    expect(dependentsOf(added, on.events.slice(0, 2), on.events.slice(-1))).toEqual([]);
  });
});
