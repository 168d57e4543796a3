import { ID_PATTERN } from '../schema/index.js';
import type { Deed } from './deed.js';
import type { JobEvent } from './event.js';

const ID = new RegExp(ID_PATTERN);

/** Every id that stands anywhere in a value, also as the name of a field. */
function idsIn(value: unknown): Set<string> {
  const found = new Set<string>();
  const left: unknown[] = [value];
  for (let item = left.pop(); item !== undefined || left.length > 0; item = left.pop()) {
    if (typeof item === 'string') {
      if (ID.test(item)) found.add(item);
    } else if (typeof item === 'object' && item !== null) {
      for (const [name, inner] of Object.entries(item)) left.push(name, inner);
    }
  }
  return found;
}

/**
 * Every id that an event's body names. What a change is based on is not among them: that is what its writer had seen, and the
 * change may be made again on another.
 */
export function namedBy(what: Deed): Set<string> {
  return idsIn('basedOn' in what ? { ...what, basedOn: null } : what);
}

/** The ids that an event names and that it brings in, its own among them. */
const idsOf = ({ id, what }: JobEvent): Set<string> => namedBy(what).add(id);

/**
 * The events among `later` that cannot stand without one that was refused: they name something that it alone brought in (a
 * terminal, a prompt, a reading, the event itself), or something that one of those brought in.
 * @param others events that stand anyway: what they name was not brought in by the refused one.
 */
export function dependentsOf(
  refused: JobEvent,
  others: Iterable<JobEvent>,
  later: readonly JobEvent[],
): JobEvent[] {
  const stands = new Set<string>();
  for (const event of others) for (const id of idsOf(event)) stands.add(id);
  const fallen = new Set([...idsOf(refused)].filter((id) => !stands.has(id)));
  const dependents: JobEvent[] = [];
  for (const event of later) {
    const named = idsOf(event);
    if (event.id === refused.id || ![...named].some((id) => fallen.has(id))) continue;
    dependents.push(event);
    for (const id of named) if (!stands.has(id)) fallen.add(id);
  }
  return dependents;
}
