import { isDeedKind, kindOf, type DeedKind } from './deed.js';

/** The version of a kind's body that this program writes. */
export const versionOf = (kind: DeedKind): number => kindOf(kind).version;

/** Where an event that claims a version stands: to be read, to be upgraded first, or not known here. */
export type Age =
  { is: 'today' } | { is: 'older' } | { is: 'newer'; newest: number } | { is: 'unknown-kind'; kind: string };

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** How old what is claimed to be an event is; `today` also for what is no event at all: the schema says what is wrong. */
export function ageOf(event: unknown): Age {
  if (!isObject(event) || !isObject(event['what'])) return { is: 'today' };
  const { schema, what } = event;
  const { kind } = what as Record<string, unknown>;
  if (typeof schema !== 'number') return { is: 'today' };
  if (!isDeedKind(kind)) {
    return typeof kind === 'string' ? { is: 'unknown-kind', kind } : { is: 'today' };
  }
  const newest = versionOf(kind);
  if (schema > newest) return { is: 'newer', newest };
  return { is: schema < newest ? 'older' : 'today' };
}

/**
 * What is claimed to be an event, with its body brought to the version of today; the very same where it is of today, or where
 * there is no way (the check says what is wrong then).
 */
export function upgradeEvent(event: unknown): unknown {
  if (ageOf(event).is !== 'older' || !isObject(event)) return event;
  let what = event['what'] as Record<string, unknown>;
  const kind = kindOf(what['kind'] as DeedKind);
  for (let version = event['schema'] as number; version < kind.version; version += 1) {
    const upgrade = kind.upgrades[version];
    if (!upgrade) return event;
    what = upgrade(what);
  }
  return { ...event, schema: kind.version, what };
}
