import type { SwitchMap } from '../../continuity/index.js';
import type { ChosenReplacement } from '../../log/index.js';
import { partitionOf } from '../../partition/index.js';
import type { KnownSwitch, SettingId } from '../../switch/index.js';
import type { ContactsAt } from './contacts.js';

/** How a part lies on the terminals of the switch that it replaces, by place; and which of its positions stands for a setting. */
export interface LaidPart {
  part: KnownSwitch;
  terminals: readonly { from: number; to: number }[];
  positions: readonly { from: SettingId; to: number }[];
}

/** A chosen replacement as it is laid; null where the entry was not kept with it. */
export function laidPart(
  { structure }: Pick<SwitchMap, 'structure'>,
  chosen: ChosenReplacement,
): LaidPart | null {
  const { part } = chosen;
  if (!part) return null;
  const named = (name: string) =>
    part.positions.findIndex((one, at) => (one.name ?? `position ${at + 1}`) === name);
  return {
    part,
    terminals: chosen.terminals.map(({ from, to }) => ({
      from: structure.terminals.findIndex(({ id }) => id === from),
      to: part.terminals.indexOf(to),
    })),
    positions: chosen.positions.map(({ from, to }) => ({ from, to: named(to) })),
  };
}

/** The contacts between the wires of a switch with a part in its place. Its junctions join what they tie. */
export function contactsWithPart(
  { structure }: Pick<SwitchMap, 'structure'>,
  { part, terminals, positions }: LaidPart,
  setting: SettingId,
): ContactsAt {
  const size = structure.terminals.length;
  const at = positions.find(({ from }) => from === setting)?.to ?? -1;
  const position = part.positions[at];
  if (!position) return { nets: partitionOf(size, []), isKnown: () => false };
  const place = new Map(part.terminals.map((label, index) => [label, index]));
  // The part's own terminals stand behind those of the old one.
  const whole = partitionOf(size + part.terminals.length, [
    ...terminals.map(({ from, to }): [number, number] => [from, size + to]),
    ...position.joined.flatMap((net) =>
      net
        .slice(1)
        .map((label): [number, number] => [
          size + (place.get(net[0] ?? '') ?? 0),
          size + (place.get(label) ?? 0),
        ]),
    ),
  ]);
  return { nets: whole.slice(0, size), isKnown: () => true };
}
