import { factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import type { ExpectedTable, REQUIREMENT_SOURCES } from '../log/index.js';
import { partitionFromGroups, poles } from '../partition/index.js';
import { knownPattern } from '../table/index.js';
import { requiredSettings, type SettingId, type TerminalId } from '../switch/index.js';
import { compareWithExpected, expectedOf, isAmong } from '../verify/index.js';
import { MOST_POSITIONS, type Requirement } from './match.js';
import { PairBits } from './pair-bits.js';

/** Why a map gives no requirement to match against. */
export type NoRequirement =
  | 'nothing-mapped'
  | 'nothing-joins'
  | 'more-than-one-actuator'
  | 'too-many-positions'
  | 'disputed'
  | 'nothing-expected'
  | 'no-position-matters'
  | 'nothing-of-another'
  | 'no-machine'
  | 'working'
  | 'too-many-wires'
  | 'took-too-long';

/** Where a requirement comes from: stated on every candidate. */
export type RequirementSource = (typeof REQUIREMENT_SOURCES)[number];

/** A requirement with the settings that its positions stand for; or why there is none. */
export type MapRequirement =
  | { kind: 'requirement'; requirement: Requirement; settings: SettingId[]; unsettledPairs: number }
  | { kind: 'none'; because: NoRequirement };

/**
 * What a map asks of a replacement. Terminals that join nothing anywhere need no counterpart. While facts are
 * unknown they bind nothing, so a candidate can only be ruled out or 'fit so far'; nothing is built on a dispute.
 */
export function requirementOf(map: SwitchMap): MapRequirement {
  const none = (because: NoRequirement): MapRequirement => ({ kind: 'none', because });
  if (map.structure.actuators.length > 1) return none('more-than-one-actuator');
  const settings = requiredSettings(map.structure).map(({ id }) => id);
  if (settings.length > MOST_POSITIONS) return none('too-many-positions');
  const mapped = settings.flatMap((id) => map.settings.get(id) ?? []);
  if (mapped.length === 0) return none('nothing-mapped');
  if (mapped.some(({ coverage }) => coverage.disputed > 0)) return none('disputed');
  const order = new Map([...map.settings.keys()].map((id, index) => [id, index]));
  const whole = knownPattern(map);
  const pattern = settings.map((id) => whole[order.get(id) ?? 0] ?? []);
  const contacts = new Set(map.contacts);
  const terminals = poles(pattern)
    .filter((pole) => pole.filter((place) => contacts.has(place)).length > 1)
    .flat()
    .filter((place) => contacts.has(place))
    .sort((one, other) => one - other);
  if (terminals.length === 0) return none('nothing-joins');
  const known = new PairBits(terminals.length, settings.length);
  let unsettledPairs = 0;
  mapped.forEach(({ settled }, bit) => {
    terminals.forEach((one, a) =>
      terminals.forEach((other, b) => {
        if (isSettled(factAt(settled, one, other))) known.add(a, b, bit);
      }),
    );
    unsettledPairs += settled.lookAgain.length;
  });
  unsettledPairs += mapped.reduce((sum, { coverage }) => sum + coverage.unknown, 0);
  const requirement = { pattern, terminals, known: map.complete ? null : known.bits };
  return { kind: 'requirement', requirement, settings, unsettledPairs };
}

/**
 * What the switch should do, as it was said for this job, as a requirement: a switch that is dead, welded or put together wrong
 * is replaced by what it should do. Pairs of which nothing is said bind nothing.
 */
export function requirementAsItShouldBe(map: SwitchMap): MapRequirement {
  const table = expectedOf(map);
  return table ? requirementOfTable(map, table) : { kind: 'none', because: 'nothing-expected' };
}

/** What a table asks of a replacement that is laid on the terminals and positions of this switch. */
function requirementOfTable(map: SwitchMap, table: ExpectedTable): MapRequirement {
  const none = (because: NoRequirement): MapRequirement => ({ kind: 'none', because });
  if (map.structure.actuators.length > 1) return none('more-than-one-actuator');
  const settings = requiredSettings(map.structure).map(({ id }) => id);
  if (settings.length > MOST_POSITIONS) return none('too-many-positions');
  const place = new Map(map.structure.terminals.map(({ id }, at) => [id, at]));
  const said = settings.map((id) => table.settings.find(({ setting }) => setting === id) ?? null);
  const pattern = said.map((entry) =>
    partitionFromGroups(
      map.structure.terminals.length,
      (entry?.joined ?? []).map((net) => net.flatMap((id) => place.get(id) ?? [])),
    ),
  );
  const contacts = new Set(map.contacts);
  const terminals = poles(pattern)
    .filter((pole) => pole.filter((one) => contacts.has(one)).length > 1)
    .flat()
    .filter((one) => contacts.has(one))
    .sort((one, other) => one - other);
  if (terminals.length === 0) return none('nothing-joins');
  const known = new PairBits(terminals.length, settings.length);
  let unsettledPairs = 0;
  said.forEach((entry, bit) => {
    const silent = isAmong(entry?.unsaid ?? []);
    terminals.forEach((one, a) =>
      terminals.forEach((other, b) => {
        const ids = [one, other].map((at) => map.structure.terminals[at]?.id as TerminalId);
        const isSaid = entry !== null && !silent(ids as [TerminalId, TerminalId]);
        if (isSaid) known.add(a, b, bit);
        else if (a < b) unsettledPairs += 1;
      }),
    );
  });
  const requirement = { pattern, terminals, known: unsettledPairs === 0 ? null : known.bits };
  return { kind: 'requirement', requirement, settings, unsettledPairs };
}

/**
 * Which source is proposed: what it should be whenever that was said and the map differs from it, or while nothing on the map
 * gives a requirement; else what was mapped, which is proposed for a healthy switch alone.
 */
export function proposedSource(map: SwitchMap): RequirementSource {
  const table = expectedOf(map);
  if (!table) return 'as-mapped';
  const differs = compareWithExpected(map, table).outcome === 'differs';
  return differs || requirementOf(map).kind === 'none' || !map.complete ? 'should-be' : 'as-mapped';
}

/** The requirement by a source; `another` is the table of the other job or entry, as it was taken. */
export function requirementBy(
  map: SwitchMap,
  source: RequirementSource,
  another: ExpectedTable | null = null,
): MapRequirement {
  switch (source) {
    case 'as-mapped':
      return requirementOf(map);
    case 'should-be':
      return requirementAsItShouldBe(map);
    case 'machine':
      // Worked out elsewhere, for it takes its time.
      return { kind: 'none', because: 'no-machine' };
    case 'another':
      return another ? requirementOfTable(map, another) : { kind: 'none', because: 'nothing-of-another' };
  }
}
