import type { Structure } from '@which-way/core/switch';
import { settingName } from '@which-way/words/terminals';

/** What the positions of the handle are called, each once; a switch whose positions are not known yet has none. */
export function positionNames(structure: Structure): string[] {
  if (structure.settings.length < 2) return [];
  return [...new Set(structure.settings.map(({ id }) => settingName(structure, id)))];
}
