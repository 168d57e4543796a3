import { inPassing, inStanding, type Hazard, type InSetting, type HandleStop } from '../circuit/index.js';
import { recordsOf } from '../log/index.js';
import { SystemContacts, settingOf, type Combination, type FactsOf } from './combinations.js';
import type { System } from './system.js';

/** A hazard of a system: where it was found first, and in how many combinations or steps it is. */
export interface SystemHazard {
  hazard: Hazard;
  combination: Combination;
  /** The handle that passes, by place; null: it stands so. */
  handle: number | null;
  times: number;
}

/** In more combinations than this it is not worked out what happens while a handle passes. */
const MOST_PASSED = 512;

/** What a hazard is of, without where. */
const sameHazard = (hazard: Hazard, handle: number | null): string => {
  const certain = 'certain' in hazard && hazard.certain;
  const what = 'supplies' in hazard ? hazard.supplies : 'loads' in hazard ? hazard.loads : [hazard.load];
  return [hazard.kind, handle, certain, ...what.toSorted()].join(' ');
};

/**
 * What can hurt in a system: shorts and loads that are live while nothing runs, in every combination; and, of few enough
 * combinations, what happens while one handle goes a step on and the others stand. Alike ones are told once.
 * @param results what the system does in each of the combinations
 */
export function systemHazards(
  system: System,
  combinations: readonly Combination[],
  results: readonly InSetting[],
  facts: FactsOf,
): SystemHazard[] {
  const found = new Map<string, SystemHazard>();
  const tell = (hazard: Hazard, combination: Combination, handle: number | null) => {
    const key = sameHazard(hazard, handle);
    const known = found.get(key);
    if (known) known.times += 1;
    else found.set(key, { hazard, combination, handle, times: 1 });
  };
  combinations.forEach((combination, at) => {
    for (const hazard of inStanding(results[at] as InSetting)) tell(hazard, combination, null);
  });
  if (combinations.length <= MOST_PASSED) passed(system, combinations, results, facts, tell);
  return [...found.values()];
}

function passed(
  system: System,
  combinations: readonly Combination[],
  results: readonly InSetting[],
  facts: FactsOf,
  tell: (hazard: Hazard, combination: Combination, handle: number) => void,
): void {
  const contacts = new SystemContacts(system, facts);
  const places = new Map(combinations.map((one, at) => [settingOf(system, one), at]));
  const standing = (at: number): HandleStop => ({
    contacts: contacts.at(combinations[at] as Combination),
    result: results[at] as InSetting,
    springs: false,
  });
  combinations.forEach((combination, at) => {
    system.handles.forEach((handle, place) => {
      const next = handle.settings[handle.settings.indexOf(combination[place] as never) + 1];
      const to = next && places.get(settingOf(system, combination.with(place, next)));
      if (to === undefined) return;
      const makes =
        handle.of === 'device'
          ? false
          : handle.map &&
              recordsOf(handle.map.log, 'passing-probed').some(({ seen, passes }) => seen && passes > 0)
            ? true
            : null;
      for (const hazard of inPassing(system.machine, standing(at), standing(to), makes))
        tell(hazard, combination, place);
    });
  });
}
