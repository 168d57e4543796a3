import { deriveMap } from '@which-way/core/continuity';
import { circuitOf } from '@which-way/core/machine';
import { laidPreset, type PresetName } from '@which-way/core/match';
import { createWriter, type Deed, type JobEvent } from '@which-way/core/log';
import { newIdFrom, seededRandom } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { aSwitch } from '../../../testing/a-switch.js';
import { newOf, presetDeeds } from './preset-deeds.js';

/** A mapped switch, with what joins in each position; everything else read open. */
function mapped(terminals: number, joins: readonly (readonly [number, number])[][]) {
  const { described, checked, read } = aSwitch(terminals, joins.length);
  const events: JobEvent[] = [];
  const write = createWriter({ newId: newIdFrom(seededRandom(3)), now: () => '2026-01-05T10:00:00.000Z' });
  const add = (what: Deed) => events.push(write.write(events.slice(-1), what));
  add(described);
  add(checked);
  const pairs = Array.from({ length: terminals }, (_, a) =>
    Array.from({ length: terminals - a - 1 }, (__, at): [number, number] => [a, a + 1 + at]),
  ).flat();
  joins.forEach((net, setting) => {
    for (const [a, b] of pairs) {
      const closed = net.some(([one, other]) => one === a && other === b);
      add(read([a], [b], closed ? { kind: 'ohms', ohms: 0.3 } : { kind: 'over' }, { setting }));
    }
  });
  return { add, map: () => deriveMap(events) };
}

/** The circuit after a common arrangement was laid on a switch. */
function laid(
  on: ReturnType<typeof mapped>,
  name: PresetName,
  volts: number | null,
  watts: Record<string, number>,
) {
  const map = on.map();
  const preset = laidPreset(map, name);
  if (!preset) throw new Error(`${name} does not lie on it`);
  const asked = newOf(preset, map.log);
  const idAt = (place: number) => map.structure.terminals[place]?.id;
  for (const deed of presetDeeds(preset, map.log, idAt, { volts, watts })) on.add(deed);
  return { asked, again: newOf(preset, on.map().log), circuit: circuitOf(on.map()) };
}

const SELECTOR: [number, number][][] = [[[0, 2]], [[0, 1], [0, 2], [1, 2]], [[1, 2]]]; // prettier-ignore
const HAND_OFF_AUTO: [number, number][][] = [[[0, 1]], [], [[0, 2]]];

describe('a common arrangement with its figures', () => {
  it('names supply and load with what was said, and where the free end of the load goes', () => {
    const { asked, again, circuit } = laid(mapped(3, HAND_OFF_AUTO), 'manual-off-auto', 230, { Pump: 400 });
    expect(asked).toEqual({ live: true, loads: ['Pump'] });
    expect(again).toEqual({ live: false, loads: [] });
    expect(circuit?.supplies.map(({ kind, volts }) => [kind, volts])).toEqual([['L', 230], ['N', null]]); // prettier-ignore
    expect(circuit?.loads).toMatchObject([{ name: 'Pump', watts: 400, volts: 230 }]);
    // Both ends are said: what the pump does is not for want of its return.
    expect(circuit?.halfSaid.size).toBe(0);
  });

  it('leaves figures out where none were given', () => {
    const { circuit } = laid(mapped(3, HAND_OFF_AUTO), 'manual-off-auto', null, {});
    expect(circuit?.supplies.map(({ volts }) => volts)).toEqual([null, null]);
    expect(circuit?.loads).toMatchObject([{ watts: null, volts: null }]);
  });

  it('asks no figure of signals, and ties their grounds', () => {
    const { asked, circuit } = laid(mapped(3, SELECTOR), 'two-pickups', null, {});
    expect(asked).toEqual({ live: false, loads: [] });
    expect(circuit?.halfSaid.size).toBe(0);
    expect(circuit?.loads.map(({ make }) => make)).toEqual([
      'signal-source',
      'signal-source',
      'signal-output',
    ]);
  });
});
