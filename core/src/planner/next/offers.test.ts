import { describe, expect, it } from 'vitest';
import { deriveMap, factAt } from '../../continuity/index.js';
import { newTerminal, type SettingId, type TerminalId } from '../../switch/index.js';
import { type Part } from '../../log/index.js';
import { bench, CLOSED, mapHidden, OPEN, SILENT, SOUNDED } from '../../testing/generated.js';
import { frameAsk } from './to-frame.js';
import { planNext } from './plan.js';
import { rankSuspects } from './suspects.js';

describe('all to the frame', () => {
  it('is offered as one bundle through all settings, and not again where it was read; it is no part of the pattern', () => {
    const on = bench(3, 2);
    expect(frameAsk(deriveMap(on.events))).toBeNull();
    const frame = { ...newTerminal('FRAME', on.newId), role: 'frame' as const };
    on.add({ kind: 'restructured', change: { change: 'terminal-added', terminal: frame }, basedOn: null });
    const ask = frameAsk(deriveMap(on.events));
    expect(ask).toEqual({ kind: 'bundle', red: on.terminals, black: [frame.id], settings: on.settings });
    on.terminals.push(frame.id);
    on.bundle(0, [0, 1, 2], [3], OPEN);
    expect(frameAsk(deriveMap(on.events))).toMatchObject({ settings: [on.settings[1]] });
    const { map } = mapHidden(
      [
        [0, 0, 2, 3],
        [0, 1, 2, 3],
      ],
      on,
    );
    expect(map.complete).toBe(true);
  });
});

describe('polarity', () => {
  const declared = (on: ReturnType<typeof bench>, form: Part['form']): Part => ({
    id: on.newId(),
    form,
    terminals: [on.terminals[0], on.terminals[1]] as Part['terminals'],
    ohms: null,
    note: '',
    on: true,
    removed: false,
  });

  it('reads an open across a diode the other way round, and finds it conducts one way; across a resistor not', () => {
    for (const form of ['diode', 'resistor'] as const) {
      const on = bench(2, 1);
      on.add({ kind: 'part-declared', part: declared(on, form) });
      on.read(0, 0, 1, OPEN);
      const plan = planNext(deriveMap(on.events), null);
      if (form === 'resistor') {
        expect(plan.kind).toBe('done');
        continue;
      }
      expect(plan).toMatchObject({
        kind: 'ask',
        reason: 'polarity',
        ask: { red: on.terminals[1], black: on.terminals[0] },
      });
      on.read(0, 1, 0, CLOSED);
      const settled = deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.settled;
      expect(settled?.lookAgain).toMatchObject([{ because: 'one-way' }]);
      expect(settled && factAt(settled, 0, 1).state).toBe('unknown');
    }
  });
});

describe('suspects', () => {
  it('are those whose removal settles it, a tone and a doubtful meter before the rest', () => {
    const on = bench(3, 2);
    const tone = on.read(0, 0, 1, SOUNDED);
    const ohms = on.read(0, 1, 2, CLOSED);
    const open = on.read(0, 0, 2, OPEN);
    const ranked = () => {
      const map = deriveMap(on.events);
      const [contradiction] = map.settings.get(on.settings[0] as SettingId)?.settled.contradictions ?? [];
      if (!contradiction) throw new Error('no contradiction');
      return rankSuspects(map, on.settings[0] as SettingId, contradiction);
    };
    expect(ranked().map(({ reading }) => reading)[0]).toBe(tone.id);
    expect(ranked()[0]?.because).toContain('tone');
    expect(new Set(ranked().map(({ reading }) => reading))).toEqual(new Set([tone.id, ohms.id, open.id]));
    on.add({ kind: 'meter-failed', leadsTogether: OPEN });
    expect(ranked().every(({ because }) => because.includes('doubtful-meter'))).toBe(true);
  });

  it('count against a reading what the other settings show', () => {
    const on = bench(4, 3);
    for (const setting of [1, 2]) {
      on.read(setting, 0, 1, SOUNDED);
      for (const [a, b] of [
        [0, 2],
        [0, 3],
        [2, 3],
      ] as const)
        on.read(setting, a, b, SILENT);
    }
    on.read(0, 0, 1, SOUNDED);
    const odd = on.read(0, 1, 2, SOUNDED);
    on.read(0, 0, 2, SILENT);
    const map = deriveMap(on.events);
    const [contradiction] = map.settings.get(on.settings[0] as SettingId)?.settled.contradictions ?? [];
    if (!contradiction) throw new Error('no contradiction');
    const suspects = rankSuspects(map, on.settings[0] as SettingId, contradiction, {
      chance: () => (_, a, b) => (a + b === 1 ? 0.9 : 0.05),
    });
    expect(suspects[0]).toMatchObject({ reading: odd.id, enough: true });
    expect(suspects[0]?.because).toContain('against-prediction');
  });
});

describe('a bundle with ties', () => {
  it('is low exactly when some net meets both sides, for every split of every map of five terminals', () => {
    // The physical net with the tied terminals shorted: joined when a path leads across (breadth first, by hand).
    const on = bench(5, 1);
    const ids = on.terminals as TerminalId[];
    const physical = (truth: number[], red: number[], black: number[]) => {
      const reached = new Set(red);
      for (let grown = true; grown;) {
        grown = false;
        for (let a = 0; a < 5; a += 1)
          for (let b = 0; b < 5; b += 1)
            if (reached.has(a) && !reached.has(b) && truth[a] === truth[b]) {
              reached.add(b);
              grown = true;
            }
      }
      return black.some((place) => reached.has(place));
    };
    let bundles = 0;
    for (const truth of [
      [0, 0, 2, 2, 4],
      [0, 1, 2, 3, 4],
      [0, 0, 0, 3, 3],
      [0, 1, 1, 0, 4],
    ])
      for (let split = 1; split < 3 ** 5; split += 1) {
        const side = (wanted: number) =>
          ids.flatMap((_, place) => (Math.floor(split / 3 ** place) % 3 === wanted ? [place] : []));
        const [red, black] = [side(1), side(2)];
        if (red.length === 0 || black.length === 0) continue;
        bundles += 1;
        const low = red.some((a) => black.some((b) => truth[a] === truth[b]));
        expect(physical(truth, red, black)).toBe(low);
        const fresh = bench(5, 1);
        fresh.bundle(0, red, black, low ? CLOSED : OPEN);
        if (split % 7 !== 0) continue;
        // Whatever it proves holds in the truth.
        const settled = deriveMap(fresh.events).settings.get(fresh.settings[0] as SettingId)?.settled;
        for (let a = 0; a < 5; a += 1)
          for (let b = 0; b < a; b += 1) {
            const fact = settled && factAt(settled, a, b);
            if (fact?.joined !== null) expect(fact?.joined).toBe(truth[a] === truth[b]);
          }
      }
    expect(bundles).toBeGreaterThan(500);
  });
});
