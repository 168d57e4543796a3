import { describe, expect, it } from 'vitest';
import { bench } from '../testing/generated.js';
import { flag, id, object, oneOf, text } from '../schema/index.js';
import type { JobId, SettingId, TerminalId, WireId } from '../switch/index.js';
import { DEED_KINDS, kindOf } from './deed.js';
import { defineKind } from './kinds/define-kind.js';
import { inUse, last, newest } from './kinds/keeps.js';
import { newWire } from './kinds/tag/wire.js';
import { readLog } from './log.js';
import { insulationTestOf } from './notebook.js';
import { recordsOf } from './records.js';

describe('the records of a kind', () => {
  const on = bench(3, 2);
  const [first, second] = on.settings as [SettingId, SettingId];
  const [one, other] = on.terminals as [TerminalId, TerminalId];
  const log = () => readLog(on.events);

  it('of which the last word counts are that word, or null before any', () => {
    expect(recordsOf(log(), 'wires-off')).toBeNull();
    on.add({ kind: 'wires-off', off: false });
    on.add({ kind: 'wires-off', off: true });
    const off: boolean | null = recordsOf(log(), 'wires-off');
    expect(off).toBe(true);
  });

  it('that are things in use are the newest word on each, in the order in which they came, without the removed', () => {
    const wires = ['1', '2', '3'].map((tag) => ({ ...newWire(tag, on.newId), goesTo: 'lamp' }));
    for (const wire of wires) on.add({ kind: 'wire-tagged', wire });
    on.add({ kind: 'wire-tagged', wire: { ...(wires[0] as (typeof wires)[0]), goesTo: 'fan' } });
    on.add({ kind: 'wire-tagged', wire: { ...(wires[1] as (typeof wires)[0]), removed: true } });
    expect(recordsOf(log(), 'wire-tagged').map(({ tag, goesTo }) => `${tag} ${goesTo}`)).toEqual([
      '1 fan',
      '3 lamp',
    ]);
  });

  it('that have keys are the newest of each key, whichever way it is told, less what was taken back', () => {
    const pass = (throws: [TerminalId, TerminalId], passes: number) =>
      on.add({
        kind: 'passing-probed',
        passing: { throws, settings: [first, second], way: 'up', passes, seen: false },
      });
    pass([one, other], 3);
    pass([other, one], 5);
    expect(recordsOf(log(), 'passing-probed').map(({ passes }) => passes)).toEqual([5]);
    pass([one, other], 0);
    expect(recordsOf(log(), 'passing-probed')).toEqual([]);
  });

  it('that come several at a time are each by itself; null takes back, and what is found says so in its type', () => {
    const tried = (line: string, result: 'fails' | 'as-it-should' | null) => ({
      ...{ line, result, live: '', why: '' },
    });
    on.add({ kind: 'function-tried', tried: [tried('a', 'fails'), tried('b', 'fails')] });
    on.add({ kind: 'function-tried', tried: [tried('b', null)] });
    const results: ('as-it-should' | 'fails' | 'not-tried')[] = recordsOf(log(), 'function-tried').map(
      ({ result }) => result,
    );
    expect(results).toEqual(['fails']);
  });

  it('of a switch are of it as it was last worked on, those of what goes back of what was last chosen', () => {
    const test = { between: 'all to FRAME', testVolts: 500, megohms: 5, limitMegohms: 1 };
    on.add({ kind: 'insulation-tested', test });
    on.add({ kind: 'put-beside', beside: { job: on.newId<JobId>(), title: 'New', as: 'new-part' } });
    expect(insulationTestOf(log())).toMatchObject({ megohms: 5 });
    on.add({ kind: 'worked-on', what: 'cleaned', note: '' });
    expect(insulationTestOf(log())).toBeNull();
    expect(recordsOf(log(), 'put-beside')).toHaveLength(1);
    expect(recordsOf(log(), 'function-tried')).toHaveLength(1);
    on.add({ kind: 'refit-begun', way: 'same' });
    expect(recordsOf(log(), 'function-tried')).toEqual([]);
  });

  it('are kept as a definition says; a field that it has not does not compile', () => {
    const fields = { thing: object({ id: id<WireId>(), removed: flag, note: text(9) }), way: oneOf(['a']) };
    const how = { says: '', fields, undo: [], reading: 'extends' } as const;
    expect(defineKind('some', { ...how, keeps: inUse('thing') }).keeps).toEqual({
      by: 'in-use',
      field: 'thing',
    });
    // @ts-expect-error there is no such field
    defineKind('some', { ...how, keeps: last('things') });
    // @ts-expect-error what has no id cannot be in use
    defineKind('some', { ...how, keeps: inUse('way') });
    // @ts-expect-error a key of something that it has not
    defineKind('some', { ...how, keeps: newest('thing', ({ size }: { size: string }) => size) });
  });

  it('that are kept by a field are kept by one that their schema knows', () => {
    const kept = DEED_KINDS.flatMap((kind) => {
      const { keeps, schema } = kindOf(kind);
      const field = (keeps as { field: string | null } | null)?.field ?? null;
      return field === null ? [] : [{ kind, field, schema: schema as { properties?: object } }];
    });
    expect(kept.length).toBeGreaterThan(25);
    for (const { kind, field, schema } of kept)
      expect(Object.keys(schema.properties ?? {}), kind).toContain(field);
  });
});
