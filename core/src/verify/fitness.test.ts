import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import {
  ORDINARY_METER,
  upgradeEvent,
  type ContactLimit,
  type Load,
  type MeterProfile,
} from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { bench, OPEN, SOUNDED } from '../testing/generated.js';
import { contactLimitOf, differenceUncertainty, judge, judgedContacts } from './fitness.js';
import { verdictOf } from './verdict.js';

/** The meter of the worked numbers: 0.1 ohm, 0.5 % and 3 digits, its zero at 0.3. */
const METER: MeterProfile = { ...ORDINARY_METER, resolutionOhms: 0.1, percent: 0.5, counts: 3 };
const load = (amps: number): ContactLimit => ({
  ...{ school: 'load', amps, volts: null, of: null },
  ...{ kind: 'resistive', current: 'AC' },
});
const judged = (shown: number, limit: ContactLimit, cancels = true) => {
  const ohms = shown - 0.3;
  return judge(ohms, differenceUncertainty(ohms, METER, cancels), limit, false);
};

describe('a contact against its limit, by worked numbers', () => {
  it('0.4 on the display at 8 A cannot be told by this meter', () =>
    expect(judged(0.4, load(8))).toBe('cannot-tell'));
  it('at 0.1 A it is good where the zero cancels, and not to be told where it does not', () => {
    // 0.1 + 0.3005 ohm at 0.1 A are 40 mV; with the zero's own 0.3 more, 70 mV.
    expect(judged(0.4, load(0.1))).toBe('good');
    expect(judged(0.4, load(0.1), false)).toBe('cannot-tell');
  });
  it('1.6 at 8 A is high resistance, and bad only by millivolts at amperes', () => {
    expect(judged(1.6, load(8))).toBe('high');
    expect(judge(1.3, 0.02, load(8), true)).toBe('bad');
    expect(judge(0.004, 0.0001, load(8), true)).toBe('good');
    expect(judge(0.01, 0.0002, load(8), true)).toBe('look');
  });
  it('a fixed limit and a hard zero are schools of their own', () => {
    expect(judged(0.5, { school: 'fixed', ohms: 1 })).toBe('good');
    expect(judged(1.2, { school: 'fixed', ohms: 1 })).toBe('cannot-tell');
    expect(judged(2, { school: 'fixed', ohms: 1 })).toBe('high');
    expect(judged(0.4, { school: 'hard-zero' })).toBe('good');
    expect(judged(1, { school: 'hard-zero' })).toBe('high');
  });
  it('a signal is not judged by a handheld, and above ten amperes the drop does not pass', () => {
    expect(judge(0.1, 0.01, { ...load(0.001), kind: 'signal' } as ContactLimit, false)).toBe('cannot-tell');
    expect(judge(0.001, 0.0001, load(16), true)).toBe('cannot-tell');
  });
});

/** A switch of one contact, read in ohms with the leads at 0.2. */
function oneContact(shown = 0.4) {
  const on = bench(2, 2);
  on.read(0, 0, 1, OPEN);
  on.read(1, 0, 1, { kind: 'ohms', ohms: shown });
  const [a, b] = on.terminals as [TerminalId, TerminalId];
  const [off, closed] = on.settings as [SettingId, SettingId];
  const should = () =>
    on.add({
      kind: 'expected',
      table: {
        source: { kind: 'drawn' },
        settings: [
          { setting: off, joined: [], unsaid: [] },
          { setting: closed, joined: [[a, b]], unsaid: [] },
        ],
      },
    });
  return { on, a, b, closed, should, verdict: () => verdictOf(deriveMap(on.events)) };
}

describe('a limit from a load of the job', () => {
  it('has that load’s figures of today, in amperes or from its watts, and stays as it was when the load is gone', () => {
    const on = bench(2, 2);
    const kettle: Load = {
      ...{ id: on.newId(), name: 'Kettle', kind: 'resistive', amps: null, watts: 2300, volts: 230 },
      ...{ current: 'AC', removed: false },
    };
    on.add({ kind: 'load-named', load: kettle });
    on.add({
      kind: 'limit-set',
      limit: { school: 'load', amps: 1, volts: null, kind: 'motor', current: 'DC', of: kettle.id },
    });
    const limit = () => contactLimitOf(deriveMap(on.events));
    expect(limit()).toMatchObject({ amps: 10, volts: 230, kind: 'resistive', current: 'AC' });
    on.add({ kind: 'load-named', load: { ...kettle, amps: 12 } });
    expect(limit()).toMatchObject({ amps: 12 });
    on.add({ kind: 'load-named', load: { ...kettle, removed: true } });
    expect(limit()).toMatchObject({ amps: 1, kind: 'motor', current: 'DC' });
  });

  it('is read from a log of before there were loads, and an expected table from before there was ‘not said’', () => {
    const old = (what: object) => upgradeEvent({ schema: 1, what });
    const limit = { school: 'load', amps: 2, volts: null, kind: 'lamp', current: 'AC' };
    expect(old({ kind: 'limit-set', limit })).toMatchObject({ schema: 2, what: { limit: { of: null } } });
    const fixed = { school: 'fixed', ohms: 2 };
    expect(old({ kind: 'limit-set', limit: fixed })).toMatchObject({ schema: 2, what: { limit: fixed } });
    const table = { source: { kind: 'drawn' }, settings: [{ setting: 's', joined: [] }] };
    expect(old({ kind: 'expected', table })).toMatchObject({
      what: { table: { settings: [{ unsaid: [] }] } },
    });
    expect(old({ kind: 'expected', table: null })).toMatchObject({ schema: 2, what: { table: null } });
  });
});

describe('the verdict', () => {
  it('passes as far as tested with pattern and contacts, and is never a pass without an insulation test', () => {
    const { should, verdict } = oneContact();
    expect(verdict()).toMatchObject({
      pattern: { outcome: 'not-yet', reasons: ['nothing-expected'] },
    });
    should();
    expect(verdict()).toMatchObject({
      pattern: { outcome: 'pass' },
      contacts: { outcome: 'pass' },
      insulation: { outcome: 'not-yet' },
      mechanics: { outcome: 'not-yet' },
    });
  });

  it('is never a pass for contacts by tone, and fails at high resistance without touching the pattern', () => {
    const tone = bench(2, 1);
    tone.read(0, 0, 1, SOUNDED);
    expect(verdictOf(deriveMap(tone.events)).contacts).toEqual({ outcome: 'not-yet', reasons: ['no-ohms'] });
    const { on, should, verdict } = oneContact(1.9);
    should();
    on.add({ kind: 'limit-set', limit: { school: 'fixed', ohms: 0.5 } });
    expect(verdict()).toMatchObject({
      pattern: { outcome: 'pass' },
      contacts: { outcome: 'fail' },
    });
  });

  it('takes millivolts at amperes over what a handheld says, and back again', () => {
    const { on, a, b, closed, verdict } = oneContact(0.4);
    on.add({ kind: 'limit-set', limit: load(8) });
    expect(verdict().contacts).toEqual({ outcome: 'cannot-tell', reasons: ['meter-cannot-tell'] });
    const drop = { terminals: [a, b] as [TerminalId, TerminalId], setting: closed, amps: 2 };
    on.add({ kind: 'drop-measured', drop: { ...drop, millivolts: 6 } });
    expect(judgedContacts(deriveMap(on.events))[0]).toMatchObject({ verdict: 'good', byDrop: true });
    on.add({ kind: 'drop-measured', drop: { ...drop, millivolts: 200 } });
    expect(verdict().contacts.outcome).toBe('fail');
    on.add({ kind: 'drop-measured', drop: { ...drop, millivolts: null } });
    expect(verdict().contacts.outcome).toBe('cannot-tell');
  });

  it('is not condemned at its load by a handheld, however high', () => {
    const { on, verdict } = oneContact(1.9);
    on.add({ kind: 'limit-set', limit: load(8) });
    expect(judgedContacts(deriveMap(on.events))[0]?.verdict).toBe('high');
    expect(verdict().contacts).toEqual({ outcome: 'cannot-tell', reasons: ['high-by-handheld'] });
  });

  it('does not take an insulation test for proof that a leak that was read is gone', () => {
    const { on, verdict } = oneContact();
    on.read(0, 1, 0, { kind: 'ohms', ohms: 5e6 });
    const test = { between: 'contacts to the frame', testVolts: 500, megohms: 200, limitMegohms: 1 };
    on.add({ kind: 'insulation-tested', test });
    expect(verdict().insulation.outcome).toBe('cannot-tell');
  });

  it('finds a join to the frame a failure of insulation', () => {
    const on = bench(3, 1);
    on.add({
      kind: 'restructured',
      change: { change: 'terminal-role', terminal: on.terminals[2] as TerminalId, role: 'frame' },
      basedOn: null,
    });
    on.read(0, 0, 2, { kind: 'ohms', ohms: 0.4 });
    expect(verdictOf(deriveMap(on.events)).insulation).toEqual({
      outcome: 'fail',
      reasons: ['frame-joined'],
    });
  });
});
