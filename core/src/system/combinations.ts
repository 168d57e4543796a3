import {
  contactsAsMapped,
  contactsAsTable,
  contactsOfNets,
  healthyOf,
  inSetting,
  type ContactsAt,
  type Healthy,
  type InSetting,
} from '../circuit/index.js';
import { combinationKey, type HandleStanding } from '../log/index.js';
import { partitionFromGroups } from '../partition/index.js';
import type { SettingId } from '../switch/index.js';
import { expectedOf } from '../verify/index.js';
import { AT_REST, AT_WORK, pinsOf, UNREAD, type SystemHandle } from './handles.js';
import type { System } from './system.js';

/** How every handle of a system stands, in their order. */
export type Combination = readonly SettingId[];

/** More combinations than this are not worked out at once. */
const MOST_COMBINATIONS = 4096;

/** How the handles stand, as the log has it. */
export const standingsAt = ({ handles }: System, combination: Combination): HandleStanding[] =>
  handles.map((handle, at): HandleStanding => {
    const setting = combination[at] as SettingId;
    return handle.of === 'switch'
      ? { of: 'switch', job: handle.job, setting }
      : { of: 'device', device: handle.device.id, state: setting === AT_WORK ? 'work' : 'rest' };
  });

/** A combination as the one setting that the system is in. */
export const settingOf = (system: System, combination: Combination): SettingId =>
  combinationKey(standingsAt(system, combination)) as SettingId;

/**
 * All combinations of those handles that are `turned`, the others standing as they do; null: more than MOST_COMBINATIONS, so that
 * somebody has to choose which are turned. The last handle changes fastest.
 */
export function combinationsOf(
  { handles }: System,
  standing: Combination,
  turned: (at: number) => boolean = () => true,
): Combination[] | null {
  const choices = handles.map(({ settings }, at) => (turned(at) ? settings : [standing[at] as SettingId]));
  if (choices.reduce((product, one) => product * one.length, 1) > MOST_COMBINATIONS) return null;
  return choices.reduce<SettingId[][]>(
    (all, settings) => all.flatMap((one) => settings.map((setting) => [...one, setting])),
    [[]],
  );
}

/** Which facts of the switches are put into the machine. */
export type FactsOf = 'as-mapped' | 'as-should';

/** What is known of the contacts of one handle. */
function contactsOfHandle(handle: SystemHandle, setting: SettingId, facts: FactsOf): ContactsAt {
  if (handle.of === 'device') {
    const pins = pinsOf(handle.device);
    const joined = setting === AT_REST ? '1' : '2';
    const groups = pins.includes(joined) ? [[pins.indexOf('C'), pins.indexOf(joined)]] : [];
    return contactsOfNets(partitionFromGroups(pins.length, groups));
  }
  const { map, size } = handle;
  const nothing = { nets: partitionFromGroups(size, []), isKnown: () => false };
  if (!map || setting === UNREAD) return nothing;
  if (facts === 'as-mapped') return contactsAsMapped(map, setting);
  const table = expectedOf(map);
  return table ? contactsAsTable(map, table, setting) : nothing;
}

/** What is known of all contacts of a system in a combination. Between two switches no contact is. */
export class SystemContacts {
  readonly #each = new Map<string, ContactsAt>();
  readonly #sorts = new Map<string, string>();

  constructor(
    private readonly system: System,
    private readonly facts: FactsOf,
  ) {}

  #of(at: number, setting: SettingId): ContactsAt {
    const key = `${at} ${setting}`;
    const kept = this.#each.get(key);
    if (kept) return kept;
    const made = contactsOfHandle(this.system.handles[at] as SystemHandle, setting, this.facts);
    this.#each.set(key, made);
    return made;
  }

  /** A name for how a handle's contacts stand in a setting: two positions that make the same have the same. */
  #sort(at: number, setting: SettingId): string {
    const key = `${at} ${setting}`;
    const kept = this.#sorts.get(key);
    if (kept !== undefined) return kept;
    const { nets, isKnown } = this.#of(at, setting);
    const known = nets.map((_, a) => nets.map((__, b) => (a < b && isKnown(a, b) ? 1 : 0)).join(''));
    const made = `${nets.join()} ${known.join()}`;
    this.#sorts.set(key, made);
    return made;
  }

  /** A name for how all contacts stand: combinations in which all switches make the same have the same. */
  sortOf(combination: Combination): string {
    return combination.map((setting, at) => this.#sort(at, setting)).join('|');
  }

  at(combination: Combination): ContactsAt {
    const { handles, machine } = this.system;
    const each = handles.map((_, at) => this.#of(at, combination[at] as SettingId));
    const owner = machine.owner ?? [];
    return {
      nets: each.flatMap(({ nets }, at) => nets.map((root) => root + (handles[at]?.from ?? 0))),
      isKnown: (a, b) => {
        const [one, other] = [owner[a] as number, owner[b] as number];
        const from = handles[one]?.from ?? 0;
        return one !== other || each[one]?.isKnown(a - from, b - from) === true;
      },
    };
  }
}

/** What a system does in some combinations; what makes the same contacts is worked out once. */
export function inCombinations(
  system: System,
  combinations: readonly Combination[],
  facts: FactsOf,
): InSetting[] {
  const contacts = new SystemContacts(system, facts);
  const kept = new Map<string, InSetting>();
  return combinations.map((one) => {
    const [sort, setting] = [contacts.sortOf(one), settingOf(system, one)];
    const same = kept.get(sort);
    if (same) return { ...same, setting };
    const made = inSetting(system.machine, setting, contacts.at(one));
    kept.set(sort, made);
    return made;
  });
}

/** What the switches of a system should make in some combinations; the jobs of which that is not known in full instead, where there are some. */
export function healthySystem(
  system: System,
  combinations: readonly Combination[],
): { healthy: Healthy[] } | { unsaid: SystemHandle[] } {
  const each = system.handles.map((handle) =>
    handle.of === 'device'
      ? handle.settings.map((setting) => ({ setting, ...contactsOfHandle(handle, setting, 'as-mapped') }))
      : handle.map && healthyOf(handle.map),
  );
  const unsaid = system.handles.filter((_, at) => !each[at]);
  if (unsaid.length > 0) return { unsaid };
  const healthy = combinations.map((combination): Healthy => ({
    setting: settingOf(system, combination),
    nets: combination.flatMap((setting, at) => {
      const { nets } = each[at]?.find((one) => one.setting === setting) ?? { nets: [] };
      return nets.map((root) => root + (system.handles[at]?.from ?? 0));
    }),
    each: combination,
  }));
  return { healthy };
}
