import type { DeviceId, EventId, NewId } from '../switch/index.js';
import type { Deed } from './deed.js';
import type { JobEvent } from './event.js';
import { versionOf } from './upgrade.js';

/** Where a writer gets what the core has not: ids and the time. */
export interface WriterMeans {
  newId: NewId;
  /** ISO 8601. */
  now: () => string;
}

/** Writes the events of one device into one job. */
export interface Writer {
  device: DeviceId;
  /** The next event of this device, for a log that holds these events already. */
  write<What extends Deed>(seen: readonly JobEvent[], what: What): JobEvent<What>;
}

/** A writer with a new device id: one per tab and load, so that no two writers ever share a sequence. */
export function createWriter({ newId, now }: WriterMeans): Writer {
  const device = newId<DeviceId>();
  let sequence = 0;
  let clock = 0;
  return {
    device,
    write(seen, what) {
      sequence += 1;
      for (const event of seen) clock = Math.max(clock, event.clock);
      clock += 1;
      return { id: newId<EventId>(), device, sequence, clock, at: now(), schema: versionOf(what.kind), what };
    },
  };
}
