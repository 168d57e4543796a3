import type { SwitchMap } from '../continuity/index.js';
import { type BeforePower, type PowerRecord, recordsOf, type SupplyKind } from '../log/index.js';
import { LEAST_INSULATION } from '../safety/index.js';
import type { SettingId } from '../switch/index.js';
import type { Refit, RefitPosition } from './refit.js';

/** A measurement that is asked for before power, with its usual limit and what was recorded. */
export interface WantedRecord {
  what: BeforePower;
  /** The name of the position; empty: in any. */
  position: string;
  /** What that position stands for; null: for none. */
  setting: SettingId | null;
  /** In ohms; null: a figure to compare, no limit. */
  limit: number | null;
  /** The limit is the least that is allowed, not the most. */
  atLeast: boolean;
  record: PowerRecord | null;
}

/** Earth pin to the case: at most, for cords to 5 m (common practice). */
const MOST_EARTH = 0.3;
/** What is measured in whatever position. */
const ANY = { name: '', setting: null };

/** What is measured before power for a kind of supply: insulation in every position that joins something, since at OFF only the cord is tested. */
export function wantedBeforePower(
  map: SwitchMap,
  refit: Refit | null,
  supply: SupplyKind | null,
): WantedRecord[] {
  if (supply === null) return [];
  const records = recordsOf(map.log, 'power-recorded');
  const positions = refit?.positions ?? [];
  const wired = new Set(refit?.wires.flatMap(({ lug }) => (lug === null ? [] : [lug])));
  const on = positions.filter(
    ({ nets }) => !nets || nets.some((root, lug) => root !== lug && wired.has(lug) && wired.has(root)),
  );
  const mains = supply === 'plug-in' || supply === 'fixed';
  const wanted = (
    what: BeforePower,
    { name, setting }: Pick<RefitPosition, 'name' | 'setting'>,
    limit: number | null,
    atLeast: boolean,
  ): WantedRecord => ({
    what,
    position: name,
    setting,
    limit,
    atLeast,
    record:
      records.findLast(
        (one) => one.what === what && (one.setting ? one.setting === setting : one.position === name),
      ) ?? null,
  });
  return [
    ...(mains
      ? [wanted('earth-to-case', ANY, MOST_EARTH, false), wanted('cord', ANY, LEAST_INSULATION, true)]
      : []),
    ...(mains ? on : []).map((position) => wanted('live-to-earth', position, LEAST_INSULATION, true)),
    ...positions.map((position) => wanted('line-to-neutral', position, null, true)),
  ];
}

/** Whether a record is within its own limit; null: it has none. */
export function isWithin(
  { atLeast }: Pick<WantedRecord, 'atLeast'>,
  { ohms, limit }: PowerRecord,
): boolean | null {
  if (ohms === null || limit === null) return null;
  return atLeast ? ohms >= limit : ohms <= limit;
}
