import type { Contradiction, LookAgain, SwitchMap } from '../../continuity/index.js';
import type { Lead } from '../../log/index.js';
import type { ReadingId, SettingId } from '../../switch/index.js';
import { rankSuspects } from './suspects.js';

/** After so many readings of one pair nothing more is asked of it: a person decides, or it is left as it is. */
const ENOUGH = 3;

const endsOf = (red: Lead, black: Lead): string =>
  [red, black]
    .map((lead) => lead.toSorted().join('+'))
    .toSorted()
    .join(' ');

/** Whether two leads were read so often in a setting that one more reading tells nothing. */
function readEnough({ tape }: SwitchMap, setting: SettingId, red: Lead, black: Lead): boolean {
  const ends = endsOf(red, black);
  const read = tape.filter(
    ({ reading, standing }) =>
      (standing === 'counts' || standing === 'superseded') &&
      reading.setting === setting &&
      endsOf(reading.red, reading.black) === ends,
  );
  return read.length >= ENOUGH;
}

/** Whether a pair that has to be looked at again was read often enough. */
export function lookedEnough(map: SwitchMap, setting: SettingId, { a, b }: LookAgain): boolean {
  const terminals = map.settings.get(setting)?.settled.terminals ?? [];
  const [one, other] = [terminals[a], terminals[b]];
  return !one || !other || readEnough(map, setting, [one], [other]);
}

/** The reading to take again first where readings contradict: the one most in doubt that was not read often enough; null: none is left. */
export function firstSuspect(map: SwitchMap, setting: SettingId): ReadingId | null {
  const contradictions = map.settings.get(setting)?.settled.contradictions ?? [];
  for (const contradiction of contradictions) {
    const found = suspectsLeft(map, setting, contradiction)[0];
    if (found) return found;
  }
  return null;
}

function suspectsLeft(map: SwitchMap, setting: SettingId, contradiction: Contradiction): ReadingId[] {
  return rankSuspects(map, setting, contradiction)
    .map(({ reading }) => reading)
    .filter((id) => {
      const reading = map.tape.find((line) => line.reading.id === id)?.reading;
      return reading !== undefined && !readEnough(map, setting, reading.red, reading.black);
    });
}
