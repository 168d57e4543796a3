import { machineDeeds } from './machine-deeds.js';
import { mappedSwitch, seedJob } from './seeded-job.js';
import type { Served } from './served.js';

/** A heater with two heats, mapped, with every wire's end said; it is out of the machine and goes back as it was. */
export const heater = (served: Served, title: string) =>
  seedJob(served, title, (newId) => {
    const deeds = mappedSwitch(newId, {
      labels: '1 2 3',
      positions: [['OFF', ''], ['LOW', '1-2'], ['HIGH', '1-3']], // prettier-ignore
    });
    return [
      ...deeds,
      ...machineDeeds(newId, deeds[0], {
        supplies: { mains: { kind: 'L' }, back: { kind: 'N', volts: null } },
        loads: { front: { watts: 300 }, rear: { watts: 600 } },
        wires: { 1: 'mains', 2: 'front.1', 3: 'rear.1' },
        ties: { 'front.2': 'back', 'rear.2': 'back' },
      }),
    ];
  });
