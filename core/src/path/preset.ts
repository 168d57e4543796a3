import type { LinkId, NewId } from '../switch/index.js';
import type { LinkKind, PathLink } from '../log/index.js';

/** Kinds of machine with a usual supply path. */
export const PATH_PRESETS = {
  heater: ['plug', 'fuse', 'cord', 'terminals', 'switch', 'element', 'earth'],
  motor: [
    'plug',
    'fuse',
    'cord',
    'terminals',
    'switch',
    'electronics',
    'brushes',
    'motor',
    'suppressor',
    'earth',
  ],
  fan: ['plug', 'fuse', 'cord', 'terminals', 'switch', 'motor', 'earth'],
  lamp: ['plug', 'fuse', 'cord', 'terminals', 'switch', 'lamp'],
  radio: ['plug', 'fuse', 'cord', 'terminals', 'switch', 'electronics', 'coil', 'suppressor'],
  vehicle: ['battery', 'fuse', 'terminals', 'switch', 'motor'],
} as const satisfies Record<string, readonly LinkKind[]>;
export type PathPreset = keyof typeof PATH_PRESETS;

/** The links of a preset, with ids. */
export function layPath(preset: PathPreset, newId: NewId): PathLink[] {
  return PATH_PRESETS[preset].map((kind) => ({ id: newId<LinkId>(), kind, name: null }));
}
