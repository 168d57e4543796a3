import type { PoleKind, WholeCode } from '@which-way/core/kinds';
import type { Trade } from '@which-way/core/table';
import type { ActuatorForm } from '@which-way/core/switch';

/** Two contacts that show two bits in turn. */
const TWO_BITS: Partial<Record<string, string>> = {
  binary: 'off, one, the other, both',
  gray: 'off, one, both, the other',
};

/**
 * What a pole is called in the trade of its loads, where trades share a pattern (common practice); null: as anywhere.
 */
export function tradeWords(trade: Trade | null, kind: PoleKind): string | null {
  const bits = kind.kind === 'coded' && kind.bits === 2 ? TWO_BITS[kind.code] : undefined;
  switch (trade) {
    case null:
      return null;
    case 'heat':
      if (bits) return `heat switch for two elements: ${bits}`;
      return kind.kind === 'progressive' ? `heat switch, ${kind.ways} steps` : null;
    case 'light':
      if (bits) return `light switch for two circuits: ${bits}`;
      return kind.kind === 'crossing' && !kind.off ? 'intermediate light switch' : null;
    case 'motor':
      if (kind.kind === 'crossing') return `motor reversing switch, ${kind.off ? 'off between' : 'no off'}`;
      return null;
    case 'sound':
      if (kind.kind === 'crossing') return `phase switch${kind.off ? ', off between' : ''}`;
      return kind.kind === 'bridging' && kind.ways === 2
        ? 'selector for two pickups, both in the middle'
        : null;
  }
}

/** The same of contacts that make sense together only. */
export function tradeWholeWords(trade: Trade | null, kind: WholeCode): string | null {
  if (trade === 'sound' && kind === 'reversing') return 'phase switch, off between';
  if (trade === 'sound' && kind === 'series-parallel') return 'series-parallel switch for two coils';
  if (trade === 'heat' && kind === 'series-parallel') return 'series-parallel switch for two elements';
  return null;
}

/** What the hand moves, where it gives a switch its name (common practice). */
const BY_HANDLE: Partial<Record<ActuatorForm, string>> = {
  push: 'push button',
  trigger: 'trigger switch',
  key: 'key switch',
  pull: 'pull switch',
  'push-push': 'push-push switch',
  'push-pull': 'push-pull switch',
};

/** What moves a contact that is made or broken by the hand alone. */
const WHEN: Partial<Record<ActuatorForm, string>> = { push: 'pressed', trigger: 'squeezed' };

/**
 * What contacts alike are called after their handle: 'push button, 1-pole, opens when pressed'; null: as anywhere.
 * @param closes whether contacts of two positions close in the second; null for any other switch.
 */
export function handleWords(
  form: ActuatorForm | null,
  { poles, plain, closes }: { poles: number; plain: string; closes: boolean | null },
): string | null {
  const name = form && BY_HANDLE[form];
  if (!name) return null;
  const when = WHEN[form];
  return when && closes !== null
    ? `${name}, ${poles}-pole, ${closes ? 'closes' : 'opens'} when ${when}`
    : `${name}, ${poles}-pole ${plain}`;
}
