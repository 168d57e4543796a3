import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { MECHANICAL_SIGNS } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { bench, OPEN } from '../testing/generated.js';
import { fnv1a } from '../verify/index.js';
import { judge } from './judge.js';
import { signable, signatureOf } from './signature.js';

describe('a signed verdict', () => {
  it('is hashed by FNV-1a, 64 bits: test vectors as published with it', () => {
    expect(fnv1a('')).toBe('cbf29ce484222325');
    expect(fnv1a('a')).toBe('af63dc4c8601ec8c');
    expect(fnv1a('foobar')).toBe('85944171f73967e8');
  });

  it('passes with all four lines only, stands, and is reopened by a later reading', () => {
    const on = bench(2, 2);
    const [a, b] = on.terminals as [TerminalId, TerminalId];
    const [off, closed] = on.settings as [SettingId, SettingId];
    const map = () => deriveMap(on.events);
    const shown = { headline: 'Passes.', lines: ['Pattern: pass'], notTested: [] };
    on.read(0, 0, 1, OPEN);
    on.read(1, 0, 1, { kind: 'ohms', ohms: 0.4 });
    const settings = [
      { setting: off, joined: [], unsaid: [] },
      { setting: closed, joined: [[a, b]], unsaid: [] },
    ];
    on.add({ kind: 'expected', table: { source: { kind: 'drawn' }, settings } });
    const test = { between: 'contacts to the frame', testVolts: 500, megohms: 200, limitMegohms: 1 };
    on.add({ kind: 'insulation-tested', test });
    expect(judge(map()).whole).toBe('wiring-and-contacts-pass');
    for (const sign of MECHANICAL_SIGNS)
      on.add({ kind: 'mechanics-noted', sign, found: 'good', terminal: null, photo: null });
    expect(judge(map()).whole).toBe('passes');
    expect(signatureOf(map())).toBeNull();
    on.add({ kind: 'verdict-signed', verdict: signable(map(), 'Ada', '', shown) });
    expect(signatureOf(map())).toMatchObject({
      standing: 'stands',
      signed: { by: 'Ada', whole: 'passes', shown },
    });
    on.add({ kind: 'noted', field: 'tried', text: 'runs' });
    expect(signatureOf(map())?.standing).toBe('stands');
    on.read(1, 1, 0, { kind: 'ohms', ohms: 0.4 });
    expect(signatureOf(map())).toMatchObject({ standing: 'reopened', signed: { whole: 'passes' } });
    on.add({ kind: 'insulation-tested', test: { ...test, megohms: 0.4 } });
    expect(judge(map())).toMatchObject({ lines: { insulation: { outcome: 'fail' } }, whole: 'fails' });
  });

  it('of before, in other words and without its sentences, stands as long as its lines do', () => {
    const on = bench(2, 1);
    on.read(0, 0, 1, OPEN);
    const shown = { headline: '', lines: [], notTested: [] };
    const now = signable(deriveMap(on.events), 'Ada', '', shown);
    delete now.shown;
    on.add({ kind: 'verdict-signed', verdict: { ...now, whole: 'not-yet', engine: '2' } });
    expect(signatureOf(deriveMap(on.events))?.standing).toBe('stands');
    on.add({ kind: 'verdict-signed', verdict: { ...now, whole: 'passes' } });
    expect(signatureOf(deriveMap(on.events))?.standing).toBe('differs');
  });
});
