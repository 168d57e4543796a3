import { factAt, type SwitchMap } from '../../continuity/index.js';
import { type Ask, recordsOf } from '../../log/index.js';
import { inPattern, type SettingId, type TerminalId } from '../../switch/index.js';
import { settingsInOrder } from '../field/field-of-map.js';

/** Parts that conduct one way, or need one polarity to show: an open across them is read both ways round. */
const POLAR: ReadonlySet<string> = new Set(['lamp', 'diode', 'suppressor', 'capacitor', 'circuit']);

/**
 * The next pair that was read open one way round only, across a declared part that may conduct the other way. null when
 * there is none.
 */
export function polarityAsk(map: SwitchMap, order: readonly SettingId[] = settingsInOrder(map)): Ask | null {
  const parts = recordsOf(map.log, 'part-declared').filter(
    ({ form, on, removed }) => POLAR.has(form) && on && !removed,
  );
  for (const setting of order)
    for (const { terminals } of parts) {
      const ask = otherWayRound(map, setting, terminals);
      if (ask) return ask;
    }
  return lampAsk(map, order);
}

/** A pilot lamp may conduct one way only: its tab is read both ways round in the first setting, against each terminal. */
function lampAsk(map: SwitchMap, [setting]: readonly SettingId[]): Ask | null {
  if (setting === undefined) return null;
  const { terminals } = map.structure;
  for (const lamp of terminals.filter(({ role }) => role === 'lamp'))
    for (const other of terminals.filter((one) => inPattern(one) && one !== lamp)) {
      const ask = otherWayRound(map, setting, [lamp.id, other.id]);
      if (ask) return ask;
    }
  return null;
}

function otherWayRound(
  map: SwitchMap,
  setting: SettingId,
  [one, other]: [TerminalId, TerminalId],
): Ask | null {
  const settled = map.settings.get(setting)?.settled;
  if (!settled) return null;
  const [a, b] = [one, other].map((id) => settled.terminals.indexOf(id)) as [number, number];
  if (a < 0 || b < 0 || factAt(settled, a, b).joined !== false) return null;
  const ways = new Set(
    map.tape.flatMap(({ reading: { red, black, setting: at }, standing }) =>
      standing === 'counts' && at === setting && red.length === 1 && black.length === 1
        ? red[0] === one && black[0] === other
          ? ['there']
          : red[0] === other && black[0] === one
            ? ['back']
            : []
        : [],
    ),
  );
  if (ways.size !== 1) return null;
  const [red, black] = ways.has('there') ? [other, one] : [one, other];
  return { kind: 'pair', setting, red, black };
}
