import type { Lead } from '../log/index.js';
import type { Structure, TerminalId } from '../switch/index.js';

/** What a hand touches, or what is bonded to it: frame, can, shaft, and an earth tab. */
const METAL: ReadonlySet<string> = new Set(['frame', 'earth']);

/**
 * Whether a reading lies between the switch's own terminals and its metal. Metal to metal is the bond of the case; where metal and a
 * terminal are tied on one lead, nobody can tell which of them it is.
 */
export function liesToMetal({ terminals }: Structure): (reading: { red: Lead; black: Lead }) => boolean {
  const metal = new Set<TerminalId>(terminals.flatMap(({ id, role }) => (METAL.has(role) ? [id] : [])));
  const isAll = (lead: Lead) => lead.every((id) => metal.has(id));
  const isNone = (lead: Lead) => !lead.some((id) => metal.has(id));
  return ({ red, black }) => (isAll(red) && isNone(black)) || (isNone(red) && isAll(black));
}

/** Whether a reading lies between two pieces of metal alone. */
export function liesInMetal({ terminals }: Structure): (reading: { red: Lead; black: Lead }) => boolean {
  const metal = new Set<TerminalId>(terminals.flatMap(({ id, role }) => (METAL.has(role) ? [id] : [])));
  return ({ red, black }) => [...red, ...black].every((id) => metal.has(id));
}
