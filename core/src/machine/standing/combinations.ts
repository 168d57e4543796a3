import { standingKey, type SettingOfJob } from '../../log/index.js';
import type { SettingId } from '../../switch/index.js';
import type { ContactsAt } from '../power/contacts.js';
import { inSetting, type InSetting } from '../power/in-setting.js';
import type { MachineFault } from '../power/power.js';
import { AT_WORK } from '../wiring/handles.js';
import type { Machine } from '../wiring/machine.js';
import { contactsOf, type InPlace } from './in-place.js';

/** How every handle of a machine stands, in their order. */
export type Combination = readonly SettingId[];

/** More combinations than this are not worked out at once. */
const MOST_COMBINATIONS = 4096;

/** How the handles stand, as the log has it. */
export const standingsAt = ({ handles }: Machine, combination: Combination): SettingOfJob[] =>
  handles.map((handle, at): SettingOfJob => {
    const setting = combination[at] as SettingId;
    if (handle.of === 'device')
      return { of: 'device', device: handle.device.id, state: setting === AT_WORK ? 'work' : 'rest' };
    return { of: 'switch', ...(handle.job !== null && { job: handle.job }), setting };
  });

/** A combination as the one setting that the machine is in: of one switch in its own job, that very setting. */
export const settingOf = (machine: Machine, combination: Combination): SettingId =>
  standingKey(standingsAt(machine, combination)) as SettingId;

/** Whether an interlock keeps the handles from standing so. */
export function isBarred(machine: Machine, combination: Combination): boolean {
  if (machine.barred.length === 0) return false;
  const here = new Set(standingsAt(machine, combination).map((one) => standingKey([one])));
  return machine.barred.some((at) => at.every((one) => here.has(standingKey([one]))));
}

/**
 * All combinations of those handles that are `turned`, the others standing as they do; null: more than MOST_COMBINATIONS, so that
 * somebody has to choose which are turned. The last handle changes fastest.
 */
export function combinationsOf(
  { handles }: Pick<Machine, 'handles'>,
  standing: Combination = handles.map(({ settings }) => settings[0] as SettingId),
  turned: (at: number) => boolean = () => true,
): Combination[] | null {
  const choices = handles.map(({ settings }, at) => (turned(at) ? settings : [standing[at] as SettingId]));
  if (choices.reduce((product, one) => product * one.length, 1) > MOST_COMBINATIONS) return null;
  return choices.reduce<SettingId[][]>(
    (all, settings) => all.flatMap((one) => settings.map((setting) => [...one, setting])),
    [[]],
  );
}

/** What is known of all contacts of a machine in a combination. Between two switches no contact is. */
export class Contacts {
  readonly #each = new Map<string, ContactsAt>();
  readonly #sorts = new Map<string, string>();

  constructor(
    private readonly machine: Machine,
    private readonly inPlace: InPlace,
  ) {}

  #of(at: number, setting: SettingId): ContactsAt {
    const key = `${at} ${setting}`;
    const kept = this.#each.get(key);
    if (kept) return kept;
    const made = contactsOf(this.machine.handles[at] as Machine['handles'][number], setting, this.inPlace);
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
    const { handles, circuit } = this.machine;
    const each = handles.map((_, at) => this.#of(at, combination[at] as SettingId));
    const [only] = each;
    if (only && each.length === 1) return only;
    const owner = circuit.owner ?? [];
    return {
      nets: each.flatMap(({ nets }, at) => nets.map((root) => root + (handles[at]?.from ?? 0))),
      isKnown: (a, b) => {
        const one = owner[a] ?? 0;
        const from = handles[one]?.from ?? 0;
        return one !== owner[b] || each[one]?.isKnown(a - from, b - from) === true;
      },
    };
  }
}

/** What a machine does in some combinations; what makes the same contacts is worked out once. */
export function inCombinations(
  machine: Machine,
  combinations: readonly Combination[],
  inPlace: InPlace,
  fault: MachineFault = {},
): InSetting[] {
  const contacts = new Contacts(machine, inPlace);
  const kept = new Map<string, InSetting>();
  return combinations.map((one) => {
    const [sort, setting] = [contacts.sortOf(one), settingOf(machine, one)];
    const same = kept.get(sort);
    if (same) return { ...same, setting };
    const made = inSetting(machine.circuit, setting, contacts.at(one), fault);
    kept.set(sort, made);
    return made;
  });
}
