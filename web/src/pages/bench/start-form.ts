import type { KnownSwitch } from '@which-way/core/switch';
import { START_FORM_TEXT } from '@which-way/words/screens/pages/bench/start-form';

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
  if (simulated && !known)
    return wrong(START_FORM_TEXT.noSimulatedSwitchIsChosen, START_FORM_TEXT.chooseOneOfTheLibrary);
  const count = simulated ? (known?.terminals.length ?? 0) : whole(terminals, 2, 48);
  if (count === null) {
    const said =
      terminals.trim() === ''
        ? START_FORM_TEXT.theNumberOfTerminalsIs
        : START_FORM_TEXT.terminalsCannotBeMapped(terminals);
    return wrong(said, START_FORM_TEXT.giveAWholeNumberFrom);
  }
  const unknown = positions.trim() === '?' || positions.trim() === '';
  const places = unknown ? null : whole(positions, 1, 24);
  if (!unknown && places === null) {
    return wrong(START_FORM_TEXT.isNotANumberOf(positions), START_FORM_TEXT.giveAWholeNumberFrom2);
  }
  const mix = whole(seed, 0, 4294967295);
  if (simulated && mix === null)
    return wrong(START_FORM_TEXT.isNotASeed(seed), START_FORM_TEXT.giveAWholeNumber);
  if (simulated && places !== null && places > (known?.positions.length ?? 0)) {
    return wrong(
      START_FORM_TEXT.thatSwitchHasPositions(known?.positions.length ?? 0),
      START_FORM_TEXT.giveAtMostThatMany,
    );
  }
  return { ok: true, terminals: count, positions: places, seed: mix ?? 0 };
}
