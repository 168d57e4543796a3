import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { PLAIN_APPROACH, type Ask, type Deed } from '../../log/index.js';
import { type TerminalId } from '../../switch/index.js';
import { bench, CLOSED, OPEN } from '../../testing/generated.js';
import { clipChangeFor, clipTouch } from './clips.js';
import { planNext } from '../next/plan.js';

describe('clips', () => {
  it('are put on in order, touched once each, and asked again only where a clip is new or was silent', () => {
    const on = bench(8, 2);
    const id = (place: number) => on.terminals[place] as TerminalId;
    const ask = (red: number[], black: number): Ask => ({
      kind: 'bundle',
      red: red.map(id),
      black: [id(black)],
      settings: on.settings,
    });
    const change = (red: number[], black: number) => clipChangeFor(deriveMap(on.events), ask(red, black));
    expect(change([0, 1], 2)).toEqual({
      off: [],
      on: { red: [id(0), id(1)], black: [] },
      touch: [id(0), id(1)],
      closing: false,
    });
    on.add({ kind: 'clips-touched', red: [id(0), id(1)], black: [], silent: [id(1)] });
    // The clip on 1 is on, and dead: only that is touched again.
    expect(change([0, 1], 2)).toMatchObject({ off: [], on: { red: [], black: [] }, touch: [id(1)] });
    on.add({ kind: 'clips-touched', red: [id(0), id(1)], black: [], silent: [] });
    expect(change([0, 1], 2)).toBeNull();
    on.bundle(0, [0, 1], [2], OPEN);
    expect(change([0, 1, 2], 3)?.touch).toEqual([id(2)]);
    // Before clips come off they are touched once more, as they are.
    expect(change([1], 3)).toEqual({
      off: [],
      on: { red: [], black: [] },
      touch: [id(0), id(1)],
      closing: true,
    });
    on.add(clipTouch(deriveMap(on.events), ask([1], 3)) as Deed);
    expect(change([1], 3)).toBeNull();
    // A pair between takes the clips off.
    on.read(0, 4, 5, CLOSED);
    expect(change([0, 1], 2)?.touch).toEqual([id(0), id(1)]);
    on.bundle(0, [0, 1, 2], [3], OPEN);
    expect(change([0, 3], 2)).toMatchObject({ touch: [id(1), id(2)], closing: true });
    on.add(clipTouch(deriveMap(on.events), ask([0, 3], 2)) as Deed);
    expect(change([0, 3], 2)).toMatchObject({ off: [id(1), id(2)], on: { red: [id(3)] }, closing: false });
  });

  it('undone, are as before; a pair wants none', () => {
    const on = bench(4, 1);
    const [a, b, c] = on.terminals as [TerminalId, TerminalId, TerminalId];
    const touched = on.add({ kind: 'clips-touched', red: [a, b], black: [], silent: [] });
    const ask: Ask = { kind: 'bundle', red: [a, b], black: [c], settings: on.settings };
    expect(clipChangeFor(deriveMap(on.events), ask)).toBeNull();
    on.add({ kind: 'withdrawn', target: touched.id, basedOn: null });
    expect(clipChangeFor(deriveMap(on.events), ask)?.touch).toEqual([a, b]);
    const pair: Ask = { kind: 'pair', setting: on.settings[0] as never, red: a, black: c };
    expect(clipChangeFor(deriveMap(on.events), pair)).toBeNull();
  });
});

describe('a quick check', () => {
  it('asks the named pairs alone, through every position, and says how little that is', () => {
    const on = bench(6, 3);
    const [a, b, c, d] = on.terminals as TerminalId[];
    const pairs: [TerminalId, TerminalId][] = [
      [a as TerminalId, b as TerminalId],
      [c as TerminalId, d as TerminalId],
    ];
    on.add({ kind: 'pairs-named', pairs });
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, extent: 'named-pairs' } });
    const next = () => planNext(deriveMap(on.events), null);
    expect(next()).toMatchObject({
      kind: 'ask',
      reason: 'named',
      ask: { kind: 'turn', red: a, black: b, settings: on.settings },
    });
    for (const setting of [0, 1, 2]) on.read(setting, 0, 1, OPEN);
    for (const setting of [0, 1]) on.read(setting, 2, 3, CLOSED);
    expect(next()).toMatchObject({ kind: 'ask', ask: { kind: 'pair', setting: on.settings[2] } });
    on.read(2, 2, 3, OPEN);
    expect(next()).toEqual({ kind: 'named-pairs-done', named: 6, known: 6, pairs: 45 });
    expect(deriveMap(on.events).complete).toBe(false);
  });
});
