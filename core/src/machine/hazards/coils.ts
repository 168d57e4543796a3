import type { InSetting } from '../power/in-setting.js';
import { contactsOfCoil } from '../wiring/coils.js';
import type { Circuit } from '../wiring/circuit.js';
import type { Hazard } from './hazard.js';

/** Coils that never come to rest. */
export const chattering = ({ loads }: Circuit, { setting, loads: does }: InSetting): Hazard[] =>
  loads.flatMap((load): Hazard[] =>
    contactsOfCoil(load) && does.get(load.id)?.does === 'chatters'
      ? [{ kind: 'chatters', setting, load: load.id }]
      : [],
  );

/**
 * Motors that a coil starts where the handle rests: when power comes back they start by themselves (IEC 60204-1, 7.5, from memory).
 * `certain`: the handle is known to rest there.
 */
export const restarting = (
  { loads }: Circuit,
  { setting, loads: does }: InSetting,
  certain: boolean,
): Hazard[] =>
  loads.flatMap((load): Hazard[] =>
    load.kind === 'motor' && does.get(load.id)?.byCoil
      ? [{ kind: 'restarts', setting, load: load.id, certain }]
      : [],
  );
