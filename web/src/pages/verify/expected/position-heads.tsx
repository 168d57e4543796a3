import { strandOf } from '@which-way/drawing/strand';
import type { SettingId, Structure } from '@which-way/core/switch';
import { settingName } from '@which-way/words/terminals';

interface PositionHeadsProps {
  structure: Structure;
  settings: readonly SettingId[];
  /** How many positions stand before the first of these. */
  from: number;
}

/** The names of the positions above a table of what a switch should do, each in the colour of its strand. */
export const PositionHeads = ({ structure, settings, from }: PositionHeadsProps) =>
  settings.map((setting, index) => (
    <th
      key={setting}
      scope="col"
      className="px-0.5 pb-1 align-bottom font-mono text-small leading-tight"
      style={{ color: strandOf(from + index).color }}
    >
      <span className="line-clamp-3 break-words">{settingName(structure, setting)}</span>
    </th>
  ));
