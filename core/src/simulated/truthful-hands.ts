import type { SwitchMap } from '../continuity/index.js';
import type { Partition } from '../partition/index.js';
import { impliedBySounded } from '../planner/index.js';
import { readingsAsked, type Ask, type SettingId, type TerminalId, type Value } from '../switch/index.js';

/** What a value looks like for a pair that joins and one that does not. */
export interface MeterWords {
  closed: (red: number, black: number) => Value;
  open: () => Value;
}

/**
 * What error-free hands find for a prompt on a switch whose nets are known: a value for each touch or setting that they
 * come to. Of a sweep, what follows from those that joined is not touched. For demo data, benchmarks and tests.
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
  const implied = ask.kind === 'sweep' ? impliedIn(ask, terminals, settings, found) : new Set<unknown>();
  return new Map(found.filter(({ key }) => !implied.has(key)).map(({ key, value }) => [key, value]));
}

function impliedIn(
  { setting, red, black }: Extract<Ask, { kind: 'sweep' }>,
  terminals: readonly TerminalId[],
  settings: SwitchMap['settings'],
  found: readonly { key: TerminalId | SettingId; joined: boolean }[],
): Set<unknown> {
  const settled = settings.get(setting)?.settled;
  if (!settled) return new Set();
  const place = (id: TerminalId) => terminals.indexOf(id);
  const sounded = new Set(found.filter(({ joined }) => joined).map(({ key }) => place(key as TerminalId)));
  const sweep = { red: place(red), black: black.map(place) };
  return new Set([...impliedBySounded(settled, sweep, sounded)].map((at) => terminals[at]));
}
