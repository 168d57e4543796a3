import { isSettled, factAt, type SwitchMap } from '../continuity/index.js';
import { poleKind, sameKind, wholeIn, type PoleKind, type WholeCode } from '../kinds/index.js';
import type { Pattern } from '../partition/index.js';
import type { ActuatorForm, ActuatorId, SettingId, TerminalId } from '../switch/index.js';
import { freeTerminals, polesWithContacts, type Pole } from './contacts.js';
import { independentHandles } from './handles.js';
import { knownPattern } from './known-pattern.js';

import { movingContacts, type MovingContact } from './moving-contacts.js';
import { tradeOf, type Trade } from './trade.js';

/** Poles that are one and the same kind, side by side on one handle. */
export interface SamePoles {
  kind: PoleKind;
  poles: { terminals: TerminalId[]; common: TerminalId | null; moving: NamedMovingContact[] }[];
}

/** A moving contact by the ids of its terminals. */
export interface NamedMovingContact {
  common: TerminalId;
  throws: TerminalId[];
  on: TerminalId[][];
}

/** What a switch is, as far as its facts say. */
export interface SwitchIdentity {
  /** Pairs that nobody knows yet, by setting; where there are any, no kind is named. */
  unknown: { setting: SettingId; pairs: number }[];
  /** Disputed pairs, all settings together. */
  disputed: number;
  /** Whether the list of positions has come to an end. */
  closed: boolean;
  /** What its poles are together, with what stands beside that; null: nothing that has a name. */
  whole: { kind: WholeCode; ways: number; extra: SamePoles[] } | null;
  /** Kinds of poles, the one of most poles first. Empty while anything is unknown. */
  groups: SamePoles[];
  /** Contact terminals that join nothing in any setting. */
  free: TerminalId[];
  settings: number;
  form: ActuatorForm | null;
  /** What it is for, by its loads; null: not said, or of several trades. */
  trade: Trade | null;
  /** Handles that are switches of their own on the same body, each with its kinds; empty where there is one, or they are not. */
  parts: { actuator: ActuatorId; groups: SamePoles[] }[];
}

/** What the switch is: named only where every fact that the name rests on is known. */
export function identify(map: SwitchMap): SwitchIdentity {
  const { structure } = map;
  const name = (place: number) => structure.terminals[place]?.id as TerminalId;
  const unknown: SwitchIdentity['unknown'] = [];
  let disputed = 0;
  for (const { settled } of requiredOf(map)) {
    let pairs = 0;
    map.contacts.forEach((a, at) => {
      for (const b of map.contacts.slice(at + 1)) {
        const fact = factAt(settled, a, b);
        if (fact.state === 'disputed') disputed += 1;
        else if (!isSettled(fact)) pairs += 1;
      }
    });
    if (pairs > 0) unknown.push({ setting: settled.setting, pairs });
  }
  const known = unknown.length === 0 && disputed === 0;
  const pattern = known ? requiredPattern(map) : [];
  const contacts = new Set(map.contacts);
  const poles = known ? polesWithContacts(pattern) : [];
  const groups = groupsOf(pattern, poles, name);
  return {
    unknown,
    disputed,
    closed: structure.actuators.every(({ closed }) => closed !== null),
    whole: known ? namedWhole(pattern, poles, name) : null,
    groups,
    parts: known ? partsOf(map, pattern, name) : [],
    free: known
      ? freeTerminals(pattern)
          .filter((place) => contacts.has(place))
          .map(name)
      : [],
    settings: requiredOf(map).length,
    trade: tradeOf(map.log),
    form: structure.actuators.length === 1 ? (structure.actuators[0]?.form ?? null) : null,
  };
}

/** What the poles are together, with the kinds of those beside it. */
function namedWhole(
  pattern: Pattern,
  poles: readonly Pole[],
  name: (place: number) => TerminalId,
): SwitchIdentity['whole'] {
  const whole = wholeIn(
    pattern,
    poles.map(({ terminals }) => terminals),
  );
  if (!whole) return null;
  const extra = whole.extra.map((at) => poles[at] as Pole);
  return { kind: whole.kind, ways: whole.ways, extra: groupsOf(pattern, extra, name) };
}

/** Poles of one and the same kind together, the kind of most poles first. */
function groupsOf(
  pattern: Pattern,
  poles: readonly Pole[],
  name: (place: number) => TerminalId,
): SamePoles[] {
  const groups: SamePoles[] = [];
  for (const pole of poles) {
    const kind = poleKind(pattern, pole.terminals);
    const moving = movingContacts(pattern, pole).map((one): NamedMovingContact => named(one, name));
    const entry = {
      terminals: pole.terminals.map(name),
      common: pole.common === null ? null : name(pole.common),
      moving,
    };
    const same = groups.find((group) => sameKind(group.kind, kind));
    if (same) same.poles.push(entry);
    else groups.push({ kind, poles: [entry] });
  }
  return groups.toSorted((one, other) => other.poles.length - one.poles.length);
}

/** What each independent handle is by itself: its poles in its own positions. */
function partsOf(
  map: SwitchMap,
  pattern: Pattern,
  name: (place: number) => TerminalId,
): SwitchIdentity['parts'] {
  const required = map.structure.settings.filter(({ need }) => need === 'required').map(({ id }) => id);
  return (independentHandles(map) ?? []).map(({ actuator, terminals, settings }) => {
    const own = new Set(terminals);
    const alone: Pattern = settings.map((id) =>
      (pattern[required.indexOf(id)] ?? []).map((root, place) => (own.has(place) ? root : place)),
    );
    return { actuator, groups: groupsOf(alone, polesWithContacts(alone), name) };
  });
}

const named = (
  { common, throws, on }: MovingContact,
  name: (place: number) => TerminalId,
): NamedMovingContact => ({
  common: name(common),
  throws: throws.map(name),
  on: on.map((places) => places.map(name)),
});

/** The required settings, settled as they are. */
function requiredOf({ structure, settings }: SwitchMap) {
  return structure.settings.flatMap(({ id, need }) => {
    const mapped = settings.get(id);
    return need === 'required' && mapped ? [mapped] : [];
  });
}

/** The pattern over the required settings alone. */
export function requiredPattern(map: SwitchMap) {
  const all = knownPattern(map);
  const ids = [...map.settings.keys()];
  const required = new Set(
    map.structure.settings.filter(({ need }) => need === 'required').map(({ id }) => id),
  );
  return all.filter((_, at) => required.has(ids[at] as SettingId));
}
