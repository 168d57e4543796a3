import type { SwitchMap } from '../../continuity/index.js';
import { liveEvents, type Ask } from '../../log/index.js';
import { type SettingId, type TerminalId } from '../../switch/index.js';
import { approachOf, askOfMove, costsOf } from '../schools/approach.js';
import { learntChance } from '../chance/chance.js';
import { bundleSays, unknownPairsOf } from '../field/field.js';
import { fieldOf, handsOf, settingsInOrder } from '../field/field-of-map.js';
import { fromHere } from '../hands/hands.js';
import { ladder } from '../schools/ladder.js';

/**
 * What was assumed is read at last: with clips enough block against block, a bundle for each setting, else pair by pair.
 * null when nothing stands on an assumption alone.
 */
export function assumedLeft(map: SwitchMap, at: SettingId | null): Ask | null {
  const field = fieldOf(map, { assumed: false });
  if (!field.settings.some((_, setting) => unknownPairsOf(field, setting).length > 0)) return null;
  const costs = costsOf(map, approachOf(map));
  const blocks = blocksOf(map);
  const tied = blocks ? blocks.red.length + blocks.black.length : 0;
  if (blocks && tied <= costs.clipsOwned) {
    const order = settingsInOrder(map);
    const place = (id: TerminalId) => map.structure.terminals.findIndex((terminal) => terminal.id === id);
    const [red, black] = [blocks.red.map(place), blocks.black.map(place)];
    // A block bundle that was low is not asked again: pairs tell which it was.
    const settings = fromHere(order, at && order.indexOf(at)).filter((id) => {
      const assumed = (map.settings.get(id)?.coverage.assumed ?? 0) > 0;
      return assumed && bundleSays(field, order.indexOf(id), red, black) === null;
    });
    if (settings.length > 0) return { kind: 'bundle', ...blocks, settings };
  }
  const move = ladder({ field, hands: handsOf(map, at), costs, chance: learntChance(field) });
  return move && askOfMove(map, move);
}

/** The two blocks that are assumed not to touch, as far as their terminals are in use; null with none or with more. */
function blocksOf(map: SwitchMap): { red: TerminalId[]; black: TerminalId[] } | null {
  const blocks = liveEvents(map.log, 'assumed').at(-1)?.what.assumption.blocks ?? [];
  const inUse = new Set(map.structure.terminals.map(({ id }) => id));
  const [red, black] = blocks.map((block) => block.filter((id) => inUse.has(id)));
  return red && black && blocks.length === 2 ? { red, black } : null;
}
