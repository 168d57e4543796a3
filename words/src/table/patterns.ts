import type { SwitchMap } from '@which-way/core/continuity';
import { settingsInTurn, type SettingTold, type TruthTable } from '@which-way/core/table';
import type { Structure, TerminalId } from '@which-way/core/switch';
import { plural } from '../plural.js';
import { quantity } from '../quantity.js';
import { settingName, terminalList, terminalName } from '../terminals.js';

/**
 * The table in words, to be copied: which terminals make each pole, then one sentence a position with everything that is joined there.
 * Nothing is called open that is not known.
 */
export function patternWords(map: SwitchMap, { poles }: TruthTable): string[] {
  const { structure } = map;
  const labels =
    poles.length < 2
      ? []
      : [
          poles
            .map(({ terminals }, at) => `Pole ${poleLetter(at)}: ${terminalList(structure, terminals)}.`)
            .join(' '),
        ];
  return [...labels, ...settingsInTurn(map).map((told) => settingWords(structure, told))];
}

function settingWords(
  structure: Structure,
  { setting, springsBack, nets, parts, open }: SettingTold,
): string {
  const chain = (ids: readonly TerminalId[]) => ids.map((id) => terminalName(structure, id)).join('–');
  const nothing = open > 0 ? 'nothing closed so far' : 'nothing closed';
  const told = [
    nets.map(chain).join(', ') || nothing,
    ...parts.map((part) => `${quantity(part.quantity)} across ${chain(part.between)}, a part`),
    ...(open > 0 ? [`${plural(open, 'pair')} not known`] : []),
  ].join('; ');
  return `${settingName(structure, setting)}${springsBack ? ' (springs back)' : ''}: ${told}.`;
}

/** A, B, …, Z, AA: as poles are lettered. */
export const poleLetter = (index: number): string =>
  index < 26
    ? String.fromCharCode(65 + index)
    : poleLetter(Math.floor(index / 26) - 1) + poleLetter(index % 26);
