import type { SwitchMap } from '../continuity/index.js';
import { liveEvents, recordsOf } from '../log/index.js';
import { LEAST_INSULATION } from '../safety/index.js';
import { requiredSettings } from '../switch/index.js';

/**
 * What the insulation says that was measured before power, live parts to earth, where this switch itself goes back: `low` in some
 * position, `good` in every one that joins something, null: not measured in all of them, or of another part.
 */
export function recordedInsulation({ log, structure, settings }: SwitchMap): 'low' | 'good' | null {
  const chosen = liveEvents(log, 'chosen').at(-1)?.what.replacement?.part;
  const way = recordsOf(log, 'refit-begun') ?? (chosen ? 'part' : 'same');
  if (way !== 'same') return null;
  const records = recordsOf(log, 'power-recorded').flatMap((one) =>
    one.what === 'live-to-earth' && one.ohms !== null ? [{ ...one, ohms: one.ohms }] : [],
  );
  if (records.some(({ ohms, limit }) => ohms < (limit ?? LEAST_INSULATION))) return 'low';
  const joining = requiredSettings(structure).filter(({ id }) => {
    const nets = settings.get(id)?.settled.nets ?? [];
    return nets.some((root, place) => root !== place);
  });
  const isMeasured = (id: string) => records.some(({ setting }) => setting === id);
  return joining.length > 0 && joining.every(({ id }) => isMeasured(id)) ? 'good' : null;
}
