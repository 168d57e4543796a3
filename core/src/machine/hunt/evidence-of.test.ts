import { describe, expect, it } from 'vitest';
import { faultModel, nextTest, rankFaults } from '../index.js';
import { createWriter, readLog, type Deed, type JobEvent } from '../../log/index.js';
import { deriveMap } from '../../continuity/index.js';
import { newIdFrom, seededRandom, type JobId, type LoadId, type SettingId } from '../../switch/index.js';
import { builtHouse } from '../../testing/house-of-switches.js';
import {
  combinationsOf,
  healthyIn,
  machineOf,
  seenBefore,
  withHandleAt,
  settingOf,
  standingsAt,
  evidenceOf,
  placeOfNode,
  type Combination,
} from '../index.js';

const STAIRS = builtHouse({
  switches: {
    down: { size: 3, settings: ['1-2', '1-3'], wires: '1>L 2>up.2 3>up.3' },
    up: { size: 3, settings: ['1-2', '1-3'], wires: '1>lamp.1' },
  },
  loads: { lamp: { kind: 'lamp', watts: 40, volts: 230 } },
});
const { machine, log, loads } = STAIRS;
const all = combinationsOf(
  machine,
  machine.handles.map(({ settings }) => settings[0] as SettingId),
) as Combination[];
const lamp = loads['lamp'] as LoadId;

/** The log of the system with more done in it. */
function withDeeds(...deeds: Deed[]) {
  const writer = createWriter({
    newId: newIdFrom(seededRandom(5)),
    now: () => '2026-01-05T11:00:00.000Z',
  });
  const events = deeds.reduce<JobEvent[]>(
    (sofar, deed) => [...sofar, writer.write(sofar, deed)],
    [...log.ordered],
  );
  return readLog(events);
}

describe('what was found out about a system', () => {
  it('has what its members read by themselves, each once, at the places of the system', () => {
    const { read, seen } = evidenceOf(log, machine, all);
    expect(seen).toEqual([]);
    // Each switch has two settings and three wired lugs.
    expect(read.length).toBeGreaterThanOrEqual(4);
    const closed = read.filter(({ joins }) => joins).map(({ contact }) => contact.toSorted().join());
    expect(closed).toEqual(expect.arrayContaining(['0,1', '0,2', '3,4', '3,5']));
    const settings = new Set(all.map((one) => settingOf(machine, one)));
    for (const { setting } of read) expect(settings).toContain(setting);
  });

  it('every place of its machine has a point, and a probe between two points is found again at the same places', () => {
    const nodes = [0, 5, ...machine.circuit.supplyNode.values(), ...machine.circuit.endNode.values()];
    const points = nodes.map((node) => placeOfNode(machine, node));
    expect(points.map((point) => point?.at)).toEqual([
      'terminal',
      'terminal',
      'supply',
      'supply',
      'load',
      'load',
    ]);
    const [first] = all;
    const at = standingsAt(machine, first as Combination);
    const probes = nodes.slice(1).map((_, index): Deed => ({
      ...{ kind: 'machine-read', at, conducts: 'ohms' },
      between: [points[index], points[index + 1]] as never,
    }));
    const { probed } = evidenceOf(withDeeds(...probes), machine, all);
    expect(probed.map(({ between }) => between)).toEqual(
      nodes.slice(1).map((node, index) => [nodes[index], node]),
    );
    expect(new Set(probed.map(({ setting }) => setting))).toEqual(
      new Set([settingOf(machine, first as Combination)]),
    );
  });

  it('a probe that is taken back counts no more, and one that tells more changes what is likely', () => {
    const found = healthyIn(machine, all);
    if (!('healthy' in found)) throw new Error('it was mapped');
    const model = faultModel(machine.circuit, found.healthy);
    const at = standingsAt(machine, all[0] as Combination);
    const dark: Deed = { kind: 'machine-looked', seen: [{ at, load: lamp, seen: 'off' }] };
    const [L, end] = [
      machine.circuit.supplyNode.values().next().value ?? 0,
      [...machine.circuit.endNode.values()][0] ?? 0,
    ];
    const between = [placeOfNode(machine, L), placeOfNode(machine, end)] as never;
    const probe = (conducts: 'closed' | 'open' | null): Deed => ({
      kind: 'machine-read',
      at,
      between,
      conducts,
    });
    const ranked = (...deeds: Deed[]) => {
      const evidence = evidenceOf(withDeeds(...deeds), machine, all);
      return { ranked: rankFaults(model, { ...evidence, read: [] }), evidence };
    };
    const ofLamp = (list: ReturnType<typeof ranked>['ranked']) =>
      list.filter(({ fault }) => fault.kind === 'load-open')[0]?.chance ?? 0;
    const [before, closed] = [ranked(dark).ranked, ranked(dark, probe('closed')).ranked];
    // From the line to the lamp all is joined: then it is what lies behind.
    expect(ofLamp(closed)).toBeGreaterThan(2 * ofLamp(before));
    expect(ofLamp(ranked(dark, probe('open')).ranked)).toBeLessThan(0.05);
    expect(ranked(dark, probe('open'), probe(null)).evidence.probed).toEqual([]);
    const { evidence } = ranked(dark);
    expect(nextTest(model, before, evidence)).not.toBeNull();
  });
});

describe('what was seen before joining', () => {
  it('is shown and counts for nothing, until it is confirmed with the handle standing so', () => {
    const [down] = machine.handles;
    if (down?.of !== 'switch' || !down.map) throw new Error('it was mapped');
    const [setting] = down.settings as [SettingId];
    const writer = createWriter({ newId: newIdFrom(seededRandom(6)), now: () => '2026-01-05T09:00:00.000Z' });
    const seen = [{ at: [{ of: 'switch' as const, setting }], load: lamp, seen: 'off' as const }];
    const own = [...down.map.log.ordered];
    const map = deriveMap([...own, writer.write(own, { kind: 'machine-looked', seen })]);
    const joined = machineOf(log, new Map([...STAIRS.members, [down.job as JobId, map]]));
    expect(evidenceOf(log, joined, all).seen).toEqual([]);
    const [before] = seenBefore(log, joined);
    expect(before).toMatchObject({ setting, load: lamp, seen: 'off' });
    const at = standingsAt(
      joined,
      withHandleAt(joined, all[3] as Combination, joined.handles[0] as never, setting),
    );
    const confirmed = withDeeds({ kind: 'machine-looked', seen: [{ at, load: lamp, seen: 'off' }] });
    expect(seenBefore(confirmed, joined)).toEqual([]);
    expect(evidenceOf(confirmed, joined, all).seen).toHaveLength(1);
  });
});
