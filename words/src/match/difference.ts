import { prove, type SwitchMap } from '@which-way/core/continuity';
import type { ComparedCell } from '@which-way/core/verify';
import { settingName, terminalName } from '../terminals.js';

/** One difference as a sentence; of a pair that nobody read, the readings that it follows from. */
export function differenceWords(map: SwitchMap, cell: ComparedCell): string {
  const { structure } = map;
  const { setting, terminals, verdict, fact } = cell;
  const [a, b] = terminals.map((id) => terminalName(structure, id));
  const where = `At ${settingName(structure, setting)}`;
  const tone = fact.byTone ? (fact.joined ? ', by tone' : ', by a silent beeper') : '';
  const how = fact.state === 'follows' ? followsFrom(map, cell) : fact.state;
  return verdict === 'missing'
    ? `${where}, ${a} and ${b} should join and are apart (${how}${tone}).`
    : `${where}, ${a} and ${b} should be apart and join (${how}${tone}).`;
}

function followsFrom({ structure, settings }: SwitchMap, { setting, terminals }: ComparedCell): string {
  const settled = settings.get(setting)?.settled;
  const [a, b] = terminals.map((id) => settled?.terminals.indexOf(id) ?? -1);
  const proof = settled && a !== undefined && b !== undefined ? prove(settled, a, b) : null;
  if (!proof || proof.via.length < 3 || proof.readings.length !== proof.via.length - 1) return 'follows';
  const names = proof.via.map((id) => terminalName(structure, id));
  const pairs = names.slice(1).map((name, at) => `${names[at] as string}–${name}`);
  return `follows from the readings ${pairs.slice(0, -1).join(', ')} and ${pairs.at(-1) as string}`;
}
