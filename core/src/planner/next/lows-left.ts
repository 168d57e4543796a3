import { factAt, type SwitchMap } from '../../continuity/index.js';
import type { Ask } from '../../log/index.js';
import type { SettingId, TerminalId } from '../../switch/index.js';
import { skippedPairs } from '../field/field-of-map.js';

/**
 * Pairs of a setting that are known only if low bundles told the truth, by place: those that join first, since they settle others. A
 * clip that leans on another lug makes its bundles low too.
 */
export function onlyByLows(map: SwitchMap, setting: SettingId): [number, number][] {
  const known = map.settings.get(setting);
  const bare = map.withoutLows(setting);
  if (!known || !bare || bare === known) return [];
  const pairs = map.contacts.flatMap((a, at) =>
    map.contacts.slice(at + 1).flatMap((b): [number, number][] => {
      const { state } = factAt(bare.settled, a, b);
      const isLeft = state === 'unknown' || state === 'assumed';
      return isLeft && factAt(known.settled, a, b).state === 'follows' ? [[a, b]] : [];
    }),
  );
  const joined = ([a, b]: readonly [number, number]) => factAt(known.settled, a, b).joined === true;
  return pairs.toSorted((one, other) => Number(joined(other)) - Number(joined(one)));
}

/** The next pair that is to be read by itself, since only low bundles speak of it; null where there is none. */
export function lowsAsk(map: SwitchMap, order: readonly SettingId[]): Ask | null {
  const skips = skippedPairs(map);
  for (const setting of order) {
    const isSkipped = ([a, b]: readonly [number, number]) =>
      (skips.get(setting) ?? []).some(
        ([one, other]) => (one === a && other === b) || (one === b && other === a),
      );
    const next = onlyByLows(map, setting).find((pair) => !isSkipped(pair));
    const [red, black] = (next ?? []).map((place) => map.structure.terminals[place]?.id as TerminalId);
    if (red && black) return { kind: 'pair', setting, red, black };
  }
  return null;
}
