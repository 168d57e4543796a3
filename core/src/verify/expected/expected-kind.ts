import type { SwitchMap } from '../../continuity/index.js';
import { kindsOf, type Kind } from '../../kinds/index.js';
import type { ExpectedTable } from '../../log/index.js';
import { blocks, isomorphism, relabel, type Pattern } from '../../partition/index.js';
import { requiredPattern } from '../../table/index.js';
import type { TerminalId } from '../../switch/index.js';

/** Ordinary kinds that a switch with so many contact terminals and required settings may be meant to be. */
export function kindsFor(map: SwitchMap): Kind[] {
  const settings = map.structure.settings.filter(({ need }) => need === 'required').length;
  return kindsOf(map.contacts.length, settings);
}

/**
 * The table of an ordinary kind on the terminals of this switch: named as the map has it where they agree up to names, else in
 * the order of the terminals, pole by pole, common first. Positions that have no names were counted from where the handle
 * happened to stand: then the kind may also run from the other end.
 */
export function expectedKind(map: SwitchMap, kind: Kind, name: string): ExpectedTable {
  const ids = map.contacts.map((place) => map.structure.terminals[place]?.id as TerminalId);
  const mine = requiredPattern(map).map((partition) => {
    const at = new Map(map.contacts.map((place, index) => [place, index]));
    return map.contacts.map((place) => at.get(partition[place] as number) as number);
  }) as Pattern;
  const nameless = map.structure.actuators.every(({ positions }) => positions.every(({ name: one }) => !one));
  const ways = nameless ? [kind.pattern, kind.pattern.toReversed() as Pattern] : [kind.pattern];
  const laid = ways.flatMap((way) => {
    const to = isomorphism(way, mine);
    return to ? [relabel(way, to)] : [];
  });
  const pattern = laid[0] ?? kind.pattern;
  const required = map.structure.settings.filter(({ need }) => need === 'required');
  return {
    source: { kind: 'ordinary', name },
    settings: required.map(({ id }, at) => ({
      setting: id,
      joined: blocks(pattern[at] ?? [])
        .filter((net) => net.length > 1)
        .map((net) => net.map((place) => ids[place] as TerminalId)),
      unsaid: [],
    })),
  };
}
