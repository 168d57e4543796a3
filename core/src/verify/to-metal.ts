import type { Lead } from '../log/index.js';
import type { Structure, TerminalId } from '../switch/index.js';

/** What a hand touches, or what is bonded to it: frame, can, shaft, and an earth tab. */
const METAL: ReadonlySet<string> = new Set(['frame', 'earth']);

/**
 * Where a reading lies: between a terminal and the metal of the switch; within the metal, which is the bond of the case; or elsewhere.
 * Where metal and a terminal are tied on one lead nobody can tell which of the two it is: that is elsewhere.
 */
export function metalSide({
  terminals,
}: Pick<Structure, 'terminals'>): (reading: {
  red: Lead;
  black: Lead;
}) => 'to-metal' | 'within' | 'elsewhere' {
  const metal = new Set<TerminalId>(terminals.flatMap(({ id, role }) => (METAL.has(role) ? [id] : [])));
  return ({ red, black }) => {
    const [one, other] = [red, black].map((lead) => lead.filter((id) => metal.has(id)).length / lead.length);
    if (one === 1 && other === 1) return 'within';
    return (one === 1 && other === 0) || (one === 0 && other === 1) ? 'to-metal' : 'elsewhere';
  };
}
