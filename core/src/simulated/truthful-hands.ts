import type { SwitchMap } from '../continuity/index.js';
import type { Partition } from '../partition/index.js';
import { impliedBySounded } from '../planner/index.js';
import { readingsAsked, type Ask, type Value } from '../log/index.js';
import { type SettingId, type TerminalId } from '../switch/index.js';

/** What a value looks like for a pair that joins and one that does not. */
export interface MeterWords {
  closed: (red: number, black: number) => Value;
  open: () => Value;
}

/**
 * What error-free hands find for a prompt on a switch whose nets are known: a value for each touch or setting that they
 * come to. Of a sweep, what follows from those that joined before is not touched. For demo data, benchmarks and tests.
 * @param truthAt the nets of a setting, by place.
 */
export function truthfulValues(
  ask: Ask,
  { terminals, settings }: { terminals: readonly TerminalId[]; settings: SwitchMap['settings'] },
  truthAt: (setting: SettingId) => Partition,
  words: MeterWords,
): Map<TerminalId | SettingId, Value> {
  const places = (ids: readonly TerminalId[]) => ids.map((id) => terminals.indexOf(id));
  const asked = readingsAsked(ask);
  const found = asked.map(({ setting, red, black, key }) => {
    const truth = truthAt(setting);
    const [reds, blacks] = [places(red), places(black)];
    const joined = reds.some((a) => blacks.some((b) => truth[a] === truth[b]));
    return {
      key,
      joined,
      value: joined ? words.closed(reds[0] as number, blacks[0] as number) : words.open(),
    };
  });
  const sounded: (TerminalId | SettingId)[] = [];
  const values = new Map<TerminalId | SettingId, Value>();
  for (const { key, joined, value } of found) {
    if (ask.kind === 'sweep' && follows(ask, terminals, settings, sounded, key)) continue;
    values.set(key, value);
    if (joined) sounded.push(key);
  }
  return values;
}

/** Whether a touch of a sweep need not be made, given what sounded before it. */
function follows(
  { setting, red, black }: Extract<Ask, { kind: 'sweep' }>,
  terminals: readonly TerminalId[],
  settings: SwitchMap['settings'],
  sounded: readonly (TerminalId | SettingId)[],
  key: TerminalId | SettingId,
): boolean {
  const settled = settings.get(setting)?.settled;
  if (!settled || sounded.length === 0) return false;
  const place = (id: TerminalId | SettingId) => terminals.indexOf(id as TerminalId);
  const sweep = { red: place(red), black: black.map(place) };
  return impliedBySounded(settled, sweep, new Set(sounded.map(place))).has(place(key));
}
