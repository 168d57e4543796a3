import type { SwitchMap } from '../continuity/index.js';
import {
  ampsOf,
  type ContactLimit,
  lastCheckedMeter,
  liveEvents,
  type Load,
  type MeterProfile,
  recordsOf,
} from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { truthTable } from '../table/index.js';

/** Up to this many volts of drop a contact is good, above the other it is bad (common practice: 50 and 200 mV). */
const GOOD_VOLTS = 0.05;
const BAD_VOLTS = 0.2;
/** Above this current the maker's limit or the temperature rise counts, not the drop (common practice). */
const MOST_AMPS_BY_DROP = 10;
/** Heat in one contact that is a warning: a small contact, a power contact (common practice). */
const HEAT_WATTS = { small: 0.5, power: 1 } as const;
/** From this current on a contact is a power contact (from memory, rough). */
const POWER_AMPS = 5;

/** How far a drop at a known current may be out: two handhelds, a per cent each (from memory, rough). */
const DROP_SHARE = 0.02;

/** The school taken while nobody has chosen one: about an ohm is fine (common practice). */
const PLAIN_LIMIT: ContactLimit = { school: 'fixed', ohms: 1 };

export type ContactVerdict = 'good' | 'look' | 'high' | 'bad' | 'cannot-tell' | 'unsteady' | 'no-ohms';

/** One contact in one setting in which it is closed, judged. */
export interface JudgedContact {
  terminals: [TerminalId, TerminalId];
  setting: SettingId;
  /** Ohms, leads taken off, with plus or minus; null where it was not read in ohms: by tone, or it follows. */
  ohms: number | null;
  uncertainty: number;
  /** Measured as a drop at a known current: condemns or passes for a load. */
  byDrop: boolean;
  verdict: ContactVerdict;
  /** Volts across it and watts in it at the load; null without one. */
  drop: number | null;
  heat: { watts: number; warns: boolean } | null;
}

/** How far a difference of two readings may be out: where the zero was read on the same range, its offset cancels. */
export function differenceUncertainty(
  ohms: number,
  { percent, counts, resolutionOhms }: MeterProfile,
  zeroCancels: boolean,
): number {
  const step = counts * resolutionOhms;
  return (Math.abs(ohms) * percent) / 100 + step + (zeroCancels ? 0 : step);
}

/** The zero was read on the range on which so few ohms are read, with the same clips: its offset is in both and cancels. */
const onLowestRange = (ohms: number, { resolutionOhms, rangeOhms }: MeterProfile): boolean =>
  rangeOhms !== null || Math.abs(ohms) < resolutionOhms * 4000;

/**
 * What a contact of so many ohms is worth by a school: `good` and `high` only where the uncertainty leaves no doubt. For a
 * limit from the load a handheld alone never says `bad`: that takes a drop at a known current.
 * @param byDrop the ohms come from millivolts at amperes
 */
export function judge(
  ohms: number,
  uncertainty: number,
  limit: ContactLimit,
  byDrop: boolean,
): ContactVerdict {
  const [most, least] = [ohms + uncertainty, ohms - uncertainty];
  switch (limit.school) {
    case 'fixed':
      return most <= limit.ohms ? 'good' : least > limit.ohms ? 'high' : 'cannot-tell';
    case 'hard-zero':
      return Math.abs(ohms) <= uncertainty ? 'good' : 'high';
    case 'load': {
      if (limit.kind === 'signal') return 'cannot-tell';
      if (limit.amps > MOST_AMPS_BY_DROP)
        return least * limit.amps > BAD_VOLTS ? (byDrop ? 'bad' : 'high') : 'cannot-tell';
      if (most * limit.amps <= GOOD_VOLTS) return 'good';
      if (least * limit.amps > BAD_VOLTS) return byDrop ? 'bad' : 'high';
      return least * limit.amps > GOOD_VOLTS ? 'look' : 'cannot-tell';
    }
  }
}

/** The most ohms that are good by a school, for a line in a chart; null where the school has no such figure. */
export function limitOhms(limit: ContactLimit): number | null {
  if (limit.school === 'fixed') return limit.ohms;
  return limit.school === 'load' && limit.kind !== 'signal' ? GOOD_VOLTS / limit.amps : null;
}

/** The school and limit that were chosen last. */
export function contactLimitOf({ log }: SwitchMap): ContactLimit {
  const limit = liveEvents(log, 'limit-set').at(-1)?.what.limit ?? PLAIN_LIMIT;
  return limit.school === 'load' ? asTheLoadIs(limit, recordsOf(log, 'load-named')) : limit;
}

/** A limit from a load of the job has that load's figures of today; as it was kept where the load is gone or says no amperes. */
function asTheLoadIs(limit: ContactLimit & { school: 'load' }, loads: readonly Load[]): ContactLimit {
  const load = loads.find(({ id }) => id === limit.of);
  const amps = load ? ampsOf(load) : null;
  if (!load || amps === null) return limit;
  return { ...limit, amps, volts: load.volts, kind: load.kind, current: load.current };
}

const WORST: readonly ContactVerdict[] = [
  'bad',
  'high',
  'unsteady',
  'look',
  'cannot-tell',
  'no-ohms',
  'good',
];

/** Every contact in every setting in which it is closed, the worst first. Topology is not changed by any of it. */
export function judgedContacts(map: SwitchMap): JudgedContact[] {
  const limit = contactLimitOf(map);
  const meter = lastCheckedMeter(map.log);
  const drops = recordsOf(map.log, 'drop-measured');
  const unsteady = new Set(
    map.tape.flatMap(({ reading, standing, evidence }) =>
      standing === 'counts' && evidence.because === 'unsteady'
        ? [`${[...reading.red, ...reading.black].toSorted().join()} ${reading.setting}`]
        : [],
    ),
  );
  const judged = truthTable(map).poles.flatMap(({ rows }) =>
    rows.flatMap(({ terminals, cells }) =>
      cells.flatMap(({ setting, fact, reading }): JudgedContact[] => {
        if (fact.joined !== true || fact.state === 'disputed') return [];
        const key = `${terminals.toSorted().join()} ${setting}`;
        const drop = drops.find((one) => `${one.terminals.toSorted().join()} ${one.setting}` === key);
        const base = { terminals, setting };
        if (drop?.millivolts !== null && drop !== undefined) {
          const ohms = drop.millivolts / 1000 / drop.amps;
          return [{ ...base, ...worth(ohms, DROP_SHARE * ohms, limit, true) }];
        }
        if (unsteady.has(key)) return [{ ...base, ...nothing, verdict: 'unsteady' }];
        if (!reading) return [{ ...base, ...nothing, verdict: 'no-ohms' }];
        const { ohms } = reading.quantity;
        return [
          {
            ...base,
            ...worth(ohms, differenceUncertainty(ohms, meter, onLowestRange(ohms, meter)), limit, false),
          },
        ];
      }),
    ),
  );
  return judged.toSorted(
    (one, other) =>
      WORST.indexOf(one.verdict) - WORST.indexOf(other.verdict) || (other.ohms ?? 0) - (one.ohms ?? 0),
  );
}

const nothing = { ohms: null, uncertainty: 0, byDrop: false, drop: null, heat: null };

function worth(ohms: number, uncertainty: number, limit: ContactLimit, byDrop: boolean) {
  const verdict = judge(ohms, uncertainty, limit, byDrop);
  if (limit.school !== 'load') return { ohms, uncertainty, byDrop, verdict, drop: null, heat: null };
  const watts = limit.amps * limit.amps * Math.max(0, ohms);
  const most = limit.amps < POWER_AMPS ? HEAT_WATTS.small : HEAT_WATTS.power;
  // A warning only where the meter can tell that there is so much.
  const least = limit.amps * limit.amps * Math.max(0, ohms - uncertainty);
  return {
    ohms,
    uncertainty,
    byDrop,
    verdict,
    drop: limit.amps * Math.max(0, ohms),
    heat: { watts, warns: least > most },
  };
}
