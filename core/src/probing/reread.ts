import type { Deed, Reading, Value } from '../log/index.js';
import type { NewId, ReadingId } from '../switch/index.js';

/** What is written down when a reading is taken once more. */
export function reread(
  old: Reading,
  value: Value,
  {
    source,
    inCircuit,
    beside,
  }: {
    source: 'typed' | 'meter' | 'simulated' | 'heard';
    inCircuit: boolean;
    /** It stands beside the old one, which counts on: so one sees whether it changed. */
    beside: boolean;
  },
  newId: NewId,
): Deed[] {
  const reading: Reading = { ...old, id: newId<ReadingId>(), value };
  const answered: Deed = {
    kind: 'answered',
    act: 'pair',
    prompt: null,
    source,
    inCircuit,
    readings: [reading],
  };
  if (beside) return [answered];
  // With the wires on a closed proves nothing, also where it is read again: the act says so, a replacement would not.
  if (inCircuit) return [{ kind: 'superseded', reading: old.id, replacement: null, source }, answered];
  return [{ kind: 'superseded', reading: old.id, replacement: reading, source }];
}
