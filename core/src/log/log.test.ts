import { describe, expect, it } from 'vitest';
import { bench, CLOSED, OPEN } from '../testing/generated.js';
import { newIdFrom, seededRandom, type EventId, type PromptId } from '../switch/index.js';
import { colorsOf, newWire, WIRE_COLORS, type Wire } from './kinds/tag/wire.js';
import { createWriter } from './writer.js';
import { liveEvents, openPrompt, readLog } from './log.js';
import { notesOf } from './notebook.js';
import { recordsOf } from './records.js';
import { parseValue } from './kinds/map/value.js';
import { readingsAsked, type Prompt } from './kinds/map/prompt.js';

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

describe('the notebook of a job', () => {
  it('holds the newest of each thing, in the order in which they first came, without what was removed or undone', () => {
    const on = bench(3, 1);
    const wire = (tag: string): Wire => ({ ...newWire(tag, on.newId), color: 'BK' });
    const [one, two, three] = [wire('1'), wire('2'), wire('3')] as [Wire, Wire, Wire];
    for (const each of [one, two, three]) on.add({ kind: 'wire-tagged', wire: each });
    on.add({ kind: 'wire-tagged', wire: { ...one, color: 'GNYE' } });
    on.add({ kind: 'wire-tagged', wire: { ...two, removed: true } });
    const tags = () =>
      recordsOf(readLog(on.events), 'wire-tagged').map(({ tag, color }) => `${tag} ${color}`);
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
