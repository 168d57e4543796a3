import { createMapper } from '@which-way/core/continuity';
import { identify, truthTable } from '@which-way/core/table';
import { createWriter, type JobEvent, type Value } from '@which-way/core/log';
import { repeatedOf } from '@which-way/core/verify';
import {
  describeSwitch,
  newIdFrom,
  seededRandom,
  type ReadingId,
  type Structure,
} from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { identityTitle } from './table/identity.js';
import { patternWords } from './table/patterns.js';
import { ohms, quantity } from './quantity.js';
import { settingName, terminalList } from './terminals.js';
import { time } from './time.js';
import { repeatedWords } from './judge/verdict.js';

const newId = newIdFrom(seededRandom(4));
const described = (labels: string[], positions: number): Structure => ({
  ...describeSwitch({ terminals: labels.length, positions, form: 'rotary', layout: 'list', labels }, newId),
  placed: [],
  merged: {},
});

describe('time in words', () => {
  it('is said in fives, then in minutes, then in half hours, and never rounded down', () => {
    expect([3, 61, 89.5, 90, 7199].map(time)).toEqual(['5 s', '65 s', '90 s', '2 min', '120 min']);
    expect([7200, 7201, 90_360].map(time)).toEqual(['2 h', '2 h 30 min', '25 h 30 min']);
  });
});

describe('ohms in words', () => {
  it.each([
    [0.3, '0.3 Ω'],
    [147, '147 Ω'],
    [2200, '2.2 kΩ'],
    [47_500, '47.5 kΩ'],
    [33e6, '33 MΩ'],
  ])('%d is %s', (value, words) => expect(ohms(value)).toBe(words));

  it('say when the meter cannot tell', () => {
    expect(quantity({ ohms: 0.04, uncertainty: 0.6, belowResolution: true })).toBe('under 0.1 Ω');
  });
});

describe('a contact that was worked again and again', () => {
  const said = (cycles: number, missed: number) =>
    repeatedWords(
      repeatedOf({
        ...{ terminals: [newId(), newId()], setting: newId(), cycles, sticks: [], dropOuts: 0, ohms: [] },
        ...{ misses: Array.from({ length: missed }, (_, at) => at + 1), under: 'load' },
      }),
    );

  it.each([
    [20, 0, 'below 14 %'],
    [20, 2, 'below 29 %'],
    [100, 0, 'below 3.0 %'],
    [1, 0, 'below 95 %'],
    [20, 20, 'it may fail every time'],
  ])('%d cycles, %d missed: the bound is rounded up, never down', (cycles, missed, words) => {
    expect(said(cycles, missed)).toContain(words);
  });
});

describe('terminals in words', () => {
  it('run together only where labels count on', () => {
    const structure = described(['1', '2', '3', '4', '9', 'A1', 'A2', 'A3', 'N', 'L'], 1);
    const ids = structure.terminals.map(({ id }) => id);
    expect(terminalList(structure, ids)).toBe('1 to 4, 9, A1 to A3, N, L');
    expect(terminalList(structure, ids.slice(0, 2))).toBe('1, 2');
  });

  it('unnamed positions are numbered in handle order', () => {
    const structure = described(['1', '2'], 3);
    expect(structure.settings.map(({ id }) => settingName(structure, id))).toEqual([
      'Position 1',
      'Position 2',
      'Position 3',
    ]);
  });
});

describe('a table in words, position by position', () => {
  const change = describeSwitch({ terminals: 8, positions: 2, form: 'rotary', layout: 'circle' }, newId);
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const ids = change.terminals.map(({ id }) => id);
  const [first, second] = change.settings.map(({ id }) => id);
  const events: JobEvent[] = [writer.write([], { kind: 'restructured', change, basedOn: null })];
  /** Each lug with each, as `closed` says; what is in `part` reads 82 ohms and is accepted as one. */
  const readAll = (setting: typeof first, closed: string[], part: string | null = null) =>
    ids.forEach((red, a) =>
      ids.slice(a + 1).forEach((black, more) => {
        const pair = `${a + 1}-${a + more + 2}`;
        const value: Value =
          pair === part ? { kind: 'ohms', ohms: 82 } : closed.includes(pair) ? { kind: 'ohms', ohms: 0.3 } : { kind: 'over' }; // prettier-ignore
        const reading = {
          id: newId<ReadingId>(),
          setting: setting as never,
          red: [red],
          black: [black],
          value,
        };
        const how = { act: 'pair', prompt: null, source: 'typed', inCircuit: false } as const;
        events.push(writer.write(events, { kind: 'answered', ...how, readings: [reading] }));
        if (pair === part)
          events.push(
            writer.write(events, { kind: 'explained', readings: [reading.id], as: 'part', note: '' }),
          );
      }),
    );
  readAll(first, ['1-8', '3-4', '6-7']);
  readAll(second, ['1-2', '3-5', '4-5', '3-4'], '6-8');

  it('names the poles, and leaves no contact, no part and no spring out', () => {
    const [rest, pushed] = change.actuators[0]?.positions ?? [];
    events.push(
      writer.write(events, {
        kind: 'spring-answered',
        answer: { position: pushed?.id as never, found: rest?.id as never },
      }),
    );
    const map = createMapper()(events);
    expect(patternWords(map, truthTable(map))).toEqual([
      'Pole A: 1, 2, 8. Pole B: 3 to 5. Pole C: 6, 7.',
      'Position 1: 1–8, 3–4, 6–7.',
      'Position 2 (springs back): 1–2, 3–4–5; 82 Ω across 6–8, a part.',
    ]);
  });
});

describe('a table in words', () => {
  it('tells a selector from position to position, and says so far while it is not complete', () => {
    const change = describeSwitch({ terminals: 3, positions: 2, form: 'toggle', layout: 'one-row' }, newId);
    const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
    const events: JobEvent[] = [writer.write([], { kind: 'restructured', change, basedOn: null })];
    const [one, two, three] = change.terminals.map(({ id }) => id) as [never, never, never];
    const read = (setting: number, red: never, black: never, value: Value) =>
      events.push(
        writer.write(events, {
          kind: 'answered',
          act: 'pair',
          prompt: null,
          source: 'typed',
          inCircuit: false,
          readings: [
            {
              id: newId(),
              setting: change.settings[setting]?.id as never,
              red: [red],
              black: [black],
              value,
            },
          ],
        }),
      );
    read(0, one, two, { kind: 'ohms', ohms: 0.3 });
    read(1, one, three, { kind: 'ohms', ohms: 0.3 });
    const map = createMapper()(events);
    const table = truthTable(map);
    // In each position two pairs are not read: 1 with the other throw, and the throws with each other.
    expect(identityTitle(map.structure, identify(map))).toBe('Not yet known: 4 pairs');
    expect(patternWords(map, table)).toEqual([
      'Position 1: 1–2; 2 pairs not known.',
      'Position 2: 1–3; 2 pairs not known.',
    ]);
  });
});
