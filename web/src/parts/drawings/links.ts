import type { SwitchMap } from '@which-way/core/continuity';
import type { SettingId } from '@which-way/core/switch';
import { joinsOf } from '@which-way/drawing/joins';
import { settingName, terminalName } from '@which-way/words/terminals';
import type { Inspected } from '../facts/inspector.js';
import type { DrawnLink } from './switch-drawing.js';

/** The links to draw: this setting's strong, the others' faint. */
export function linksOf(
  map: Pick<SwitchMap, 'settings' | 'structure' | 'tape'>,
  at: SettingId | null,
  onPick: (about: Inspected) => void,
): DrawnLink[] {
  return joinsOf(map, at).map((join) => {
    const { setting, from, to, disputed } = join;
    const ends = `${terminalName(map.structure, from)} and ${terminalName(map.structure, to)}`;
    return {
      ...join,
      key: `${setting} ${from} ${to}`,
      label: `${settingName(map.structure, setting)}: ${ends} ${disputed ? 'disputed' : 'joined'}`,
      onPick: () => onPick({ setting, a: from, b: to }),
    };
  });
}
