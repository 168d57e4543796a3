import { lookKey, toldOf, type HuntEvidence, type FaultModel, type NextTest } from '../machine/index.js';
import type { LoadId, SettingId } from '../switch/index.js';

/** What is found out by a test when one fault is the truth, added to what was found before. */
export function answered(
  found: HuntEvidence,
  next: NextTest,
  truth: FaultModel['faults'][number],
  healthy: FaultModel['healthy'],
): HuntEvidence {
  const showing = (setting: SettingId, load: LoadId) => {
    const key = lookKey(setting, load);
    return toldOf(truth.shows.get(key) ?? 'off', healthy.get(key));
  };
  switch (next.kind) {
    case 'look': {
      const { setting } = next;
      const seen = next.loads.map((load) => ({ setting, load, seen: showing(setting, load) }));
      return { ...found, seen: [...found.seen, ...seen] };
    }
    case 'read':
      return {
        ...found,
        read: [...found.read, { ...next, joins: truth.joins(next.setting, next.contact), by: 'ohms' }],
      };
    case 'probe': {
      const conducts = truth.conducts(next.setting, ...next.between) ?? 'open';
      return { ...found, probed: [...found.probed, { ...next, conducts }] };
    }
    case 'work':
      return found;
    default: {
      const part = next.kind === 'try' ? next.part : next.supply;
      return { ...found, tried: [...found.tried, { part, whole: truth.whole(part) }] };
    }
  }
}
