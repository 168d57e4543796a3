import { discrete, partitionOf, relabel, type Partition, type Pattern } from '../../partition/index.js';
import type { Contact } from '../../table/index.js';

/** One thing that makes a switch do other than it should; places of terminals and settings. */
export type Cause =
  | { cause: 'never-closes'; contact: Contact }
  | { cause: 'never-opens'; contact: Contact }
  /** Closed in a setting where it should be open, or open where it should be closed. */
  | { cause: 'closes-also'; contact: Contact; setting: number }
  | { cause: 'opens-also'; contact: Contact; setting: number }
  | { cause: 'bridged'; terminals: Contact }
  /** Two terminals with no contact between them, or a terminal off its net, in one setting: an odd join, an odd gap. */
  | { cause: 'joined-at'; terminals: Contact; setting: number }
  | { cause: 'split-at'; terminal: number; setting: number }
  /**
   * Every setting does what another one should, so many places on: put together detents off. `stop`: it does not wrap, and what would
   * lie beyond the stop joins nothing.
   */
  | { cause: 'shifted'; by: number; stop?: true }
  | { cause: 'reversed' }
  | { cause: 'swapped'; terminals: Contact }
  /** The terminals in their order run the other way round, or begin so many places on. */
  | { cause: 'mirrored'; among: readonly number[] }
  | { cause: 'turned'; among: readonly number[]; by: number };

/** The partition with two nets made one; the very same where they are. */
function merged(partition: Partition, [a, b]: Contact): Partition {
  const [one, other] = [partition[a] as number, partition[b] as number];
  if (one === other) return partition;
  const [small, large] = [Math.min(one, other), Math.max(one, other)];
  return partition.map((root) => (root === large ? small : root));
}

/** The partition with a terminal taken off its net. */
function splitOff(partition: Partition, terminal: number): Partition {
  const pairs = partition.flatMap((root, place): [number, number][] =>
    partition.flatMap((other, beside): [number, number][] =>
      beside > place && other === root && place !== terminal && beside !== terminal ? [[place, beside]] : [],
    ),
  );
  return partitionOf(partition.length, pairs);
}

/** The partition with two terminals in each other's place. */
function swapped(partition: Partition, [a, b]: Contact): Partition {
  const turned = partition.map((_, place) => partition[place === a ? b : place === b ? a : place] as number);
  // A net is named by its smallest member: those of the two may have changed.
  const first = new Array<number>(partition.length).fill(-1);
  return turned.map((net, place) => {
    if (first[net] === -1) first[net] = place;
    return first[net] as number;
  });
}

const same = ([a, b]: Contact, [c, d]: Contact): boolean => (a === c && b === d) || (a === d && b === c);

/** The table that a switch shows when this is wrong with it. `contacts`: what makes the table as it should be. */
export const withCause = (pattern: Pattern, contacts: readonly Contact[], cause: Cause): Pattern =>
  pattern.map((_, at) => settingWithCause(pattern, contacts, cause, at));

/** One setting of that table; the very partition of the pattern where nothing changes in it. */
export function settingWithCause(
  pattern: Pattern,
  contacts: readonly Contact[],
  cause: Cause,
  at: number,
): Partition {
  const partition = pattern[at] as Partition;
  const also = (contact: Contact) => merged(partition, contact);
  const without = (contact: Contact) =>
    partition[contact[0]] === partition[contact[1]]
      ? partitionOf(
          partition.length,
          contacts.filter((one) => partition[one[0]] === partition[one[1]] && !same(one, contact)),
        )
      : partition;
  const renamed = (order: readonly number[]) => relabel([partition], order)[0] as Partition;
  switch (cause.cause) {
    case 'never-closes':
      return without(cause.contact);
    case 'never-opens':
      return also(cause.contact);
    case 'closes-also':
      return at === cause.setting ? also(cause.contact) : partition;
    case 'opens-also':
      return at === cause.setting ? without(cause.contact) : partition;
    case 'bridged':
      return also(cause.terminals);
    case 'joined-at':
      return at === cause.setting ? also(cause.terminals) : partition;
    case 'split-at':
      return at === cause.setting ? splitOff(partition, cause.terminal) : partition;
    case 'shifted': {
      const { length } = pattern;
      const from = at + cause.by;
      if (cause.stop && (from < 0 || from >= length)) return discrete(partition.length);
      return pattern[(((at + cause.by) % length) + length) % length] as Partition;
    }
    case 'reversed':
      return pattern[pattern.length - 1 - at] as Partition;
    case 'swapped':
      return cause.terminals.every((end) => isAlone(partition, end))
        ? partition
        : swapped(partition, cause.terminals);
    case 'mirrored':
      return renamed(moved(pattern, cause.among, (place, all) => all - 1 - place));
    case 'turned':
      return renamed(moved(pattern, cause.among, (place, all) => (place + cause.by) % all));
  }
}

/** Whether a terminal joins nothing in a setting. */
const isAlone = (partition: Partition, place: number): boolean =>
  partition[place] === place && partition.every((root, other) => other === place || root !== place);

/** The contacts of a switch in which this is wrong: those it should have, moved, one more or one less. */
export function contactsWith(
  pattern: Pattern,
  contacts: readonly Contact[],
  cause: Cause,
): readonly Contact[] {
  const renamed = (order: readonly number[]) =>
    contacts.map(([a, b]): Contact => [order[a] as number, order[b] as number]);
  switch (cause.cause) {
    case 'never-closes':
      return contacts.filter((contact) => !same(contact, cause.contact));
    case 'bridged':
      return [...contacts, cause.terminals];
    case 'swapped':
      return renamed(swap(pattern, cause.terminals));
    case 'mirrored':
      return renamed(moved(pattern, cause.among, (at, all) => all - 1 - at));
    case 'turned':
      return renamed(moved(pattern, cause.among, (at, all) => (at + cause.by) % all));
    case 'never-opens':
    case 'closes-also':
    case 'opens-also':
    case 'joined-at':
    case 'split-at':
    case 'shifted':
    case 'reversed':
      return contacts;
  }
}

function swap([first]: Pattern, [a, b]: Contact): number[] {
  return (first ?? []).map((_, place) => (place === a ? b : place === b ? a : place));
}

function moved(
  [first]: Pattern,
  among: readonly number[],
  to: (at: number, all: number) => number,
): number[] {
  return (first ?? []).map((_, place) => {
    const at = among.indexOf(place);
    return at < 0 ? place : (among[to(at, among.length)] as number);
  });
}
