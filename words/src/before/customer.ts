import type { SwitchMap } from '@which-way/core/continuity';
import { identify, settledCount, truthTable } from '@which-way/core/table';
import { identityTitle } from '../table/identity.js';
import { patternWords } from '../table/patterns.js';
import { forUseWords } from '../verdict.js';
import { terminalList } from '../terminals.js';

/**
 * A plain paragraph for the owner: whether it may be used, what the switch is, what it does, how far it was tested, what was found. Nothing is called
 * good that was not tested.
 */
export function customerWords(map: SwitchMap): string {
  const { structure } = map;
  const table = truthTable(map);
  const count = settledCount(map);
  const identity = identify(map);
  const title = identityTitle(structure, identity);
  const named = identity.unknown.length === 0 && identity.disputed === 0;
  const what = named
    ? `This switch is ${/^([aeiou]|8|11|18)/i.test(title) ? 'an' : 'a'} ${title.charAt(0).toLowerCase()}${title.slice(1)}.`
    : `What this switch is, is ${title.charAt(0).toLowerCase()}${title.slice(1)}.`;
  const free =
    table.complete && table.joinsNothing.length > 0
      ? ` Connected to nothing inside: ${terminalList(structure, table.joinsNothing)}.`
      : '';
  const tested = table.complete
    ? `Every pair of terminals was tested in every position (${count.measured} measured, the rest follows from those).`
    : `Not fully tested: ${count.settled} of ${count.all} pairs are known.`;
  return `${forUseWords(map)} ${what} ${patternWords(map, table).join(' ')}${free} ${tested}`;
}
