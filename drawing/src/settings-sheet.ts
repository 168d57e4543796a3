import type { SwitchMap } from '@which-way/core/continuity';
import type { SettingId, Side } from '@which-way/core/switch';
import { joinsOf } from './joins.js';
import type { GroundSaid } from './marks.js';
import { pictureSheet } from './picture-sheet.js';
import type { Picture } from './shape.js';
import { switchPicture } from './switch-picture.js';

/** What a sheet says: its caption, what each setting is called, and what stands on the ground of a drawing. */
export interface SheetWords extends GroundSaid {
  caption: string;
  setting: (id: SettingId) => string;
}

/** The switch in every setting, seen from one side, on one sheet. */
export function settingsSheet(
  map: SwitchMap,
  side: Side,
  { caption, setting, ...ground }: SheetWords,
): Picture {
  const pictures = [...map.settings.keys()].map((id) => ({
    title: setting(id),
    picture: switchPicture(
      { ...map.structure, links: joinsOf(map, id).filter(({ faint }) => !faint) },
      side,
      { ...ground, caption: setting(id) },
    ),
  }));
  return pictureSheet(pictures, Math.min(3, pictures.length), caption);
}
