import type { JobEvent } from './event.js';

const ID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

/** Every id that stands anywhere in a value, also as the name of a field. */
export function idsIn(value: unknown): Set<string> {
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
  for (const event of others) for (const id of idsIn([event.id, event.what])) stands.add(id);
  const fallen = new Set([...idsIn([refused.id, refused.what])].filter((id) => !stands.has(id)));
  const dependents: JobEvent[] = [];
  for (const event of later) {
    const named = idsIn([event.id, event.what]);
    if (event.id === refused.id || ![...named].some((id) => fallen.has(id))) continue;
    dependents.push(event);
    for (const id of named) if (!stands.has(id)) fallen.add(id);
  }
  return dependents;
}
