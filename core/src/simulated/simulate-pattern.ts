import type { Pattern } from '../partition/index.js';
import { simulateKnown, type SimulatedSwitch } from './simulated-switch.js';

/** A simulated switch with a pattern that was only described, its terminals numbered; as `simulateKnown` otherwise. */
export function simulatePattern(
  pattern: Pattern,
  name: string,
  seed: number,
  shuffle: boolean,
): SimulatedSwitch {
  const label = (place: number) => String(place + 1);
  const terminals = (pattern[0] ?? []).map((_, place) => label(place));
  const positions = pattern.map((nets) => ({
    name: null,
    rests: 'maintained' as const,
    joined: [...new Set(nets)]
      .map((net) => nets.flatMap((one, place) => (one === net ? [label(place)] : [])))
      .filter((group) => group.length > 1),
  }));
  return simulateKnown({ name, terminals, positions }, seed, shuffle);
}
