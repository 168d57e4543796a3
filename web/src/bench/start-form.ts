import type { KnownSwitch } from '@which-way/core/switch';

interface Typed {
  terminals: string;
  positions: string;
  seed: string;
  simulated: boolean;
  known: KnownSwitch | undefined;
}

export type StartRead =
  | { ok: true; terminals: number; positions: number | null; seed: number }
  | { ok: false; message: string; hint: string };

const wrong = (message: string, hint: string): StartRead => ({ ok: false, message, hint });

/** A whole number from what was typed; null when it is not one in the range. */
function whole(typed: string, least: number, most: number): number | null {
  const trimmed = typed.trim();
  if (!/^\d{1,10}$/.test(trimmed)) return null;
  const value = Number(trimmed);
  return value >= least && value <= most ? value : null;
}

/** Reads the start form. */
export function readStart({ terminals, positions, seed, simulated, known }: Typed): StartRead {
  if (simulated && !known) return wrong('No simulated switch is chosen.', 'Choose one of the library.');
  const count = simulated ? (known?.terminals.length ?? 0) : whole(terminals, 2, 48);
  if (count === null) {
    const said =
      terminals.trim() === ''
        ? 'The number of terminals is missing.'
        : `“${terminals}” terminals cannot be mapped.`;
    return wrong(said, 'Give a whole number from 2 to 48.');
  }
  const unknown = positions.trim() === '?' || positions.trim() === '';
  const places = unknown ? null : whole(positions, 1, 24);
  if (!unknown && places === null) {
    return wrong(
      `“${positions}” is not a number of positions.`,
      'Give a whole number from 1 to 24, or ? if you do not know.',
    );
  }
  const mix = whole(seed, 0, 4294967295);
  if (simulated && mix === null) return wrong(`“${seed}” is not a seed.`, 'Give a whole number.');
  if (simulated && places !== null && places > (known?.positions.length ?? 0)) {
    return wrong(`That switch has ${known?.positions.length} positions.`, 'Give at most that many, or ?.');
  }
  return { ok: true, terminals: count, positions: places, seed: mix ?? 0 };
}
