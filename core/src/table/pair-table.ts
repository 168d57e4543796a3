import { factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import { ohmsByCell, tableRow, type Row } from './truth-table.js';

/** Every pair of contact terminals, in every setting. */
export interface PairTable {
  /** Pairs that join somewhere, or of which something is not known. */
  rows: Row[];
  /** Pairs that are known open in every setting found so far. */
  openEverywhere: number;
}

/** The table by pairs instead of contacts: nothing is left out because it follows from others. */
export function pairTable(map: SwitchMap): PairTable {
  const readings = ohmsByCell(map);
  const settled = [...map.settings.values()].map((setting) => setting.settled);
  const rows: Row[] = [];
  let openEverywhere = 0;
  map.contacts.forEach((a, at) => {
    for (const b of map.contacts.slice(at + 1)) {
      const open = settled.every((setting) => {
        const fact = factAt(setting, a, b);
        return isSettled(fact) && fact.joined === false;
      });
      if (open) openEverywhere += 1;
      else rows.push(tableRow(map, [a, b], readings));
    }
  });
  return { rows, openEverywhere };
}
