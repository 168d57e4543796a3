import { factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import { poles } from '../partition/index.js';
import { knownPattern } from '../table/index.js';
import { requiredSettings, type SettingId } from '../switch/index.js';
import { MOST_POSITIONS } from './relation.js';
import type { Requirement } from './match.js';

/** Why a map gives no requirement to match against. */
export type NoRequirement =
  'nothing-mapped' | 'nothing-joins' | 'more-than-one-actuator' | 'too-many-positions' | 'disputed';

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
  const known = new Uint32Array(terminals.length ** 2);
  let unsettledPairs = 0;
  mapped.forEach(({ settled }, bit) => {
    terminals.forEach((one, a) =>
      terminals.forEach((other, b) => {
        if (isSettled(factAt(settled, one, other))) {
          known[a * terminals.length + b] = (known[a * terminals.length + b] as number) | (1 << bit);
        }
      }),
    );
    unsettledPairs += settled.lookAgain.length;
  });
  unsettledPairs += mapped.reduce((sum, { coverage }) => sum + coverage.unknown, 0);
  const requirement = { pattern, terminals, known: map.complete ? null : known };
  return { kind: 'requirement', requirement, settings, unsettledPairs };
}
