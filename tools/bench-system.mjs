// A crowded machine: three switches of 16 positions, all 4,096 combinations, eight loads.
import { deriveMap } from '@which-way/core/continuity';
import { createWriter, newWire, readLog } from '@which-way/core/log';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import { AS_SHOULD, combinationsOf, hazardsOf, inCombinations, machineOf } from '@which-way/core/machine';

const newId = newIdFrom(seededRandom(907));
const now = () => '2026-01-05T10:00:00.000Z';
const named = (name, kind, more) => ({ id: newId(), name, kind, current: 'AC', removed: false, ...more });
const supplies = [named('L', 'L', { volts: 230 }), named('N', 'N', { volts: null })];
const loads = Array.from({ length: 8 }, (_, at) =>
  named(`load ${at}`, 'resistive', { amps: null, watts: 100 * (at + 1), volts: 230 }),
);

/** A switch of six terminals and 16 positions: in each its common joins a set of the others. */
function member(seed) {
  const random = seededRandom(seed);
  const writer = createWriter({ newId, now });
  const events = [];
  const add = (what) => events.push(writer.write(events, what));
  const change = describeSwitch({ terminals: 6, positions: 16, form: 'rotary', layout: 'one-row' }, newId);
  add({ kind: 'restructured', change, basedOn: null });
  for (const supply of supplies) add({ kind: 'supply-named', supply });
  for (const load of loads) add({ kind: 'load-named', load });
  for (const load of loads)
    add({
      kind: 'load-tied',
      tie: { load: load.id, end: '2', to: { at: 'supply', supply: supplies[1].id } },
    });
  change.terminals.forEach(({ id }, at) => {
    const wire = { ...newWire(String(at + 1), newId), terminal: id };
    const load = loads[(at + seed) % loads.length];
    add({ kind: 'wire-tagged', wire });
    add({
      kind: 'wire-ended',
      wire: wire.id,
      ends: [at === 0 ? { at: 'supply', supply: supplies[0].id } : { at: 'load', load: load.id, end: '1' }],
    });
  });
  const [common, ...others] = change.terminals.map(({ id }) => id);
  const settings = change.settings.map(({ id }) => {
    const joined = others.filter(() => random() < 0.4);
    return { setting: id, unsaid: [], joined: joined.length > 0 ? [[common, ...joined]] : [] };
  });
  add({ kind: 'expected', table: { source: { kind: 'text' }, settings } });
  return { job: newId(), events, map: deriveMap(events) };
}

/** The jobs of three switches, and the log of their system. */
export function crowded() {
  const members = [1, 2, 3].map(member);
  const writer = createWriter({ newId, now });
  const events = [];
  for (const { job } of members)
    events.push(writer.write(events, { kind: 'system-member', job, belongs: true }));
  return { members, events };
}

export function benchSystem({ note, atMost, round }) {
  const { members, events } = crowded();
  const machine = machineOf(readLog(events), new Map(members.map(({ job, map }) => [job, map])));
  const combinations = combinationsOf(machine);
  const times = Array.from({ length: 5 }, () => {
    const begun = performance.now();
    inCombinations(machine, combinations, AS_SHOULD);
    return performance.now() - begun;
  });
  const begun = performance.now();
  const results = inCombinations(machine, combinations, AS_SHOULD);
  hazardsOf({ machine, combinations, results, inPlace: AS_SHOULD });
  const area = 'system';
  note(
    area,
    'combinations of three switches of 16 positions, eight loads',
    combinations.length,
    'combinations',
  );
  atMost(area, 'all of them, the best of five runs', Math.round(Math.min(...times)), 'ms', 250);
  note(area, 'one of them', round((1000 * Math.min(...times)) / combinations.length, 1), 'µs');
  note(area, 'with what can hurt', Math.round(performance.now() - begun), 'ms');
}
