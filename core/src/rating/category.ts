/** Which family of standards a utilisation category belongs to; figures of one family say nothing about another. */
export type CategoryFamily = 'control-circuit' | 'contactor' | 'load-switch';

/** A utilisation category: what sort of load a current was stated for. */
export interface Category {
  name: string;
  family: CategoryFamily;
  /** A code for the load; the words belong to whoever shows it. */
  load: string;
}

/**
 * Categories by family, from memory of the published standards: IEC 60947-5-1 (control circuits), IEC 60947-4-1
 * (contactors and motor starters), IEC 60947-3 (switches, disconnectors, switch-disconnectors).
 */
const FAMILIES: Record<CategoryFamily, Record<string, string>> = {
  'control-circuit': {
    'AC-12': 'resistive-and-optocoupler',
    'AC-13': 'semiconductor-with-transformer',
    'AC-14': 'small-electromagnets',
    'AC-15': 'electromagnets',
    'DC-12': 'resistive-and-optocoupler',
    'DC-13': 'electromagnets',
    'DC-14': 'electromagnets-with-economy-resistor',
  },
  contactor: {
    'AC-1': 'slightly-inductive',
    'AC-2': 'slip-ring-motors',
    'AC-3': 'cage-motors-switched-off-running',
    'AC-3E': 'efficient-cage-motors',
    'AC-4': 'cage-motors-inching-plugging',
    'AC-5A': 'discharge-lamps',
    'AC-5B': 'incandescent-lamps',
    'DC-1': 'slightly-inductive',
    'DC-3': 'shunt-motors',
    'DC-5': 'series-motors',
  },
  'load-switch': {
    'AC-20': 'no-load',
    'AC-21': 'resistive-moderate-overload',
    'AC-22': 'mixed-resistive-inductive',
    'AC-23': 'motors-and-highly-inductive',
    'DC-20': 'no-load',
    'DC-21': 'resistive-moderate-overload',
    'DC-22': 'mixed-resistive-inductive',
    'DC-23': 'motors-and-highly-inductive',
  },
};

/** Decodes a category such as AC-15 or AC-21A (the last letter: A frequent, B infrequent operation); null if unknown. */
export function decodeCategory(
  text: string,
): (Category & { frequency: 'frequent' | 'infrequent' | null }) | null {
  const name = text
    .trim()
    .toUpperCase()
    .replace(/^(AC|DC)\s*-?\s*/, '$1-');
  for (const [family, loads] of Object.entries(FAMILIES) as [CategoryFamily, Record<string, string>][]) {
    const plain = loads[name];
    if (plain !== undefined) return { name, family, load: plain, frequency: null };
    const [, base = '', letter = ''] = /^(.*\d)([AB])$/.exec(name) ?? [];
    const load = loads[base];
    if (family === 'load-switch' && load !== undefined) {
      return { name: base, family, load, frequency: letter === 'A' ? 'frequent' : 'infrequent' };
    }
  }
  return null;
}
