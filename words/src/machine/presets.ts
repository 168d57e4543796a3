import type { PresetName } from '@which-way/core/match';

/** A common arrangement of wires, in a line. */
export const PRESET_WORDS: Record<PresetName, string> = {
  'three-heat': 'Three heats: two elements in series, one, both',
  reversing: 'A motor forward and back, with a stop',
  'reversing-with-brake': 'A motor forward and back, braked between',
  'run-and-brake': 'A motor that is braked when let go',
  'run-and-brake-contacts': 'A motor that is braked when let go, by a contact of its own',
  'two-way-at-the-line': 'One lamp from two places: the switch at the line',
  'two-way-at-the-lamp': 'One lamp from two places: the switch at the lamp',
  intermediate: 'One lamp from three places: the switch between',
  'manual-off-auto': 'By hand, off, or by a float or thermostat',
  'two-pickups': 'Two pickups on one output: one, both, the other',
  'input-selector': 'Two inputs on one output',
  'stop-run-start': 'Stop, run and sprung start with a contactor that holds itself in',
};
