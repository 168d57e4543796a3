import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { MECHANICAL_SIGNS } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { bench, OPEN } from '../testing/generated.js';
import { fnv1a, signable, signatureOf } from './signature.js';
import { verdictOf } from './verdict.js';

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
    on.read(0, 0, 1, OPEN);
    on.read(1, 0, 1, { kind: 'ohms', ohms: 0.4 });
    const settings = [
      { setting: off, joined: [], unsaid: [] },
      { setting: closed, joined: [[a, b]], unsaid: [] },
    ];
    on.add({ kind: 'expected', table: { source: { kind: 'drawn' }, settings } });
    const test = { between: 'contacts to the frame', testVolts: 500, megohms: 200, limitMegohms: 1 };
    on.add({ kind: 'insulation-tested', test });
    expect(verdictOf(map()).whole).toBe('as-far-as-tested');
    for (const sign of MECHANICAL_SIGNS)
      on.add({ kind: 'mechanics-noted', sign, found: 'good', terminal: null, photo: null });
    expect(verdictOf(map()).whole).toBe('pass');
    expect(signatureOf(map())).toBeNull();
    on.add({ kind: 'verdict-signed', verdict: signable(map(), 'Ada', '') });
    expect(signatureOf(map())).toMatchObject({ standing: 'stands', signed: { by: 'Ada', whole: 'pass' } });
    on.add({ kind: 'noted', field: 'tried', text: 'runs' });
    expect(signatureOf(map())?.standing).toBe('stands');
    on.read(1, 1, 0, { kind: 'ohms', ohms: 0.4 });
    expect(signatureOf(map())).toMatchObject({ standing: 'reopened', signed: { whole: 'pass' } });
    on.add({ kind: 'insulation-tested', test: { ...test, megohms: 0.4 } });
    expect(verdictOf(map())).toMatchObject({ insulation: { outcome: 'fail' }, whole: 'fail' });
  });
});
