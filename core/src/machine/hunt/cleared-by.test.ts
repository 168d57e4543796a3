import { describe, expect, it } from 'vitest';
import type { LoadId, SettingId } from '../../switch/index.js';
import { drawnCircuit, drawnContacts } from '../wiring/drawn.js';
import { faultModel, nextTest, NO_EVIDENCE, passedByMeter, rankFaults, type HuntEvidence } from './index.js';

// What a tone or a meter's small current clears is cleared for that current only (common practice).

const DRAWN = {
  terminals: '1 2',
  supplies: { mains: { kind: 'L', volts: 230 }, back: { kind: 'N', volts: null } },
  loads: { heater: { watts: 2000, volts: 230 } },
  wires: '1>mains 2>heater.1 heater.2>back',
} as const;
const ON = 'ON' as SettingId;
const model = faultModel(drawnCircuit(DRAWN), [
  { setting: 'OFF' as SettingId, nets: drawnContacts(DRAWN.terminals, '').nets },
  { setting: ON, nets: drawnContacts(DRAWN.terminals, '1-2').nets },
]);
const weak: HuntEvidence = {
  ...NO_EVIDENCE,
  seen: [{ setting: ON, load: 'heater' as LoadId, seen: 'weak' }],
};
const off: HuntEvidence = { ...NO_EVIDENCE, seen: [{ setting: ON, load: 'heater' as LoadId, seen: 'off' }] };
const closed = (by: 'tone' | 'ohms', joins = true) => ({ setting: ON, contact: [0, 1] as const, joins, by });
const chance = (evidence: HuntEvidence, kind: string) =>
  rankFaults(model, evidence)
    .filter(({ fault }) => fault.kind === kind)
    .reduce((sum, one) => sum + one.chance, 0);

describe('a contact that reads closed', () => {
  it('stays the first suspect of a weak load, by tone more than by ohms', () => {
    const [plain, byOhms, byTone] = [
      chance(weak, 'high'),
      chance({ ...weak, read: [closed('ohms')] }, 'high'),
      chance({ ...weak, read: [closed('tone')] }, 'high'),
    ];
    expect(plain).toBeGreaterThan(0.75);
    expect(byTone).toBeLessThan(plain);
    expect(byOhms).toBeLessThan(byTone);
    // Nothing else explains a weak load here.
    expect(rankFaults(model, { ...weak, read: [closed('ohms')] })[0]?.fault.kind).toBe('high');
  });

  it('also where it was read in the dead machine', () => {
    const probed = [{ setting: ON, between: [0, 1] as const, conducts: 'closed' as const }];
    expect(rankFaults(model, { ...weak, probed })[0]?.fault.kind).toBe('high');
  });

  it('does close all the same: a load that stays off is not for want of it', () => {
    expect(chance({ ...off, read: [closed('ohms')] }, 'never-closes')).toBeLessThan(0.01);
    expect(chance({ ...off, read: [closed('tone')] }, 'never-closes')).toBeLessThan(0.01);
  });

  it('and one that reads open or high is as bad as it ever was', () => {
    expect(chance({ ...weak, read: [closed('ohms', false)] }, 'high')).toBeGreaterThan(0.95);
    expect(chance({ ...off, read: [closed('ohms', false)] }, 'never-closes')).toBeGreaterThan(0.8);
  });

  it('says by what it passed: ohms above a tone, the dead machine as ohms, and nothing where it read open', () => {
    const high = { kind: 'high', contact: [1, 0] } as const;
    expect(passedByMeter(weak, high)).toBeNull();
    expect(passedByMeter({ ...weak, read: [closed('tone')] }, high)).toBe('tone');
    expect(passedByMeter({ ...weak, read: [closed('tone'), closed('ohms')] }, high)).toBe('ohms');
    expect(passedByMeter({ ...weak, read: [closed('ohms', false)] }, high)).toBeNull();
    expect(
      passedByMeter({ ...weak, read: [closed('ohms')] }, { kind: 'never-closes', contact: [0, 1] }),
    ).toBeNull();
    const probed = [{ setting: ON, between: [0, 1] as const, conducts: 'closed' as const }];
    expect(passedByMeter({ ...weak, probed }, high)).toBe('ohms');
  });

  it('is not asked for again by the same meter', () => {
    const evidence = { ...weak, read: [closed('ohms')] };
    const next = nextTest(model, rankFaults(model, evidence), evidence);
    expect(next?.kind === 'read').toBe(false);
  });
});
