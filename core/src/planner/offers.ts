import { factAt, type SwitchMap } from '../continuity/index.js';
import { partsOf, type Ask, type SettingId, type TerminalId } from '../switch/index.js';
import { settingsInOrder } from './field-of-map.js';

/**
 * All contacts tied together against the frame, through all settings: one bundle for each. It counts for the insulation,
 * not for the pattern. null without a frame, or when every setting has it already.
 */
export function frameAsk({ structure, tape }: SwitchMap): Ask | null {
  const frame = structure.terminals.find(({ role }) => role === 'frame');
  const contacts = structure.terminals.filter(({ role }) => role !== 'frame').map(({ id }) => id);
  if (!frame || contacts.length === 0) return null;
  const settings = structure.settings.filter(({ need }) => need === 'required').map(({ id }) => id);
  const done = new Set(
    tape.flatMap(({ reading: { setting, red, black }, standing }) => {
      const whole = contacts.every((id) => red.includes(id) || black.includes(id));
      const framed = red.includes(frame.id) || black.includes(frame.id);
      return standing === 'counts' && whole && framed ? [setting] : [];
    }),
  );
  const left = settings.filter((id) => !done.has(id));
  return left.length > 0 ? { kind: 'bundle', red: contacts, black: [frame.id], settings: left } : null;
}

/** Parts that conduct one way, or need one polarity to show: an open across them is read both ways round. */
const POLAR: ReadonlySet<string> = new Set(['lamp', 'diode', 'suppressor', 'circuit']);

/**
 * The next pair that was read open one way round only, across a declared part that may conduct the other way. null when
 * there is none.
 */
export function polarityAsk(map: SwitchMap, order: readonly SettingId[] = settingsInOrder(map)): Ask | null {
  const parts = partsOf(map.log).filter(({ form, on, removed }) => POLAR.has(form) && on && !removed);
  for (const setting of order)
    for (const { terminals } of parts) {
      const ask = otherWayRound(map, setting, terminals);
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
