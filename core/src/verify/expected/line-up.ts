import {
  contactTerminals,
  requiredSettings,
  type KnownSwitch,
  type Structure,
  type TerminalId,
} from '../../switch/index.js';
import { type ExpectedTable } from '../../log/index.js';

/** How a known switch was laid beside the one in hand; or why it cannot be. */
export type LinedUp =
  | { kind: 'lined-up'; by: 'label' | 'order'; table: ExpectedTable }
  | { kind: 'cannot'; because: 'terminals' | 'positions' | 'actuators'; has: number; needs: number };

/**
 * Makes an expected table from a known switch: terminals by label when all labels are found (upper or lower case,
 * label or marking), else by order when there are as many; positions by order.
 */
export function lineUp(structure: Structure, known: KnownSwitch): LinedUp {
  const settings = requiredSettings(structure);
  const terminals = contactTerminals(structure);
  if (structure.actuators.length !== 1) {
    return { kind: 'cannot', because: 'actuators', has: structure.actuators.length, needs: 1 };
  }
  if (settings.length !== known.positions.length) {
    return { kind: 'cannot', because: 'positions', has: settings.length, needs: known.positions.length };
  }
  const byLabel = new Map<string, TerminalId>();
  for (const { id, marking } of terminals) {
    if (marking) byLabel.set(marking.toLowerCase(), id);
  }
  for (const { id, label } of terminals) byLabel.set(label.toLowerCase(), id);
  const labelled = known.terminals.every((label) => byLabel.has(label.toLowerCase()));
  if (!labelled && known.terminals.length !== terminals.length) {
    return { kind: 'cannot', because: 'terminals', has: terminals.length, needs: known.terminals.length };
  }
  const counterpart = (label: string) =>
    labelled ? byLabel.get(label.toLowerCase()) : terminals[known.terminals.indexOf(label)]?.id;
  return {
    kind: 'lined-up',
    by: labelled ? 'label' : 'order',
    table: {
      source: { kind: 'library', entry: known.id, name: known.name },
      settings: settings.map(({ id }, index) => ({
        setting: id,
        joined: (known.positions[index]?.joined ?? []).map((group) =>
          group.flatMap((label) => counterpart(label) ?? []),
        ),
        unsaid: [],
      })),
    },
  };
}
