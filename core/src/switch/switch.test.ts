import { describe, expect, it } from 'vitest';
import { bench, CLOSED, OPEN } from '../testing/generated.js';
import {
  checkChange,
  createWriter,
  liveEvents,
  newIdFrom,
  newTerminal,
  openPrompt,
  parseValue,
  readLog,
  seededRandom,
  structureOf,
  structureRevision,
  uuidFromBytes,
  type Prompt,
  type PromptId,
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
        readings: [
          {
            id: on.newId(),
            setting: to.ask.setting,
            red: [to.ask.red],
            black: to.ask.kind === 'pair' ? [to.ask.black] : to.ask.black,
            value: OPEN,
          },
        ],
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
});
