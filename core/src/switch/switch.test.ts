import { describe, expect, it } from 'vitest';
import { bench, CLOSED, OPEN } from '../testing/generated.js';
import {
  applyChange,
  checkChange,
  colorsOf,
  createWriter,
  liveEvents,
  newIdFrom,
  newPosition,
  newTerminal,
  newWire,
  notesOf,
  openPrompt,
  parseValue,
  readLabels,
  readingsAsked,
  readLog,
  seededRandom,
  settingAt,
  spotIn,
  structureOf,
  structureRevision,
  uuidFromBytes,
  WIRE_COLORS,
  wiresOf,
  type ActuatorId,
  type EventId,
  type PhotoId,
  type Prompt,
  type PromptId,
  type Spot,
  type TerminalId,
  type Wire,
} from './index.js';

describe('typed values', () => {
  // Letter-for-the-point forms as IEC 60062 writes them (2K2, 4M7, 4R7); prefixes m, k, M, G as in the SI brochure.
  it.each([
    ['0,3', 0.3],
    ['0.3', 0.3],
    ['.3', 0.3],
    ['2k2', 2200],
    ['2K2', 2200],
    ['4R7', 4.7],
    ['4M7', 4_700_000],
    ['470m', 0.47],
    ['1.2 kΩ', 1200],
    ['12 ohm', 12],
    ['33M', 33_000_000],
  ])('%s is %d ohms', (typed, ohms) => {
    expect(parseValue(typed)).toEqual({ ok: true, value: { kind: 'ohms', ohms } });
  });

  it.each(['OL', 'ol', '0L', 'O.L'])('%s is over range', (typed) => {
    expect(parseValue(typed)).toEqual({ ok: true, value: { kind: 'over' } });
  });

  it('refuses what is not a value, and says when it is negative', () => {
    expect(parseValue('abc')).toEqual({ ok: false, code: 'not-a-value' });
    expect(parseValue('1,2,3')).toEqual({ ok: false, code: 'not-a-value' });
    expect(parseValue('')).toEqual({ ok: false, code: 'not-a-value' });
    expect(parseValue('-0.1')).toEqual({ ok: false, code: 'negative' });
  });
});

describe('ids', () => {
  it('are version 4 UUIDs of the RFC 9562 layout', () => {
    const zeros = uuidFromBytes(new Uint8Array(16));
    expect(zeros).toBe('00000000-0000-4000-8000-000000000000');
    expect(uuidFromBytes(new Uint8Array(16).fill(255))).toBe('ffffffff-ffff-4fff-bfff-ffffffffffff');
    expect(() => uuidFromBytes(new Uint8Array(8))).toThrow(RangeError);
  });
});

describe('undo and redo', () => {
  it('walk back and forth over whole acts without limit, and a new act ends redo', () => {
    const on = bench(4, 1);
    for (let place = 1; place < 4; place += 1) on.read(0, 0, place, OPEN);
    for (let round = 0; round < 3; round += 1) {
      const target = readLog(on.events).undo[0];
      if (target) on.add({ kind: 'withdrawn', target: target.id, basedOn: null });
    }
    expect(liveEvents(readLog(on.events), 'answered')).toHaveLength(0);
    for (let round = 0; round < 2; round += 1) {
      const target = readLog(on.events).redo[0];
      if (target) on.add({ kind: 'restored', target: target.id, basedOn: null });
    }
    expect(liveEvents(readLog(on.events), 'answered')).toHaveLength(2);
    on.read(0, 1, 2, CLOSED);
    expect(readLog(on.events).redo).toHaveLength(0);
  });
});

describe('prompts', () => {
  const shown = () => {
    const on = bench(4, 1);
    const prompt = (black: number): Prompt => ({
      id: on.newId<PromptId>(),
      ask: {
        kind: 'pair',
        setting: on.settings[0] as never,
        red: on.terminals[0] as never,
        black: on.terminals[black] as never,
      },
    });
    const answer = (to: Prompt) =>
      on.add({
        kind: 'answered',
        act: 'pair',
        prompt: to.id,
        source: 'typed',
        inCircuit: false,
        readings: readingsAsked(to.ask).map(({ setting, red, black }) => ({
          id: on.newId(),
          setting,
          red,
          black,
          value: OPEN,
        })),
      });
    return { on, prompt, answer };
  };

  it('an answer to a prompt that is no longer shown is kept aside, never given to the next', () => {
    const { on, prompt, answer } = shown();
    const [first, second] = [prompt(1), prompt(2)];
    on.add({ kind: 'prompt-shown', prompt: first });
    on.add({ kind: 'prompt-shown', prompt: second });
    const late = answer(first);
    const right = answer(second);
    const log = readLog(on.events);
    expect(log.aside).toEqual(new Set([late.id]));
    expect(liveEvents(log, 'answered').map(({ id }) => id)).toEqual([right.id]);
  });

  it('a second answer to the same prompt is kept aside, also when the first was undone', () => {
    const { on, prompt, answer } = shown();
    const only = prompt(1);
    on.add({ kind: 'prompt-shown', prompt: only });
    const first = answer(only);
    on.add({ kind: 'withdrawn', target: first.id, basedOn: null });
    const second = answer(only);
    expect(readLog(on.events).aside).toEqual(new Set([second.id]));
  });

  it('an answer to what another device showed after this one’s own prompt counts; to what it showed before, it does not', () => {
    const { on, prompt, answer } = shown();
    const other = createWriter({ newId: on.newId, now: () => '2026-01-05T10:00:00.000Z' });
    const [mine, theirs] = [prompt(1), prompt(2)];
    on.add({ kind: 'prompt-shown', prompt: mine });
    on.events.push(other.write(on.events, { kind: 'prompt-shown', prompt: theirs }));
    const right = answer(theirs);
    expect(readLog(on.events).aside).toEqual(new Set());
    const late = prompt(3);
    on.events.push(other.write(on.events, { kind: 'prompt-shown', prompt: late }));
    on.add({ kind: 'prompt-shown', prompt: prompt(1) });
    const wrong = answer(late);
    expect(readLog(on.events).aside).toEqual(new Set([wrong.id]));
    expect(right.id).not.toBe(wrong.id);
  });

  it('the open prompt survives a reload: another device may answer it', () => {
    const { on, prompt, answer } = shown();
    const only = prompt(3);
    on.add({ kind: 'prompt-shown', prompt: only });
    expect(openPrompt(readLog(on.events))).toEqual(only);
    const other = createWriter({ newId: newIdFrom(seededRandom(99)), now: () => '2026-01-05T10:01:00.000Z' });
    const answered = other.write(on.events, { ...answer(only).what });
    const log = readLog([...on.events.slice(0, -1), answered]);
    expect(log.aside.size).toBe(0);
    expect(openPrompt(log)).toBeNull();
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

  it('keeps ids through a rename, inserts a position where it was met, and counts its revisions', () => {
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
      basedOn: 1,
    });
    on.add({
      kind: 'restructured',
      change: { change: 'terminal-renamed', terminal: on.terminals[1] as never, label: 'L1', marking: 'L1' },
      basedOn: 2,
    });
    const structure = structureOf(readLog(on.events));
    expect(structure.actuators[0]?.positions.map(({ name }) => name)).toEqual([null, 'between', null]);
    expect(structure.terminals[1]).toMatchObject({ id: on.terminals[1], label: 'L1' });
    expect(structureRevision(on.events)).toBe(3);
    on.add({ kind: 'withdrawn', target: added.id, basedOn: null });
    expect(structureRevision(on.events)).toBe(4);
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
    const added = on.add({ kind: 'restructured', change, basedOn: 1 });
    const structure = structureOf(readLog(on.events));
    expect(structure.settings.map(({ at }) => at[pull.id])).toEqual([out.id, out.id, pulled.id, pulled.id]);
    expect(structure.settings.slice(0, 2).map(({ id }) => id)).toEqual(on.settings);
    expect(liveEvents(readLog(on.events), 'answered').map(({ what }) => what.readings)).toEqual([[reading]]);
    on.add({ kind: 'withdrawn', target: added.id, basedOn: 2 });
    expect(structureOf(readLog(on.events))).toEqual(before);
  });

  it('remembers spots by kind of layout, and forgets pins of another photo', () => {
    const on = bench(3, 1);
    const id = on.terminals[0] as TerminalId;
    const [photo, other] = [on.newId<PhotoId>(), on.newId<PhotoId>()];
    const place = (spot: Spot) =>
      on.add({
        kind: 'restructured',
        change: { change: 'placed', spots: [{ terminal: id, spot }] },
        basedOn: 1,
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

describe('the notebook of a job', () => {
  it('holds the newest of each thing, in the order in which they first came, without what was removed or undone', () => {
    const on = bench(3, 1);
    const wire = (tag: string): Wire => ({ ...newWire(tag, on.newId), color: 'BK' });
    const [one, two, three] = [wire('1'), wire('2'), wire('3')] as [Wire, Wire, Wire];
    for (const each of [one, two, three]) on.add({ kind: 'wire-tagged', wire: each });
    on.add({ kind: 'wire-tagged', wire: { ...one, color: 'GNYE' } });
    on.add({ kind: 'wire-tagged', wire: { ...two, removed: true } });
    const tags = () => wiresOf(readLog(on.events)).map(({ tag, color }) => `${tag} ${color}`);
    expect(tags()).toEqual(['1 GNYE', '3 BK']);
    const undo = readLog(on.events).undo[0];
    on.add({ kind: 'withdrawn', target: undo?.id as EventId, basedOn: null });
    expect(tags()).toEqual(['1 GNYE', '2 BK', '3 BK']);
    on.add({ kind: 'noted', field: 'complaint', text: 'hums' });
    on.add({ kind: 'noted', field: 'complaint', text: 'hums, then nothing' });
    expect(notesOf(readLog(on.events)).get('complaint')).toBe('hums, then nothing');
  });

  it('knows the colour codes of IEC 60757 and their two-colour forms (from memory)', () => {
    expect(colorsOf('GNYE')?.map(({ word }) => word)).toEqual(['green', 'yellow']);
    expect(colorsOf('bu')?.map(({ word }) => word)).toEqual(['blue']);
    for (const wrong of ['', 'B', 'XX', 'BKX', 'BKRDBUGN']) expect(colorsOf(wrong)).toBeNull();
    expect(new Set(WIRE_COLORS.map(({ code }) => code)).size).toBe(12);
  });
});
