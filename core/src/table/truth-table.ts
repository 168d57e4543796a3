import { knownPattern } from './known-pattern.js';
import { factAt, isSettled, type Fact, type Settled, type SwitchMap } from '../continuity/index.js';
import type { Quantity } from '../sense/index.js';
import type { ReadingId, SettingId, TerminalId } from '../switch/index.js';
import { freeTerminals, polesWithContacts, type Contact } from './contacts.js';
import { movingContacts } from './moving-contacts.js';

/** One cell: whether a contact is closed in a setting, how that is known, and the ohms last read across it. */
export interface Cell {
  setting: SettingId;
  fact: Fact;
  lookAgain: boolean;
  /** The newest ohms reading across exactly this pair in this setting, lead zero off; null without one. */
  reading: { id: ReadingId; quantity: Quantity } | null;
}

export interface Row {
  contact: Contact;
  /** The moving contact that it is a throw of; null where the row is only a pair. */
  moving: TerminalId | null;
  terminals: [TerminalId, TerminalId];
  cells: Cell[];
}

export interface TablePole {
  terminals: TerminalId[];
  common: TerminalId | null;
  rows: Row[];
}

/** The map as rows (contacts) by columns (settings). */
export interface TruthTable {
  settings: SettingId[];
  poles: TablePole[];
  /** Pairs in dispute or to be looked at again that are in no contact: shown, and never counted. */
  uncertain: Row[];
  /** Join nothing in any setting found so far. Only when the map is complete does that mean 'free'. */
  joinsNothing: TerminalId[];
  complete: boolean;
}

/**
 * The truth table of everything known so far. Worked out once for the same settings, tape and make of the switch.
 * @example
 * const { poles, joinsNothing } = truthTable(mapped(4, '1-2', '1-3'));
 * [poles.map(({ rows }) => rows.length), joinsNothing.length] // => [[2], 1]
 */
export function truthTable(map: SwitchMap): TruthTable {
  const known = worked.get(map.settings);
  if (known && known.of.tape === map.tape && known.of.structure === map.structure) return known.table;
  const table = workOut(map);
  worked.set(map.settings, { of: map, table });
  return table;
}

const worked = new WeakMap<SwitchMap['settings'], { of: SwitchMap; table: TruthTable }>();

function workOut(map: SwitchMap): TruthTable {
  const ids = map.structure.terminals.map(({ id }) => id);
  const pattern = knownPattern(map);
  const name = (place: number) => ids[place] as TerminalId;
  const readings = ohmsByCell(map);
  const row = (contact: Contact): Row => tableRow(map, contact, readings);
  const found = polesWithContacts(pattern);
  const rowed = new Set(found.flatMap(({ contacts }) => contacts.map(String)));
  const contactPlaces = new Set(map.contacts);
  return {
    settings: [...map.settings.keys()],
    poles: found.map((pole) => ({
      terminals: pole.terminals.map(name),
      common: pole.common === null ? null : name(pole.common),
      rows: movingContacts(pattern, pole).flatMap(({ common, throws }) =>
        throws
          .map((end): Contact => (end < common ? [end, common] : [common, end]))
          .map((contact) => ({ ...row(contact), moving: name(common) })),
      ),
    })),
    uncertain: uncertainPairs(map)
      .filter((contact) => !rowed.has(String(contact)))
      .map(row),
    joinsNothing: freeTerminals(pattern)
      .filter((place) => contactPlaces.has(place))
      .map(name),
    complete: map.complete,
  };
}

/** A pair with what is known of it in every setting. */
export function tableRow(map: SwitchMap, contact: Contact, readings: ReturnType<typeof ohmsByCell>): Row {
  const [a, b] = contact.map((place) => map.structure.terminals[place]?.id as TerminalId);
  return {
    contact,
    moving: null,
    terminals: [a as TerminalId, b as TerminalId],
    cells: [...map.settings.values()].map(({ settled }) => cellOf(settled, contact, readings)),
  };
}

/** The least and the most ohms that a row was read with where it is closed; null where it was not read in ohms. */
export function spreadOf({ cells }: Row): { least: Quantity; most: Quantity } | null {
  const read = cells
    .flatMap(({ fact, reading }) => (fact.joined && reading ? [reading.quantity] : []))
    .toSorted((one, other) => one.ohms - other.ohms);
  const [least, most] = [read[0], read.at(-1)];
  return least && most ? { least, most } : null;
}

function cellOf(
  settled: Settled,
  [a, b]: Contact,
  readings: Map<string, NonNullable<Cell['reading']>>,
): Cell {
  return {
    setting: settled.setting,
    fact: factAt(settled, a, b),
    lookAgain: settled.lookAgain.some((item) => item.a === a && item.b === b),
    reading: readings.get(`${settled.setting} ${a} ${b}`) ?? null,
  };
}

/** The newest ohms reading across each pair alone, in each setting, by `setting place place`, the smaller place first. */
export function ohmsByCell(map: SwitchMap): Map<string, NonNullable<Cell['reading']>> {
  const place = new Map(map.structure.terminals.map(({ id }, index) => [id, index]));
  const cells = new Map<string, NonNullable<Cell['reading']>>();
  for (const { reading, standing, evidence } of map.tape) {
    if (standing !== 'counts' || !evidence.quantity || reading.red.length !== 1 || reading.black.length !== 1)
      continue;
    const ends = [reading.red[0], reading.black[0]].map((id) => place.get(id as TerminalId) ?? -1);
    ends.sort((one, other) => one - other);
    cells.set(`${reading.setting} ${ends.join(' ')}`, { id: reading.id, quantity: evidence.quantity });
  }
  return cells;
}

function uncertainPairs(map: SwitchMap): Contact[] {
  const pairs = new Map<string, Contact>();
  for (const { settled } of map.settings.values()) {
    for (const { a, b } of settled.lookAgain) pairs.set(`${a},${b}`, [a, b]);
    map.contacts.forEach((a, at) => {
      for (const b of map.contacts.slice(at + 1)) {
        if (factAt(settled, a, b).state === 'disputed') pairs.set(`${a},${b}`, [a, b]);
      }
    });
  }
  return [...pairs.values()].sort((one, other) => one[0] - other[0] || one[1] - other[1]);
}

/** How many cells over all pairs and settings are settled, by measurement and by inference. */
export function settledCount(map: SwitchMap): {
  settled: number;
  measured: number;
  follows: number;
  all: number;
} {
  let [measured, follows, all] = [0, 0, 0];
  for (const { settled } of map.settings.values()) {
    map.contacts.forEach((a, at) => {
      for (const b of map.contacts.slice(at + 1)) {
        const fact = factAt(settled, a, b);
        all += 1;
        if (fact.state === 'measured') measured += 1;
        else if (isSettled(fact)) follows += 1;
      }
    });
  }
  return { settled: measured + follows, measured, follows, all };
}
