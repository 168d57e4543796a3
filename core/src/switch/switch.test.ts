import { describe, expect, it } from 'vitest';
import { bench, CLOSED, OPEN } from '../testing/generated.js';
import { addedHandle, addedPosition } from './growing.js';
import { applyChange, checkChange } from './changes/structure-change.js';
import { newPosition, newTerminal, settingAt } from './new-switch.js';
import { readLabels } from './label-list.js';
import { spotIn, type Spot } from './layout.js';
import { uuidFromBytes, type ActuatorId, type PhotoId, type TerminalId } from './id.js';
import { lastChange, liveEvents, readLog, structureOf } from '../log/index.js';

describe('ids', () => {
  it('are version 4 UUIDs of the RFC 9562 layout', () => {
    const zeros = uuidFromBytes(new Uint8Array(16));
    expect(zeros).toBe('00000000-0000-4000-8000-000000000000');
    expect(uuidFromBytes(new Uint8Array(16).fill(255))).toBe('ffffffff-ffff-4fff-bfff-ffffffffffff');
    expect(() => uuidFromBytes(new Uint8Array(8))).toThrow(RangeError);
  });
});

describe('structure', () => {
  it('says what is wrong with a change before it is made', () => {
    const on = bench(3, 1);
    const structure = structureOf(readLog(on.events));
    const codes = (label: string) =>
      checkChange(structure, { change: 'terminal-added', terminal: newTerminal(label, on.newId) }).map(
        ({ code }) => code,
      );
    expect(codes('4')).toEqual([]);
    expect(codes('2')).toEqual(['label-taken']);
    expect(codes(' ')).toEqual(['no-label']);
    expect(checkChange(structure, { change: 'terminal-retired', terminal: on.newId() })[0]?.code).toBe(
      'not-there',
    );
  });

  it('keeps ids through a rename, inserts a position where it was met, and knows its last change', () => {
    const on = bench(2, 2);
    const actuator = structureOf(readLog(on.events)).actuators[0];
    const position = {
      id: on.newId<never>(),
      name: 'between',
      rests: 'maintained' as const,
      returnsTo: null,
      pose: null,
    };
    const after = actuator?.positions[0]?.id ?? null;
    const added = on.add({
      kind: 'restructured',
      change: { change: 'position-added', actuator: actuator?.id as never, position, after, settings: [] },
      basedOn: null,
    });
    const renamed = on.add({
      kind: 'restructured',
      change: { change: 'terminal-renamed', terminal: on.terminals[1] as never, label: 'L1', marking: 'L1' },
      basedOn: null,
    });
    const structure = structureOf(readLog(on.events));
    expect(structure.actuators[0]?.positions.map(({ name }) => name)).toEqual([null, 'between', null]);
    expect(structure.terminals[1]).toMatchObject({ id: on.terminals[1], label: 'L1' });
    expect(lastChange(on.events)).toBe(renamed.id);
    on.read(0, 0, 1, OPEN);
    const undone = on.add({ kind: 'withdrawn', target: added.id, basedOn: renamed.id });
    expect(lastChange(on.events)).toBe(undone.id);
    expect(structureOf(readLog(on.events)).actuators[0]?.positions).toHaveLength(2);
  });

  it('takes a second actuator: settings so far keep their readings, at its home', () => {
    const on = bench(3, 2);
    const reading = on.read(0, 0, 1, CLOSED);
    const [out, pulled] = [newPosition('in', on.newId), newPosition('pulled', on.newId)];
    const pull = {
      id: on.newId<ActuatorId>(),
      name: 'Pull',
      form: 'push-pull' as const,
      positions: [out, pulled],
    };
    const before = structureOf(readLog(on.events));
    const both = before.settings.map(({ at }) => ({
      ...settingAt(pull.id, pulled.id, on.newId),
      at: { ...at, [pull.id]: pulled.id },
    }));
    const change = {
      change: 'actuator-added' as const,
      actuator: { ...pull, closed: 'declared' as const },
      home: out.id,
      settings: both,
    };
    expect(checkChange(before, change)).toEqual([]);
    expect(checkChange(before, { ...change, home: on.newId() })[0]?.code).toBe('not-there');
    const added = on.add({ kind: 'restructured', change, basedOn: null });
    const structure = structureOf(readLog(on.events));
    expect(structure.settings.map(({ at }) => at[pull.id])).toEqual([out.id, out.id, pulled.id, pulled.id]);
    expect(structure.settings.slice(0, 2).map(({ id }) => id)).toEqual(on.settings);
    expect(liveEvents(readLog(on.events), 'answered').map(({ what }) => what.readings)).toEqual([[reading]]);
    on.add({ kind: 'withdrawn', target: added.id, basedOn: null });
    expect(structureOf(readLog(on.events))).toEqual(before);
  });

  it('refuses to put two positions of different handles together, or one with itself', () => {
    const on = bench(3, 2);
    const before = structureOf(readLog(on.events));
    const [first, second] = before.actuators[0]?.positions ?? [];
    const pull = addedHandle(
      before,
      { name: 'Pull', form: 'push-pull', positionNames: ['in', 'out'], everyCombination: true },
      on.newId,
    );
    const both = applyChange(before, pull);
    const merged = (position: unknown, into: unknown) =>
      checkChange(both, { change: 'position-merged', position: position as never, into: into as never });
    expect(merged(first?.id, pull.home)[0]?.code).toBe('other-handle');
    expect(merged(first?.id, first?.id)[0]?.code).toBe('merged-with-itself');
    expect(merged(first?.id, second?.id)).toEqual([]);
    expect(both.settings).toHaveLength(4);
  });

  it('gives a handle one more position, in every combination or where the others stand first', () => {
    const on = bench(3, 2);
    const described = structureOf(readLog(on.events));
    const pull = addedHandle(
      described,
      { name: 'Pull', form: 'push-pull', positionNames: ['in', 'out'], everyCombination: true },
      on.newId,
    );
    const both = applyChange(described, pull);
    const handle = both.actuators[0];
    if (!handle) throw new Error('no handle');
    const grown = (where: 'every-combination' | 'first-setting') =>
      applyChange(both, addedPosition(both, handle, where, on.newId));
    expect(grown('every-combination').settings).toHaveLength(6);
    expect(grown('first-setting').settings.at(-1)?.at[pull.actuator.id]).toBe(pull.home);
    expect(grown('first-setting').actuators[0]?.positions).toHaveLength(3);
  });

  it('remembers spots by kind of layout, and forgets pins of another photo', () => {
    const on = bench(3, 1);
    const id = on.terminals[0] as TerminalId;
    const [photo, other] = [on.newId<PhotoId>(), on.newId<PhotoId>()];
    const place = (spot: Spot) =>
      on.add({
        kind: 'restructured',
        change: { change: 'placed', spots: [{ terminal: id, spot }] },
        basedOn: null,
      });
    place({ on: 'grid', row: 0, column: 2 });
    place({ on: 'photo', photo, x: 0.2, y: 0.3 });
    place({ on: 'grid', row: 1, column: 1 });
    const { placed } = structureOf(readLog(on.events));
    expect(spotIn({ kind: 'grid', rows: 2, columns: 3 }, placed, id)).toEqual({
      on: 'grid',
      row: 1,
      column: 1,
    });
    expect(spotIn({ kind: 'photo', photo, side: 'front' }, placed, id)).toMatchObject({ x: 0.2 });
    expect(spotIn({ kind: 'photo', photo: other, side: 'front' }, placed, id)).toBeNull();
    expect(spotIn({ kind: 'circle' }, placed, id)).toBeNull();
  });

  it('swaps labels in one change, and refuses twins in the outcome', () => {
    const structure = structureOf(readLog(bench(3, 1).events));
    const [a, b] = structure.terminals.map(({ id }) => id) as [TerminalId, TerminalId];
    const swap = (one: string, other: string) => ({
      change: 'relabelled' as const,
      labels: [
        { terminal: a, label: one, marking: one },
        { terminal: b, label: other, marking: other },
      ],
    });
    expect(checkChange(structure, swap('2', '1'))).toEqual([]);
    expect(applyChange(structure, swap('2', '1')).terminals.map(({ label }) => label)).toEqual([
      '2',
      '1',
      '3',
    ]);
    expect(checkChange(structure, swap('3', '1'))[0]).toMatchObject({
      code: 'label-taken',
      params: { label: '3' },
    });
  });

  it('keeps two terminals that count: a third may become the frame, the second may not', () => {
    const structure = structureOf(readLog(bench(2, 1).events));
    const role = {
      change: 'terminal-role' as const,
      terminal: structure.terminals[0]?.id as TerminalId,
      role: 'frame' as const,
    };
    expect(checkChange(structure, role)[0]?.code).toBe('too-few-terminals');
    expect(checkChange(structure, { ...role, role: 'dummy' })).toEqual([]);
    const three = structureOf(readLog(bench(3, 1).events));
    expect(checkChange(three, { ...role, terminal: three.terminals[0]?.id as TerminalId })).toEqual([]);
  });
});

describe('labels as people list them', () => {
  it.each([
    ['1-5, 7-11', '1 2 3 4 5 7 8 9 10 11'],
    ['A1-A3 B1-3', 'A1 A2 A3 B1 B2 B3'],
    ['L N E', 'L N E'],
    ['01-03; com', '01 02 03 com'],
    ['9–11', '9 10 11'],
    ['X-ray', 'X-ray'],
    ['', ''],
  ])('%s', (text, expected) => {
    const read = readLabels(text);
    expect(read.ok && read.labels.join(' ')).toBe(expected);
  });

  it.each([
    ['1-5 3', 'twice', '3'],
    ['a A', 'twice', 'A'],
    ['5-1', 'run-backwards', '5-1'],
    ['ABCDEFGHIJKLMNOPQRSTUVWX1-2', 'not-a-label', 'ABCDEFGHIJKLMNOPQRSTUVWX1-2'],
    ['A1-B3', 'not-a-label', 'A1-B3'],
    ['1-500', 'too-many', '1-500'],
    ['9=0.3', 'not-a-label', '9=0.3'],
  ])('%s: %s', (text, code, at) => expect(readLabels(text)).toEqual({ ok: false, code, at }));
});
